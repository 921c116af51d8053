package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.station.Walk;
import org.undanus.server.account.Person;
import org.undanus.server.account.Role;
import org.undanus.server.installation.CaseFiles;
import org.undanus.server.rulebook.RuleBooks;
import org.undanus.view.CaseFile;
import tools.jackson.databind.JsonNode;

/** A changed rule book is tried on the whole archive before it binds. */
class TrialTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private static final String BOOK = "sallowmere-2026-plate";
    private static final String BOOKS = "/api/rule-books/" + BOOK;
    private static final Person LEAD = new Person("lead", "Quality lead", Role.QUALITY_LEAD, Optional.empty());

    private final Client lead = SERVER.signedIn("lead");

    private static Map<String, Object> limit(String key, String value, String source) {
        return Map.of(
                "limits",
                List.of(Map.of("key", key, "by", "programme", "side", "AT_LEAST", "value", value, "source", source)),
                "settings",
                List.of(),
                "schools",
                List.of(),
                "note",
                "");
    }

    private String draft(Map<String, Object> changes) {
        return lead.post(BOOKS + "/draft", changes)
                .expect(200)
                .json()
                .path("yaml")
                .asString();
    }

    private JsonNode tried(String yaml) {
        JsonNode trial = lead.send("POST", BOOKS + "/trials", yaml, "text/plain")
                .expect(202)
                .json();
        while (trial.path("state").asString().equals("RUNNING")) {
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(20));
            trial = lead.get("/api/trials/" + trial.path("id").asString())
                    .expect(200)
                    .json();
        }
        return trial;
    }

    @Test
    void aTrialSaysWhatJudgingEverythingAnewWouldSay() {
        String yaml = draft(limit("siting.outdoor-clearance-front", "45 in", "A letter"));
        JsonNode trial = tried(yaml);
        assertThat(trial.path("state").asString()).as(trial.toString()).isEqualTo("DONE");

        RuleBook next = SERVER.bean(RuleBooks.class).read(yaml);
        int changed = 0;
        int installations = 0;
        Map<Verdict, Integer> fewer = new EnumMap<>(Verdict.class);
        for (CaseFile file : SERVER.bean(CaseFiles.class).all(LEAD)) {
            if (!file.rules().id().equals(BOOK)) {
                continue;
            }
            installations++;
            List<Judgement> was = file.judgements().all();
            List<Judgement> is = Walk.judge().judge(file.facts(), file.evidence(), next);
            boolean any = false;
            for (int i = 0; i < was.size(); i++) {
                fewer.merge(was.get(i).verdict(), -1, Integer::sum);
                fewer.merge(is.get(i).verdict(), 1, Integer::sum);
                any |= was.get(i).verdict() != is.get(i).verdict();
            }
            changed += any ? 1 : 0;
        }
        assertThat(changed).isPositive();
        assertThat(trial.path("changed").asInt()).isEqualTo(changed);
        assertThat(trial.path("done").asInt()).isEqualTo(installations);
        for (Verdict verdict : Verdict.values()) {
            assertThat(trial.at("/now/" + verdict).asInt()
                            - trial.at("/before/" + verdict).asInt())
                    .as(verdict.title())
                    .isEqualTo(fewer.getOrDefault(verdict, 0));
        }
        assertThat(trial.path("requirements")).hasSizeLessThan(5);
        assertThat(trial.at("/installations/0/judgements/0/because").asString()).contains("in short.");
        assertThat(trial.at("/stations/0/station").asString()).isEqualTo("Siting");
        assertThat(lead.get(BOOKS).json().at("/book/version").asInt())
                .as("nothing is saved by a trial")
                .isEqualTo(10);
    }

    @Test
    void whatTouchesEverythingIsTriedToo() {
        String yaml = BookText.next(lead.get(BOOKS).json().path("yaml").asString())
                .replace("\nlimits:", "\ndecision-rule: plain\n\nlimits:");
        JsonNode trial = tried(yaml);
        assertThat(trial.path("state").asString()).isEqualTo("DONE");
        assertThat(trial.path("requirements")).hasSizeGreaterThan(200);
        assertThat(trial.at("/now/TOO_CLOSE").asInt())
                .isLessThan(trial.at("/before/TOO_CLOSE").asInt());
    }

    @Test
    void aDraftSaysWhatItChangesAndWhatCannotBeReadIsNamed() {
        JsonNode view = lead.post(
                        BOOKS + "/draft?units=US", limit("siting.outdoor-clearance-front", "4 ft", "A letter"))
                .expect(200)
                .json();
        assertThat(view.path("version").asInt()).isEqualTo(11);
        assertThat(view.path("changes")).hasSize(1);
        assertThat(view.at("/changes/0/before").asString()).contains("3' 0\"");
        assertThat(view.at("/changes/0/now").asString()).contains("4' 0\"").contains("A letter");
        assertThat(lead.post(BOOKS + "/draft", limit("siting.outdoor-clearance-front", "4 ft", ""))
                        .expect(422)
                        .detail())
                .contains("Say where the new value");
        assertThat(lead.post(BOOKS + "/draft", limit("siting.outdoor-clearance-front", "4 kg", "A letter"))
                        .expect(422)
                        .text())
                .contains("siting.outdoor-clearance-front");
        assertThat(lead.post(BOOKS + "/draft", limit("no.such-limit", "4 ft", "A letter"))
                        .expect(422)
                        .text())
                .contains("no.such-limit");
    }

    @Test
    void aTextThatLacksOrTurnsInACircleIsNotTried() {
        String yaml = lead.get(BOOKS).json().path("yaml").asString();
        int next = BookText.version(yaml) + 1;
        lead.send("POST", BOOKS + "/trials", yaml.replaceFirst("papers.design-winter.*\n", ""), "text/plain")
                .expect(422);
        assertThat(lead.send(
                                "POST",
                                BOOKS + "/trials",
                                BookText.next(yaml)
                                        .replaceFirst(
                                                "extends: .*", "extends: {id: " + BOOK + ", version: " + next + "}"),
                                "text/plain")
                        .expect(422)
                        .text())
                .contains(BOOK + ", version " + next);
        assertThat(lead.send("POST", "/api/rule-books/sallowmere-2026-design/trials", yaml, "text/plain")
                        .expect(422)
                        .detail())
                .contains("not of sallowmere-2026-design");
        SERVER.signedIn("inspector")
                .send("POST", BOOKS + "/trials", yaml, "text/plain")
                .expect(403);
    }

    @Test
    void aTrialIsCancelledAndIsNobodyElses() {
        String yaml = draft(limit("siting.outdoor-clearance-front", "45 in", "A letter"));
        String id = lead.send("POST", BOOKS + "/trials", yaml, "text/plain")
                .expect(202)
                .json()
                .path("id")
                .asString();
        SERVER.signedIn("inspector").get("/api/trials/" + id).expect(404);
        String state = lead.send("DELETE", "/api/trials/" + id, "{}", "application/json")
                .expect(200)
                .json()
                .path("state")
                .asString();
        assertThat(state).isIn("CANCELLED", "DONE");
        lead.get("/api/trials/none").expect(404);
    }

    @Test
    void installationsMoveOnPurposeAllOrNone() {
        String other = lead.installation("LH-15");
        String own = lead.get("/api/installations/" + other)
                        .json()
                        .path("ruleBook")
                        .asString()
                        .equals(BOOK)
                ? "sallowmere-2026-design"
                : BOOK;
        assertThat(lead.post("/api/rule-books/" + own + "/versions/10/installations", Map.of("ids", List.of(other)))
                        .expect(422)
                        .detail())
                .contains("judged by another book")
                .contains("None was moved");
        lead.post(BOOKS + "/versions/99/installations", Map.of()).expect(404);
        assertThat(lead.post(BOOKS + "/versions/10/installations", Map.of())
                        .expect(200)
                        .json()
                        .path("moved")
                        .asInt())
                .as("all are there already")
                .isZero();
    }

    private Client.Answer publish(String yaml, String query) {
        return lead.send("POST", "/api/rule-books" + query, yaml, "text/plain");
    }

    @Test
    void whatWasTriedToItsEndIsPublishedToTheLetterOrItIsSaidWhyNot() {
        String book = "sallowmere-2026-design";
        String yaml = BookText.next(
                        lead.get("/api/rule-books/" + book).json().path("yaml").asString())
                .replace("3 years", "5 years");
        assertThat(publish(yaml, "").expect(422).detail()).contains("not tried to its end");
        publish(yaml, "?untried=no").expect(422);

        String id = lead.send("POST", "/api/rule-books/" + book + "/trials", yaml, "text/plain")
                .expect(202)
                .json()
                .path("id")
                .asString();
        JsonNode trial;
        do {
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(20));
            trial = lead.get("/api/trials/" + id).expect(200).json();
        } while (trial.path("state").asString().equals("RUNNING"));
        publish(yaml.replace("5 years", "6 years"), "").expect(422);
        publish(yaml, "").expect(201);
        assertThat(SERVER.journalled("publication.tried", book + "@11")).isEqualTo("lead");

        String next = yaml.replace("version: 11", "version: 12").replace("5 years", "6 years");
        publish(next, "?untried=The+programme+asked+for+it+today").expect(201);
        assertThat(SERVER.journalled("publication.untried", book + "@12")).isEqualTo("lead");
    }

    @Test
    void aTrialThatWasCancelledIsNone() {
        String yaml = draft(limit("siting.outdoor-clearance-front", "47 in", "A letter"));
        String id = lead.send("POST", BOOKS + "/trials", yaml, "text/plain")
                .expect(202)
                .json()
                .path("id")
                .asString();
        String state = lead.send("DELETE", "/api/trials/" + id, "{}", "application/json")
                .expect(200)
                .json()
                .path("state")
                .asString();
        if (state.equals("CANCELLED")) {
            publish(yaml, "").expect(422);
        }
    }
}
