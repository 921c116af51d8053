package org.undanus.core.audit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.evidence.Outline;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;

/** The drawing of what a check found. */
class FoundFigureTest {
    private static final Found NOTHING =
            Found.cannotTell(AboutCheck.of("record.test", "Test", "Nothing"), "system", Text.empty());

    private static Drawing band(double low, double high, double claimed) {
        return FoundFigure.of(NOTHING.drawn(new Found.Band(Dimension.DURATION, low, high, claimed)))
                .orElseThrow();
    }

    private static List<Place> drawn(Drawing drawing, Role role) {
        return drawing.elements().stream()
                .filter(Element.Path.class::isInstance)
                .map(Element.Path.class::cast)
                .filter(path -> path.role() == role)
                .findFirst()
                .orElseThrow()
                .points();
    }

    private static double claim(Drawing drawing) {
        return drawn(drawing, Role.READ).get(0).x();
    }

    private static List<String> captions(Drawing drawing) {
        return drawing.caption().stream().map(said -> said.in(UnitSystem.SI)).toList();
    }

    @Test
    void whatWasNeverWeighedIsNotDrawn() {
        assertThat(FoundFigure.of(NOTHING)).isEmpty();
    }

    @Test
    void theClaimStandsOnTheScaleOfWhatWasExpected() {
        Drawing beyond = band(600, 1200, 1800);
        List<Place> expected = drawn(beyond, Role.PERMITTED);
        assertThat(expected.get(0).x()).isCloseTo(0.15 / 1.3, within(1e-9));
        assertThat(expected.get(1).x()).isCloseTo(0.65 / 1.3, within(1e-9));
        assertThat(claim(beyond)).isCloseTo(1.15 / 1.3, within(1e-9));
        assertThat(captions(beyond)).containsExactly("Expected: 10 min to 20 min", "Claimed: 30 min");
        assertThat(beyond.spoken().in(UnitSystem.SI)).isEqualTo("Expected: 10 min to 20 min. Claimed: 30 min");
    }

    @Test
    void withoutALeastOrAMostTheBandGoesToTheEdge() {
        Drawing least = band(600, Double.POSITIVE_INFINITY, 300);
        assertThat(drawn(least, Role.PERMITTED).get(1).x()).isEqualTo(1);
        assertThat(claim(least)).isLessThan(drawn(least, Role.PERMITTED).get(0).x());
        assertThat(captions(least)).startsWith("Expected: 10 min or more");
        Drawing most = band(Double.NEGATIVE_INFINITY, 600, 900);
        assertThat(drawn(most, Role.PERMITTED).get(0).x()).isZero();
        assertThat(captions(most)).startsWith("Expected: 10 min or less");
    }

    @Test
    void allAtOneValueHasAWidthStill() {
        Drawing same = band(600, 600, 600);
        assertThat(claim(same)).isBetween(0.0, 1.0);
        assertThat(claim(same)).isEqualTo(drawn(same, Role.PERMITTED).get(0).x());
    }

    @Test
    void coursesLieOverEachOtherWhateverTheirHeightAndTime() {
        Outline slow = Outline.of(Instant.EPOCH, new double[] {0, 60, 120}, new double[] {10, 20, 30});
        Outline quick = Outline.of(Instant.EPOCH, new double[] {0, 6, 12}, new double[] {100, 200, 300});
        Drawing drawing = FoundFigure.of(
                        NOTHING.drawn(new Found.Overlay(Dimension.ABSOLUTE_PRESSURE, slow, quick, "J-1", "J-2")))
                .orElseThrow();
        assertThat(drawn(drawing, Role.CURVE)).isEqualTo(drawn(drawing, Role.ASKED));
        assertThat(drawn(drawing, Role.CURVE)).first().isEqualTo(Place.of(0, 0));
        assertThat(drawn(drawing, Role.CURVE)).last().isEqualTo(Place.of(1, 1));
        assertThat(captions(drawing)).containsExactly("J-1, drawn through", "J-2, dashed");
        Outline still = Outline.of(Instant.EPOCH, new double[] {0}, new double[] {7});
        assertThat(FoundFigure.of(
                        NOTHING.drawn(new Found.Overlay(Dimension.ABSOLUTE_PRESSURE, still, quick, "a", "b"))))
                .as("one sample")
                .isEmpty();
    }
}
