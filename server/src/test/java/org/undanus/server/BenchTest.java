package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Curves looked at closely. */
class BenchTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private final Client inspector = SERVER.signedIn("inspector");

    private static String curves(String installation, String station) {
        return "/api/installations/" + installation + "/stations/" + station + "/curves";
    }

    private static long words(JsonNode chart, String text) {
        return chart.at("/figure/pieces")
                .valueStream()
                .filter(piece -> piece.path("text").asString().contains(text))
                .count();
    }

    @Test
    void aCurveIsSeenWholeAndInPart() {
        String id = inspector.installation("LH-12");
        assertThat(inspector.get(curves(id, "evacuation")).expect(200).json())
                .extracting(each -> each.path("component").asString())
                .contains("line-set-indoor-1", "line-set-indoor-2", "line-set-indoor-3");
        String curve = curves(id, "evacuation") + "/line-set-indoor-1";
        JsonNode whole = inspector.get(curve).expect(200).json();
        double lasting = whole.path("lasting").asDouble();
        assertThat(whole.path("until").asDouble()).isEqualTo(lasting);
        assertThat(whole.path("sentence").asString()).isNotEmpty();

        JsonNode part = inspector
                .get(curve + "?from=" + lasting / 2 + "&until=" + lasting * 2 + "&units=SI&cursor=0.5")
                .expect(200)
                .json();
        assertThat(part.path("from").asDouble()).isEqualTo(lasting / 2);
        assertThat(part.path("until").asDouble()).as("no farther than its end").isEqualTo(lasting);
        assertThat(words(part, " at ")).as("what the cursor stands on").isGreaterThan(words(whole, " at "));
        assertThat(part.at("/figure/pieces")).isNotEqualTo(whole.at("/figure/pieces"));

        JsonNode two =
                inspector.get(curve + "?beside=line-set-indoor-2").expect(200).json();
        assertThat(two.at("/figure/pieces").size())
                .isGreaterThan(whole.at("/figure/pieces").size());
        assertThat(inspector
                        .get(curve + "?options=EVEN_SCALE&units=SI")
                        .expect(200)
                        .json()
                        .at("/figure/pieces"))
                .as("another scale")
                .isNotEqualTo(
                        inspector.get(curve + "?units=SI").expect(200).json().at("/figure/pieces"));
        assertThat(whole.path("options")).extracting(JsonNode::asString).contains("EVEN_SCALE", "OTHER_SCHOOLS");
        assertThat(words(whole, "strict reached")).isZero();
        assertThat(words(
                        inspector
                                .get(curve + "?options=OTHER_SCHOOLS")
                                .expect(200)
                                .json(),
                        "strict reached"))
                .isPositive();
    }

    @Test
    void whatCannotBeShownIsSaid() {
        String id = inspector.installation("LH-12");
        String curve = curves(id, "evacuation") + "/line-set-indoor-1";
        assertThat(inspector.get(curve + "?from=-1").expect(422).detail()).contains("from one moment to a later one");
        inspector.get(curve + "?from=60&until=60").expect(422);
        inspector.get(curve + "?from=NaN").expect(422);
        inspector.get(curve + "?cursor=NaN").expect(200);
        inspector.get(curve + "?from=1e300").expect(200);
        inspector.get(curve + "?options=ROUND").expect(400);
        inspector.get(curves(id, "evacuation") + "/outdoor-9").expect(404);
        assertThat(inspector
                        .get(curves(id, "evacuation") + "/outdoor-1")
                        .expect(404)
                        .detail())
                .contains("no curve of it yet");
        inspector.get(curves(id, "papers")).expect(404);
        SERVER.signedIn("dunmarrow").get(curve).expect(404);
    }
}
