package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Lists over HTTP: runs, terminal maps and grids, typed and worked on where they are drawn. */
class ListTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private static final String RUN = "piping.run";
    private static final String LINES = "line-set-indoor-1";

    private Client inspector;
    private String almshouse;

    @BeforeEach
    void signIn() {
        inspector = SERVER.signedIn("inspector");
        almshouse = inspector.installation("LH-36");
    }

    private Client.Answer changed(String typed, String thing, String change, String other) {
        return inspector.post(
                "/api/installations/" + almshouse + "/lists",
                Map.of(
                        "point",
                        RUN,
                        "component",
                        LINES,
                        "typed",
                        typed,
                        "thing",
                        thing,
                        "change",
                        change,
                        "other",
                        other));
    }

    @Test
    void aRunIsUnderstoodInPartsWhileItIsTyped() {
        JsonNode echo = inspector
                .post(
                        "/api/installations/" + almshouse + "/understand",
                        Map.of("point", RUN, "component", LINES, "typed", "3 m out, elbw"))
                .expect(200)
                .json();
        assertThat(echo.path("problem").asString()).contains("Part 2, \"elbw\"");
        assertThat(echo.path("parts")).hasSize(2);
        assertThat(echo.at("/parts/1/from").asInt()).isEqualTo(9);
    }

    @Test
    void aRunIsSavedDrawnAndJudged() {
        JsonNode saved = inspector
                .save(almshouse, RUN, LINES, "3 m out insulated 13 mm, elbow, up 2.5 m")
                .expect(201)
                .json();
        assertThat(saved.at("/line/reading/si").asString()).isEqualTo("5500 mm, 2500 mm up");
        assertThat(saved.at("/line/list/editing").asString()).isEqualTo("PARTS");
        assertThat(inspector
                        .get("/api/installations/" + almshouse + "/stations/piping/drawings?units=SI")
                        .expect(200)
                        .text())
                .contains("\"thing\":\"2\"")
                .contains("5500 mm of lines");
        assertThat(inspector
                        .save(almshouse, RUN, LINES, "3 m out, ".repeat(300))
                        .expect(400)
                        .detail())
                .contains("longer");
    }

    @Test
    void whatIsBeingTypedIsDrawnAndNotKept() {
        String address = "/api/installations/" + inspector.installation("LH-31")
                + "/stations/piping/drawings?units=SI&point=" + RUN + "&component=" + LINES + "&typed=";
        assertThat(inspector.get(address + "9%20m%20out").expect(200).text()).contains("9000 mm of lines");
        assertThat(inspector.get(address + "9%20m%20ou").expect(200).text())
                .as("half typed: as it is")
                .contains("4572 mm of lines");
        assertThat(inspector.get(address.replaceAll("&point.*", "")).expect(200).text())
                .contains("4572 mm of lines");
    }

    @Test
    void aPartIsChangedOnTheDrawing() {
        assertThat(changed("3 m out, elbow", "1", "REPLACE", "trap")
                        .expect(200)
                        .json()
                        .path("typed")
                        .asString())
                .isEqualTo("3 m out, trap");
        assertThat(changed("3 m out", "nowhere", "REMOVE", "").expect(422).detail())
                .contains("There is no part");
        assertThat(inspector
                        .post(
                                "/api/installations/" + almshouse + "/lists",
                                Map.of(
                                        "point",
                                        "piping.grommets",
                                        "component",
                                        LINES,
                                        "typed",
                                        "yes",
                                        "thing",
                                        "0",
                                        "change",
                                        "REMOVE",
                                        "other",
                                        ""))
                        .expect(422)
                        .detail())
                .contains("This line is no list.");
    }

    @Test
    void theSameListSentTwiceIsKeptOnce() {
        Map<String, Object> reading = Map.of(
                "id", UUID.randomUUID().toString(),
                "point", "electrical.terminals",
                "component", "indoor-1",
                "typed", "1-1, 2-2, E-E",
                "grade", "WITNESSED",
                "confirmed", false);
        String address = "/api/installations/" + almshouse + "/readings";
        inspector.post(address, reading).expect(201);
        inspector.post(address, reading).expect(201);
        assertThat(inspector
                        .get("/api/installations/" + almshouse
                                + "/history?point=electrical.terminals&component=indoor-1")
                        .expect(200)
                        .json())
                .hasSize(1);
    }
}
