package org.undanus.core.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.words.UnitSystem;

/** What a row of the walk says: verdict, margin and whose limit in a few words. */
class BriefTest {
    private static String brief(CaseFixture fixture, String requirement) {
        return fixture.judge(requirement).brief().in(UnitSystem.SI);
    }

    private static CaseFixture front(String clearance) {
        return new CaseFixture()
                .outdoor("plate.model", "WS-12")
                .outdoor("siting.support", "ground pad")
                .outdoor("siting.outdoor-clearance-front", clearance);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({
        "1.2 m, 'Meets, '",
        "0.1 m, 'Fails, '",
    })
    void aMarginIsSaidWithWhoseLimitItIs(String clearance, String begins) {
        assertThat(brief(front(clearance), "siting.outdoor-clearance-front"))
                .startsWith(begins)
                .matches(".*(to spare on|short of) (the maker's|the code's|the programme's|good practice's) \\d+ mm");
    }

    @Test
    void whatIsMoreThanItMayBeIsOver() {
        CaseFixture fixture = new CaseFixture()
                .outdoor("plate.minimum-circuit-ampacity", "12 A")
                .outdoor("plate.maximum-overcurrent-device", "20 A")
                .outdoor("electrical.device-rating", "25 A");
        assertThat(brief(fixture, "electrical.overcurrent-device")).isEqualTo("Fails, 5 A over the maker's 20 A");
    }

    @Test
    void whatIsNotHeldAgainstALimitSaysWhy() {
        assertThat(brief(new CaseFixture(), "electrical.overcurrent-device")).startsWith("Not shown: Not read yet");
        assertThat(brief(
                        new CaseFixture().outdoor("electrical.disconnect-present", "no"),
                        "electrical.disconnect-rating"))
                .isEqualTo("Does not apply");
    }

    @Test
    void aJudgementIsAboutTheLineThatWasComparedElseItsNamesakeElseTheFirst() {
        CaseFixture fixture = front("1.2 m")
                .outdoor("siting.pad-sound", "no")
                .outdoor("plate.minimum-circuit-ampacity", "12 A")
                .outdoor("plate.maximum-overcurrent-device", "20 A")
                .outdoor("electrical.device-rating", "25 A");

        assertThat(line(fixture, "siting.outdoor-clearance-front")).isEqualTo("siting.outdoor-clearance-front");
        assertThat(line(fixture, "siting.pad-sound")).isEqualTo("siting.pad-sound");
        assertThat(line(fixture, "electrical.overcurrent-device")).isEqualTo("electrical.device-rating");
    }

    private static String line(CaseFixture fixture, String requirement) {
        return fixture.judge(requirement).line(fixture.evidence()).orElseThrow().point();
    }
}
