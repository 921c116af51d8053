package org.undanus.core.station;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.undanus.core.CaseFixture;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.drawing.Sheet;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Length;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;

/** Figures say what was read and judged, and leave open what was not. */
class FiguresTest {

    private static List<Drawing> drawings(CaseFixture fixture, Station station) {
        return Walk.plan(station)
                .orElseThrow()
                .draw(
                        fixture.facts(),
                        fixture.evidence(),
                        CaseFixture.PLATE_BOOK,
                        new Judgements(fixture.judgements()));
    }

    private static Drawing drawing(CaseFixture fixture, Station station) {
        return drawings(fixture, station).get(0);
    }

    private static List<String> words(Drawing drawing) {
        return drawing.elements().stream()
                .filter(Element.Words.class::isInstance)
                .map(e -> ((Element.Words) e).text().in(UnitSystem.SI))
                .toList();
    }

    private static Verdict verdictOf(Drawing drawing, String words) {
        return drawing.elements().stream()
                .filter(e -> e instanceof Element.Words w
                        && w.text().in(UnitSystem.SI).equals(words))
                .flatMap(e -> e.meaning().stream())
                .flatMap(meaning -> meaning.verdict().stream())
                .findFirst()
                .orElseThrow();
    }

    private static List<Element.Dimension> dimensions(Drawing drawing) {
        return drawing.elements().stream()
                .filter(Element.Dimension.class::isInstance)
                .map(Element.Dimension.class::cast)
                .toList();
    }

    @Test
    void sitingDrawsWhatWasTapedToScaleAndAsksForTheRest() {
        Drawing unit = drawing(
                new CaseFixture()
                        .outdoor("siting.outdoor-clearance-front", "0.80 m")
                        .outdoor("siting.outdoor-clearance-back", "0.40 m"),
                Station.SITING);
        assertThat(unit.spoken().in(UnitSystem.SI)).contains("front 800 mm, asked 914 mm: Fails", "left not read");
        assertThat(dimensions(unit)).extracting(d -> d.text().in(UnitSystem.SI)).contains("800 mm", "400 mm");
        Element.Dimension front = dimensions(unit).stream()
                .filter(d -> d.text().in(UnitSystem.SI).equals("800 mm"))
                .findFirst()
                .orElseThrow();
        assertThat(front.from().y() - front.to().y()).isEqualTo(0.8);
        assertThat(front.meaning().flatMap(Meaning::verdict)).contains(Verdict.FAILS);
        assertThat(front.meaning().flatMap(Meaning::judgement)).contains("siting.outdoor-clearance-front@outdoor");
        assertThat(words(unit)).contains("left?", "right?", "Plan", "Elevation");
        assertThat(words(unit)).as("no sheet says how large it is").anyMatch(w -> w.contains("usual size"));
    }

    @Test
    void aWallUnitStandsOverTheFloorAsHighAsItIs() {
        Drawing indoor = drawings(new CaseFixture().indoor("siting.indoor-height", "2.10 m"), Station.SITING)
                .get(1);
        Element.Dimension height = dimensions(indoor).get(0);
        assertThat(height.from().y() - height.to().y()).isEqualTo(2.1);
        assertThat(height.meaning().flatMap(Meaning::verdict)).contains(Verdict.MEETS);
        assertThat(indoor.elements())
                .anyMatch(e -> e instanceof Element.Path p
                        && p.role() == Role.WALL
                        && p.points().stream().allMatch(at -> at.y() == -2.1));
    }

    @Test
    void circuitCarriesReadingsVerdictsAndGaps() {
        Drawing circuit = drawing(
                new CaseFixture()
                        .outdoor("plate.minimum-circuit-ampacity", "12 A")
                        .outdoor("plate.maximum-overcurrent-device", "20 A")
                        .outdoor("electrical.device-rating", "30 A"),
                Station.ELECTRICAL);
        assertThat(words(circuit)).contains("30 A", "plate 12 A to 20 A", "not judged yet", "– standing");
        assertThat(verdictOf(circuit, "30 A")).isEqualTo(Verdict.FAILS);
        assertThat(circuit.spoken().in(UnitSystem.SI)).contains("Overcurrent protective device 30 A: Fails");
    }

    @Test
    void disconnectShowsTheWorstOfItsJudgements() {
        Drawing circuit = drawing(
                new CaseFixture()
                        .outdoor("electrical.disconnect-present", "yes")
                        .outdoor("electrical.disconnect-visible", "no"),
                Station.ELECTRICAL);
        assertThat(verdictOf(circuit, "Disconnect –")).isEqualTo(Verdict.FAILS);
    }

    private static Optional<Place> dot(Drawing drawing) {
        return drawing.elements().stream()
                .filter(Element.Dot.class::isInstance)
                .map(e -> ((Element.Dot) e).at())
                .findFirst();
    }

