package org.undanus.server.siteplan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.undanus.core.evidence.Grade;
import org.undanus.core.installation.DataSheet;
import org.undanus.core.installation.SitePlan;
import org.undanus.core.quantity.Length;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.server.problem.UnsuitableException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Site drawings as GeoJSON (RFC 7946) with positions in local metres, marked so by the member {@code undanus}. Features carry
 * kind, title, bottom and top; outdoor units are points with facing and base; wall elevations stand in the mark.
 */
public final class GeoJson {
    public static final String FORMAT = "undanus-site-plan/1";

    private static final String UNIT = "unit";
    private static final double HUNDREDTH_MILLIMETRE = 1e5;

    private final JsonMapper json;

    public GeoJson(JsonMapper json) {
        this.json = json;
    }

    /**
     * Reads a drawing.
     *
     * @throws UnsuitableException naming the place that cannot be taken
     */
    public SitePlan read(String text) {
        JsonNode root;
        try {
            root = json.readTree(text);
        } catch (JacksonException e) {
            throw new UnsuitableException("plan", Text.of("This is not JSON: {why}.", e.getOriginalMessage()));
        }
        if (!"FeatureCollection".equals(root.path("type").asString(""))) {
            throw new UnsuitableException(
                    "type", "A site drawing is a GeoJSON FeatureCollection; this is something else.");
        }
        JsonNode mark = root.path("undanus");
        if (!FORMAT.equals(mark.path("format").asString(""))) {
            throw new UnsuitableException(
                    "undanus",
                    Text.of(
                            "This GeoJSON does not say that it is a site drawing in local metres ({format}). Common GeoJSON holds degrees of longitude and latitude, which cannot be judged by.",
                            FORMAT));
        }
        if (root.has("crs")) {
            throw new UnsuitableException("crs", "A site drawing has local metres, no other reference system.");
        }
        List<SitePlan.Feature> features = new ArrayList<>();
        List<SitePlan.PlacedUnit> units = new ArrayList<>();
        int index = 0;
        for (JsonNode node : root.path("features")) {
            String where = "features[" + index++ + "]";
            try {
                if (UNIT.equals(node.path("properties").path("kind").asString(""))) {
                    units.add(unit(node, where));
                } else {
                    features.add(feature(node, where));
                }
            } catch (IllegalArgumentException e) {
                throw new UnsuitableException(where, RefusedException.said(e));
            }
        }
        try {
            return new SitePlan(features, units, walls(mark), grade(mark), optional(mark, "accuracy", "undanus"));
        } catch (IllegalArgumentException e) {
            throw new UnsuitableException("plan", RefusedException.said(e));
        }
    }

    private static SitePlan.Feature feature(JsonNode node, String where) {
        JsonNode properties = node.path("properties");
        String key = properties.path("kind").asString("");
        SitePlan.Kind kind = Arrays.stream(SitePlan.Kind.values())
                .filter(k -> k.key().equals(key))
                .findFirst()
                .orElseThrow(() ->
                        new UnsuitableException(where + ".properties.kind", Text.of("\"{key}\" is no kind.", key)));
        JsonNode geometry = node.path("geometry");
        JsonNode coordinates = geometry.path("coordinates");
        String type = geometry.path("type").asString("");
        boolean closed = type.equals("Polygon");
        List<SitePlan.Vertex> outline =
                switch (type) {
                    case "Point" -> List.of(vertex(coordinates, where));
                    case "LineString" -> vertices(coordinates, where);
                    case "Polygon" -> ring(coordinates, where);
                    default ->
                        throw new UnsuitableException(
                                where + ".geometry.type",
                                Text.of("Outlines are Point, LineString or Polygon, not \"{type}\".", type));
                };
        return new SitePlan.Feature(
                node.path("id").asString(""),
                kind,
                properties.path("title").asString(""),
                outline,
                closed,
                optional(properties, "bottom", where).orElse(0.0),
                optional(properties, "top", where).orElse(0.0));
    }

