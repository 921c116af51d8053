package org.undanus.core.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.drawing.Sheet.Anchor;
import org.undanus.core.drawing.Sheet.Kind;
import org.undanus.core.drawing.Sheet.Piece;
import org.undanus.core.quantity.Length;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;

class SheetTest {
    private static final Text NOTHING = Text.of("");

    private static Sheet laid(Drawing.Builder drawing, int width, int height) {
        return Sheet.of(drawing.spoken(NOTHING), width, height, Wording.english(UnitSystem.SI));
    }

    private static List<Piece> of(Sheet sheet, Kind kind) {
        return sheet.pieces().stream().filter(p -> p.kind() == kind).toList();
    }

    /** Left, top, right and lower edge of words. */
    private static double[] room(Piece words) {
        double wide = words.text().length() * Sheet.LETTERS * 0.6;
        double x = words.points().get(0).x();
        double left = words.anchor() == Anchor.START ? x : words.anchor() == Anchor.END ? x - wide : x - wide / 2;
        double y = words.points().get(0).y();
        return new double[] {left, y - 0.75 * Sheet.LETTERS, left + wide, y + 0.2 * Sheet.LETTERS};
    }

    private static boolean meet(Piece one, Piece other) {
        double[] a = room(one);
        double[] b = room(other);
        return a[0] < b[2] && b[0] < a[2] && a[1] < b[3] && b[1] < a[3];
    }

    @Test
    void toScaleOneMetreIsAsLongEitherWayAndTheSheetNoHigherThanNeeded() {
        Sheet sheet = laid(Drawing.of("", Frame.toScale(0, 0, 4, 1)).box(Role.BODY, 1, 0, 2, 1), 408, 400);
        List<Place> box = of(sheet, Kind.AREA).get(0).points();
        assertThat(box.get(1).x() - box.get(0).x()).isEqualTo(100);
        assertThat(box.get(0).y() - box.get(3).y()).isEqualTo(100);
        assertThat(sheet.height()).isEqualTo(108);
    }

    @Test
    void whatIsForReadersInOneUnitSystemIsShownToThemOnly() {
        Drawing drawing = Drawing.of("", Frame.toScale(0, 0, 10, 1))
                .only(UnitSystem.US, b -> b.words(Text.of("500 micron"), Place.of(2, 0.5), Weight.QUIET, Side.CENTRE))
                .only(UnitSystem.SI, b -> b.words(Text.of("50 Pa"), Place.of(7, 0.5), Weight.QUIET, Side.CENTRE))
                .spoken(NOTHING);
        for (UnitSystem units : UnitSystem.values()) {
            assertThat(of(Sheet.of(drawing, 400, 200, Wording.english(units)), Kind.WORDS))
                    .singleElement()
                    .satisfies(words ->
                            assertThat(words.text()).isEqualTo(units == UnitSystem.US ? "500 micron" : "50 Pa"));
        }
    }

    @Test
    void aNarrowSheetShowsWhatIsNamedForIt() {
        Drawing drawing = Drawing.of("", Frame.toScale(0, 0, 10, 1))
                .narrow(Frame.toScale(0, 0, 5, 1))
                .words(Text.of("here"), Place.of(2, 0.5), Weight.PLAIN, Side.CENTRE)
                .words(Text.of("there"), Place.of(8, 0.5), Weight.PLAIN, Side.CENTRE)
                .spoken(NOTHING);
        assertThat(of(Sheet.of(drawing, 360, 300, Wording.english(UnitSystem.SI)), Kind.WORDS))
                .extracting(Piece::text)
                .containsExactly("here");
        assertThat(of(Sheet.of(drawing, 480, 300, Wording.english(UnitSystem.SI)), Kind.WORDS))
                .hasSize(2);
    }

    @Test
    void upIsUp() {
        Sheet sheet = laid(
                Drawing.of("", Frame.stretched(0, 0, 1, 1)).line(Role.CURVE, Place.of(0, 0), Place.of(0, 1)), 200, 100);
        List<Place> line = of(sheet, Kind.LINE).get(0).points();
        assertThat(line.get(1).y()).isLessThan(line.get(0).y());
    }

    @Test
    void aStretchedDrawingFillsItsSheet() {
        Sheet sheet = laid(Drawing.of("", Frame.stretched(0, 0, 40, 24)).box(Role.BODY, 0, 0, 40, 24), 608, 208);
        List<Place> box = of(sheet, Kind.AREA).get(0).points();
        assertThat(box.get(1).x() - box.get(0).x()).isEqualTo(600);
        assertThat(box.get(0).y() - box.get(3).y()).isEqualTo(200);
    }

