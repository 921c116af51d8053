package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** No reading can break a page: what cannot be is refused, what was kept once is set aside, what throws is referred. */
class ReadingSafetyTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private final Client inspector = SERVER.signedIn("inspector");

    @ParameterizedTest(name = "{0} {2} is refused even when confirmed")
    @CsvSource({
        "mounting.cable-diameter, indoor-1, 0 mm",
        "mounting.wall-thickness, indoor-1, 0 in",
        "papers.cooling-load, system, 0 kW",
        "electrical.device-rating, outdoor-1, 0 A",
        "siting.room-area, indoor-1, -12 m2",
        "electrical.loop-impedance, outdoor-1, 1e160 ohm",
        "electrical.bundled-conductors, outdoor-1, 2.5",
        "running.return-dry-bulb, indoor-1, -300 °C",
        "siting.outdoor-clearance-front, outdoor-1, -5 in",
    })
    void impossibleValuesAreNeverKept(String point, String component, String typed) {
        String id = inspector.installation("LH-36");
        Map<String, Object> reading = Client.reading(point, component, typed);
        reading.put("confirmed", true);
        inspector.standing(id, point, component).ifPresent(standing -> reading.put("basedOn", standing));
        assertThat(inspector
                        .post("/api/installations/" + id + "/readings", reading)
                        .expect(422)
                        .detail())
                .contains("cannot be");
        everyPageStillAnswers(id);
    }

    private void everyPageStillAnswers(String id) {
        inspector.get("/api/installations").expect(200);
        inspector.get("/api/corrections").expect(200);
        inspector.get("/api/installations/" + id + "/route").expect(200);
        for (String station : List.of("papers", "siting", "access", "mounting", "electrical", "running")) {
            inspector.get("/api/installations/" + id + "/stations/" + station).expect(200);
        }
    }

    @Test
    void whatCouldBeMeantIsOfferedBesideTheRefusal() {
        String id = inspector.installation("LH-36");
        JsonNode echo = inspector
                .post(
                        "/api/installations/" + id + "/understand",
                        Map.of("point", "plate.rated-voltage", "component", "outdoor-1", "typed", "208/230 V"))
                .expect(200)
                .json();
        assertThat(echo.path("choices").toString()).isEqualTo("[\"208 V\",\"230 V\"]");
        Client.Answer refused = inspector
                .save(id, "plate.rated-voltage", "outdoor-1", "208/230 V")
                .expect(422);
        assertThat(refused.json().path("choices").toString()).isEqualTo("[\"208 V\",\"230 V\"]");
        assertThat(refused.detail()).contains("which one?");
    }

    @Test
    void aKeptOptionThatIsNoLongerKnownIsSetAsideWithItsText() throws SQLException {
        String id = inspector.installation("LH-01");
        String kept = inspector
                .standing(id, "electrical.conductor-material", "outdoor-1")
                .orElseThrow();
        add("typed", "'silver'", kept);
        everyPageStillAnswers(id);
        JsonNode line = line(id, "electrical", "electrical.conductor-material");
        assertThat(line.at("/reading/typed").asString()).isEqualTo("silver");
        assertThat(line.at("/reading/setAside").asString()).contains("copper, aluminium");
        JsonNode judgement = inspector.judgement(id, "electrical", "electrical.conductor-ampacity@outdoor-1");
        assertThat(judgement.path("verdict").asString()).isEqualTo("NOT_SHOWN");
        assertThat(judgement.path("because").asString()).contains("silver").contains("set aside");
        inspector.get("/api/installations/" + id + "/report.pdf").expect(200);
    }

    @Test
    void aKeptValueThatCannotBeIsSetAside() throws SQLException {
        String id = inspector.installation("LH-07");
        String kept =
                inspector.standing(id, "electrical.device-rating", "outdoor-1").orElseThrow();
        add("si", "0", kept);
        everyPageStillAnswers(id);
        assertThat(line(id, "electrical", "electrical.device-rating")
                        .at("/reading/setAside")
                        .asString())
                .contains("No such value");
    }

    private JsonNode line(String id, String station, String point) {
        JsonNode lines = inspector
                .get("/api/installations/" + id + "/stations/" + station)
                .expect(200)
                .json()
                .path("lines");
        return StreamSupport.stream(lines.spliterator(), false)
                .filter(line -> line.path("point").asString().equals(point))
                .findFirst()
                .orElseThrow();
    }

    /** As an older version may have kept it. */
    private static void add(String column, String value, String id) throws SQLException {
        try (Connection connection = SERVER.bean(DataSource.class).getConnection();
                PreparedStatement statement =
                        connection.prepareStatement(TestServer.readingLike(column, value) + "id = ?")) {
            statement.setString(1, id);
            assertThat(statement.executeUpdate()).isEqualTo(1);
        }
    }

    @Test
    void theLeadSeesInHealthHowManyRequirementsCouldNotBeComputed() {
        assertThat(inspector.get("/actuator/health").expect(200).text())
                .contains("UP")
                .doesNotContain("details");
        JsonNode health =
                SERVER.signedIn("lead").get("/actuator/health").expect(200).json();
        assertThat(health.at("/components/computationFailures/details/requirementsNotComputed")
                        .asInt(-1))
                .isZero();
    }

    @Test
    void theReportIsMadeAnewAfterAVisitAndAfterARevisedSheet() {
        Client lead = SERVER.signedIn("lead");
        String id = lead.installation("LH-40");
        byte[] before = report(lead, id);
        assertThat(report(lead, id)).isEqualTo(before);
        lead.post(
                        "/api/installations/" + id + "/visits",
                        Map.of(
                                "stage",
                                "RE_VISIT",
                                "visitedOn",
                                LocalDate.of(2026, 11, 30).toString()))
                .expect(201);
        byte[] afterVisit = report(lead, id);
        assertThat(afterVisit).isNotEqualTo(before);
        JsonNode file =
                lead.get("/api/data-sheets/file.json?model=WS-12").expect(200).json();
        ((ObjectNode) file.path("dataSheets").get(0)).put("document", "Ondrel 4410, edition 9");
        lead.post("/api/data-sheets", file).expect(201);
        assertThat(report(lead, id)).isNotEqualTo(afterVisit);
    }

    private static byte[] report(Client client, String id) {
        return client.get("/api/installations/" + id + "/report.pdf?units=US")
                .expect(200)
                .response()
                .body();
    }
}
