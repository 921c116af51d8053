package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Site drawings over HTTP: tried, kept, refused, taken out. */
class SiteDrawingTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private final Client inspector = SERVER.signedIn("inspector");
    private final String boathouse = inspector.installation("LH-12");
    private final String path = "/api/installations/" + boathouse + "/site-plan";

    private static Map<String, Object> rectangle(String id, String kind, double x, double y, double w, double h) {
        return feature(
                id,
                "Polygon",
                List.of(List.of(
                        List.of(x, y), List.of(x + w, y), List.of(x + w, y + h), List.of(x, y + h), List.of(x, y))),
                Map.of("kind", kind, "bottom", 0, "top", 2.5));
    }

    private static Map<String, Object> feature(
            String id, String type, Object coordinates, Map<String, Object> properties) {
        return Map.of(
                "type",
                "Feature",
                "id",
                id,
                "geometry",
                Map.of("type", type, "coordinates", coordinates),
                "properties",
                properties);
    }

    private static Map<String, Object> unit(double x, double y) {
        return feature("outdoor-1", "Point", List.of(x, y), Map.of("kind", "unit", "facing", 270, "base", 0.9));
    }

    private static Map<String, Object> plan(Object... features) {
        Map<String, Object> plan = new LinkedHashMap<>();
        plan.put("type", "FeatureCollection");
        plan.put(
                "undanus",
                Map.of("format", "undanus-site-plan/1", "grade", "witnessed", "accuracy", 0.01, "walls", List.of()));
        plan.put("features", List.of(features));
        return plan;
    }

    private static JsonNode verdict(JsonNode trial, String key) {
        return StreamSupport.stream(trial.path("judgements").spliterator(), false)
                .filter(j -> j.path("key").asString().equals(key))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void tryingJudgesAndKeepsNothing() {
        JsonNode before = inspector.get(path).expect(200).json();
        String almshouse = "/api/installations/" + inspector.installation("LH-31") + "/site-plan";
        JsonNode trial = inspector
                .post(
                        almshouse + "/trial",
                        plan(
                                rectangle("yard", "area", 0, 0, 8, 3),
                                rectangle("house", "wall", 0, 3, 8, 0.3),
                                unit(4, 2.8)))
                .expect(200)
                .json();
        assertThat(verdict(trial, "siting.opening-distance@outdoor-1")
                        .path("verdict")
                        .asString())
                .isEqualTo("MEETS");
        assertThat(trial.at("/cure/moves")).hasSize(1);
        assertThat(inspector
                        .post(
                                almshouse + "/trial?units=SI&chosen=outdoor-1",
                                plan(rectangle("house", "wall", 0, 3, 8, 0.3), unit(4, 2.5)))
                        .expect(200)
                        .json()
                        .at("/near/0")
                        .toString())
                .contains("the wall", " mm");
        assertThat(trial.at("/cure/sentence").asString())
                .contains("Outdoor unit")
                .contains("away from the wall");
        assertThat(trial.at("/figure/pieces").toString())
                .contains("siting.outdoor-clearance-back@outdoor-1", "\"thing\":\"house\"");
        assertThat(inspector.get(path).json()).isEqualTo(before);
    }

    @Test
    void aDrawingIsKeptOnceAndTheSecondPersonIsTold() {
        String id = inspector.installation("LH-40");
        String own = "/api/installations/" + id + "/site-plan";
        assertThat(inspector.get(own).json().path("version").asInt()).isZero();
        Map<String, Object> drawn = plan(rectangle("house", "wall", 0, 3, 8, 0.3), unit(4, 2.5));
        assertThat(inspector
                        .put(own + "?basedOn=0", drawn)
                        .expect(200)
                        .json()
                        .path("version")
                        .asInt())
                .isEqualTo(1);
        assertThat(inspector.put(own + "?basedOn=0", drawn).expect(409).detail())
                .contains("choose which one stands");
        JsonNode judgement = inspector.judgement(id, "siting", "siting.outdoor-clearance-back@outdoor-1");
        assertThat(judgement.path("derivation").toString()).contains("the tape goes before it");
        // taped at 180 mm, drawn at 350 mm
        JsonNode there =
                inspector.post(own + "/trial?units=SI", drawn).expect(200).json();
        assertThat(verdict(there, "siting.outdoor-clearance-back@outdoor-1")
                        .path("drawn")
                        .asString())
                .endsWith("more than taped");
        JsonNode moved = inspector
                .post(own + "/trial?units=SI", plan(rectangle("house", "wall", 0, 3, 8, 0.3), unit(4, 2.83)))
                .expect(200)
                .json();
        JsonNode back = verdict(moved, "siting.outdoor-clearance-back@outdoor-1");
        assertThat(back.path("verdict").asString()).isEqualTo("FAILS");
        assertThat(back.path("before").asString()).isEqualTo("MEETS");
        assertThat(back.has("drawn")).isFalse();
        inspector.get(own + ".geojson").expect(200);
        String svg = inspector.get(own + ".svg").expect(200).text();
        assertThat(svg).startsWith("<svg").contains("polygon").contains("Outdoor unit");
    }

    @Test
    void whatIsTakenOutIsTakenInAgain() {
        String geoJson = inspector.get(path + ".geojson").expect(200).text();
        JsonNode kept = inspector.get(path).json();
        JsonNode again = new JsonMapper().readTree(geoJson);
        assertThat(again).isEqualTo(kept.path("plan"));
        inspector.send("POST", path + "/trial", geoJson, "application/json").expect(200);
    }

    @Test
    void whatCannotBeADrawingIsSaidAndNothingIsKept() {
        JsonNode before = inspector.get(path).json();
        int version = before.path("version").asInt();
        Map<String, Object> degrees = plan(unit(4, 2.5));
        degrees.remove("undanus");
        refused(version, degrees, "degrees of longitude");
        Map<String, Object> other = plan(unit(4, 2.5));
        other.put("type", "Topology");
        refused(version, other, "FeatureCollection");
        Map<String, Object> named = plan(unit(4, 2.5));
        named.put("crs", Map.of("type", "name"));
        refused(version, named, "local metres");
        refused(
                version,
                plan(feature(
                        "bow",
                        "Polygon",
                        List.of(List.of(List.of(0, 0), List.of(1, 1), List.of(1, 0), List.of(0, 1), List.of(0, 0))),
                        Map.of("kind", "wall"))),
                "bow crosses itself");
        refused(version, plan(rectangle("house", "wall", 0, 2, 8, 1), unit(4, 2.5)), "overlaps house");
        refused(version, plan(rectangle("flat", "wall", 0, 2, 8, 0), unit(4, 1)), "flat");
        refused(version, plan(rectangle("far", "wall", 700, 2, 8, 1)), "local metres");
        refused(version, plan(rectangle("odd", "volcano", 0, 2, 8, 1)), "volcano");
        refused(version, plan(feature("indoor-7", "Point", List.of(1, 1), Map.of("kind", "unit"))), "no unit indoor-7");
        refused(
                version,
                plan(feature(
                        "open",
                        "Polygon",
                        List.of(List.of(List.of(0, 0), List.of(1, 1), List.of(1, 0), List.of(0, 1))),
                        Map.of("kind", "wall"))),
                "ends where it began");
        assertThat(inspector.get(path).json()).isEqualTo(before);
    }

    private void refused(int version, Map<String, Object> drawn, String words) {
        assertThat(inspector
                        .put(path + "?basedOn=" + version, drawn)
                        .expect(422)
                        .detail())
                .contains(words);
    }

    @Test
    void crewsLookButDoNotDraw() {
        Client crew = SERVER.signedIn("threeways");
        crew.get(path).expect(200);
        crew.put(path + "?basedOn=1", plan(unit(4, 1))).expect(403);
        SERVER.signedIn("dunmarrow").get(path).expect(404);
        SERVER.signedIn("dunmarrow").post(path + "/trial", plan()).expect(404);
        SERVER.signedIn("dunmarrow").get(path + ".svg").expect(404);
    }

    @Test
    void lengthsAreTypedInAnyNotation() {
        assertThat(inspector
                        .get("/api/length?typed=" + Client.encoded("3' 4-1/2\""))
                        .json()
                        .path("metres")
                        .asDouble())
                .isCloseTo(1.0287, within(1e-9));
        assertThat(inspector.get("/api/length?typed=3+psig").expect(422).detail())
                .contains("psig");
    }
}
