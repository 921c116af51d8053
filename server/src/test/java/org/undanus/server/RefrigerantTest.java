package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.JdbcTemplate;
import org.undanus.server.journal.JournalCheck;

/** Refrigerants that ship, and files that are brought in. */
class RefrigerantTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    /** A sound one. */
    static String file() {
        try (InputStream in = RefrigerantTest.class.getResourceAsStream("/refrigerant-R9932.csv")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static Client.Answer bring(Client client, String file) {
        return client.send("POST", "/api/refrigerants", file, "text/csv");
    }

    @Test
    void whatShipsIsListedWithItsClassAndWarmingPotential() {
        var all = SERVER.signedIn("inspector")
                .get("/api/refrigerants?units=SI")
                .expect(200)
                .json();
        assertThat(all.path("refrigerants")).anySatisfy(each -> {
            assertThat(each.path("name").asString()).isEqualTo("R410A");
            assertThat(each.path("safetyClass").asString()).isEqualTo("A1");
            assertThat(each.path("warmingPotential").asDouble()).isEqualTo(2088);
            assertThat(each.path("described").asString()).startsWith("-40 °C to ");
        });
        assertThat(all.path("columns")).hasSizeGreaterThan(15);
    }

    /** Everything a case is judged by goes with it: where nobody has brought its refrigerant, it is brought by the case. */
    @Test
    void oneThatWasBroughtGoesOutWithACaseAndIsJudgedTheSameElsewhere() {
        Client from = SERVER.signedIn("lead");
        String id = from.installation("LH-15");
        bring(from, file()).expect(201);
        from.save(id, "plate.refrigerant", "outdoor-1", "R9932").expect(201);
        from.save(id, "charge.refrigerant", "outdoor-1", "R9932").expect(201);
        String document =
                from.get("/api/installations/" + id + "/case.json").expect(200).text();
        TestServer empty = TestServer.empty();
        empty.start();
        try {
            Client to = empty.firstLead();
            assertThat(to.get("/api/refrigerants").expect(200).text()).doesNotContain("R9932");
            to.bringIn(document).expect(200);
            String there = to.installation("LH-15");
            assertThat(to.get("/api/installations/" + there + "/case.json")
                            .json()
                            .at("/installations/0"))
                    .isEqualTo(from.get("/api/installations/" + id + "/case.json")
                            .json()
                            .at("/installations/0"));
            assertThat(to.judgement(there, "charge", "charge.refrigerant@outdoor-1")
                            .path("verdict")
                            .asString())
                    .isEqualTo("MEETS");
            assertThat(empty.bean(JournalCheck.class).run()).matches(JournalCheck.Result::sound);
        } finally {
            empty.stop();
        }
    }

    /** It was brought to an earlier version that had none of it: nothing stands still for it. */
    @Test
    void oneThatShipsByNowGivesWayToWhatShips() {
        TestServer later = TestServer.empty();
        later.start();
        try {
            new JdbcTemplate(later.bean(DataSource.class))
                    .update(
                            "INSERT INTO refrigerant (name, content, added_by, added_at)"
                                    + " VALUES ('R32', ?, 'lead', CURRENT_TIMESTAMP)",
                            file().replace("R9932", "R32"));
            Client lead = later.firstLead();
            bring(lead, file()).expect(201);
            assertThat(lead.get("/api/refrigerants").expect(200).json().path("refrigerants"))
                    .extracting(each -> each.path("name").asString())
                    .contains("R9932")
                    .containsOnlyOnce("R32");
        } finally {
            later.stop();
        }
    }

    @Test
    void aCaseThatBringsAnotherOfTheSameNameIsRefused() {
        Client lead = SERVER.signedIn("lead");
        bring(lead, file());
        String document = lead.get("/api/installations/" + lead.installation("LH-07") + "/case.json")
                .expect(200)
                .text();
        assertThat(lead.bringIn(document.replace("R9932,A2L", "R9932,A3").replace("LH-07", "LH-77"))
                        .expect(409)
                        .detail())
                .startsWith("R9932 is known already");
    }

    @Test
    void aFileThatDoesNotFitIsRefusedWithItsPlaceAndNothingIsKept() {
        Client lead = SERVER.signedIn("lead");
        var before = lead.get("/api/refrigerants").expect(200).json();
        assertThat(bring(lead, "t_C\n1\n").expect(422).text()).contains("10 to 1000 are needed. Nothing was imported.");
        assertThat(bring(lead, "\u0000\u0001").expect(422).text()).contains("Nothing was imported");
        bring(SERVER.signedIn("inspector"), "t_C\n").expect(403);
        bring(SERVER.signedIn("dunmarrow"), "t_C\n").expect(403);
        assertThat(lead.get("/api/refrigerants").expect(200).json()).isEqualTo(before);
    }
}
