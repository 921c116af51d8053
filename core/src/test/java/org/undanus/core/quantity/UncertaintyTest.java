package org.undanus.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.undanus.core.numeric.Propagation;

class UncertaintyTest {

    @Test
    void combinesLimitOfErrorAndDisplayStep() {
        Accuracy meter = new Accuracy(0.01, 0.002, 500, 0.3, 0.1);
        double limit = 0.01 * 200 + 0.002 * 500 + 0.3;
        assertThat(meter.standardUncertainty(200, 0))
                .isCloseTo(Math.sqrt(limit * limit / 3 + 0.01 / 12), within(1e-12));
    }

    @Test
    void coarselyWrittenDigitsCountMoreThanTheDisplay() {
        Accuracy meter = new Accuracy(0, 0, 0, 0.3, 0.1);
        assertThat(meter.standardUncertainty(200, 1)).isGreaterThan(meter.standardUncertainty(200, 0.1));
    }

    @Test
    void whatIsReadOffAPlateHasNone() {
        assertThat(Accuracy.EXACT.standardUncertainty(27.4, 0.1)).isZero();
    }

    @Test
    void propagatesLikeTheLawForAProduct() {
        Uncertain product = Propagation.through(in -> in[0] * in[1], new Uncertain(3, 0.1), new Uncertain(4, 0.2));
        assertThat(product.value()).isEqualTo(12);
        assertThat(product.standardUncertainty()).isCloseTo(Math.hypot(0.1 * 4, 0.2 * 3), within(1e-9));
    }

    @Test
    void refusesWhatIsNoUncertainty() {
        assertThatThrownBy(() -> new Uncertain(1, -0.1)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Uncertain(Double.NaN, 0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Accuracy(-1, 0, 0, 0, 0)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void standardAtmosphereFallsWithHeight() {
        assertThat(AbsolutePressure.ofStandardAtmosphere(Length.ofMetres(0)).si())
                .isEqualTo(101_325);
        // ISO 2533 gives 93,8xx Pa at 640 m
        assertThat(AbsolutePressure.ofStandardAtmosphere(Length.ofMetres(640)).si())
                .isCloseTo(93_861, within(20.0));
        assertThatThrownBy(() -> AbsolutePressure.ofStandardAtmosphere(Length.ofMetres(20_000)))
                .hasMessageContaining("11,000");
    }

    @Test
    void gaugeAndAbsoluteConvertOnlyThroughTheAtmosphere() {
        AbsolutePressure air = AbsolutePressure.ofPascals(94_000);
        assertThat(GaugePressure.ofPascals(6_000).absolute(air)).isEqualTo(AbsolutePressure.ofPascals(100_000));
        assertThat(AbsolutePressure.ofPascals(50).gauge(air)).isEqualTo(GaugePressure.ofPascals(-93_950));
    }

    @Test
    void temperaturesSubtractToDifferences() {
        TemperatureDifference split = Temperature.ofCelsius(24).minus(Temperature.ofCelsius(13));
        assertThat(split.si()).isCloseTo(11, within(1e-9));
        assertThat(Temperature.ofCelsius(13).plus(split).celsius()).isCloseTo(24, within(1e-9));
    }

    @Test
    void whereThereIsNothingOnOneSideTheOtherCounts() {
        Uncertain slope = Propagation.through(v -> 1 / v[0], new Uncertain(2, 2));
        assertThat(slope.standardUncertainty()).isEqualTo(0.25);
    }

    @Test
    void whatCannotBeOnOneSideIsToldByTheOther() {
        Uncertain past = Propagation.through(v -> below(v[0], 2), new Uncertain(2, 0.5));
        assertThat(past).isEqualTo(new Uncertain(4, 1.75));
        assertThatThrownBy(() -> Propagation.through(v -> below(v[0], 2), new Uncertain(3, 0.5)))
                .hasMessage("over");
    }

    private static double below(double value, double most) {
        if (value > most) {
            throw new IllegalArgumentException("over");
        }
        return value * value;
    }

    /** The greatest fixed ± is the inverse of what an instrument's accuracy comes to. */
    @Test
    void neededAccuracyGivesBackTheUncertaintyAskedFor() {
        double needed = Accuracy.needed(0.01, 0.002).orElseThrow();
        assertThat(2 * new Accuracy(0, 0, 0, needed, 0).standardUncertainty(5, 0.002))
                .isCloseTo(0.01, within(1e-12));
        assertThat(Accuracy.needed(0.001, 0.002)).isEmpty();
    }
}
