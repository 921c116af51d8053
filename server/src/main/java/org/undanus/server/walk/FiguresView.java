package org.undanus.server.walk;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.Station;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.QuantityFormat;
import org.undanus.core.quantity.Temperature;
import org.undanus.core.quantity.UnitSystem;
import org.undanus.core.station.access.AccessFigure;
import org.undanus.core.station.electrical.CircuitFigure;
import org.undanus.core.station.mounting.PenetrationFigure;
import org.undanus.core.station.running.PsychrometricFigure;
import org.undanus.core.station.siting.SitingFigure;
import org.undanus.server.installation.CaseFile;

/** A station's figure as numbers to scale and words to print; a station has at most one. */
record FiguresView(
        Optional<List<PlateView>> plates,
        Optional<List<SitedUnitView>> siting,
        Optional<PlanView> plan,
        Optional<List<WallFigureView>> walls,
        Optional<List<PartView>> access,
        Optional<List<HoleView>> holes,
        Optional<List<CircuitView>> circuits,
        Optional<List<CoilView>> coils) {

    private static final double GRAMS = 1000;

    /** @param links how this indoor unit goes with the outdoor one */
    record PlateView(String component, String title, boolean outdoor, List<RowView> rows, List<LinkView> links) {}

    record RowView(String label, String value) {}

    record LinkView(String label, Verdict verdict) {}

    /** Sizes in metres. */
    record SitedUnitView(
            String component,
            String title,
            boolean outdoor,
            double width,
            double depth,
            double height,
            boolean sized,
            List<SideView> sides) {}

    record SideView(
            String name, Optional<SpanView> clear, Optional<SpanView> asked, Verdict verdict, String judgement) {}

    record SpanView(double metres, String text) {}

    /** A wall as seen from the room, metres from its lower left corner; the unit's own sizes stand among the sited units. */
    record WallFigureView(
            String component,
            String title,
            double width,
            double ceiling,
            double left,
            double underside,
            List<WallItemView> items) {}

    record WallItemView(String kind, String title, double x, double y, double width, double height) {}

    /** A length on the way to the equipment or before live gear. */
    record PartView(
            String name,
            String title,
            Optional<String> found,
            Optional<String> asked,
            Verdict verdict,
            String judgement) {}

    /** A hole with the bundle packed into it, metres from the bundle's centre. */
    record HoleView(
            String component,
            String title,
            Optional<SpanView> diameter,
            Optional<SpanView> packed,
            Optional<SpanView> wanted,
            List<CircleView> parts,
            Optional<SpanView> thickness,
            Optional<FallView> fall,
            Verdict fits,
            Verdict drains) {}

    record CircleView(String title, double x, double y, double radius) {}

    record FallView(double ratio, String text) {}

    record CircuitView(
            String component,
            String title,
            PlaceView panel,
            PlaceView device,
            PlaceView conductor,
            PlaceView disconnect,
            PlaceView unit) {}

    record PlaceView(String title, List<String> notes, Verdict verdict) {}

    /** Temperatures in °C on the axis, humidity ratios in g/kg. */
    record CoilView(
            String component,
            String title,
            List<StateView> saturation,
            Optional<StateView> returning,
            Optional<MarkView> supply,
            Optional<MarkView> expectedFrom,
            Optional<MarkView> expectedTo,
            List<MarkView> ticks,
            Verdict verdict) {}

    record StateView(double celsius, double gramsPerKilogram, String text) {}

    record MarkView(double celsius, String text) {}

    static FiguresView of(CaseFile file, Station station, UnitSystem units) {
        QuantityFormat format = QuantityFormat.of(units);
        Optional<SitingFigure> siting = Optional.of(file)
                .filter(f -> station == Station.SITING)
                .map(f -> SitingFigure.of(f.facts(), f.evidence(), f.rules(), f.judgements()));
        Optional<CaseFile> papers = Optional.of(file).filter(f -> station == Station.PAPERS);
        Optional<CaseFile> access = Optional.of(file).filter(f -> station == Station.ACCESS);
        Optional<CaseFile> mounting = Optional.of(file).filter(f -> station == Station.MOUNTING);
        Optional<CaseFile> electrical = Optional.of(file).filter(f -> station == Station.ELECTRICAL);
        Optional<CaseFile> running = Optional.of(file).filter(f -> station == Station.RUNNING);
        return new FiguresView(
                papers.map(FiguresView::plates),
                siting.map(figure -> sited(figure, format)),
                siting.flatMap(SitingFigure::plan).map(plan -> PlanView.of(plan, file.facts(), format)),
                siting.flatMap(SitingFigure::plan).map(plan -> walls(plan, file)),
                access.map(f -> parts(f, format)),
                mounting.map(f -> holes(f, format)),
                electrical.map(f -> circuits(f, units)),
                running.map(f -> coils(f, format)));
    }

    private static List<WallFigureView> walls(SitingFigure.Plan plan, CaseFile file) {
        return plan.drawing().walls().stream()
                .map(wall -> new WallFigureView(
                        wall.component(),
                        file.facts()
                                .component(wall.component())
                                .map(Component::title)
                                .orElse(wall.component()),
                        wall.width(),
                        wall.ceiling(),
                        wall.left(),
                        wall.underside(),
                        wall.items().stream()
                                .map(item -> new WallItemView(
                                        item.kind().title(),
                                        item.title(),
                                        item.x(),
                                        item.y(),
                                        item.width(),
                                        item.height()))
                                .toList()))
                .toList();
    }

    private static List<PartView> parts(CaseFile file, QuantityFormat format) {
        return AccessFigure.of(file.judgements()).parts().stream()
                .map(part -> new PartView(
                        part.name(),
                        part.title(),
                        part.found().map(format::format),
                        part.asked().map(format::format),
                        part.verdict(),
                        part.judgement()))
                .toList();
    }

    private static List<HoleView> holes(CaseFile file, QuantityFormat format) {
        return PenetrationFigure.of(file.facts(), file.evidence(), file.rules(), file.judgements()).holes().stream()
                .map(hole -> new HoleView(
                        hole.component().id(),
                        hole.component().title(),
                        hole.diameter().map(l -> span(l, format)),
                        hole.packed().map(l -> span(l, format)),
                        hole.wanted().map(l -> span(l, format)),
                        hole.parts().stream()
                                .map(p -> new CircleView(p.title(), p.x(), p.y(), p.radius()))
                                .toList(),
                        hole.thickness().map(l -> span(l, format)),
                        hole.fall().map(f -> new FallView(f.si(), format.format(f))),
                        hole.fits(),
                        hole.drains()))
                .toList();
    }

    private static List<PlateView> plates(CaseFile file) {
        return file.facts().components().stream()
                .map(component -> new PlateView(
                        component.id(),
                        component.title(),
                        component.outdoor(),
                        Stream.of(
                                        PlatePoints.MAKER,
                                        PlatePoints.MODEL,
                                        PlatePoints.REFRIGERANT,
                                        PlatePoints.MANUFACTURED,
                                        PlatePoints.MINIMUM_CIRCUIT_AMPACITY,
                                        PlatePoints.MAXIMUM_OVERCURRENT_DEVICE)
                                .filter(point -> component.within(point.scope()))
                                .map(point -> new RowView(
                                        point.title(),
                                        file.evidence()
                                                .latest(new PointKey(point.id(), component.id()))
                                                .map(Reading::typed)
                                                .orElse("–")))
                                .toList(),
                        links(file, component)))
                .toList();
    }

    private static List<LinkView> links(CaseFile file, Component component) {
        return Stream.of("papers.listed-pair", "papers.same-refrigerant")
                .flatMap(id -> file.judgements().find(id, component.id()).stream())
                .map(j -> new LinkView(j.about().title(), j.verdict()))
                .toList();
    }

    private static List<SitedUnitView> sited(SitingFigure figure, QuantityFormat format) {
        return figure.units().stream()
                .map(unit -> new SitedUnitView(
                        unit.component().id(),
                        unit.component().title(),
                        unit.component().outdoor(),
                        unit.size().width().si(),
                        unit.size().depth().si(),
                        unit.size().height().si(),
                        unit.sized(),
                        Stream.concat(unit.sides().stream(), unit.height().stream())
                                .map(side -> new SideView(
                                        side.name(),
                                        side.clear().map(l -> span(l, format)),
                                        side.asked().map(l -> span(l, format)),
                                        side.verdict(),
                                        side.judgement()))
                                .toList()))
                .toList();
    }

    private static SpanView span(Length length, QuantityFormat format) {
        return new SpanView(length.si(), format.format(length));
    }

    private static List<CircuitView> circuits(CaseFile file, UnitSystem units) {
        return CircuitFigure.of(file.facts(), file.evidence(), file.judgements()).circuits().stream()
                .map(c -> new CircuitView(
                        c.component().id(),
                        c.component().title(),
                        place(c.panel(), units),
                        place(c.device(), units),
                        place(c.conductor(), units),
                        place(c.disconnect(), units),
                        place(c.unit(), units)))
                .toList();
    }

    private static PlaceView place(CircuitFigure.Place place, UnitSystem units) {
        return new PlaceView(
                place.title().in(units),
                place.notes().stream().map(note -> note.in(units)).toList(),
                place.verdict());
    }

    private static List<CoilView> coils(CaseFile file, QuantityFormat format) {
        return PsychrometricFigure.of(file.facts(), file.evidence(), file.judgements()).coils().stream()
                .map(coil -> new CoilView(
                        coil.component().id(),
                        coil.component().title(),
                        coil.saturation().stream().map(s -> state(s, format)).toList(),
                        coil.returning().map(s -> state(s, format)),
                        coil.supply().map(t -> mark(t, format)),
                        coil.expectedFrom().map(t -> mark(t, format)),
                        coil.expectedTo().map(t -> mark(t, format)),
                        coil.saturation().stream()
                                .map(PsychrometricFigure.State::dryBulb)
                                .filter(t -> Math.round(t.celsius()) % 10 == 0)
                                .map(t -> mark(t, format))
                                .toList(),
                        coil.verdict()))
                .toList();
    }

    private static StateView state(PsychrometricFigure.State state, QuantityFormat format) {
        return new StateView(state.dryBulb().celsius(), state.humidityRatio() * GRAMS, format.format(state.dryBulb()));
    }

    private static MarkView mark(Temperature temperature, QuantityFormat format) {
        return new MarkView(temperature.celsius(), format.format(temperature));
    }
}