    @Test
    void wordsTakeTheSideTheyWishForAndGoOnWhereItIsTaken() {
        Drawing.Builder drawing = Drawing.of("", Frame.toScale(0, 0, 10, 10))
                .words(Text.of("first"), Place.of(5, 5), Weight.STRONG, Side.RIGHT, Side.LEFT)
                .words(Text.of("second"), Place.of(5, 5), Weight.STRONG, Side.RIGHT, Side.LEFT)
                .words(Text.of("third"), Place.of(5, 5), Weight.STRONG, Side.RIGHT, Side.LEFT);
        List<Piece> words = of(laid(drawing, 300, 300), Kind.WORDS);
        assertThat(words).extracting(Piece::anchor).containsExactly(Anchor.START, Anchor.END, Anchor.START);
        assertThat(words.get(2).points().get(0).y())
                .isNotEqualTo(words.get(0).points().get(0).y());
    }

    @Test
    void farFromTheirPlaceWordsHaveALeader() {
        Drawing.Builder drawing = Drawing.of("", Frame.toScale(0, 0, 10, 10));
        for (int i = 0; i < 6; i++) {
            drawing.words(Text.of("word {value}", i), Place.of(5, 5), Weight.PLAIN, Side.RIGHT);
        }
        Sheet sheet = laid(drawing, 300, 300);
        assertThat(of(sheet, Kind.WORDS)).hasSize(6);
        assertThat(of(sheet, Kind.LINE)).as("leaders").isNotEmpty().allSatisfy(leader -> assertThat(leader.points())
                .contains(Place.of(150, 150)));
    }

    @Test
    void asidesAreLeftOutWhereThereIsNoRoomAndNeededWordsStayOnTheSheet() {
        Drawing.Builder drawing = Drawing.of("", Frame.toScale(0, 0, 10, 10));
        String wide = "as wide as the whole sheet is";
        for (int i = 0; i < 40; i++) {
            drawing.words(Text.of(wide), Place.of(5, i / 4.0), Weight.PLAIN, Side.CENTRE);
            drawing.aside(Text.of("aside"), Place.of(5, i / 4.0), Side.CENTRE);
        }
        Sheet sheet = laid(drawing, 220, 100);
        assertThat(of(sheet, Kind.WORDS))
                .filteredOn(w -> w.text().equals(wide))
                .hasSize(40)
                .allSatisfy(w -> {
                    assertThat(room(w)[1]).isGreaterThanOrEqualTo(0);
                    assertThat(room(w)[3]).isLessThanOrEqualTo(sheet.height());
                });
        assertThat(of(sheet, Kind.WORDS))
                .filteredOn(w -> w.text().equals("aside"))
                .hasSizeLessThan(40);
    }

    @ParameterizedTest
    @ValueSource(ints = {340, 480, 640, 900})
    void noWordsCoverOthersWhereThereIsRoom(int width) {
        Random random = new Random(width);
        for (int round = 0; round < 50; round++) {
            Drawing.Builder drawing = Drawing.of("", Frame.stretched(0, 0, 10, 10));
            for (int i = 0; i < 12; i++) {
                Place at = Place.of(random.nextDouble() * 10, random.nextDouble() * 10);
                drawing.words(
                        Text.of("label {value}", i), at, Weight.PLAIN, Side.RIGHT, Side.LEFT, Side.ABOVE, Side.BELOW);
            }
            List<Piece> words = of(laid(drawing, width, 260), Kind.WORDS);
            List<String> covered = new ArrayList<>();
            for (int i = 0; i < words.size(); i++) {
                for (int j = i + 1; j < words.size(); j++) {
                    if (meet(words.get(i), words.get(j))) {
                        covered.add(words.get(i).text() + " and " + words.get(j).text());
                    }
                }
            }
            assertThat(covered).as("round %s", round).isEmpty();
        }
    }

    @Test
    void aDimensionIsALineWithItsValueInTheReadersUnits() {
        Drawing drawing = Drawing.of("", Frame.toScale(0, 0, 2, 2))
                .dimension(
                        Place.of(0.5, 1),
                        Place.of(1.5, 1),
                        Text.of("{length}", Length.ofMetres(1)),
                        new Meaning(Optional.empty(), Optional.of("a@b"), Optional.empty(), Optional.empty()))
                .spoken(NOTHING);
        assertThat(of(Sheet.of(drawing, 400, 400, Wording.english(UnitSystem.SI)), Kind.WORDS)
                        .get(0)
                        .text())
                .isEqualTo("1000 mm");
        Sheet us = Sheet.of(drawing, 400, 400, Wording.english(UnitSystem.US));
        assertThat(of(us, Kind.WORDS).get(0).text()).isNotEqualTo("1000 mm").isNotEmpty();
        assertThat(us.pieces())
                .allSatisfy(piece ->
                        assertThat(piece.meaning().orElseThrow().judgement()).contains("a@b"));
    }

    @Test
    void whatCannotBeDrawnIsRefusedWhereItIsMade() {
        assertThatThrownBy(() -> Place.of(Double.NaN, 0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Frame.toScale(0, 0, 0, 1)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Drawing.of("", Frame.toScale(0, 0, 1, 1)).disc(Role.BODY, Place.of(0, 0), 0))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
