package org.undanus.core.derived;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Notation;
import org.undanus.core.numeric.MonotoneCurve;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Uncertain;

class AirflowTest {

    private static Airflow of(double... valuesAndUncertainties) {
        List<Airflow.Estimate> estimates = new ArrayList<>();
        for (int i = 0; i < valuesAndUncertainties.length; i += 2) {
            estimates.add(new Airflow.Estimate(
                    "method " + i, new Uncertain(valuesAndUncertainties[i], valuesAndUncertainties[i + 1])));
        }
        return new Airflow(estimates);
    }

    /** Weighted mean by hand: (0.50/0.02² + 0.54/0.04²)/(1/0.02² + 1/0.04²) = 0.508, u = 0.017889. */
    @Test
    void estimatesAreWeighedByTheirUncertainty() {
        Airflow.Best best = of(0.50, 0.02, 0.54, 0.04).best().orElseThrow();
        assertThat(best.flow().value()).isCloseTo(0.508, within(1e-9));
        assertThat(best.flow().standardUncertainty()).isCloseTo(0.0178885, within(1e-6));
        // χ² = 0.008²/0.02² + 0.032²/0.04² = 0.8; the 5 % point for one degree of freedom is 3.841
        assertThat(best.chiSquared()).isCloseTo(0.8, within(1e-9));
        assertThat(best.critical()).isCloseTo(3.841, within(1e-3));
        assertThat(best.disagree()).isFalse();
    }

    @Test
    void estimatesThatDisagreeAreNotUsed() {
        assertThat(of(0.50, 0.01, 0.60, 0.01).best().orElseThrow().disagree()).isTrue();
        assertThat(of(0.50, 0.01, 0.60, 0.01).agreed()).isEmpty();
        assertThat(of().best()).isEmpty();
        assertThat(of(0.5, 0.1).agreed()).hasValue(new Uncertain(0.5, 0.1));
    }

    @Test
    void theCurveNeverOvershoots() {
        MonotoneCurve curve = new MonotoneCurve(new double[] {0, 50, 100, 150}, new double[] {0.60, 0.58, 0.40, 0.39});
        double last = 1;
        for (double at = 0; at <= 150; at += 0.5) {
            assertThat(curve.at(at)).isLessThanOrEqualTo(last).isBetween(0.39, 0.60);
            last = curve.at(at);
        }
        assertThat(curve.at(50)).isEqualTo(0.58);
        assertThat(curve.at(-10)).isEqualTo(0.60);
        assertThat(curve.covers(151)).isFalse();
        // of a straight line it is the line
        assertThat(new MonotoneCurve(new double[] {0, 1, 2, 4}, new double[] {8, 6, 4, 0}).at(2.7))
                .isCloseTo(2.6, within(1e-12));
    }

    @Test
    void whatTurnsBackIsNoCurve() {
        assertThatThrownBy(() -> new MonotoneCurve(new double[] {0, 1, 2}, new double[] {3, 1, 2}))
                .hasMessageContaining("turns back");
        assertThatThrownBy(() -> new MonotoneCurve(new double[] {0, 0}, new double[] {3, 1}))
                .hasMessageContaining("out of order");
        assertThatThrownBy(() -> new MonotoneCurve(new double[] {0}, new double[] {3}))
                .hasMessageContaining("two points");
    }

    @Test
    void aGridIsReadRowByRow() {
        Traverse grid = TraverseNotation.GRID.read(TraverseNotation.GRID.example());
        assertThat(grid.rows()).isEqualTo(5);
        assertThat(grid.values().get(0).get(2)).isEqualTo(15);
        // mean of √(2Δp/ρ) over 12 14 15 14 12 Pa at 1.2 kg/m³
        double mean = (2 * Math.sqrt(2 * 12 / 1.2) + 2 * Math.sqrt(2 * 14 / 1.2) + Math.sqrt(2 * 15 / 1.2)) / 5;
        assertThat(grid.meanVelocity(1.2)).isCloseTo(mean, within(1e-12));
        String row = "300 310 - 300 290";
        Traverse feet = TraverseNotation.GRID.read("fpm: " + String.join(" / ", row, row, row, row, row));
        assertThat(feet.missing()).isEqualTo(5);
        assertThat(feet.read()).isEqualTo(Dimension.VELOCITY);
        assertThat(feet.meanVelocity(1)).isCloseTo(300 * 0.00508, within(1e-9));
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "12 14 15 | Begin with the unit",
                "kg: 12 14 | is no unit of velocity pressure or velocity",
                "Pa: 1 2 3 4 5 / 1 2 3 4 | Row 2 has 4 readings, the first 5",
                "Pa: 1 2 3 / 1 2 3 / 1 2 3 | has 5 to 7 rows and columns; this one has 3 by 3",
                "Pa: 1 2 x 4 5 / 1 2 3 4 5 | Part 3, \"x\"",
                "Pa: 1 2 -3 4 5 / 1 2 3 4 5 | does not flow backward",
                "Pa: 1 2 3000 4 5 / 1 2 3 4 5 | no duct has as much",
                "Pa: | No reading is written",
            })
    void whatIsNoGridIsRefused(String typed, String message) {
        assertThatThrownBy(() -> TraverseNotation.GRID.read(typed))
                .isInstanceOf(Entry.Unsuitable.class)
                .hasMessageContaining(message);
    }

    @Test
    void aPlaceIsReadOnTheDrawing() {
        Notation notation = TraverseNotation.GRID;
        String first = notation.changed("", "2x3 of 5x6", Notation.Change.REPLACE, "14 Pa");
        assertThat(first).startsWith("Pa: - - - - - - / - - 14 - - -");
        assertThat(TraverseNotation.GRID.read(first).missing()).isEqualTo(29);
        String second = notation.changed(first, "1x1 of 5x6", Notation.Change.REPLACE, "12");
        assertThat(second).startsWith("Pa: 12 - - - - - / - - 14");
        assertThat(notation.changed(second, "2x3 of 5x6", Notation.Change.REMOVE, ""))
                .doesNotContain("14");
        assertThatThrownBy(() -> notation.changed("", "9x9 of 5x5", Notation.Change.REPLACE, "1 Pa"))
                .hasMessageContaining("There is no place");
        assertThatThrownBy(() -> notation.changed("", "1x1 of 5x5", Notation.Change.REPLACE, "12"))
                .hasMessageContaining("is no unit");
        assertThatThrownBy(() -> notation.changed(second, "1x1 of 5x6", Notation.Change.REPLACE, "twelve"))
                .isInstanceOf(Entry.Unsuitable.class);
    }

    /** An independent entry of the log-Tchebycheff fractions; each set lies evenly about the middle. */
    @Test
    void linesOfTheGridLieWhereTheRuleSays() {
        assertThat(Traverse.places(5, false)).containsExactly(0.074, 0.288, 0.5, 0.712, 0.926);
        assertThat(Traverse.places(6, false)).containsExactly(0.061, 0.235, 0.437, 0.563, 0.765, 0.939);
        assertThat(Traverse.places(7, false)).containsExactly(0.053, 0.203, 0.366, 0.5, 0.634, 0.797, 0.947);
        for (int lines = 5; lines <= 7; lines++) {
            double[] places = Traverse.places(lines, false);
            for (int i = 0; i < lines; i++) {
                assertThat(places[i] + places[lines - 1 - i]).isCloseTo(1, within(1e-9));
            }
        }
        assertThat(Traverse.places(5, true)).containsExactly(new double[] {0.1, 0.3, 0.5, 0.7, 0.9}, within(1e-12));
    }
}