    private static List<SitePlan.Vertex> ring(JsonNode coordinates, String where) {
        if (coordinates.size() != 1) {
            throw new UnsuitableException(where + ".geometry", "An outline has one ring: no holes.");
        }
        List<SitePlan.Vertex> ring = vertices(coordinates.get(0), where);
        if (ring.size() < 4 || !ring.get(0).equals(ring.get(ring.size() - 1))) {
            throw new UnsuitableException(where + ".geometry", "A ring ends where it began.");
        }
        return ring.subList(0, ring.size() - 1);
    }

    private static List<SitePlan.Vertex> vertices(JsonNode positions, String where) {
        List<SitePlan.Vertex> vertices = new ArrayList<>();
        positions.forEach(position -> vertices.add(vertex(position, where)));
        return vertices;
    }

    private static SitePlan.Vertex vertex(JsonNode position, String where) {
        if (!position.isArray()
                || position.size() < 2
                || !position.get(0).isNumber()
                || !position.get(1).isNumber()) {
            throw new UnsuitableException(where + ".geometry", "A position is two numbers, in metres.");
        }
        return new SitePlan.Vertex(position.get(0).asDouble(), position.get(1).asDouble());
    }

    private static SitePlan.PlacedUnit unit(JsonNode node, String where) {
        SitePlan.Vertex at = vertex(node.path("geometry").path("coordinates"), where);
        JsonNode properties = node.path("properties");
        return new SitePlan.PlacedUnit(
                node.path("id").asString(""),
                at.x(),
                at.y(),
                optional(properties, "facing", where).orElse(0.0),
                optional(properties, "base", where).orElse(0.0),
                size(properties, where));
    }

    private static Optional<DataSheet.Size> size(JsonNode node, String where) {
        JsonNode size = node.path("size");
        return size.isObject()
                ? Optional.of(new DataSheet.Size(
                        Length.ofMetres(needed(size, "width", where)),
                        Length.ofMetres(needed(size, "depth", where)),
                        Length.ofMetres(needed(size, "height", where))))
                : Optional.empty();
    }

    private static List<SitePlan.WallView> walls(JsonNode mark) {
        List<SitePlan.WallView> walls = new ArrayList<>();
        int index = 0;
        for (JsonNode node : mark.path("walls")) {
            String where = "undanus.walls[" + index++ + "]";
            List<SitePlan.WallItem> items = new ArrayList<>();
            for (JsonNode item : node.path("items")) {
                String key = item.path("kind").asString("");
                items.add(new SitePlan.WallItem(
                        Arrays.stream(SitePlan.ItemKind.values())
                                .filter(k -> k.key().equals(key))
                                .findFirst()
                                .orElseThrow(
                                        () -> new UnsuitableException(where, Text.of("\"{key}\" is no kind.", key))),
                        item.path("title").asString(""),
                        needed(item, "x", where),
                        needed(item, "y", where),
                        needed(item, "width", where),
                        needed(item, "height", where)));
            }
            walls.add(new SitePlan.WallView(
                    node.path("component").asString(""),
                    needed(node, "width", where),
                    needed(node, "ceiling", where),
                    needed(node, "left", where),
                    needed(node, "underside", where),
                    optional(node, "throw", where),
                    optional(node, "drainOutlet", where),
                    optional(node, "drainExit", where),
                    optional(node, "drainRun", where),
                    items,
                    size(node, where)));
        }
        return walls;
    }

    private static Grade grade(JsonNode mark) {
        String key = mark.path("grade").asString("");
        return Arrays.stream(Grade.values())
                .filter(g -> g.name().toLowerCase(Locale.ROOT).equals(key))
                .findFirst()
                .orElseThrow(() -> new UnsuitableException(
                        "undanus.grade", "The drawing's grade is witnessed, logged, recorded or stated."));
    }

    private static double needed(JsonNode node, String field, String where) {
        return optional(node, field, where)
                .orElseThrow(
                        () -> new UnsuitableException(where + "." + field, Text.of("There is no {field}.", field)));
    }

    private static Optional<Double> optional(JsonNode node, String field, String where) {
        JsonNode value = node.path(field);
        if (value.isMissingNode() || value.isNull()) {
            return Optional.empty();
        }
        if (!value.isNumber()) {
            throw new UnsuitableException(where + "." + field, Text.of("\"{field}\" is a number, in metres.", field));
        }
        return Optional.of(value.asDouble());
    }

