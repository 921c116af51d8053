package org.undanus.server.siteplan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.core.evidence.Grade;
import org.undanus.core.installation.SitePlan;
import org.undanus.server.problem.UnsuitableException;
import tools.jackson.databind.json.JsonMapper;

class GeoJsonTest {
    private static final GeoJson GEO_JSON = new GeoJson(new JsonMapper());
    private static final String SITE =
            """
            {"type": "FeatureCollection",
             "undanus": {"format": "undanus-site-plan/1", "grade": "recorded", "accuracy": 0.02,
               "walls": [{"component": "indoor-1", "width": 4.2, "ceiling": 2.7, "left": 1.4, "underside": 2.1, "throw": 4.3,
                 "size": {"width": 0.8, "depth": 0.2, "height": 0.3},
                 "items": [{"kind": "heat-source", "title": "Stove", "x": 0.2, "y": 0, "width": 0.6, "height": 0.9}]}]},
             "features": [
               {"type": "Feature", "id": "house", "geometry": {"type": "Polygon",
                 "coordinates": [[[0, 3], [8, 3], [8, 3.3], [0, 3.3], [0, 3]]]},
                "properties": {"kind": "wall", "title": "House", "bottom": 0, "top": 3.4}},
               {"type": "Feature", "id": "door", "geometry": {"type": "LineString", "coordinates": [[5, 3], [6, 3]]},
                "properties": {"kind": "opening", "title": "Door"}},
               {"type": "Feature", "id": "flue", "geometry": {"type": "Point", "coordinates": [7, 3]},
                "properties": {"kind": "vent"}},
               {"type": "Feature", "id": "outdoor-1", "geometry": {"type": "Point", "coordinates": [2.2, 2.67]},
                "properties": {"kind": "unit", "facing": 270, "base": 0.9}}]}
            """;

    @Test
    void everythingOfADrawingIsRead() {
        SitePlan plan = GEO_JSON.read(SITE);
        assertThat(plan.grade()).isEqualTo(Grade.RECORDED);
        assertThat(plan.accuracy()).contains(0.02);
        assertThat(plan.features()).extracting(SitePlan.Feature::id).containsExactly("house", "door", "flue");
        assertThat(plan.features().get(0).outline()).hasSize(4);
        assertThat(plan.features().get(0).closed()).isTrue();
        assertThat(plan.features().get(1).closed()).isFalse();
        assertThat(plan.unit("outdoor-1").orElseThrow().facing()).isEqualTo(270);
        SitePlan.WallView wall = plan.wall("indoor-1").orElseThrow();
        assertThat(wall.throwDistance()).contains(4.3);
        assertThat(wall.drainRun()).isEmpty();
        assertThat(wall.items().get(0).kind()).isEqualTo(SitePlan.ItemKind.HEAT_SOURCE);
    }

    @Test
    void whatIsWrittenIsReadTheSameAgain() {
        SitePlan plan = GEO_JSON.read(SITE);
        assertThat(GEO_JSON.read(GEO_JSON.write(plan))).isEqualTo(plan);
    }

    @ParameterizedTest(name = "{0} -> {1}")
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "\"FeatureCollection\"|\"Feature\"|type|FeatureCollection",
                "undanus-site-plan/1|undanus-site-plan/9|undanus|degrees",
                "\"grade\": \"recorded\"|\"grade\": \"guessed\"|undanus.grade|witnessed",
                "\"accuracy\": 0.02|\"accuracy\": \"good\"|undanus.accuracy|is a number",
                "\"accuracy\": 0.02|\"accuracy\": -1|plan|more than nothing",
                "\"width\": 4.2,|\"wide\": 4.2,|undanus.walls[0].width|no width",
                "\"width\": 4.2|\"width\": 0|plan|more than nothing",
                "heat-source|dragon|undanus.walls[0]|no kind",
                "\"kind\": \"vent\"|\"kind\": \"volcano\"|features[2].properties.kind|no kind",
                "\"Point\", \"coordinates\": [7, 3]|\"MultiPoint\", \"coordinates\": [7, 3]|features[2].geometry.type|MultiPoint",
                "[7, 3]|[\"seven\", 3]|features[2].geometry|two numbers",
                "[7, 3]|[11.5, 4711]|features[2]|local metres",
                "[0, 3.3], [0, 3]]]|[0, 3.3]]]|features[0].geometry|ends where it began",
                "\"top\": 3.4|\"top\": -1|features[0]|above its top",
                "\"facing\": 270|\"facing\": 360|features[3]|below 360",
                "\"id\": \"door\"|\"id\": \"house\"|plan|share the id house",
                "\"id\": \"door\"|\"id\": \"<b>\"|features[1]|letters, digits",
                "{\"type\": \"FeatureCollection\"|{\"crs\": {}, \"type\": \"FeatureCollection\"|crs|local metres",
            })
    void whatCannotBeTakenIsNamedWithItsPlace(String from, String to, String field, String words) {
        assertThat(SITE).contains(from);
        assertThatThrownBy(() -> GEO_JSON.read(SITE.replace(from, to)))
                .isInstanceOfSatisfying(UnsuitableException.class, e -> {
                    assertThat(e.field()).isEqualTo(field);
                    assertThat(e.getMessage()).contains(words);
                });
    }

    @Test
    void whatIsNoJsonIsSaid() {
        assertThatThrownBy(() -> GEO_JSON.read("{not json")).hasMessageContaining("not JSON");
    }
}
