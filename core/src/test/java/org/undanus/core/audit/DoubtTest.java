package org.undanus.core.audit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Chances, how strong they are, and many of them at once. */
class DoubtTest {

    /** Calibrations of p-values as published by Sellke, Bayarri and Berger, table 1: 1/B for 0.05, 0.01, 0.001. */
    @ParameterizedTest
    @CsvSource({"0.05, 2.46", "0.01, 7.99", "0.001, 53.3", "0.5, 1", "1, 1"})
    void theBoundIsThePublishedOne(double chance, double ratio) {
        assertThat(new Doubt(chance).likelihoodRatio()).isCloseTo(ratio, within(ratio * 0.01));
    }

    @ParameterizedTest
    @CsvSource({
        "0.5, no doubt as recorded",
        "0.05, slightly doubtful as recorded",
        "0.005, doubtful as recorded",
        "0.0003, very doubtful as recorded",
        "0.00003, unlikely as recorded",
        "0.000001, very unlikely as recorded",
        "0, practically impossible as recorded"
    })
    void strengthIsSaidInWords(double chance, String words) {
        assertThat(new Doubt(chance).words()).isEqualTo(words);
    }

    @Test
    void deviationsAreThoseOfTheNormalDistribution() {
        assertThat(Doubt.twoSided(-1.959964).chance()).isCloseTo(0.05, within(1e-6));
        assertThat(Doubt.beyond(1.644854).chance()).isCloseTo(0.05, within(1e-6));
        assertThat(Doubt.beyond(-8).chance()).isCloseTo(1, within(1e-9));
        assertThatThrownBy(() -> new Doubt(1.01)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Doubt(Double.NaN)).isInstanceOf(IllegalArgumentException.class);
    }

    /** The example of Benjamini and Hochberg's paper, section 3.3: fifteen p-values, four rejected at 0.05. */
    @Test
    void screeningIsThatOfThePaper() {
        double[] chances = {
            0.0001, 0.0004, 0.0019, 0.0095, 0.0201, 0.0278, 0.0298, 0.0344, 0.0459, 0.3240, 0.4262, 0.5719, 0.6528,
            0.7590, 1.000
        };
        assertThat(Screening.level(chances, 0.05)).isEqualTo(0.0095);
        assertThat(Screening.level(new double[] {0.2, 0.9}, 0.05)).isNegative();
        assertThat(Screening.level(new double[0], 0.05)).isNegative();
    }

    @Test
    void equalNumbersComeAboutByChanceAsOftenAsTheyShould() {
        assertThat(Coincidence.atLeast(0, 0.3, 0.5)).isCloseTo(1, within(1e-12));
        assertThat(Coincidence.atLeast(2, 0.3, 0.5)).isCloseTo(0.15, within(1e-12));
        assertThat(Coincidence.atLeast(1, 0.3, 0.5)).isCloseTo(0.65, within(1e-12));
        List<Map<String, Coincidence.Written>> archive = List.of(
                Map.of("a", new Coincidence.Written(10, 1)),
                Map.of("a", new Coincidence.Written(20, 1)),
                Map.of("a", new Coincidence.Written(30, 1)),
                Map.of("a", new Coincidence.Written(40, 1)),
                Map.of("a", new Coincidence.Written(50, 1)));
        Coincidence<String> coincidence = new Coincidence<>(archive);
        List<Coincidence.Row> rows = archive.stream().map(coincidence::row).toList();
        // 1/(2·√π·15.81)
        assertThat(coincidence
                        .match(rows.get(0), rows.get(0), coincidence.new Habit(List.of()))
                        .chance())
                .isCloseTo(0.01784, within(1e-4));
        assertThat(coincidence
                        .match(rows.get(0), rows.get(1), coincidence.new Habit(rows))
                        .chance())
                .isEqualTo(1);
        Coincidence<String> few = new Coincidence<>(archive.subList(0, 4));
        assertThat(few.match(few.row(archive.get(0)), few.row(archive.get(0)), few.new Habit(List.of()))
                        .compared())
                .as("of too few no spread is known")
                .isZero();
    }

    /** A crew that writes 20 on four of five records agrees in it by habit. */
    @Test
    void whatACrewWritesByHabitIsNoCoincidence() {
        List<Map<String, Coincidence.Written>> archive = List.of(20.0, 20.0, 20.0, 20.0, 80.0).stream()
                .map(value -> Map.of("a", new Coincidence.Written(value, 1)))
                .toList();
        Coincidence<String> coincidence = new Coincidence<>(archive);
        List<Coincidence.Row> rows = archive.stream().map(coincidence::row).toList();
        // six of ten pairs; of the nine others five
        assertThat(coincidence
                        .match(rows.get(0), rows.get(1), coincidence.new Habit(rows))
                        .chance())
                .isCloseTo(5.0 / 9, within(1e-9));
    }

    @Test
    void roundingIsToldFromWhatIsWritten() {
        assertThat(Rounding.ofTimes(List.of(3600.0, 7200.0, 10800.0, 3600.0, 7200.0)))
                .isEqualTo(3600);
        assertThat(Rounding.ofTimes(List.of(300.0, 1500.0, 2100.0, 600.0, 4500.0)))
                .isEqualTo(300);
        assertThat(Rounding.ofTimes(List.of(3600.0))).as("too few to tell").isEqualTo(60);
        assertThat(Rounding.ofTime(60)).isEqualTo(60);
        assertThat(Rounding.ofTime(900)).isEqualTo(300);
        assertThat(Rounding.ofTime(1200)).isEqualTo(600);
        assertThat(Rounding.ofNumbers(List.of(720.0, 680.0, 740.0, 590.0, 610.0)))
                .isEqualTo(10);
        assertThat(Rounding.ofNumbers(List.of(72.0, 68.0, 75.0, 59.0, 61.0))).isEqualTo(1);
    }
}
