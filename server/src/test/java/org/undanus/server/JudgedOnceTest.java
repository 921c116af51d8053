package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;
import org.undanus.server.account.Person;
import org.undanus.server.account.Role;
import org.undanus.server.installation.CaseFiles;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What stands is judged once; what changes anything it rests on is judged anew. */
class JudgedOnceTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private static final Person LEAD = new Person("lead", "Lead", Role.QUALITY_LEAD, Optional.empty());
    private static final String FRONT = "siting.outdoor-clearance-front";

    private final Client lead = SERVER.signedIn("lead");
    private final String lido = lead.installation("LH-01");

    private Judgements judgements() {
        return SERVER.bean(CaseFiles.class).open(lido, LEAD).judgements();
    }

    @Test
    void nothingChangedMeansNothingIsJudgedAgain() {
        assertThat(judgements()).isSameAs(judgements());
        assertThat(SERVER.bean(CaseFiles.class).all(LEAD))
                .filteredOn(file -> file.header().id().equals(lido))
                .allSatisfy(file -> assertThat(file.judgements()).isSameAs(judgements()));
    }

    @Test
    void aReadingASheetAnInstrumentOrAVisitIsJudgedBy() {
        Judgements before = judgements();
        lead.save(lido, FRONT, "outdoor-1", "11 in").expect(201);
        Judgements read = judgements();
        assertThat(read).isNotSameAs(before);
        assertThat(read.all())
                .filteredOn(judgement -> judgement.key().equals(FRONT + "@outdoor-1"))
                .extracting(Judgement::verdict)
                .containsExactly(Verdict.FAILS);

        ObjectNode file = (ObjectNode)
                lead.get("/api/data-sheets/file.json?model=WS-12").expect(200).json();
        ((ObjectNode) file.at("/dataSheets/0")).put("document", "another");
        lead.post("/api/data-sheets", file).expect(201);
        Judgements sheet = judgements();
        assertThat(sheet).isNotSameAs(read);

        ObjectNode instrument = (ObjectNode) lead.get("/api/instruments").json().get(0);
        ObjectNode changed = (ObjectNode) instrument.path("instrument");
        changed.put("title", "Another title");
        lead.put(
                        "/api/instruments/" + changed.path("id").asString(),
                        Map.of(
                                "instrument",
                                changed,
                                "version",
                                instrument.path("version").asInt()))
                .expect(200);
        Judgements tool = judgements();
        assertThat(tool).isNotSameAs(sheet);

        lead.post("/api/installations/" + lido + "/visits", Map.of("stage", "FINAL", "visitedOn", "2026-12-01"))
                .expect(201);
        assertThat(judgements()).isNotSameAs(tool);
    }

    /** Read again and again without ever being opened in between, as after a start. */
    @Test
    void whatIsRememberedIsWhatIsKept() {
        String id = lead.installation("LH-36");
        String before = null;
        for (String typed : List.of("30 in", "31 in", "32 in", "33 in")) {
            Map<String, Object> reading = new HashMap<>(Client.reading(FRONT, "outdoor-1", typed));
            if (before != null) {
                reading.put("basedOn", before);
            }
            before = lead.post("/api/installations/" + id + "/readings", reading)
                    .expect(201)
                    .json()
                    .at("/line/reading/id")
                    .asString();
        }
        JsonNode history = lead.get("/api/installations/" + id + "/history?component=outdoor-1&point=" + FRONT)
                .expect(200)
                .json();
        assertThat(history.valueStream().map(reading -> reading.path("typed").asString()))
                .containsExactly("30 in", "31 in", "32 in", "33 in");
    }

    @Test
    void whatWasRolledBackIsForgotten() {
        Judgements before = judgements();
        SERVER.bean(TransactionTemplate.class).executeWithoutResult(status -> {
            SERVER.bean(JdbcTemplate.class)
                    .update(TestServer.readingLike("typed", "'no'") + "installation_id = ? AND typed = 'yes'", lido);
            assertThat(judgements()).isNotSameAs(before);
            status.setRollbackOnly();
        });
        assertThat(judgements().all()).isEqualTo(before.all());
    }
}
