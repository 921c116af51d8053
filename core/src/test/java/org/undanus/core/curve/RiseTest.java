package org.undanus.core.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.Rounds;
import org.undanus.core.curve.Rise.Model;
import org.undanus.core.evidence.Outline;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Uncertain;

class RiseTest {
    private static final int CURVES = Rounds.of(40, 100);
    /** Water at 30 °C, Pa. */
    private static final double WATER = 4246;

    /** p = 40 + a·t + m·(1 − e^(−t/τ)) with noise and a display of one micron. */
    private static Outline curve(double leak, double moisture, double settling, double minutes, long seed) {
        Random random = new Random(seed);
        double step = 0.1333224;
        int n = (int) (minutes * 12) + 1;
        double[] t = new double[n];
        double[] p = new double[n];
        for (int i = 0; i < n; i++) {
            t[i] = 5.0 * i;
            double truth = 40 + leak * t[i] + moisture * -Math.expm1(-t[i] / settling);
            p[i] = Math.rint((truth * (1 + 0.002 * random.nextGaussian())) / step) * step;
        }
        return Outline.of(Instant.EPOCH, t, p);
    }

    private static Rise read(Outline curve) {
        return Rise.of(curve, 0.1333224, WATER);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource({
        "rise-dry, 0.004, 2",
        "rise-moist, 0.003, 75",
        "rise-leak, 0.19, 1",
        "rise-both, 0.11, 60",
    })
    void loggersFilesAreReadAsTheyWereMade(String file, double litres, double moisture) {
        Logs.Log log = Logs.column(file, 0, Dimension.ABSOLUTE_PRESSURE);
        Rise rise = Rise.of(log.outline(), log.trace().resolution(), WATER);
        assertThat(1.6 * rise.leastLeak()).isLessThanOrEqualTo(litres);
        assertThat(1.6 * rise.mostLeak()).isGreaterThanOrEqualTo(litres);
        assertThat(1.6 * (rise.mostLeak() - rise.leastLeak())).isLessThan(0.01);
        assertThat(rise.moisture()).isCloseTo(moisture, within(0.5 + 0.01 * moisture));
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource({"rise-too-short, 0.08", "rise-coarse-gauge, 0.06"})
    void whatCannotBeToldIsNotTold(String file, double litres) {
        Logs.Log log = Logs.column(file, 0, Dimension.ABSOLUTE_PRESSURE);
        Rise rise = Rise.of(log.outline(), log.trace().resolution(), WATER);
        assertThat(1.6 * rise.leastLeak()).isZero();
        assertThat(1.6 * rise.mostLeak()).isGreaterThan(litres);
        assertThat(rise.needed(0.05 / 1.6, WATER).orElseThrow()).isGreaterThan(rise.lasting());
    }

    @ParameterizedTest(name = "leak {0}, moisture {1}")
    @CsvSource({"0, 0", "0.12, 0", "0, 60", "0.1, 60"})
    void theTrueCourseLiesWithinTheBandNineTimesOfTen(double leak, double moisture) {
        int within = 0;
        for (long seed = 0; seed < CURVES; seed++) {
            Rise rise = read(curve(leak, moisture, 120, 20, seed));
            double at = 60 * (1 + seed % 19);
            double truth = 40 + leak * at + moisture * -Math.expm1(-at / 120);
            within += Math.abs(rise.at(at) - truth) <= 2 * rise.spread().applyAsDouble(at) ? 1 : 0;
            assertThat(rise.spread().applyAsDouble(at)).isLessThan(1);
        }
        assertThat(within).isGreaterThanOrEqualTo(90 * CURVES / 100);
    }

    @Test
    void aLeakLiesWithinItsBoundsNinetyFiveTimesOfAHundred() {
        int within = 0;
        for (long seed = 0; seed < CURVES; seed++) {
            Random drawn = new Random(seed);
            double leak = 0.2 * drawn.nextDouble();
            double moisture = 80 * drawn.nextDouble();
            double settling = 60 + 120 * drawn.nextDouble();
            Rise rise = read(curve(leak, moisture, settling, 20, seed));
            within += rise.leastLeak() <= leak && leak <= rise.mostLeak() ? 1 : 0;
        }
        assertThat(within).isGreaterThanOrEqualTo(95 * CURVES / 100);
    }

    @Test
    void whereTimeSufficesTheRightCourseIsChosenNinetyTimesOfAHundred() {
        Map<Model, Integer> right = new TreeMap<>();
        for (long seed = 0; seed < CURVES; seed++) {
            count(right, Model.FLAT, curve(0, 0, 100, 20, seed));
            count(right, Model.STRAIGHT, curve(0.15, 0, 100, 20, seed));
            count(right, Model.LEVELLING, curve(0, 70, 120, 20, seed));
            count(right, Model.BOTH, curve(0.1, 60, 100, 20, seed));
        }
        assertThat(right).hasSize(4);
        right.forEach((model, times) -> assertThat(times).as("%s", model).isGreaterThanOrEqualTo(90 * CURVES / 100));
    }

    /** A gauge that may be 10 % of reading off shows 8 % too much: the bounds still hold the truth, and so does the plateau. */
    @Test
    void aGaugesGainIsInTheBounds() {
        double gain = new Accuracy(0.10, 0, 0, 0, 0).gain();
        Rise leaks = new Rise(Model.STRAIGHT, 40, 355, 0.0875, 0.087, 0.088, 0, 0, 3600, 0.2, 300);
        assertThat(leaks.leaks(0)).isEqualTo(new Rise.Leaks(0.087, 0.088));
        assertThat(leaks.leaks(gain).least()).isCloseTo(0.0875 * (1 - 2 * 0.10 / Math.sqrt(3)), within(1e-4));
        assertThat(leaks.leaks(gain).most()).isCloseTo(0.0875 * (1 + 2 * 0.10 / Math.sqrt(3)), within(1e-4));
        assertThat(leaks.leaks(gain).least()).as("the truth").isLessThan(0.0816);
        Rise moist = read(curve(0, 75 * 1.08, 140, 30, 5));
        Uncertain plateau = moist.plateau(gain);
        assertThat(plateau.value()).isEqualTo(moist.plateau());
        assertThat(Math.abs(plateau.value() - 40 - 75)).isLessThan(plateau.expanded());
        assertThat(moist.plateau(0).standardUncertainty()).isPositive().isLessThan(plateau.standardUncertainty());
    }

    private static void count(Map<Model, Integer> right, Model truth, Outline curve) {
        right.merge(truth, read(curve).model() == truth ? 1 : 0, Integer::sum);
    }

    @Test
    void longerIsKnownBetterAndTheTimeItTakesIsTold() {
        Rise brief = read(curve(0.05, 60, 150, 4, 7));
        double needed = brief.needed(0.03, WATER).orElseThrow();
        assertThat(needed).isGreaterThan(240).isLessThan(3600);
        Rise whole = read(curve(0.05, 60, 150, 1.3 * needed / 60, 7));
        assertThat(whole.mostLeak() - whole.leastLeak()).isLessThan(0.03);
    }

    @Test
    void aDisplayThatNeverMovedTellsNoMoreThanItsStep() {
        double[] t = new double[120];
        double[] p = new double[120];
        for (int i = 0; i < t.length; i++) {
            t[i] = 5 * i;
            p[i] = 66.7;
        }
        Rise rise = Rise.of(Outline.of(Instant.EPOCH, t, p), 6.7, WATER);
        assertThat(rise.model()).isEqualTo(Model.FLAT);
        assertThat(rise.mostLeak()).isGreaterThan(3 / 600.0);
        assertThat(rise.plateau()).isCloseTo(66.7, within(1e-9));
    }

    @Test
    void fewSamplesAreRefused() {
        Outline five = Outline.of(Instant.EPOCH, new double[] {0, 1, 2, 3, 4}, new double[5]);
        assertThatThrownBy(() -> read(five)).hasMessageContaining("6 samples at least");
    }
}
