package org.undanus.core.station.handover;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.judgement.Verdict;

class HandoverTest {
    private static Verdict verdict(String point, String typed) {
        CaseFixture fixture = new CaseFixture();
        if (typed != null) {
            fixture.read("handover." + point, "system", typed);
        }
        return fixture.verdict("handover." + point + "@system");
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "explained | yes | MEETS",
                "explained | no | FAILS",
                "manuals | yes | MEETS",
                "manuals | no | FAILS",
                "warranty | registered, conditions known | MEETS",
                "warranty | not registered | FAILS",
                "warranty | not known | NOT_SHOWN",
                "filters | one, 16 by 25 by 1 in, at the return grille | MEETS",
                "disconnect | beside the outdoor unit, red handle | MEETS",
                "settings | cooling, 24 degrees, fan by itself | MEETS",
            })
    void whatIsHandedOver(String point, String typed, Verdict verdict) {
        assertThat(verdict(point, null)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(verdict(point, typed)).isEqualTo(verdict);
    }

    /** The visit is on a day that the fixture tells; the interval of the book is a year. */
    @ParameterizedTest(name = "{0} months on: {1}")
    @CsvSource({"6, MEETS", "12, TOO_CLOSE", "20, FAILS", "-2, FAILS"})
    void theNextServiceIsNotTooFarOff(int months, Verdict verdict) {
        var visit = new CaseFixture().facts().on();
        assertThat(verdict("next-service", visit.plusMonths(months).toString().substring(0, 7)))
                .isEqualTo(verdict);
    }

    @Test
    void withoutAMonthNothingIsArranged() {
        assertThat(verdict("next-service", null)).isEqualTo(Verdict.NOT_SHOWN);
    }
}
