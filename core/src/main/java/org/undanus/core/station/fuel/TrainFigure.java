package org.undanus.core.station.fuel;

import static org.undanus.core.station.fuel.FuelPoints.TRAIN;

import java.util.List;
import org.undanus.core.derived.notation.GasTrain;
import org.undanus.core.derived.notation.GasTrain.Part;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.drawing.Frame;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/** The gas pipe part by part with the flow, each a thing that can be taken in hand. */
final class TrainFigure {
    private static final double STEP = 1.4;
    private static final double HIGH = 2.4;
    private static final double LINE = 1.3;

    private TrainFigure() {}

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return facts.subjects(Scope.FUEL_UNIT).stream()
                .map(unit ->
                        drawing(Examination.of(facts, evidence, rules, GasPipe.ORDER.about(), unit), unit, judgements))
                .toList();
    }

    private static Drawing drawing(Examination x, Subject unit, Judgements judgements) {
        List<Part> parts = x.listed(TRAIN, GasTrain.class).map(GasTrain::parts).orElse(List.of());
        PointKey line = new PointKey(TRAIN.id(), unit.id());
        Meaning order = Meaning.of(judgements, GasPipe.ORDER.about(), unit.id());
        double wide = STEP * (Math.max(4, parts.size()) + 1);
        Drawing.Builder drawing = Drawing.of(Text.of("Gas pipe, {unit}", unit.title()), Frame.toScale(0, 0, wide, HIGH))
                .line(Role.RUN, order.on(line), Place.of(0.1, LINE), Place.of(wide - 0.1, LINE));
        if (parts.isEmpty()) {
            drawing.words(
                    Text.of("not read yet"),
                    Place.of(wide / 2, LINE),
                    Weight.QUIET,
                    Meaning.of(line).ofDrawn("0"),
                    Side.ABOVE);
        }
        for (int i = 0; i < parts.size(); i++) {
            part(
                    drawing,
                    parts.get(i),
                    Place.of(STEP * (i + 1), LINE),
                    order.on(line).ofDrawn(Integer.toString(i)));
        }
        return drawing.caption(Text.of("Gas flows from left to right."))
                .spoken(Text.of("{parts} parts; order: {order}", parts.size(), order.said()));
    }

    private static void part(Drawing.Builder drawing, Part part, Place at, Meaning own) {
        switch (part) {
            case VALVE ->
                drawing.area(
                        Role.BODY,
                        own,
                        at.plus(-0.3, 0.25),
                        at.plus(0.3, -0.25),
                        at.plus(0.3, 0.25),
                        at.plus(-0.3, -0.25));
            case UNION -> drawing.box(Role.BODY, own, at.x() - 0.12, at.y() - 0.3, at.x() + 0.12, at.y() + 0.3);
            case DRIP_LEG ->
                drawing.line(Role.RUN, own, at, at.plus(0, -0.8), at.plus(0.12, -0.8), at.plus(-0.12, -0.8));
            case CONNECTOR ->
                drawing.line(
                        Role.CURVE,
                        own,
                        at.plus(-0.5, 0),
                        at.plus(-0.3, 0.2),
                        at.plus(-0.1, -0.2),
                        at.plus(0.1, 0.2),
                        at.plus(0.3, -0.2),
                        at.plus(0.5, 0));
            case CABINET -> drawing.box(Role.WALL, own, at.x() - 0.06, 0.2, at.x() + 0.06, HIGH - 0.3);
            case CONTROL -> drawing.box(Role.CABINET, own, at.x() - 0.4, at.y() - 0.4, at.x() + 0.4, at.y() + 0.4);
            case PIPE -> drawing.line(Role.RUN, own, at.plus(-0.4, 0), at.plus(0.4, 0));
        }
        drawing.words(Text.of("{part}", part.title()), at.plus(0, 0.45), Weight.PLAIN, own, Side.ABOVE, Side.BELOW);
    }
}
