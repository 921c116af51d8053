package org.undanus.core.rules;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.derived.Tube;
import org.undanus.core.station.Walk;

/** Values of public codes and tables, entered here a second time, in SI. */
class ShippedValuesTest {
    private static final List<RuleBook> BOOKS = ShippedRuleBooks.general().stream()
            .map(yaml -> RuleBookReader.read(yaml, Walk.vocabulary()))
            .toList();

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({
        "electrical.fill-one, 0.53",
        "electrical.fill-two, 0.31",
        "electrical.fill-more, 0.40",
        "electrical.peak-factor, 1.25",
        "electrical.trips-breaker, 1.45",
        "electrical.trips-fuse, 1.6",
        "electrical.overload-factor, 1.45",
        "condensate.trap-margin, 0.0254",
        "condensate.pump-factor, 1.5",
        "fuel.support-half, 1.8288",
        "fuel.support-three-quarters, 2.4384",
        "fuel.support-one, 2.4384",
        "fuel.support-larger, 3.048",
        "fuel.bore-half-inch, 0.0157988",
        "fuel.bore-three-quarter-inch, 0.0209296",
        "fuel.bore-one-inch, 0.0266446",
        "fuel.bore-one-and-a-quarter-inch, 0.035052",
        "fuel.bore-one-and-a-half-inch, 0.040894",
        "fuel.bore-two-inch, 0.0525018",
        "fuel.pipe-drop, 124.54446",
        "fuel.volume-standard, 1.41584",
        "fuel.volume-known, 0.594654",
        "fuel.volume-known-fan, 0.424753",
        "fuel.opening-least, 0.064516",
        "fuel.opening-indoors, 293.07107",
        "fuel.opening-vertical, 1172.28428",
        "fuel.opening-horizontal, 586.14214",
        "fuel.opening-single, 879.21321",
        "fuel.louvre-metal, 0.75",
        "fuel.louvre-wood, 0.25",
        "fuel.clearance-single-wall, 0.1524",
        "fuel.clearance-double-wall, 0.0254",
        "fuel.direct-vent-small, 0.1524",
        "fuel.direct-vent-middle, 0.2286",
        "fuel.direct-vent-large, 0.3048",
        "fuel.mechanical-below, 1.2192",
        "fuel.mechanical-beside, 1.2192",
        "fuel.mechanical-above, 0.3048",
        "fuel.derate-rate, 0.04",
        "fuel.derate-step, 304.8",
        "fuel.derate-from, 609.6",
        "airside.leakage-exponent, 0.65",
        "piping.insulation-conductivity, 0.04038",
        "piping.surface-coefficient, 9",
    })
    void settings(String id, double value) {
        Setting setting = Walk.vocabulary().settings().get(id);
        assertThat(BOOKS)
                .allSatisfy(
                        book -> assertThat(book.number(setting)).as(book.id()).isCloseTo(value, within(0.021 * value)));
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({
        "fuel.flue-carbon-monoxide, 400e-6",
        "fuel.room-carbon-monoxide, 9e-6",
        "fuel.stop-carbon-monoxide, 35e-6",
        "fuel.vent-grade, 0.3048",
        "fuel.vent-walk, 2.1336",
        "fuel.vent-inlet, 0.9144",
        "fuel.vent-meter, 0.9144",
        "fuel.vent-slope, 0.0208333",
        "fuel.shut-off-distance, 1.8288",
        "condensate.fall, 0.01",
        "piping.flattening, 0.08",
        "airside.face-velocity, 2.49936",
        "electrical.phase-imbalance, 0.02",
        "electrical.voltage-drop, 0.03",
    })
    void limits(String id, double value) {
        LimitKey key = Walk.vocabulary().limits().get(id);
        assertThat(BOOKS).allSatisfy(book -> assertThat(book.limits(key))
                .as(book.id())
                .singleElement()
                .satisfies(limit -> assertThat(limit.value().si()).isCloseTo(value, within(0.005 * value))));
    }

    /** Elbow, long elbow, half elbow and return bend as feet of tube, by outer diameter in inches; flares in mm. */
    @Test
    void fittingsAndFlares() {
        Map<Double, double[]> fittings = Map.of(
                0.5, new double[] {1.4, 0.9, 0.7, 2.3},
                0.625, new double[] {1.6, 1.0, 0.8, 2.5},
                0.875, new double[] {2.0, 1.4, 0.9, 3.2},
                1.125, new double[] {2.6, 1.7, 1.3, 4.1},
                1.375, new double[] {3.3, 2.3, 1.7, 5.6},
                2.125, new double[] {5.0, 3.3, 2.6, 8.2});
        fittings.forEach((inches, feet) -> {
            Tube tube = Tube.of(inches * 0.0254).orElseThrow();
            assertThat(List.of(tube.elbow(), tube.longElbow(), tube.halfElbow(), tube.returnBend()))
                    .as(tube.name())
                    .zipSatisfy(List.of(feet[0], feet[1], feet[2], feet[3]), (found, known) -> assertThat(found)
                            .isCloseTo(known * 0.3048, within(1e-9)));
        });
        Map<Double, double[]> flares = Map.of(
                0.25, new double[] {8.7, 9.1},
                0.375, new double[] {12.8, 13.2},
                0.5, new double[] {16.2, 16.6},
                0.625, new double[] {19.3, 19.7},
                0.75, new double[] {23.6, 24.0});
        flares.forEach((inches, range) -> {
            Tube.Flare flare = Tube.of(inches * 0.0254).orElseThrow().flare().orElseThrow();
            assertThat(flare.leastDiameter()).isCloseTo(range[0] / 1000, within(1e-9));
            assertThat(flare.mostDiameter()).isCloseTo(range[1] / 1000, within(1e-9));
        });
    }
}
