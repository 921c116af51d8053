package org.undanus.core.station.papers;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
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
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.installation.PlatePoints;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/** Nameplates beside one another, the indoor ones joined to the outdoor one by how they go together. */
final class PlatesFigure {
    /** What the sheet is divided into across; a plate takes a good third of it. */
    private static final double ACROSS = 100;

    private static final double PLATE = 36;
    /** Rows of letters between two plates. */
    private static final double GAP = 0.5;

    private static final double ROW_MIDDLE = 0.5;

    /** What a plate is known by, and what it is paired by: all that several indoor plates have room for. */
    private static final Map<Point, String> ROWS = rows();

    private static final List<Point> PAIRED = List.of(PlatePoints.MODEL, PlatePoints.REFRIGERANT);
    private static final List<About> LINKS = List.of(ListedPair.ABOUT, SameRefrigerant.ABOUT);

    private static Map<Point, String> rows() {
        Map<Point, String> rows = new LinkedHashMap<>();
        rows.put(PlatePoints.MAKER, "Maker");
        rows.put(PlatePoints.MODEL, "Model");
        rows.put(PlatePoints.REFRIGERANT, "Refrigerant");
        rows.put(PlatePoints.MANUFACTURED, "Made");
        rows.put(PlatePoints.MINIMUM_CIRCUIT_AMPACITY, "MCA");
        rows.put(PlatePoints.MAXIMUM_OVERCURRENT_DEVICE, "MOCP");
        return Collections.unmodifiableMap(rows);
    }

    private final List<Component> outdoor;
    private final List<Component> indoor;
    private final Evidence evidence;
    private final Judgements judgements;

    private PlatesFigure(Case facts, Evidence evidence, Judgements judgements) {
        this.outdoor = facts.components().stream().filter(Component::outdoor).toList();
        this.indoor = facts.components().stream()
                .filter(c -> c.within(Scope.INDOOR_UNIT))
                .toList();
        this.evidence = evidence;
        this.judgements = judgements;
    }

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return List.of(new PlatesFigure(facts, evidence, judgements).drawing());
    }

    private Drawing drawing() {
        double left = outdoor.stream().mapToDouble(this::height).sum() + GAP * (outdoor.size() + 1);
        double right = indoor.stream().mapToDouble(this::pairedHeight).sum() + GAP * (indoor.size() + 1);
        double rows = Math.max(left, right);
        Drawing.Builder wide = Drawing.of("Plates", Frame.rows(ACROSS, rows));
        double middle = rows / 2;
        double top = middle + left / 2 - GAP;
        for (Component unit : outdoor) {
            top = plate(wide, unit, 0, PLATE, top) - GAP;
        }
        top = middle + right / 2 - GAP;
        for (Component unit : indoor) {
            double spare = (pairedHeight(unit) - height(unit)) / 2;
            double at = top - pairedHeight(unit) / 2;
            links(wide, unit, PLATE, ACROSS - PLATE, at);
            top = plate(wide, unit, ACROSS - PLATE, ACROSS, top - spare) - spare - GAP;
        }
        return wide.narrow(stacked()).spoken(spoken());
    }

    private Drawing stacked() {
        List<Component> all = Stream.concat(outdoor.stream(), indoor.stream()).toList();
        double rows = all.stream().mapToDouble(this::height).sum()
                + indoor.stream().mapToDouble(unit -> judged(unit).size()).sum()
                + GAP * (all.size() + indoor.size() + 1);
        Drawing.Builder narrow = Drawing.of("Plates", Frame.rows(ACROSS, rows));
        double top = rows - GAP;
        for (Component unit : all) {
            for (Judgement link : judged(unit)) {
                link(narrow, link, 0, top - ROW_MIDDLE, Side.RIGHT);
                top -= 1;
            }
            top = plate(narrow, unit, 0, ACROSS, top - (judged(unit).isEmpty() ? 0 : GAP)) - GAP;
        }
        return narrow.spoken(spoken());
    }

    private List<Point> shown(Component unit) {
        return ROWS.keySet().stream()
                .filter(point -> unit.within(point.scope()))
                .filter(point -> unit.outdoor() || indoor.size() == 1 || PAIRED.contains(point))
                .toList();
    }

    private double height(Component unit) {
        return shown(unit).size() + 1.4;
    }

    private double pairedHeight(Component unit) {
        return Math.max(height(unit), judged(unit).size() + 1.5);
    }

    private List<Judgement> judged(Component unit) {
        return unit.outdoor()
                ? List.of()
                : LINKS.stream()
                        .flatMap(link -> judgements.find(link, unit.id()).stream())
                        .toList();
    }

    /** @return where it ends below */
    private double plate(Drawing.Builder drawing, Component unit, double from, double to, double top) {
        double bottom = top - height(unit);
        drawing.box(Role.BODY, from, bottom, to, top);
        double row = top - 0.7;
        drawing.words(Text.plain(unit.title()), Place.of(from, row), Weight.STRONG, Side.RIGHT);
        for (Point point : shown(unit)) {
            row -= 1;
            PointKey line = new PointKey(point.id(), unit.id());
            drawing.words(Text.plain(ROWS.get(point)), Place.of(from, row), Weight.QUIET, Side.RIGHT)
                    .words(
                            Text.plain(evidence.latest(line).map(Reading::typed).orElse("–")),
                            Place.of(to, row),
                            Weight.PLAIN,
                            Meaning.of(line),
                            Side.LEFT);
        }
        return bottom;
    }

    /** The line set that joins the plates, with what was found of it; none where a unit is joined to nothing. */
    private void links(Drawing.Builder drawing, Component unit, double from, double to, double at) {
        List<Judgement> links = judged(unit);
        if (links.isEmpty()) {
            return;
        }
        for (int i = 0; i < links.size(); i++) {
            link(drawing, links.get(i), (from + to) / 2, at + (i == 0 ? 0.6 : -0.6 - (i - 1)), Side.CENTRE);
        }
        drawing.line(Role.RUN, Place.of(from, at), Place.of(to, at));
    }

    private static void link(Drawing.Builder drawing, Judgement judgement, double x, double y, Side side) {
        drawing.words(
                Text.of(
                        "{judgement}: {verdict}",
                        judgement.about().title(),
                        judgement.verdict().title()),
                Place.of(x, y),
                Weight.STRONG,
                Meaning.of(judgement),
                side);
    }

    private Text spoken() {
        List<Text> said = new ArrayList<>();
        for (Component unit : indoor) {
            for (Judgement link : judged(unit)) {
                said.add(Text.of(
                        "{unit}, {requirement}: {verdict}",
                        unit.title(),
                        link.about().title(),
                        link.verdict().title()));
            }
        }
        return Text.series(said);
    }
}
