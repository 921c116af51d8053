package org.undanus.core.simulated;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.undanus.core.derived.notation.Marks.Act;

class VirtualVisitTest {
    private static VirtualVisit visit(String name) {
        return new VirtualVisit(name, new Random(3));
    }

    @Test
    void nitrogenTestsWhatIsOpenAndBreaksWhatIsEvacuated() {
        VirtualVisit visit = visit("dry");
        assertThat(visit.gauge()).isZero();
        visit.act(Act.NITROGEN_IN);
        assertThat(visit.gauge()).isCloseTo(2.0e6, within(3000.0));
        visit.act(Act.PUMP_ON);
        assertThat(visit.vacuum()).as("let off first").isLessThan(1.1e5);
        visit.goOn(1200);
        assertThat(visit.vacuum()).isLessThan(20);
        visit.act(Act.NITROGEN_IN);
        assertThat(visit.gauge()).isCloseTo(20_000, within(2000.0));
        visit.act(Act.VALVE_OPENED);
        visit.goOn(5);
        assertThat(visit.gauge()).isZero();
    }

    @Test
    void warmedAWetLineGivesOffMoreAndThenDries() {
        assertThat(afterIsolation(visit("moist"), 0)).isLessThan(afterIsolation(visit("moist"), VirtualVisit.WARMER));
        VirtualVisit dried = visit("moist");
        for (int i = 0; i < 6; i++) {
            dried.act(Act.PUMP_ON);
            dried.warm(i == 0 ? VirtualVisit.WARMER : 0);
            dried.goOn(3600);
            dried.act(Act.NITROGEN_IN);
        }
        dried.warm(-VirtualVisit.WARMER);
        assertThat(afterIsolation(dried, 0)).isLessThan(15);
    }

    private static double afterIsolation(VirtualVisit visit, double warmer) {
        visit.act(Act.PUMP_ON);
        visit.goOn(1500);
        visit.act(Act.ISOLATED);
        visit.warm(warmer);
        visit.goOn(900);
        return visit.vacuum();
    }

    @Test
    void soapAndStopDoNothingToIt() {
        VirtualVisit visit = visit("leak");
        visit.act(Act.NITROGEN_IN);
        double before = visit.gauge();
        visit.act(Act.SOAPED);
        visit.act(Act.STOPPED);
        assertThat(visit.gauge()).isCloseTo(before, within(8000.0));
        assertThat(visit.wall()).isCloseTo(291, within(0.11));
    }
}