    /** Writes a drawing, positions to a hundredth of a millimetre. */
    public String write(SitePlan plan) {
        ObjectNode root = json.createObjectNode();
        root.put("type", "FeatureCollection");
        ObjectNode mark = root.putObject("undanus");
        mark.put("format", FORMAT);
        mark.put("units", "metres");
        mark.put("grade", plan.grade().name().toLowerCase(Locale.ROOT));
        plan.accuracy().ifPresent(accuracy -> mark.put("accuracy", accuracy));
        ArrayNode walls = mark.putArray("walls");
        plan.walls().forEach(wall -> write(wall, walls.addObject()));
        ArrayNode features = root.putArray("features");
        for (SitePlan.Feature feature : plan.features()) {
            ObjectNode node = features.addObject();
            node.put("type", "Feature");
            node.put("id", feature.id());
            ObjectNode geometry = node.putObject("geometry");
            boolean point = feature.outline().size() == 1;
            geometry.put("type", point ? "Point" : feature.closed() ? "Polygon" : "LineString");
            ArrayNode coordinates = geometry.putArray("coordinates");
            if (point) {
                position(
                        coordinates,
                        feature.outline().get(0).x(),
                        feature.outline().get(0).y());
            } else {
                ArrayNode line = feature.closed() ? coordinates.addArray() : coordinates;
                feature.outline().forEach(v -> position(line.addArray(), v.x(), v.y()));
                if (feature.closed()) {
                    SitePlan.Vertex first = feature.outline().get(0);
                    position(line.addArray(), first.x(), first.y());
                }
            }
            ObjectNode properties = node.putObject("properties");
            properties.put("kind", feature.kind().key());
            properties.put("title", feature.title());
            properties.put("bottom", rounded(feature.bottom()));
            properties.put("top", rounded(feature.top()));
        }
        for (SitePlan.PlacedUnit unit : plan.units()) {
            ObjectNode node = features.addObject();
            node.put("type", "Feature");
            node.put("id", unit.component());
            ObjectNode geometry = node.putObject("geometry");
            geometry.put("type", "Point");
            position(geometry.putArray("coordinates"), unit.x(), unit.y());
            ObjectNode properties = node.putObject("properties");
            properties.put("kind", UNIT);
            properties.put("facing", rounded(unit.facing()));
            properties.put("base", rounded(unit.base()));
            unit.size().ifPresent(size -> write(size, properties.putObject("size")));
        }
        return json.writerWithDefaultPrettyPrinter().writeValueAsString(root);
    }

    private static void write(SitePlan.WallView wall, ObjectNode node) {
        node.put("component", wall.component());
        node.put("width", rounded(wall.width()));
        node.put("ceiling", rounded(wall.ceiling()));
        node.put("left", rounded(wall.left()));
        node.put("underside", rounded(wall.underside()));
        wall.throwDistance().ifPresent(v -> node.put("throw", rounded(v)));
        wall.drainOutlet().ifPresent(v -> node.put("drainOutlet", rounded(v)));
        wall.drainExit().ifPresent(v -> node.put("drainExit", rounded(v)));
        wall.drainRun().ifPresent(v -> node.put("drainRun", rounded(v)));
        wall.size().ifPresent(size -> write(size, node.putObject("size")));
        ArrayNode items = node.putArray("items");
        for (SitePlan.WallItem item : wall.items()) {
            ObjectNode each = items.addObject();
            each.put("kind", item.kind().key());
            each.put("title", item.title());
            each.put("x", rounded(item.x()));
            each.put("y", rounded(item.y()));
            each.put("width", rounded(item.width()));
            each.put("height", rounded(item.height()));
        }
    }

    private static void write(DataSheet.Size size, ObjectNode node) {
        node.put("width", rounded(size.width().si()));
        node.put("depth", rounded(size.depth().si()));
        node.put("height", rounded(size.height().si()));
    }

    private static void position(ArrayNode node, double x, double y) {
        node.add(rounded(x));
        node.add(rounded(y));
    }

    private static double rounded(double metres) {
        return Math.round(metres * HUNDREDTH_MILLIMETRE) / HUNDREDTH_MILLIMETRE;
    }
}
