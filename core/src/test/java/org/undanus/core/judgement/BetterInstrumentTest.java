package org.undanus.core.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.undanus.core.CaseFixture;
import org.undanus.core.evidence.Channel;
import org.undanus.core.evidence.Instrument;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;

class BetterInstrumentTest {
    private static final PointKey FRONT = new PointKey("siting.outdoor-clearance-front", "outdoor");
    private static final LocalDate DAY = LocalDate.of(2026, 9, 1);

    private static Instrument tape(String id, double metres, Optional<Channel.Range> range) {
        return new Instrument(
                id,
                id,
                InstrumentKind.TAPE,
                List.of(new Channel("", Dimension.LENGTH, Accuracy.ofConstant(metres), range)),
                List.of(),
                false,
                Optional.empty(),
                List.of());
    }

    private static final Instrument COARSE = tape("coarse", 0.01, Optional.empty());
    private static final Instrument GOOD = tape("good", 0.002, Optional.empty());
    private static final Instrument BEST = tape("best", 0.0005, Optional.empty());
    private static final Instrument SHORT =
            tape("short", 0.0001, Optional.of(new Channel.Range(Dimension.LENGTH, 0, 0.5)));

    /** Read with a coarse tape, 6 mm over the limit of 36 in. */
    private static Optional<List<Instrument>> forFront(CaseFixture fixture) {
        return BetterInstrument.forLine(
                FRONT,
                InstrumentKind.TAPE,
                fixture.facts(),
                fixture.evidence(),
                new Judgements(fixture.judgements()),
                DAY);
    }

    private static CaseFixture read(String typed) {
        return new CaseFixture()
                .accuracy(
                        InstrumentKind.TAPE,
                        COARSE.channel(Dimension.LENGTH).orElseThrow().accuracy())
                .outdoor("siting.outdoor-clearance-front", typed);
    }

    @Test
    void theBestOfThoseThatWouldSettleItComesFirst() {
        CaseFixture close = read("920 mm").toolcase(COARSE, GOOD, SHORT, BEST);
        assertThat(close.judge("siting.outdoor-clearance-front").verdict()).isEqualTo(Verdict.TOO_CLOSE);
        assertThat(forFront(close).orElseThrow()).containsExactly(BEST, GOOD);
    }

    @Test
    void noneAtHandIsSaidAsNone() {
        assertThat(forFront(read("920 mm").toolcase(COARSE, SHORT)).orElseThrow())
                .isEmpty();
    }

    @Test
    void whatIsSettledOrUnreadAsksForNothing() {
        assertThat(forFront(read("1.4 m").toolcase(BEST))).isEmpty();
        assertThat(forFront(new CaseFixture().toolcase(BEST))).isEmpty();
    }

    @Test
    void theInstrumentItWasReadWithIsNotOffered() {
        CaseFixture close = new CaseFixture()
                .accuracy(
                        InstrumentKind.TAPE,
                        COARSE.channel(Dimension.LENGTH).orElseThrow().accuracy())
                .toolcase(COARSE, GOOD, BEST)
                .readWith("good", "siting.outdoor-clearance-front", "outdoor", "920 mm");
        assertThat(forFront(close).orElseThrow()).containsExactly(BEST);
    }
}
