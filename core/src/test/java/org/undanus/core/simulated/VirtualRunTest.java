package org.undanus.core.simulated;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.CaseFixture;
import org.undanus.core.simulated.VirtualRun.Probe;

/** A machine that is started, settles and is read as an inspector reads it. */
class VirtualRunTest {
    private static VirtualRun settled(String name, boolean valve) {
        VirtualRun run = new VirtualRun(name, "R410A", valve, new Random(3));
        run.run(true);
        run.goOn(1800);
        return run;
    }

    private static String typed(VirtualRun run, Probe probe) {
        double shown = run.shown(probe);
        return switch (probe) {
            case LOW_SIDE, HIGH_SIDE -> String.format(Locale.ROOT, "%.3f barg", shown / 1e5);
            default -> String.format(Locale.ROOT, "%.1f °C", shown - 273.15);
        };
    }

    @Test
    void atRestBothSidesAreAsWarmAsTheAir() {
        VirtualRun run = new VirtualRun("sound", "R410A", true, new Random(1));
        assertThat(run.shown(Probe.LOW_SIDE)).isCloseTo(run.shown(Probe.HIGH_SIDE), within(2000.0));
        assertThat(run.shown(Probe.SUPPLY_AIR)).isCloseTo(run.shown(Probe.RETURN_AIR), within(0.3));
        assertThat(run.shown(Probe.COMPRESSOR_CURRENT)).isCloseTo(0, within(0.2));
        run.run(true);
        run.goOn(60);
        double early = run.shown(Probe.SUPPLY_AIR);
        run.goOn(60);
        double later = run.shown(Probe.SUPPLY_AIR);
        run.goOn(1800);
        double steady = run.shown(Probe.SUPPLY_AIR);
        assertThat(early).isGreaterThan(later + 0.5);
        assertThat(later).isGreaterThan(steady + 0.5);
        run.goOn(300);
        assertThat(run.shown(Probe.SUPPLY_AIR)).isCloseTo(steady, within(0.3));
        run.run(false);
        run.goOn(1800);
        assertThat(run.shown(Probe.SUPPLY_AIR)).isCloseTo(run.shown(Probe.RETURN_AIR), within(0.3));
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({
        "sound, MEETS",
        "short of charge, FAILS",
        "overcharged, FAILS",
    })
    void readAsAnInspectorReadsItTheStationJudgesIt(String name, String verdict) {
        VirtualRun run = settled(name, true);
        CaseFixture fixture = new CaseFixture()
                .outdoor("plate.refrigerant", "R410A")
                .outdoor("plate.target-subcooling", "6 K")
                .indoor("plate.metering-device", "thermostatic valve")
                .indoor("operation.mode", "cooling")
                .indoor("operation.run-time", "30 min")
                .outdoor("charge.compressor-mode", "one speed or stage")
                .outdoor("charge.sensor", "clamped on bare tube and wrapped")
                .outdoor("charge.liquid-pressure", typed(run, Probe.HIGH_SIDE))
                .outdoor("charge.liquid-temperature", typed(run, Probe.LIQUID_TUBE));
        assertThat(fixture.verdict("charge.subcooling@outdoor")).hasToString(verdict);
    }

    @Test
    void whatIsHiddenShowsWhereItBites() {
        assertThat(settled("low airflow", true).shown(Probe.AIRFLOW))
                .isLessThan(0.6 * settled("sound", true).shown(Probe.AIRFLOW));
        assertThat(settled("air in it", true).shown(Probe.HIGH_SIDE))
                .isGreaterThan(settled("sound", true).shown(Probe.HIGH_SIDE) + 1e5);
        assertThat(settled("dirty outdoor coil", true).shown(Probe.COMPRESSOR_CURRENT))
                .isGreaterThan(settled("sound", true).shown(Probe.COMPRESSOR_CURRENT) + 0.5);
        assertThat(settled("sound", true).shown(Probe.SUPPLY_WET_BULB))
                .isLessThan(settled("sound", true).shown(Probe.SUPPLY_AIR));
        for (String name : VirtualRun.names()) {
            for (boolean valve : new boolean[] {true, false}) {
                assertThat(settled(name, valve).shown(Probe.LOW_SIDE)).as(name).isPositive();
            }
        }
    }

    @Test
    void whatIsNotThereIsRefused() {
        assertThatThrownBy(() -> new VirtualRun("wild", "R410A", true, new Random()))
                .hasMessageContaining("There is no machine");
        assertThatThrownBy(() -> new VirtualRun("sound", "R999", true, new Random()))
                .hasMessageContaining("No refrigerant");
    }
}
