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
import org.undanus.core.station.electrical.CircuitFigure;
import org.undanus.core.station.running.PsychrometricFigure;
import org.undanus.core.station.siting.SitingFigure;
import org.undanus.server.installation.CaseFile;

/** A station's figure as numbers to scale and words to print; a station has at most one. */
record FiguresView(
        Optional<List<PlateView>> plates,
        Optional<List<SitedUnitView>> siting,
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
        return switch (station) {
            case PAPERS ->
                new FiguresView(Optional.of(plates(file)), Optional.empty(), Optional.empty(), Optional.empty());
            case SITING ->
                new FiguresView(
                        Optional.empty(), Optional.of(siting(file, format)), Optional.empty(), Optional.empty());
            case ELECTRICAL ->
                new FiguresView(
                        Optional.empty(), Optional.empty(), Optional.of(circuits(file, units)), Optional.empty());
            case RUNNING ->
                new FiguresView(Optional.empty(), Optional.empty(), Optional.empty(), Optional.of(coils(file, format)));
            default -> new FiguresView(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());
        };
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

    private static List<SitedUnitView> siting(CaseFile file, QuantityFormat format) {
        return SitingFigure.of(file.facts(), file.evidence(), file.judgements()).units().stream()
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
