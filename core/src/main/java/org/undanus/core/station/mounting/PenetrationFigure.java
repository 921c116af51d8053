package org.undanus.core.station.mounting;

import java.util.List;
import java.util.Optional;
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
import org.undanus.core.geometry.Bundle;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.quantity.Length;
import org.undanus.core.quantity.Ratio;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/**
 * The drawing of station 4: the bundle packed into the hole, and the hole in section with its fall, inside on the left. The two
 * stand beside each other, each to its own scale; the fall is drawn steeper than it is.
 */
final class PenetrationFigure {
    private static final Frame FRAME = Frame.toScale(0, 0, 640, 200);
    private static final Frame WITHOUT_LIST = Frame.toScale(0, 0, 420, 200);
    private static final Place BUNDLE = Place.of(105, 100);
    private static final double RADIUS = 92;
    private static final double WALL_LEFT = 256;
    private static final double WALL_RIGHT = 372;
    private static final double BORE = 32;
    private static final double STEEPER = 4;
    private static final double MOST_DROP = 40;
    private static final double LIST = 432;
    private static final double ROW = 34;

    private final Examination x;
    private final Component component;
    private final Judgements judgements;

    private PenetrationFigure(Examination x, Component component, Judgements judgements) {
        this.x = x;
        this.component = component;
        this.judgements = judgements;
    }

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return facts.components().stream()
                .filter(Component::split)
                .map(c -> new PenetrationFigure(
                                Examination.of(facts, evidence, rules, new BundleFits().about(), c), c, judgements)
                        .drawing())
                .toList();
    }

    private Drawing drawing() {
        Optional<LineBundle> lines = LineBundle.of(x);
        Optional<Bundle> bundle = lines.map(LineBundle::packed);
        Optional<Double> hole = x.number(MountingPoints.HOLE_DIAMETER);
        Optional<Double> packed = bundle.map(b -> 2 * b.radius());
        Optional<Double> wanted = packed.filter(p -> x.rules().decides(BundleFits.SLACK))
                .map(p -> p * (1 + x.rules().number(BundleFits.SLACK)));
        Meaning fits = meaning(BundleFits.ABOUT).on(key(MountingPoints.HOLE_DIAMETER));
        Meaning drains = meaning(HoleFall.ABOUT);
        Drawing.Builder drawing = Drawing.of(component.title(), FRAME).narrow(WITHOUT_LIST);
        front(drawing, lines, bundle, hole, wanted, fits);
        Optional<Ratio> fall = judgements
                .find(HoleFall.ABOUT, component.id())
                .flatMap(Judgement::comparison)
                .map(c -> Ratio.ofFraction(c.measured().value()));
        section(drawing, fall, drains);
        drawing.aside(Text.of("fits? {verdict}", fits.said()), Place.of(LIST, 170), fits, Side.RIGHT);
        row(drawing, 1, "Hole as drilled", hole);
        row(drawing, 2, "Bundle, packed", packed);
        row(drawing, 3, "Hole to ask for", wanted);
        drawing.aside(Text.of("drains? {verdict}", drains.said()), Place.of(LIST, 170 - 4 * ROW), drains, Side.RIGHT);
        return drawing.spoken(Text.of(
                "Hole {hole}, bundle {bundle}: {fits}. Fall {fall}: {drains}",
                length(hole),
                length(packed),
                fits.said(),
                fall.map(f -> (Object) f).orElse("not read"),
                drains.said()));
    }

    private static void front(
            Drawing.Builder drawing,
            Optional<LineBundle> lines,
            Optional<Bundle> bundle,
            Optional<Double> hole,
            Optional<Double> wanted,
            Meaning fits) {
        double largest = Stream.of(hole, wanted, bundle.map(b -> 2 * b.radius()))
                .flatMap(Optional::stream)
                .max(Double::compare)
                .orElse(1.0);
        double scale = 2 * RADIUS / largest;
        hole.ifPresent(d -> drawing.disc(Role.BODY, fits, BUNDLE, d / 2 * scale));
        wanted.ifPresent(d -> drawing.disc(Role.ASKED, BUNDLE, d / 2 * scale));
        bundle.ifPresent(b -> {
            for (int i = 0; i < b.circles().size(); i++) {
                Bundle.Circle c = b.circles().get(i);
                Place at = BUNDLE.plus(c.x() * scale, c.y() * scale);
                String first = lines.orElseThrow().parts().get(i).title().split("[ ,]")[0];
                drawing.disc(Role.BODY, at, c.radius() * scale).aside(Text.of("{first}", first), at, Side.CENTRE);
            }
        });
    }

    private void section(Drawing.Builder drawing, Optional<Ratio> fall, Meaning drains) {
        double across = WALL_RIGHT - WALL_LEFT;
        double drop = fall.map(f -> Math.max(-MOST_DROP, Math.min(MOST_DROP, f.si() * across * STEEPER)))
                .orElse(0.0);
        double inside = 100 + drop / 2;
        double outside = 100 - drop / 2;
        double middle = (WALL_LEFT + WALL_RIGHT) / 2;
        drawing.box(Role.WALL, WALL_LEFT, 8, WALL_RIGHT, 192)
                .area(
                        Role.BODY,
                        drains,
                        Place.of(WALL_LEFT, inside - BORE / 2),
                        Place.of(WALL_RIGHT, outside - BORE / 2),
                        Place.of(WALL_RIGHT, outside + BORE / 2),
                        Place.of(WALL_LEFT, inside + BORE / 2))
                .words(
                        fall.map(f -> Text.of("fall {fall}", f)).orElse(Text.of("fall not read")),
                        Place.of(middle, 146),
                        Weight.STRONG,
                        drains,
                        Side.CENTRE)
                .aside(Text.of("inside"), Place.of(WALL_LEFT - 24, 100), Side.CENTRE)
                .aside(Text.of("outside"), Place.of(WALL_RIGHT + 28, 100), Side.CENTRE);
        x.number(MountingPoints.WALL_THICKNESS)
                .ifPresent(t -> drawing.words(
                        Text.of("{value}", Length.ofMetres(t)),
                        Place.of(middle, 20),
                        Weight.QUIET,
                        Meaning.of(key(MountingPoints.WALL_THICKNESS)),
                        Side.CENTRE));
    }

    private static void row(Drawing.Builder drawing, int number, String name, Optional<Double> value) {
        Place at = Place.of(LIST, 170 - number * ROW);
        drawing.aside(Text.of("{name} {length}", name, length(value)), at, Side.RIGHT);
    }

    private static Object length(Optional<Double> metres) {
        return metres.map(m -> (Object) Length.ofMetres(m)).orElse("–");
    }

    private PointKey key(Point point) {
        return new PointKey(point.id(), component.id());
    }

    private Meaning meaning(About requirement) {
        return Meaning.of(judgements, requirement, component.id());
    }
}
