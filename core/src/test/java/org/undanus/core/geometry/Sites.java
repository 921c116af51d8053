package org.undanus.core.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.undanus.core.evidence.Grade;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.quantity.Length;

/** Site drawings put together for tests. Metres. */
public final class Sites {
    public static final DataSheet.Size CABINET =
            new DataSheet.Size(Length.ofMetres(0.8), Length.ofMetres(0.3), Length.ofMetres(0.6));

    private final List<SitePlan.Feature> features = new ArrayList<>();
    private final List<SitePlan.PlacedUnit> units = new ArrayList<>();
    private final List<SitePlan.WallView> walls = new ArrayList<>();
    private Optional<Double> accuracy = Optional.of(0.01);

    public Sites rectangle(String id, SitePlan.Kind kind, double x, double y, double width, double height) {
        return polygon(id, kind, 0, 3, x, y, x + width, y, x + width, y + height, x, y + height);
    }

    /** The last feature by a title. */
    public Sites called(String title) {
        SitePlan.Feature last = features.remove(features.size() - 1);
        features.add(new SitePlan.Feature(
                last.id(), last.kind(), title, last.outline(), last.closed(), last.bottom(), last.top()));
        return this;
    }

    public Sites polygon(String id, SitePlan.Kind kind, double bottom, double top, double... xy) {
        features.add(new SitePlan.Feature(id, kind, "", vertices(xy), true, bottom, top));
        return this;
    }

    public Sites line(String id, SitePlan.Kind kind, double... xy) {
        features.add(new SitePlan.Feature(id, kind, "", vertices(xy), false, 0, 2));
        return this;
    }

    private static List<SitePlan.Vertex> vertices(double... xy) {
        List<SitePlan.Vertex> vertices = new ArrayList<>();
        for (int i = 0; i < xy.length; i += 2) {
            vertices.add(new SitePlan.Vertex(xy[i], xy[i + 1]));
        }
        return vertices;
    }

    public Sites unit(String id, double x, double y, double facing) {
        return unit(id, x, y, facing, 0.1);
    }

    public Sites unit(String id, double x, double y, double facing, double base) {
        units.add(new SitePlan.PlacedUnit(id, x, y, facing, base, Optional.of(CABINET)));
        return this;
    }

    public Sites wall(SitePlan.WallView wall) {
        walls.add(wall);
        return this;
    }

    public Sites accuracy(Double metres) {
        accuracy = Optional.ofNullable(metres);
        return this;
    }

    public SitePlan plan() {
        return new SitePlan(features, units, walls, Grade.WITNESSED, accuracy);
    }

    public PlanGeometry geometry() {
        return new PlanGeometry(plan(), Map.of());
    }
}
