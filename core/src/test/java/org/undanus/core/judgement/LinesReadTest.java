package org.undanus.core.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.undanus.core.CaseFixture;
import org.undanus.core.evidence.PointKey;

class LinesReadTest {
    private static final List<PointKey> DUE = Stream.of("front", "back", "left", "right", "above")
            .map(side -> new PointKey("siting.outdoor-clearance-" + side, "outdoor"))
            .toList();

    @Test
    void whatWasReadAndWhatCouldNotBeAreCountedApart() {
        CaseFixture fixture = new CaseFixture()
                .outdoor("siting.outdoor-clearance-front", "2 m")
                .outdoor("siting.outdoor-clearance-back", "not accessible: wall behind")
                .outdoor("siting.outdoor-clearance-left", "not looked at")
                .outdoor("siting.outdoor-clearance-right", "1 m")
                .outdoor("siting.outdoor-clearance-right", "taken back: other unit");
        LinesRead lines = LinesRead.of(DUE, fixture.evidence());
        assertThat(lines).isEqualTo(new LinesRead(5, 1, 1, 1));
        assertThat(lines.said()).hasToString("1 of 5 lines read, 1 not accessible, 1 not looked at, 2 open");
    }

    @Test
    void whatIsNoneIsNotSaid() {
        assertThat(new LinesRead(1, 1, 0, 0).said()).hasToString("1 of 1 line read");
        assertThat(LinesRead.of(List.of(), new CaseFixture().evidence()).said()).hasToString("0 of 0 lines read");
    }
}