    private static List<Place> line(Drawing drawing, Role role) {
        return drawing.elements().stream()
                .filter(e -> e instanceof Element.Path p && p.role() == role)
                .map(e -> ((Element.Path) e).points())
                .findFirst()
                .orElseThrow();
    }

    @Test
    void psychrometricSketchPlacesReturnSupplyAndExpectation() {
        Drawing coil = drawing(
                new CaseFixture()
                        .outdoor("plate.model", "WS-12")
                        .indoor("plate.model", "WS-12 I")
                        .indoor("operation.mode", "cooling")
                        .indoor("operation.run-time", "22 min")
                        .indoor("running.outdoor-dry-bulb", "90.0 °F")
                        .indoor("running.return-dry-bulb", "75.0 °F")
                        .indoor("running.return-wet-bulb", "63.0 °F")
                        .indoor("running.supply-earlier", "46.0 °F")
                        .indoor("running.supply-dry-bulb", "46.0 °F"),
                Station.RUNNING);
        assertThat(dot(coil).orElseThrow().y()).as("g/kg").isBetween(8.0, 11.0);
        double supply = line(coil, Role.READ).get(0).x();
        List<Place> expected = line(coil, Role.PERMITTED);
        assertThat(supply).isLessThan(expected.get(0).x());
        assertThat(expected.get(0).x()).isLessThan(expected.get(1).x());
        assertThat(verdictOf(coil, "supply 7.8 °C")).isEqualTo(Verdict.FAILS);
        assertThat(line(coil, Role.CURVE)).isSortedAccordingTo((a, b) -> Double.compare(a.y(), b.y()));
    }

    @Test
    void bulbsThatDoNotGoTogetherAreNotDrawn() {
        Drawing coil = drawing(
                new CaseFixture()
                        .indoor("running.return-dry-bulb", "75.0 °F")
                        .indoor("running.return-wet-bulb", "35.0 °F"),
                Station.RUNNING);
        assertThat(dot(coil)).isEmpty();
        assertThat(words(coil)).contains("return air: both bulbs to be read").noneMatch(w -> w.startsWith("expected"));
    }

    @Test
    void saturationHoldsMoreWaterInThinnerAir() {
        double low = line(drawing(new CaseFixture(), Station.RUNNING), Role.CURVE)
                .get(20)
                .y();
        double high = line(drawing(new CaseFixture().elevation(1600), Station.RUNNING), Role.CURVE)
                .get(20)
                .y();
        assertThat(high).isGreaterThan(low * 1.15);
    }

    @Test
    void platesStandBesideOneAnotherJoinedByHowTheyGoTogether() {
        Drawing plates = drawing(
                new CaseFixture()
                        .outdoor("plate.model", "WS-12")
                        .outdoor("plate.refrigerant", "R32")
                        .indoor("plate.model", "WS-12 I")
                        .indoor("plate.refrigerant", "R410A"),
                Station.PAPERS);
        assertThat(words(plates)).contains("WS-12", "WS-12 I", "Maker", "–");
        assertThat(verdictOf(plates, "Same refrigerant: Fails")).isEqualTo(Verdict.FAILS);
        assertThat(plates.elements())
                .anyMatch(e ->
                        e.meaning().flatMap(Meaning::line).equals(Optional.of(new PointKey("plate.model", "outdoor"))));
        Drawing narrow = plates.narrow().orElseThrow();
        assertThat(narrow.frame().high())
                .as("one under the other")
                .isGreaterThan(plates.frame().high());
    }

    @Test
    void theWayInIsDrawnToOneScaleOverWhatIsAskedWithTheLargestPieceAtTheNarrowest() {
        CaseFixture attic = new CaseFixture()
                .sheets(CaseFixture.sized("WS-12 I", 0.5, 0.55, 1.2))
                .indoor("plate.model", "WS-12 I")
                .read("access.place", "system", "attic")
                .read("access.opening-width", "system", "400 mm")
                .read("access.opening-height", "system", "800 mm")
                .read("access.passage-width", "system", "900 mm")
                .read("access.passage-length", "system", "3 m")
                .read("access.light", "system", "no");
        Drawing way = drawing(attic, Station.ACCESS);
        Element.Dimension width = measured(way, "400 mm");
        assertThat(width.meaning().flatMap(Meaning::verdict)).contains(Verdict.FAILS);
        assertThat(width.to().y() - width.from().y()).isCloseTo(0.4, within(1e-9));
        Element.Dimension length = measured(way, "3000 mm");
        assertThat(length.to().x() - length.from().x()).isCloseTo(3, within(1e-9));
        List<Place> asked = line(way, Role.ASKED);
        assertThat(asked.get(2).y() - asked.get(1).y()).as("over what is short").isGreaterThan(0.4);
        List<Place> piece = line(way, Role.BODY);
        assertThat((piece.get(0).x() + piece.get(1).x()) / 2)
                .as("in the hatch, which is narrower than the passage")
                .isCloseTo(0.4, within(1e-9));
        assertThat(words(way)).contains("Opening", "Passage and its floor");
        assertThat(way.caption()).anyMatch(c -> c.in(UnitSystem.SI).equals("Light at the equipment: Fails"));
        Drawing open = drawing(new CaseFixture().read("access.place", "system", "open floor"), Station.ACCESS);
        assertThat(words(open)).contains("Service space").doesNotContain("Opening", "Passage");
    }

