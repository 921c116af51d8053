package org.undanus.core.station.airside;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.undanus.core.derived.AirPoints;
import org.undanus.core.derived.Airflow;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.drawing.Frame;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Requirement;
import org.undanus.core.quantity.PressureDifference;
import org.undanus.core.quantity.VolumeFlow;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/** The static pressure on its way through the system, from room to room: each part's drop with its verdict. */
final class StaticFigure {
    /** A pressure that was read, at its place along the way. */
    private record Station(double along, Point point) {}

    /** What lies between two places, with what is judged of it. */
    private record Part(String title, double from, double to, Optional<Requirement> judged) {}

    private static final List<Station> STATIONS = List.of(
            new Station(1, AirPoints.STATIC_RETURN),
            new Station(2, AirPoints.STATIC_FILTERED),
            new Station(3, AirPoints.STATIC_COIL),
            new Station(4, AirPoints.STATIC_SUPPLY));
    private static final List<Part> PARTS = List.of(
            new Part("return", 0, 1, Optional.of(StaticPressure.RETURN)),
            new Part("filter", 1, 2, Optional.of(StaticPressure.FILTER)),
            new Part("coil", 2, 3, Optional.of(StaticPressure.COIL)),
            new Part("fan", 3, 4, Optional.empty()),
            new Part("supply", 4, 5, Optional.of(StaticPressure.SUPPLY)));
    private static final double ROOM = 0.22;
    private static final double LEAST_SPAN = 60;

    private StaticFigure() {}

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return facts.subjects(Scope.DUCT_SYSTEM).stream()
                .map(ducts -> drawing(
                        Examination.of(facts, evidence, rules, StaticPressure.EXTERNAL.about(), ducts),
                        ducts,
                        judgements))
                .toList();
    }

    private static Drawing drawing(Examination x, Subject ducts, Judgements judgements) {
        List<Double> known = new ArrayList<>(List.of(0.0));
        STATIONS.forEach(station -> x.number(station.point).ifPresent(known::add));
        double low = known.stream().min(Double::compare).orElse(0.0);
        double high = known.stream().max(Double::compare).orElse(0.0);
        double span = Math.max(LEAST_SPAN, high - low);
        double bottom = low - ROOM * span;
        double top = Math.max(high, low + span) + ROOM * span;
        Drawing.Builder drawing = Drawing.of(
                        Text.of(
                                "Static pressure, {indoor}",
                                x.indoor().map(unit -> unit.title()).orElse(ducts.title())),
                        Frame.stretched(-0.3, bottom, 5.3, top))
                .line(Role.GRID, Place.of(0, 0), Place.of(5, 0))
                .words(Text.of("room"), Place.of(0, 0), Weight.QUIET, Side.ABOVE, Side.BELOW);
        PARTS.forEach(part -> part(drawing, x, ducts, judgements, part));
        STATIONS.forEach(station -> pressure(drawing, x, ducts, station));
        Meaning external = Meaning.of(judgements, StaticPressure.EXTERNAL.about(), ducts.id());
        Airflow.external(x)
                .ifPresent(total -> drawing.caption(Text.of(
                        "External static pressure {total}: {external}.",
                        PressureDifference.ofPascals(total.value()),
                        Text.lowered(external.said()))));
        x.indoor()
                .flatMap(unit -> Airflow.of(x, unit).agreed())
                .ifPresent(flow -> drawing.caption(Text.of(
                        "Airflow {flow} ± {expanded}.",
                        VolumeFlow.ofCubicMetresPerSecond(flow.value()),
                        VolumeFlow.ofCubicMetresPerSecond(flow.expanded()))));
        return drawing.spoken(Text.of("External static pressure: {external}", external.said()));
    }

    /** The way of the air through one part, and what of the pressure it took. */
    private static void part(Drawing.Builder drawing, Examination x, Subject ducts, Judgements judgements, Part part) {
        Optional<Double> from = at(x, part.from);
        Optional<Double> to = at(x, part.to);
        Meaning meaning = part.judged
                .map(requirement -> Meaning.of(judgements, requirement.about(), ducts.id()))
                .orElse(Meaning.of(new PointKey(AirPoints.STATIC_SUPPLY.id(), ducts.id())));
        if (from.isPresent() && to.isPresent()) {
            drawing.line(Role.CURVE, meaning, Place.of(part.from, from.get()), Place.of(part.to, to.get()));
            drop(from.get(), to.get(), part)
                    .ifPresent(drop -> drawing.words(
                            Text.of("{title} {drop}", part.title, drop),
                            Place.of((part.from + part.to) / 2, (from.get() + to.get()) / 2),
                            Weight.PLAIN,
                            meaning,
                            Side.ABOVE,
                            Side.BELOW));
        } else {
            drawing.aside(
                    Text.of("{title}: not read", part.title),
                    Place.of((part.from + part.to) / 2, 0),
                    meaning,
                    Side.BELOW);
        }
    }

    private static void pressure(Drawing.Builder drawing, Examination x, Subject ducts, Station station) {
        PointKey key = new PointKey(station.point.id(), ducts.id());
        x.number(station.point).ifPresent(pressure -> drawing.dot(Role.READ, Place.of(station.along, pressure), key)
                .aside(
                        Text.of("{pressure}", PressureDifference.ofPascals(pressure)),
                        Place.of(station.along, pressure),
                        Meaning.of(key),
                        Side.BELOW,
                        Side.RIGHT));
    }

    private static Optional<PressureDifference> drop(double from, double to, Part part) {
        return part.judged.isEmpty()
                ? Optional.empty()
                : Optional.of(PressureDifference.ofPascals(Math.abs(from - to)));
    }

    /** The room at both ends; between, what was read. */
    private static Optional<Double> at(Examination x, double along) {
        if (along == 0 || along == 5) {
            return Optional.of(0.0);
        }
        return STATIONS.stream()
                .filter(station -> station.along == along)
                .findFirst()
                .flatMap(station -> x.number(station.point));
    }
}
