package org.undanus.core.derived;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.offset;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.fluid.MoistAir;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Temperature;

class CoolingCoilTest {
    private static final double TON = 3516.853;
    private static final double CFM = 4.719474e-4;
    private static final AbsolutePressure SEA_LEVEL = AbsolutePressure.ofPascals(101_325);
    private static final CoolingCoil.Slopes SLOPES = new CoolingCoil.Slopes(0.031, -0.009, 0.8);
    private static final CoolingCoil COIL = new CoolingCoil(new CoolingCoil.Rating(3 * TON, 1200 * CFM, 0.75), SLOPES);

    private static MoistAir air(double dryFahrenheit, double wetFahrenheit) {
        return MoistAir.ofWetBulb(
                Temperature.ofCelsius((dryFahrenheit - 32) / 1.8),
                Temperature.ofCelsius((wetFahrenheit - 32) / 1.8),
                SEA_LEVEL);
    }

    private static double splitFahrenheit(MoistAir entering, double outdoorCelsius, double share) {
        return 1.8 * (entering.dryBulb().celsius() - COIL.leaving(entering, outdoorCelsius, share * 1200 * CFM));
    }

    /** Target splits of a public energy code's table: return air 70 °F, 400 cfm per ton. */
    @ParameterizedTest(name = "wet bulb {0} °F: {1} F°")
    @CsvSource({"58, 18.7, 2", "60, 17.7, 2", "62, 16.5, 1", "64, 15.2, 1", "66, 13.7, 1", "68, 11.9, 1"})
    void followsThePublishedTargetSplits(double wetBulb, double split, double within) {
        assertThat(splitFahrenheit(air(70, wetBulb), 35, 1)).isCloseTo(split, offset(within));
    }

    @Test
    void returnsTheRatedPointAtTheRatedPoint() {
        MoistAir rated = MoistAir.ofWetBulb(Temperature.ofCelsius(26.7), Temperature.ofCelsius(19.4), SEA_LEVEL);
        double massFlow = 1200 * CFM / rated.specificVolume();
        double expected = 26.7 - 0.75 * 3 * TON / massFlow / rated.heatCapacity();
        assertThat(COIL.leaving(rated, 35, 1200 * CFM)).isCloseTo(expected, offset(0.15));
    }

    @Test
    void lessAirLeavesColderAndDrierAirSplitsMore() {
        assertThat(splitFahrenheit(air(75, 63), 35, 0.7)).isGreaterThan(splitFahrenheit(air(75, 63), 35, 1) + 2);
        assertThat(splitFahrenheit(air(75, 60), 35, 1)).isGreaterThan(splitFahrenheit(air(75, 66), 35, 1));
    }

    @Test
    void aDryCoilStillCools() {
        double split = splitFahrenheit(air(80, 52), 35, 1);
        assertThat(split).isBetween(18.0, 28.0);
    }

    @Test
    void findsTheAirflowThatExplainsAReading() {
        MoistAir entering = air(75, 63);
        double leaving = COIL.leaving(entering, 32, 0.62 * 1200 * CFM);
        assertThat(COIL.explainingShare(entering, 32, 1200 * CFM, leaving).orElseThrow())
                .isCloseTo(0.62, offset(1e-4));
        assertThat(COIL.explainingShare(entering, 32, 1200 * CFM, 23)).isEmpty();
    }

    @Test
    void contradictoryRatingsAreRefused() {
        assertThatThrownBy(() -> new CoolingCoil(new CoolingCoil.Rating(3 * TON, 1200 * CFM, 0.30), SLOPES))
                .isInstanceOf(CoolingCoil.ImpossibleRating.class)
                .hasMessageContaining("cannot both be right");
    }

    /** Capacity × [1 + 0.031 (WB − 19.4) − 0.009 (outdoor − 35)] · (0.8 + 0.2 · share of the rated mass flow). */
    @Test
    void capacityFollowsAirAndItsMass() {
        double conditions = 3 * TON * (1 - 0.009 * 5);
        MoistAir rated = MoistAir.ofWetBulb(
                Temperature.ofCelsius(26.7), Temperature.ofCelsius(19.4), AbsolutePressure.ofPascals(101_325));
        assertThat(COIL.capacity(rated, 40, 1.2 * 1200 * CFM)).isCloseTo(conditions * 1.04, offset(1.0));
        MoistAir high = MoistAir.ofWetBulb(
                Temperature.ofCelsius(26.7), Temperature.ofCelsius(19.4), AbsolutePressure.ofPascals(70_108));
        // at 3000 m the same volume holds 69 % of the mass
        assertThat(COIL.capacity(high, 40, 1200 * CFM))
                .isCloseTo(conditions * (0.8 + 0.2 * rated.specificVolume() / high.specificVolume()), offset(1.0))
                .isCloseTo(conditions * 0.938, offset(15.0));
    }

    /** Where the coil dries, wet and dry reckoning meet: no step in what leaves it. */
    @Test
    void dryingMakesNoStep() {
        double before = splitFahrenheit(air(80, 68), 35, 1);
        for (double wet = 67.9; wet > 50; wet -= 0.1) {
            double now = splitFahrenheit(air(80, wet), 35, 1);
            assertThat(now - before).as("at %.1f °F", wet).isBetween(-0.01, 0.11);
            before = now;
        }
    }

    /** Once dry, only less moisture can be taken out: drier air changes nothing but its own small heat capacity. */
    @Test
    void aDryCoilsCapacityIsAllSensible() {
        MoistAir dry = air(80, 52);
        double massFlow = 1200 * CFM / dry.specificVolume();
        double sensible = massFlow * dry.heatCapacity() * splitFahrenheit(dry, 35, 1) / 1.8;
        assertThat(sensible).isBetween(0.75 * 3 * TON, 3 * TON);
        assertThat(splitFahrenheit(air(80, 50), 35, 1)).isCloseTo(splitFahrenheit(dry, 35, 1), offset(0.15));
    }

    @Test
    void theModelHoldsFromThirtyToTwoHundredPercentOfTheRatedFlow() {
        assertThat(COIL.describes(0.31 * 1200 * CFM)).isTrue();
        assertThat(COIL.describes(0.29 * 1200 * CFM)).isFalse();
        assertThat(COIL.describes(1.99 * 1200 * CFM)).isTrue();
        assertThat(COIL.describes(2.01 * 1200 * CFM)).isFalse();
    }
}
