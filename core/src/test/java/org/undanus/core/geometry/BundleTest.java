package org.undanus.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Packs past what is remembered: {@link Bundle#of} would answer with an earlier packing. */
class BundleTest {

    /** Best known packings of equal circles; Graham and others, Discrete Mathematics 181 (1998). */
    @ParameterizedTest(name = "{0} equal circles")
    @CsvSource({
        "1, 1",
        "2, 2",
        "3, 2.1547",
        "4, 2.4142",
        "5, 2.7013",
        "6, 3",
        "7, 3",
        "8, 3.3048",
        "9, 3.6131",
        "10, 3.8130"
    })
    void equalCirclesComeWithinOnePercentOfTheBestKnown(int count, double best) {
        double radius = Bundle.pack(Collections.nCopies(count, 1.0)).radius();
        assertThat(radius).isBetween(best - 1e-3, best * 1.01);
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void circlesNeverOverlapAndNeverStickOut(int seed) {
        Random random = new Random(seed);
        List<Double> radii = new ArrayList<>();
        for (int i = 0; i < 2 + seed; i++) {
            radii.add(0.003 + random.nextDouble() * 0.02);
        }
        Bundle bundle = Bundle.pack(radii);
        List<Bundle.Circle> circles = bundle.circles();
        for (int i = 0; i < circles.size(); i++) {
            Bundle.Circle a = circles.get(i);
            assertThat(a.radius()).isEqualTo(radii.get(i));
            assertThat(Math.hypot(a.x(), a.y()) + a.radius()).isLessThanOrEqualTo(bundle.radius() + 1e-9);
            for (int j = i + 1; j < circles.size(); j++) {
                Bundle.Circle b = circles.get(j);
                assertThat(Math.hypot(a.x() - b.x(), a.y() - b.y()))
                        .isGreaterThanOrEqualTo(a.radius() + b.radius() - 1e-9);
            }
        }
        double area = radii.stream().mapToDouble(r -> r * r).sum();
        assertThat(bundle.radius()).isGreaterThan(Math.sqrt(area));
    }

    @Test
    void theDrainIsTurnedLowest() {
        Bundle turned = Bundle.pack(List.of(0.008, 0.014, 0.012, 0.006)).withLowest(0);
        Bundle.Circle drain = turned.circles().get(0);
        assertThat(drain.x()).isCloseTo(0, within(1e-9));
        assertThat(drain.y()).isNegative();
    }

    @Test
    void nothingAndTooMuchAreRefused() {
        assertThatThrownBy(() -> Bundle.of(List.of())).hasMessageContaining("1 to 10");
        assertThatThrownBy(() -> Bundle.of(Collections.nCopies(11, 1.0))).hasMessageContaining("1 to 10");
        assertThatThrownBy(() -> Bundle.of(List.of(0.01, 0.0))).hasMessageContaining("wider than nothing");
    }

    /** Two circles side by side: the ring grows by as much as each of them. Three equal: 1 + 2/√3 shared by three. */
    @Test
    void growthFollowsEachCircle() {
        assertThat(Bundle.pack(List.of(1.0, 0.5)).growth()).containsExactly(new double[] {1, 1}, within(0.02));
        double third = (1 + 2 / Math.sqrt(3)) / 3;
        assertThat(Bundle.pack(List.of(1.0, 1.0, 1.0)).growth())
                .containsExactly(new double[] {third, third, third}, within(0.05));
    }

    /** The ring of a bundle twice as thick is twice as wide (Euler): Σ rᵢ · growthᵢ = R. */
    @ParameterizedTest
    @ValueSource(ints = {3, 4, 5, 7})
    void growthAddsUpToTheRing(int count) {
        Random random = new Random(count);
        List<Double> radii = random.doubles(count, 0.5, 2).boxed().toList();
        Bundle bundle = Bundle.pack(radii);
        double sum = 0;
        for (int i = 0; i < count; i++) {
            sum += radii.get(i) * bundle.growth()[i];
        }
        assertThat(sum).isCloseTo(bundle.radius(), within(0.06 * bundle.radius()));
    }

    /** The same bundle comes out the same: a hole asked for yesterday is asked for today. */
    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({
        "8 13.76 12.175 6, 25.93509165627313",
        "8 14 12 6 5, 26.000082876763585",
        "3 5 7 11 2 9, 20.04277452090468"
    })
    void packingsAreRepeatable(String radii, double radius) {
        List<Double> each = Stream.of(radii.split(" ")).map(Double::valueOf).toList();
        Bundle packed = Bundle.pack(each);
        assertThat(packed.radius()).isCloseTo(radius, within(1e-7));
        assertThat(packed.withLowest(1).circles())
                .zipSatisfy(packed.circles(), (turned, before) -> assertThat(Math.hypot(turned.x(), turned.y()))
                        .isCloseTo(Math.hypot(before.x(), before.y()), within(1e-9)));
    }

    @Test
    void whatWasPackedIsRemembered() {
        List<Double> radii = List.of(1.0, 2.0, 3.0);
        assertThat(Bundle.of(radii)).isSameAs(Bundle.of(List.of(1.0, 2.0, 3.0)));
        assertThat(Bundle.of(Collections.nCopies(10, 1.0)).circles()).hasSize(10);
    }
}
