package org.undanus.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.station.Walk;

/** What stands in a field as an example is one of that line. */
class LineExamplesTest {
    static Stream<String> lines() {
        return LineExamples.lines().stream().sorted();
    }

    @ParameterizedTest
    @MethodSource("lines")
    void anExampleCanBeReadOnItsLineAndIsUsualThere(String id) {
        Point line = Walk.point(id).orElseThrow();
        double typed = FieldNotation.parse(line.example(), line.dimension().orElseThrow())
                .value()
                .si();
        assertThat(line.plausible(typed)).as(line.example()).isTrue();
    }

    @Test
    void everyLineThatIsMeasuredHasOneOfItsOwn() {
        assertThat(Walk.plans().stream()
                        .flatMap(plan -> plan.points().stream())
                        .filter(point -> point.kind() == Point.Kind.QUANTITY)
                        .map(Point::id)
                        .distinct())
                .isSubsetOf(LineExamples.lines());
    }

    @Test
    void itIsOfTheLineRatherThanOfItsKindOfQuantity() {
        assertThat(example("plate.maximum-overcurrent-device")).isEqualTo("30 A");
        assertThat(example("siting.drain-run")).isEqualTo("14 ft");
        assertThat(example("fuel.inlet-pressure")).isEqualTo("6.8 inwc");
        assertThat(example("charge.barometer")).isEqualTo("29.92 inHg");
    }

    private static String example(String id) {
        return Walk.point(id).orElseThrow().example();
    }
}
