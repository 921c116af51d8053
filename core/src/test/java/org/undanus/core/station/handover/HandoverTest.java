package org.undanus.core.station.handover;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
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

    private static CaseFixture energy(String before, String after) {
        CaseFixture fixture = new CaseFixture().replacing();
        if (before != null) {
            fixture.read("handover.energy-before", "system", before);
        }
        return after == null ? fixture : fixture.read("handover.energy-after", "system", after);
    }

    private static final String BEFORE = "1000 kWh 400 Kd, 810 kWh 300 Kd, 590 kWh 200 Kd, 405 kWh 100 Kd";

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "700 kWh 400 Kd, 570 kWh 300 Kd, 410 kWh 200 Kd, 290 kWh 100 Kd | MEETS",
                "1400 kWh 400 Kd, 1140 kWh 300 Kd, 830 kWh 200 Kd, 570 kWh 100 Kd | REFER",
                "1010 kWh 400 Kd, 790 kWh 300 Kd, 600 kWh 200 Kd, 400 kWh 100 Kd | NOT_SHOWN",
                "700 kWh 400 Kd, 410 kWh 200 Kd, 290 kWh 100 Kd | NOT_SHOWN",
                " | NOT_SHOWN",
            })
    void energyIsComparedInTheSameWeather(String after, Verdict verdict) {
        assertThat(energy(BEFORE, after).verdict("handover.energy@system")).isEqualTo(verdict);
    }

    /** Four months leave two degrees of freedom: Student's t is 4.30 there, 2.15 times the 2 of many. */
    @Test
    void fewMonthsAreWidenedByStudent() {
        String months = "1010 kWh 400 Kd, 790 kWh 300 Kd, 600 kWh 200 Kd, 400 kWh 100 Kd";
        EnergyUse four = (EnergyUse) EnergyUse.NOTATION.read(months);
        EnergyUse eight = (EnergyUse) EnergyUse.NOTATION.read(months + ", " + months);
        double few = EnergyUse.share(four, four).orElseThrow().expanded();
        double many = EnergyUse.share(eight, eight).orElseThrow().expanded();
        // the same months twice: half the variance of the mean, two thirds of that of the scatter
        assertThat(few / many).isCloseTo(4.3027 / 2.4469 * Math.sqrt(3), within(1e-3));
    }

    @Test
    void anotherWinterIsNoSaving() {
        CaseFixture mild = energy(BEFORE, "502 kWh 150 Kd, 398 kWh 100 Kd, 610 kWh 200 Kd, 700 kWh 250 Kd");
        assertThat(mild.verdict("handover.energy@system"))
                .as("less was used, and less was needed")
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(energy(null, null).verdict("handover.energy@system")).isEqualTo(Verdict.DOES_NOT_APPLY);
        assertThat(energy("28 therm 740 °Fd, 22 therm 540 °Fd, 16 therm 360 °Fd, 11 therm 180 °Fd", BEFORE)
                        .find("handover.energy@system")
                        .because()
                        .toString())
                .as("gas before and power after compare too")
                .contains("25 % more than before in the same weather");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "840 kWh", "840 Kd", "-3 kWh 10 Kd", "840 kWh 410 K", "9999999999999 kWh 1 Kd"})
    void aMonthThatMakesNoSenseIsRefused(String typed) {
        assertThatThrownBy(() -> energy(typed, null)).isInstanceOf(IllegalArgumentException.class);
    }
}