    @Test
    void aLongPassageIsCutOffAndSaysSo() {
        CaseFixture attic = new CaseFixture()
                .read("access.place", "system", "crawl space")
                .read("access.passage-length", "system", "12 m")
                .read("access.passage-width", "system", "900 mm")
                .read("access.passage-height", "system", "700 mm");
        Drawing way = drawing(attic, Station.ACCESS);
        Element.Dimension length = measured(way, "12.00 m");
        assertThat(length.to().x() - length.from().x()).isCloseTo(4, within(1e-9));
        assertThat(way.caption()).anyMatch(c -> c.in(UnitSystem.SI).equals("The passage is drawn shortened."));
        Drawing side = drawings(attic, Station.ACCESS).get(1);
        Element.Dimension height = measured(side, "700 mm");
        assertThat(height.to().y() - height.from().y()).isCloseTo(0.7, within(1e-9));
    }

    private static Element.Dimension measured(Drawing drawing, String text) {
        return dimensions(drawing).stream()
                .filter(d -> d.text().in(UnitSystem.SI).equals(text))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aDrawnSiteShowsItsUnitTheShortDistanceAndTheWholeInACorner() {
        CaseFixture fixture = new CaseFixture()
                .outdoor("plate.model", "WS-12")
                .drawn(new SitePlan(
                        List.of(
                                rectangle("plot", SitePlan.Kind.BOUNDARY, -30, -30, 30, 30),
                                rectangle("house", SitePlan.Kind.WALL, -4, 2, 4, 3)),
                        List.of(new SitePlan.PlacedUnit("outdoor", 0, 1.81, 270, 0.2, Optional.of(SIZE))),
                        List.of(new SitePlan.WallView(
                                "indoor",
                                4,
                                2.5,
                                1,
                                1.8,
                                Optional.empty(),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.empty(),
                                List.of(new SitePlan.WallItem(SitePlan.ItemKind.OBSTACLE, "Shelf", 3, 1, 0.5, 0.3)),
                                Optional.of(SIZE))),
                        Grade.WITNESSED,
                        Optional.empty()));
        List<Drawing> drawings = drawings(fixture, Station.SITING);
        assertThat(drawings).extracting(drawing -> drawing.title().toString()).startsWith("Site");
        Drawing site = drawings.get(0);
        assertThat(site.caption().get(0).in(UnitSystem.SI)).startsWith("Smallest cure");
        assertThat(site.interest().orElseThrow().right()).isLessThan(6);
        assertThat(site.elements())
                .anyMatch(e -> e.meaning().flatMap(Meaning::thing).equals(Optional.of("house")));
        assertThat(verdicts(site)).contains(Verdict.FAILS);
        Sheet sheet = Sheet.of(site, 700, 300, Wording.english(UnitSystem.SI));
        assertThat(sheet.pieces().stream().filter(p -> p.role() == Role.BOUNDARY))
                .as("the plot, and the plot again in the corner")
                .hasSize(2);
        Drawing wall = drawings.stream()
                .filter(d -> words(d).contains("Shelf"))
                .findFirst()
                .orElseThrow();
        assertThat(dimensions(wall))
                .extracting(d -> d.text().in(UnitSystem.SI))
                .contains("1000 mm", "1800 mm over the floor");
    }

    private static final DataSheet.Size SIZE =
            new DataSheet.Size(Length.ofMetres(0.8), Length.ofMetres(0.3), Length.ofMetres(0.6));

    private static SitePlan.Feature rectangle(
            String id, SitePlan.Kind kind, double left, double low, double right, double high) {
        return new SitePlan.Feature(
                id,
                kind,
                id,
                List.of(
                        new SitePlan.Vertex(left, low),
                        new SitePlan.Vertex(right, low),
                        new SitePlan.Vertex(right, high),
                        new SitePlan.Vertex(left, high)),
                true,
                0,
                3);
    }

    private static List<Verdict> verdicts(Drawing drawing) {
        return drawing.elements().stream()
                .flatMap(e -> e.meaning().stream())
                .flatMap(s -> s.verdict().stream())
                .toList();
    }
}
