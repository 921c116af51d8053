package org.undanus.core.simulated;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.undanus.core.fluid.Refrigerant;
import org.undanus.core.simulated.VirtualMachine.Fault;
import org.undanus.core.simulated.VirtualMachine.Running;

class VirtualMachineTest {
    private static final double INDOOR = 299.85;
    private static final double OUTDOOR = 308.15;

    private static Running running(boolean valve, Fault fault) {
        return new VirtualMachine(Refrigerant.shipped("R410A").orElseThrow(), 10_000, valve, fault)
                .running(INDOOR, OUTDOOR);
    }

    @ParameterizedTest(name = "valve {0}")
    @ValueSource(booleans = {true, false})
    void soundItRunsAsRated(boolean valve) {
        Running is = running(valve, Fault.NONE);
        assertThat(is.evaporating()).isCloseTo(282.15, within(0.01));
        assertThat(is.condensing()).isCloseTo(320.15, within(0.01));
        assertThat(is.superheat()).isCloseTo(6, within(0.01));
        assertThat(is.subcooling()).isCloseTo(6, within(0.1));
        assertThat(is.split()).isCloseTo(11, within(0.01));
        assertThat(is.drier() + is.rest()).isZero();
    }

    @Test
    void itsSizeDoesNotMatter() {
        Running large = new VirtualMachine(Refrigerant.shipped("R410A").orElseThrow(), 20_000, false, Fault.NONE)
                .running(INDOOR - 3, OUTDOOR - 5);
        Running small = new VirtualMachine(Refrigerant.shipped("R410A").orElseThrow(), 4000, false, Fault.NONE)
                .running(INDOOR - 3, OUTDOOR - 5);
        assertThat(large.superheat()).isCloseTo(small.superheat(), within(1e-4));
    }

    @Test
    void shortOfChargeAnOrificeStarvesAndAValveLosesItsLiquid() {
        Fault little = new Fault(0.8, 1, 1, false, 0, 1, 0);
        assertThat(running(false, little).superheat()).isGreaterThan(10);
        assertThat(running(false, little).subcooling()).isLessThan(4);
        assertThat(running(true, little).superheat()).isCloseTo(6, within(0.1));
        assertThat(running(true, little).subcooling()).isLessThan(0);
    }

    @Test
    void airLiftsTheHighSideAndShowsAtRest() {
        Running is = running(true, new Fault(1, 1, 1, false, 0, 1, 0.1));
        assertThat(is.condensing()).isGreaterThan(323);
        assertThat(is.rest()).isGreaterThan(200_000);
    }

    @Test
    void starvedOfAirItSplitsMoreAndBoilsColder() {
        Running is = running(false, new Fault(1, 0.5, 1, false, 0, 1, 0));
        assertThat(is.split()).isGreaterThan(13);
        assertThat(is.evaporating()).isLessThan(280);
        assertThat(is.superheat()).isLessThan(4);
    }
}
