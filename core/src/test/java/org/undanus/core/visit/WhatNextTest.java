package org.undanus.core.visit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.undanus.core.CaseFixture;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.judgement.Verdict;

class WhatNextTest {

    private static WhatNext.Line line(String point, boolean asked) {
        return new WhatNext.Line(new PointKey(point, "outdoor"), asked);
    }

    private static List<String> next(CaseFixture fixture, WhatNext.Line... lines) {
        return WhatNext.of(fixture.judgements(), List.of(lines), fixture.evidence()).stream()
                .map(next -> next.line().point() + ", " + next.reason())
                .toList();
    }

    @Test
    void whatIsAtStakeComesBeforeTheOrderOfTheWalk() {
        assertThat(next(
                        new CaseFixture(),
                        line("plate.manufactured", true),
                        line("siting.outdoor-clearance-front", true),
                        line("electrical.device-rating", true)))
                .containsExactly(
                        "electrical.device-rating, decides: Overcurrent protective device fits the plate",
                        "siting.outdoor-clearance-front, decides: Clearance, front",
                        "plate.manufactured, decides: Age of the unit");
    }

    @Test
    void whatIsNotAskedForYetComesAfterWhatIs() {
        assertThat(next(
                        new CaseFixture(),
                        line("siting.outdoor-clearance-front", false),
                        line("siting.outdoor-clearance-back", true)))
                .extracting(said -> said.split(",")[0])
                .containsExactly("siting.outdoor-clearance-back", "siting.outdoor-clearance-front");
    }

    @Test
    void whatIsReadNotWellEnoughComesBeforeWhatIsOpen() {
        CaseFixture fixture = new CaseFixture().outdoor("plate.model", "WS-12");
        double limit = fixture.outdoor("siting.outdoor-clearance-front", "5 m")
                .judge("siting.outdoor-clearance-front")
                .comparison()
                .orElseThrow()
                .binding()
                .limit()
                .value()
                .si();
        CaseFixture onTheLimit = fixture.outdoor("siting.outdoor-clearance-front", limit + " m");
        assertThat(onTheLimit.judge("siting.outdoor-clearance-front").verdict()).isEqualTo(Verdict.TOO_CLOSE);
        assertThat(next(
                        onTheLimit,
                        line("siting.outdoor-clearance-back", true),
                        line("siting.outdoor-clearance-front", true)))
                .first()
                .isEqualTo("siting.outdoor-clearance-front, settles: Clearance, front");
    }

    @Test
    void whatCouldNotBeReachedIsNotAskedForAgain() {
        CaseFixture shut = new CaseFixture().outdoor("siting.outdoor-clearance-front", "not accessible: locked yard");
        assertThat(next(shut, line("siting.outdoor-clearance-front", true))).isEmpty();
        var judgement = shut.judge("siting.outdoor-clearance-front");
        assertThat(judgement.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(judgement.because().toString()).contains("Clearance, front: not accessible: locked yard.");
    }

    @Test
    void whatIsSettledChangesNothingMore() {
        CaseFixture fixture =
                new CaseFixture().outdoor("plate.model", "WS-12").outdoor("siting.outdoor-clearance-front", "5 m");
        assertThat(fixture.judge("siting.outdoor-clearance-front").verdict()).isEqualTo(Verdict.MEETS);
        assertThat(next(fixture, line("siting.outdoor-clearance-front", true))).isEmpty();
    }
}
