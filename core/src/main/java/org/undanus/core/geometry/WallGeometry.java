package org.undanus.core.geometry;

import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.Face;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.words.Text;

/** An indoor unit on its wall, as seen from the room: what hangs how far from it. Metres. */
public final class WallGeometry {

    /** @param to what the distance leads to */
    public record Distance(double metres, String to) {}

    private record Box(double left, double bottom, double right, double top) {
        boolean beside(Box other) {
            return bottom < other.top && top > other.bottom;
        }

        boolean inColumn(Box other) {
            return left < other.right && right > other.left;
        }
    }

    private final SitePlan.WallView wall;
    private final Box unit;

    public WallGeometry(SitePlan.WallView wall, DataSheet.Size size) {
        this.wall = wall;
        this.unit = new Box(
                wall.left(),
                wall.underside(),
                wall.left() + size.width().si(),
                wall.underside() + size.height().si());
    }

    /** What of the drawing cannot be: the unit reaching out of its wall or into something on it; empty where all is well. */
    public Optional<Text> overlap() {
        if (unit.left < 0 || unit.bottom < 0 || unit.right > wall.width() || unit.top > wall.ceiling()) {
            return Optional.of(Text.of("{wall} reaches beyond its wall.", wall.component()));
        }
        return wall.items().stream()
                .filter(item -> box(item).beside(unit) && box(item).inColumn(unit))
                .map(item -> Text.of("{wall} hangs in {item}.", wall.component(), item.title()))
                .findFirst();
    }

    /** Free room on one side of the cabinet; below, empty where only the floor is there. */
    public Optional<Distance> clear(Face face) {
        Stream<Distance> items = wall.items().stream()
                .filter(item -> face == Face.LEFT || face == Face.RIGHT
                        ? box(item).beside(unit)
                        : box(item).inColumn(unit))
                .map(item -> new Distance(gap(face, box(item)), item.title()))
                .filter(distance -> distance.metres >= 0);
        Stream<Distance> edge =
                switch (face) {
                    case LEFT -> Stream.of(new Distance(unit.left, "the corner"));
                    case RIGHT -> Stream.of(new Distance(wall.width() - unit.right, "the corner"));
                    case ABOVE -> Stream.of(new Distance(wall.ceiling() - unit.top, "the ceiling"));
                    case BELOW -> Stream.empty();
                    default -> throw new IllegalArgumentException(face + " is not a side seen on a wall");
                };
        return Stream.concat(items, edge).min(Comparator.comparingDouble(Distance::metres));
    }

    private double gap(Face face, Box item) {
        return switch (face) {
            case LEFT -> unit.left - item.right;
            case RIGHT -> item.left - unit.right;
            case ABOVE -> item.bottom - unit.top;
            default -> unit.bottom - item.top;
        };
    }

    /** The shortest way on the wall from the cabinet to the nearest item of a kind; empty where none is drawn. */
    public Optional<Distance> nearest(SitePlan.ItemKind kind) {
        return wall.items().stream()
                .filter(item -> item.kind() == kind)
                .map(item -> {
                    Box b = box(item);
                    double across = Math.max(0, Math.max(b.left - unit.right, unit.left - b.right));
                    double up = Math.max(0, Math.max(b.bottom - unit.top, unit.bottom - b.top));
                    return new Distance(Math.hypot(across, up), item.title());
                })
                .min(Comparator.comparingDouble(Distance::metres));
    }

    private static Box box(SitePlan.WallItem item) {
        return new Box(item.x(), item.y(), item.x() + item.width(), item.y() + item.height());
    }
}
