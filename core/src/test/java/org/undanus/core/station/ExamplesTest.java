package org.undanus.core.station;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Point;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;

/** What a line shows as an example can be typed there. */
class ExamplesTest {
    @Test
    void theExampleOfAQuantityIsUnderstoodAndUsualThere() {
        List<Point> measured = Walk.plans().stream()
                .flatMap(plan -> plan.points().stream())
                .filter(point -> point.kind() == Point.Kind.QUANTITY)
                .toList();

        assertThat(measured).hasSizeGreaterThan(100).allSatisfy(point -> assertThat(
                        Entry.understand(point, point.example(), Accuracy.EXACT).plausible())
                .as("%s: %s", point.id(), point.example())
                .isTrue());
    }

    @Test
    void everyExampleOfADimensionIsUnderstood() {
        assertThat(Dimension.values()).allSatisfy(dimension -> assertThat(dimension.examples())
                .isNotEmpty()
                .allSatisfy(example -> FieldNotation.parse(example, dimension)));
        assertThat(Dimension.LENGTH.example()).hasToString("40.5 in, 3' 4-1/2\" or 1.03 m");
        assertThat(Dimension.CURRENT.example()).hasToString("27.4 A");
    }
}
