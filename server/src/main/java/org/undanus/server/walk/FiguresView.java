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
import org.undanus.core.quantity.QuantityFormat;
import org.undanus.core.quantity.UnitSystem;
import org.undanus.core.station.access.AccessFigure;
import org.undanus.core.station.siting.SitingFigure;
import org.undanus.server.installation.CaseFile;

/** A station's figure as numbers to scale and words to print; a station has at most one. */
record FiguresView(
        Optional<List<PlateView>> plates,
        Optional<List<SitedUnitView>> siting,
        Optional<PlanView> plan,
        Optional<List<WallFigureView>> walls,
        Optional<List<PartView>> access) {

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
            boolean sized) {}

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

    static FiguresView of(CaseFile file, Station station, UnitSystem units) {
        QuantityFormat format = QuantityFormat.of(units);
        Optional<SitingFigure> siting = Optional.of(file)
                .filter(f -> station == Station.SITING)
                .map(f -> SitingFigure.of(f.facts(), f.evidence(), f.rules(), f.judgements()));
        Optional<CaseFile> papers = Optional.of(file).filter(f -> station == Station.PAPERS);
        Optional<CaseFile> access = Optional.of(file).filter(f -> station == Station.ACCESS);
        return new FiguresView(
                papers.map(FiguresView::plates),
                siting.map(FiguresView::sited),
                siting.flatMap(SitingFigure::plan).map(plan -> PlanView.of(plan, file.facts(), format)),
                siting.flatMap(SitingFigure::plan).map(plan -> walls(plan, file)),
                access.map(f -> parts(f, format)));
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

    private static List<SitedUnitView> sited(SitingFigure figure) {
        return figure.units().stream()
                .map(unit -> new SitedUnitView(
                        unit.component().id(),
                        unit.component().title(),
                        unit.component().outdoor(),
                        unit.size().width().si(),
                        unit.size().depth().si(),
                        unit.size().height().si(),
                        unit.sized()))
                .toList();
    }
}
