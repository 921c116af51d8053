package org.undanus.core.derived;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.drawing.Role;
import org.undanus.core.drawing.Sheet;
import org.undanus.core.drawing.Sheet.Kind;
import org.undanus.core.evidence.Outline;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;

class CurvePlotTest {
    private static List<String> words(Drawing drawing, UnitSystem units) {
        return Sheet.of(drawing, 700, 220, Wording.english(units)).pieces().stream()
                .filter(piece -> piece.kind() == Kind.WORDS)
                .map(Sheet.Piece::text)
                .toList();
    }

    private static Drawing plot(CurvePlot.Scale scale, Dimension dimension, double lasting, double least, double most) {
        return new CurvePlot(Text.empty(), scale, dimension, 0, lasting, least, most).spoken(Text.of(""));
    }

    @Test
    void aLogarithmicScaleHasPowersOfTenOfTheReadersUnit() {
        Drawing drawing = plot(CurvePlot.Scale.LOGARITHMIC, Dimension.ABSOLUTE_PRESSURE, 2700, 40, 20_000);
        assertThat(words(drawing, UnitSystem.SI)).contains("100 Pa", "1000 Pa", "10000 Pa");
        assertThat(words(drawing, UnitSystem.US)).contains("1000 micron", "10000 micron", "100000 micron");
    }

    @Test
    void aNarrowRangeHasEvenRoundSteps() {
        assertThat(words(plot(CurvePlot.Scale.LOGARITHMIC, Dimension.ABSOLUTE_PRESSURE, 60, 40, 60), UnitSystem.SI))
                .contains("40 Pa", "60 Pa");
        assertThat(words(plot(CurvePlot.Scale.LINEAR, Dimension.GAUGE_PRESSURE, 60, 2.01e6, 2.05e6), UnitSystem.SI))
                .contains("20.2 barg", "20.4 barg");
    }

    @Test
    void timesAreFewAndShort() {
        assertThat(words(plot(CurvePlot.Scale.LINEAR, Dimension.GAUGE_PRESSURE, 14 * 3600, 1e6, 2e6), UnitSystem.SI))
                .contains("0 s", "4 h", "8 h", "12 h")
                .doesNotContain("2 h");
    }

    @Test
    void aGapBreaksTheLineAndIsNamed() {
        double[] seconds = new double[100];
        double[] values = new double[100];
        for (int i = 0; i < seconds.length; i++) {
            seconds[i] = i < 50 ? i : i + 60;
            values[i] = 20 + i % 3;
        }
        Drawing drawing = new CurvePlot(
                        Text.empty(), CurvePlot.Scale.LINEAR, Dimension.ABSOLUTE_PRESSURE, 0, 160, 10, 30)
                .curve(Outline.of(Instant.EPOCH, seconds, values), 0)
                .spoken(Text.of(""));
        assertThat(Sheet.of(drawing, 700, 220, Wording.english(UnitSystem.SI)).pieces())
                .filteredOn(piece -> piece.role() == Role.CURVE)
                .hasSize(2);
        assertThat(words(drawing, UnitSystem.SI)).contains("gap");
    }

    @Test
    void aComputedCourseEndsWhereItLeavesTheChart() {
        Drawing drawing = new CurvePlot(
                        Text.empty(), CurvePlot.Scale.LOGARITHMIC, Dimension.ABSOLUTE_PRESSURE, 0, 100, 50, 10_000)
                .course(new double[] {0, 20, 40, 60}, new double[] {10_000, 500, 100, 5}, Text.of("expected"))
                .spoken(Text.of(""));
        assertThat(Sheet.of(drawing, 700, 220, Wording.english(UnitSystem.SI)).pieces())
                .filteredOn(piece -> piece.role() == Role.GHOST)
                .singleElement()
                .satisfies(line -> assertThat(line.points()).hasSize(3));
    }

    @Test
    void everySpikeIsDrawnAndLevelsAreNamedClearOfTheCurve() {
        double[] seconds = new double[2000];
        double[] values = new double[2000];
        for (int i = 0; i < seconds.length; i++) {
            seconds[i] = i;
            // near the level on the right, far from it on the left
            values[i] = i == 777 ? 90 : i < 1000 ? 20 : 50;
        }
        Outline outline = Outline.of(Instant.EPOCH, seconds, values);
        Drawing drawing = new CurvePlot(
                        Text.empty(), CurvePlot.Scale.LINEAR, Dimension.ABSOLUTE_PRESSURE, 0, 2000, 20, 90)
                .curve(outline, 0)
                .level(48, Text.of("asked"), Meaning.of(new PointKey("a.b", "system")))
                .spoken(Text.of(""));
        Sheet sheet = Sheet.of(drawing, 700, 220, Wording.english(UnitSystem.SI));
        double top = sheet.pieces().stream()
                .filter(piece -> piece.role() == Role.CURVE)
                .flatMap(piece -> piece.points().stream())
                .mapToDouble(place -> place.y())
                .min()
                .orElseThrow();
        double curve = sheet.pieces().stream()
                .filter(piece -> piece.role() == Role.CURVE)
                .findFirst()
                .orElseThrow()
                .points()
                .get(0)
                .y();
        assertThat(curve - top).as("a spike of one sample").isGreaterThan(100);
        assertThat(sheet.pieces())
                .filteredOn(piece -> piece.text().equals("asked"))
                .singleElement()
                .satisfies(words -> assertThat(words.points().get(0).x()).isLessThan(350));
    }
}
