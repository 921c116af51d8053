package org.undanus.core.station;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.undanus.core.evidence.Entry;
import org.undanus.core.evidence.Point;
import org.undanus.core.quantity.Accuracy;

/** What a line shows as an example can be typed there. */
class ExamplesTest {
    private static List<String> examples(Point point) {
        return List.of(point.example().split(",? or |, "));
    }

    @Test
    void everyExampleOfAQuantityIsUnderstoodAndTheFirstIsUsualThere() {
        List<Point> measured = Walk.plans().stream()
                .flatMap(plan -> plan.points().stream())
                .filter(point -> point.kind() == Point.Kind.QUANTITY)
                .toList();

        assertThat(measured).hasSizeGreaterThan(100).allSatisfy(point -> {
            for (String example : examples(point)) {
                Entry.understand(point, example, Accuracy.EXACT);
            }
            assertThat(Entry.understand(point, examples(point).get(0), Accuracy.EXACT)
                            .plausible())
                    .as("%s: %s", point.id(), point.example())
                    .isTrue();
        });
    }
}
