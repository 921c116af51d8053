package org.undanus.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.undanus.core.geometry.KeepOut.Spot;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.installation.SitePlan.Kind;

class KeepOutTest {
    private static final SitePlan PLAN = new Sites()
            .line("door", Kind.OPENING, 0, 0, 1, 0)
            .rectangle("meter", Kind.GAS_METER, 3, 0, 0.4, 0.4)
            .plan();

    @Test
    void theNearestSpotThatKeepsOffEverything() {
        Spot cure =
                KeepOut.cure(PLAN, new Spot(1.2, 0), Map.of(Kind.OPENING, 0.5)).orElseThrow();
        assertThat(cure.x()).isCloseTo(1.5, within(0.01));
        assertThat(cure.y()).isCloseTo(0, within(0.01));
        // between door and meter there is room for neither distance: it goes out sideways
        Spot aside = KeepOut.cure(PLAN, new Spot(2, 0), Map.of(Kind.OPENING, 1.1, Kind.GAS_METER, 1.1))
                .orElseThrow();
        assertThat(Math.hypot(Math.max(0, aside.x() - 1), aside.y())).isGreaterThan(1.099);
        assertThat(Math.hypot(aside.x() - 2, aside.y())).isCloseTo(0.458, within(0.01));
    }

    @Test
    void whatKeepsOffAlreadyStays() {
        assertThat(KeepOut.cure(PLAN, new Spot(2, 0), Map.of(Kind.OPENING, 0.9)))
                .isEmpty();
        assertThat(KeepOut.cure(PLAN, new Spot(0, 0), Map.of())).isEmpty();
        assertThat(KeepOut.distance(new Spot(2, 0), PLAN.features().get(0))).isCloseTo(1, within(1e-9));
        assertThat(KeepOut.middle(PLAN.features().get(1)).x()).isCloseTo(3.2, within(1e-9));
    }
}
