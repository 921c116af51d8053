package org.undanus.core.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.evidence.Outline;
import org.undanus.core.fluid.Nitrogen;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.quantity.AbsolutePressure;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.Uncertain;

class NitrogenHoldTest {
    private static final double AIR = 101_325;

    private static Outline absolute(Outline gauge) {
        double[] t = new double[gauge.size()];
        double[] p = new double[gauge.size()];
        for (int i = 0; i < t.length; i++) {
            t[i] = gauge.seconds(i);
            p[i] = gauge.mean(i) + AIR;
        }
        return Outline.of(gauge.origin(), t, p);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource({
        "hold-tight-cool-night, 2.1, 0",
        "hold-leak-warm-day, 2.1, 1.5",
        "hold-leak-hidden-by-warming, 3.4, 1.1",
    })
    void loggersFilesAreReadAsTheyWereMade(String file, double litres, double leak) {
        Logs.Log pressure = Logs.column(file, 0, Dimension.GAUGE_PRESSURE);
        Logs.Log wall = Logs.column(file, 1, Dimension.TEMPERATURE);
        NitrogenHold hold = NitrogenHold.of(
                absolute(pressure.outline()),
                wall.outline(),
                pressure.trace().resolution(),
                wall.trace().resolution(),
                600);
        Uncertain found = hold.leak(litres / 1000);
        assertThat(1000 * found.value()).isCloseTo(leak, within(1000 * found.expanded()));
        boolean leaks = found.value() > found.expanded();
        assertThat(leaks).isEqualTo(leak > 0);
    }

    @Test
    void temperatureAloneIsNoLeak() {
        AbsolutePressure cold = AbsolutePressure.ofPascals(2.8e6);
        double warm = Nitrogen.warmed(cold, Temperature.ofCelsius(12), Temperature.ofCelsius(25))
                .si();
        NitrogenHold hold = NitrogenHold.of(
                new Uncertain(2.8e6, 300),
                new Uncertain(warm, 300),
                new Uncertain(285.15, 0.05),
                new Uncertain(298.15, 0.05),
                36_000);
        assertThat(hold.change().value()).isCloseTo(0, within(1.0));
        assertThat(hold.expected()).isCloseTo(warm, within(1.0));
        // 300 Pa twice and 0.05 K twice at about 10 kPa a kelvin
        assertThat(hold.change().standardUncertainty()).isCloseTo(840, within(60.0));
        assertThat(hold.smallestLeak(2e-3)).isCloseTo(2e-3 * hold.change().expanded() / 36_000, within(1e-12));
        assertThat(hold.needed(2e-3, hold.smallestLeak(2e-3))).isCloseTo(36_000, within(1e-6));
    }

    @Test
    void aLogIsReadAsItsTwoEndsWouldBeButBetter() {
        double[] t = new double[200];
        double[] p = new double[200];
        double[] k = new double[200];
        for (int i = 0; i < 200; i++) {
            t[i] = 60 * i;
            k[i] = 293.15;
            p[i] = 2.5e6 - 0.5 * t[i];
        }
        NitrogenHold hold =
                NitrogenHold.of(Outline.of(Instant.EPOCH, t, p), Outline.of(Instant.EPOCH, t, k), 100, 0.1, 0);
        assertThat(hold.change().value()).isCloseTo(-0.5 * t[199], within(1.0));
        assertThat(hold.leak(1e-3).value()).isCloseTo(0.5e-3, within(1e-6));
    }

    @Test
    void curvesThatHardlyMeetAreRefused() {
        Outline one = Outline.of(Instant.EPOCH, new double[] {0, 10, 20, 30}, new double[] {1e6, 1e6, 1e6, 1e6});
        assertThatThrownBy(() -> NitrogenHold.of(one, one, 100, 0.1, 0)).hasMessageContaining("too short a time");
    }

    @Test
    void aLeakOfNitrogenIsMoreOrLessRefrigerantByPressureAndViscosity() {
        Refrigerant r410a = Refrigerant.shipped("R410A").orElseThrow();
        AbsolutePressure air = AbsolutePressure.ofPascals(AIR);
        AbsolutePressure tested = AbsolutePressure.ofPascals(2.9e6);
        double mass = LeakFlow.refrigerant(1e-5, tested, air, r410a);
        // by hand: p(25 °C) 1.657 MPa; (1.657² − 0.101²)/(2.9² − 0.101²) · 17.80/12.88 · 0.072585/(8.3145 · 298.15) ·
        // 1e-5
        assertThat(mass).isCloseTo(0.3256 * 1.3820 * 2.9280e-5 * 1e-5, within(0.005 * mass));
        assertThat(LeakFlow.nitrogen(mass, tested, air, r410a)).isCloseTo(1e-5, within(1e-12));
    }
}
