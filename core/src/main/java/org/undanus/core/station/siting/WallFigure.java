package org.undanus.core.station.siting;

import java.util.List;
import java.util.Optional;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.drawing.Element.Side;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.drawing.Frame;
import org.undanus.core.drawing.Meaning;
import org.undanus.core.drawing.Place;
import org.undanus.core.drawing.Role;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.geometry.WallGeometry;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.Face;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Length;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/** The wall an indoor unit hangs on, as seen from the room and to scale: the unit, what hangs beside it, and the room between. */
public final class WallFigure {
    /** What the unit is called among the drawn things of its wall. */
    public static final String UNIT = "unit";

    private static final double MARGIN = 0.25;

    private final SitedUnit unit;
    private final SitePlan.WallView wall;
    private final DataSheet.Size size;
    private final double right;
    private final double top;

    private WallFigure(SitedUnit unit, SitePlan.WallView wall) {
        this.unit = unit;
        this.wall = wall;
        this.size = unit.sized() ? unit.size() : wall.size().orElse(unit.size());
        this.right = wall.left() + size.width().si();
        this.top = wall.underside() + size.height().si();
    }

    static List<Drawing> draw(Case facts, Evidence evidence, RuleBook rules, Judgements judgements) {
        return SitedUnit.all(facts, evidence, judgements).stream()
                .flatMap(unit -> of(facts, unit).stream())
                .toList();
    }

    /** A unit's wall, where one has been drawn. */
    public static Optional<Drawing> of(Case facts, SitedUnit unit) {
        return facts.plan().flatMap(plan -> plan.wall(unit.component().id())).map(wall -> new WallFigure(unit, wall)
                .drawing());
    }

    /** What a thing on the wall is called among the drawn ones. */
    public static String item(int index) {
        return "item-" + index;
    }

    private Drawing drawing() {
        Drawing.Builder drawing = Drawing.of(
                        unit.component().title(),
                        Frame.toScale(-MARGIN, -MARGIN / 2, wall.width() + MARGIN, wall.ceiling() + MARGIN / 2))
                .box(Role.OUTLINE, 0, 0, wall.width(), wall.ceiling())
                .line(Role.WALL, Place.of(-MARGIN, 0), Place.of(wall.width() + MARGIN, 0));
        for (int i = 0; i < wall.items().size(); i++) {
            SitePlan.WallItem item = wall.items().get(i);
            drawing.box(
                    Role.WALL,
                    Meaning.ofThing(item(i)),
                    item.x(),
                    item.y(),
                    item.x() + item.width(),
                    item.y() + item.height());
        }
        Meaning meaning = Meaning.of(worst()).ofDrawn(UNIT);
        drawing.box(Role.CABINET, meaning, wall.left(), wall.underside(), right, top);
        WallGeometry geometry = new WallGeometry(wall, size);
        Place middle = Place.of((wall.left() + right) / 2, (wall.underside() + top) / 2);
        side(drawing, geometry, Face.LEFT, Place.of(wall.left(), middle.y()), -1, 0);
        side(drawing, geometry, Face.RIGHT, Place.of(right, middle.y()), 1, 0);
        side(drawing, geometry, Face.ABOVE, Place.of(middle.x(), top), 0, 1);
        if (wall.underside() > 0) {
            drawing.dimension(
                    Place.of(middle.x(), wall.underside()),
                    Place.of(middle.x(), 0),
                    Text.of("{underside} over the floor", Length.ofMetres(wall.underside())),
                    unit.height().map(SitedUnit.Side::meaning).orElse(meaning));
        }
        for (int i = 0; i < wall.items().size(); i++) {
            SitePlan.WallItem item = wall.items().get(i);
            drawing.words(
                    Text.plain(item.title().isBlank() ? item.kind().title() : item.title()),
                    Place.of(item.x() + item.width() / 2, item.y() + item.height() / 2),
                    Weight.QUIET,
                    Meaning.ofThing(item(i)),
                    Side.CENTRE);
        }
        return drawing.spoken(Text.of(
                "On a wall {width} wide and {ceiling} high: {left} from its left corner, {underside} over the floor. {worst}",
                Length.ofMetres(wall.width()),
                Length.ofMetres(wall.ceiling()),
                Length.ofMetres(wall.left()),
                Length.ofMetres(wall.underside()),
                worst().title()));
    }

    private void side(Drawing.Builder drawing, WallGeometry geometry, Face face, Place from, int dx, int dy) {
        geometry.clear(face)
                .filter(d -> d.metres() > 0)
                .ifPresent(d -> drawing.dimension(
                        from,
                        from.plus(dx * d.metres(), dy * d.metres()),
                        Text.of("{metres}", Length.ofMetres(d.metres())),
                        unit.side(face.key()).map(SitedUnit.Side::meaning).orElse(Meaning.of(Verdict.NOT_SHOWN))));
    }

    private Verdict worst() {
        return unit.sides().stream()
                .map(SitedUnit.Side::verdict)
                .filter(Verdict::open)
                .reduce(Verdict.MEETS, Verdict::or);
    }
}
