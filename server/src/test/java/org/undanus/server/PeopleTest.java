package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.undanus.server.journal.JournalCheck;

/** People are added, switched off and given new passwords by the quality lead. */
class PeopleTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private final Client lead = SERVER.signedIn("lead");

    private static Map<String, Object> person(String name, String role) {
        return new HashMap<>(
                Map.of("name", name, "title", "Some " + name, "role", role, "password", name + " has a password"));
    }

    private static Map<String, Object> changed(String role, boolean active) {
        return new HashMap<>(Map.of("title", "Another title", "role", role, "active", active));
    }

    private Client.Answer change(String name, Map<String, Object> wanted) {
        wanted.put("version", version(name));
        return lead.put("/api/people/" + name, wanted);
    }

    private static Map<String, Object> seen(Map<String, Object> wanted) {
        wanted.put("version", 0);
        return wanted;
    }

    private int version(String name) {
        return lead.get("/api/people")
                .expect(200)
                .json()
                .valueStream()
                .filter(person -> person.path("name").asString().equals(name))
                .map(person -> person.path("version").asInt())
                .findFirst()
                .orElse(0);
    }

    private Client added(String name) {
        lead.post("/api/people", person(name, "INSPECTOR")).expect(201);
        Client client = SERVER.client();
        client.signIn(name, name + " has a password").expect(200);
        return client;
    }

    @Test
    void somebodyIsAddedAndSignsIn() {
        Client added = added("wren");
        added.get("/api/installations").expect(200);
        assertThat(lead.get("/api/people").expect(200).text())
                .contains("Some wren")
                .doesNotContain("password");
        assertThat(lead.post("/api/people", person("wren", "INSPECTOR"))
                        .expect(422)
                        .detail())
                .contains("already");
    }

    @Test
    void whoIsSwitchedOffIsOutAtOnceAndComesBackWhenSwitchedOn() {
        Client client = added("teal");
        change("teal", changed("INSPECTOR", false)).expect(200);
        assertThat(client.get("/api/installations").expect(401).detail()).contains("account has been changed");
        SERVER.client().signIn("teal", "teal has a password").expect(401);
        change("teal", changed("INSPECTOR", true)).expect(200);
        SERVER.client().signIn("teal", "teal has a password").expect(200);
    }

    @Test
    void aNewPasswordEndsWhatTheOldOneSignedIn() {
        Client client = added("rook");
        Map<String, Object> change = changed("INSPECTOR", true);
        change("rook", change).expect(200);
        client.get("/api/installations").expect(200);
        change.put("password", "quite another one");
        change("rook", change).expect(200);
        client.get("/api/installations").expect(401);
        SERVER.client().signIn("rook", "rook has a password").expect(401);
        SERVER.client().signIn("rook", "quite another one").expect(200);
    }

    @Test
    void aCrewIsNamedAndSeesItsOwnAlone() {
        assertThat(lead.post("/api/people", person("finch", "CREW")).expect(422).detail())
                .contains("Name the crew");
        Map<String, Object> asked = person("finch", "CREW");
        asked.put("crew", "Dunmarrow Services");
        lead.post("/api/people", asked).expect(201);
        Client client = SERVER.client();
        client.signIn("finch", "finch has a password").expect(200);
        assertThat(client.get("/api/installations").json().path("entries").valueStream())
                .isNotEmpty()
                .allSatisfy(entry -> assertThat(entry.path("crew").asString()).isEqualTo("Dunmarrow Services"));
    }

    @Test
    void nobodySwitchesThemselvesOffOrStepsDown() {
        change("lead", changed("QUALITY_LEAD", false)).expect(422);
        change("lead", changed("INSPECTOR", true)).expect(422);
        lead.get("/api/people").expect(200);
    }

    @ParameterizedTest
    @CsvSource({"name, Big Name", "name, ''", "password, short", "title, ' '", "role, KING"})
    void whatIsUnsuitableIsRefused(String field, String value) {
        Map<String, Object> asked = person("crane", "INSPECTOR");
        asked.put(field, value);
        lead.post("/api/people", asked).expect(400);
    }

    @Test
    void othersKeepNobody() {
        Client inspector = SERVER.signedIn("inspector");
        inspector.get("/api/people").expect(403);
        inspector.post("/api/people", person("kite", "QUALITY_LEAD")).expect(403);
        inspector.put("/api/people/lead", seen(changed("INSPECTOR", false))).expect(403);
        change("nobody", changed("INSPECTOR", true)).expect(404);
    }

    private static Client.Answer ownPassword(Client client, String old, String fresh) {
        return client.put("/api/session/password", Map.of("old", old, "fresh", fresh));
    }

    @Test
    void theOwnPasswordIsChangedByTheOldOneAndEverythingElseSignedInEnds() {
        String old = "heron has a password";
        Client here = added("heron");
        Client elsewhere = SERVER.client();
        elsewhere.signIn("heron", old).expect(200);
        assertThat(ownPassword(here, "a guess", "another password").expect(422).detail())
                .contains("old password is not right");
        ownPassword(here, old, "short").expect(400);
        ownPassword(here, old, old).expect(422);
        elsewhere.get("/api/installations").expect(200);
        ownPassword(here, old, "another password").expect(204);
        here.get("/api/installations").expect(200);
        elsewhere.get("/api/installations").expect(401);
        SERVER.client().signIn("heron", old).expect(401);
        SERVER.client().signIn("heron", "another password").expect(200);
        assertThat(SERVER.bean(JournalCheck.class).run()).matches(JournalCheck.Result::sound);
    }

    @Test
    void theOldPasswordIsNotGuessedThroughAnOpenSession() {
        Client open = added("stork");
        assertThat(IntStream.range(0, 8)
                        .mapToObj(i -> ownPassword(open, "guess " + i, "another password")
                                .status())
                        .toList())
                .contains(429);
    }

    @Test
    void sessionsAreListedAndEndedAndSignInsAreJournalled() {
        Client one = added("plover");
        Client two = SERVER.client();
        two.signIn("plover", "plover has a password").expect(200);
        assertThat(one.get("/api/session/list").expect(200).json()).hasSize(2);
        assertThat(lead.get("/api/people/plover/sessions").expect(200).json())
                .hasSize(2)
                .allSatisfy(
                        session -> assertThat(session.path("from").asString()).isNotEmpty());
        one.get("/api/people/plover/sessions").expect(403);
        lead.get("/api/people/nobody/sessions").expect(404);

        one.send("DELETE", "/api/session/others", "{}", "application/json").expect(204);
        two.get("/api/installations").expect(401);
        one.get("/api/installations").expect(200);
        assertThat(lead.get("/api/people/plover/sessions").json()).hasSize(1);

        lead.send("DELETE", "/api/people/plover/sessions", "{}", "application/json")
                .expect(204);
        one.get("/api/installations").expect(401);
        assertThat(lead.get("/api/people/plover/sessions").json()).isEmpty();
        assertThat(SERVER.journalled("session.begun", "plover")).isEqualTo("plover");
        assertThat(SERVER.journalled("session.others-ended", "plover")).isEqualTo("plover");
        assertThat(SERVER.journalled("session.ended-by-lead", "plover")).isEqualTo("lead");
        assertThat(SERVER.bean(JournalCheck.class).run().sentence()).startsWith("The data is sound");
    }

    @Test
    void whoChangesWhatAnotherChangedMeanwhileIsTold() {
        added("egret");
        Map<String, Object> seen = changed("CREW", true);
        seen.put("crew", "Dunmarrow Services");
        seen.put("version", version("egret"));
        change("egret", changed("QUALITY_LEAD", true)).expect(200);
        assertThat(lead.put("/api/people/egret", seen).expect(409).detail()).contains("changed meanwhile");
        assertThat(lead.get("/api/people").text())
                .contains("\"name\":\"egret\",\"title\":\"Another title\",\"role\":\"QUALITY_LEAD\"");
    }

    @Test
    void aPasswordThatIsTooLongToBeHashedIsRefusedInWords() {
        String umlauts = "ä".repeat(40);
        Map<String, Object> asked = person("quail", "INSPECTOR");
        asked.put("password", umlauts);
        assertThat(lead.post("/api/people", asked).expect(422).detail()).contains("too long");
        Client quail = added("quail");
        Map<String, Object> longer = changed("INSPECTOR", true);
        longer.put("password", umlauts);
        assertThat(change("quail", longer).expect(422).detail()).contains("too long");
        assertThat(ownPassword(quail, "quail has a password", umlauts)
                        .expect(422)
                        .detail())
                .contains("too long");
        SERVER.client().signIn("quail", umlauts).expect(401);
        SERVER.client().signIn("quail", "quail has a password").expect(200);
        asked = person("owl", "INSPECTOR");
        asked.put("password", "ä".repeat(36));
        lead.post("/api/people", asked).expect(201);
        SERVER.client().signIn("owl", "ä".repeat(36)).expect(200);
    }

    @Test
    void theSamePasswordAndAnOwnNameAreNone() {
        Client linnet = added("linnet");
        Map<String, Object> same = changed("INSPECTOR", true);
        same.put("password", "linnet has a password");
        assertThat(change("linnet", same).expect(422).detail()).contains("old password");
        assertThat(ownPassword(linnet, "linnet has a password", "Some Linnet")
                        .expect(422)
                        .detail())
                .contains("A name is no password");
        Map<String, Object> named = person("oystercatcher", "INSPECTOR");
        named.put("password", "Oyster-Catcher");
        assertThat(lead.post("/api/people", named).expect(422).detail()).contains("A name is no password");
    }

    @Test
    void whatWasBegunBeforeTheAccountWasDemotedOrSwitchedOffIsNotCarriedOut() throws Exception {
        added("siskin");
        change("siskin", changed("QUALITY_LEAD", true)).expect(200);
        Client second = SERVER.client();
        second.signIn("siskin", "siskin has a password").expect(200);
        try (HeldRequest held = second.begin("POST", "/api/people", person("forged", "QUALITY_LEAD"))) {
            change("siskin", changed("INSPECTOR", true)).expect(200);
            assertThat(held.answer()).contains(" 401 ").contains("Nothing was saved");
        }
        assertThat(lead.get("/api/people").text()).doesNotContain("forged");
    }

    @Test
    void aSlowChangeOfTheOwnPasswordDoesNotTakeADemotionBack() throws Exception {
        added("dunlin");
        change("dunlin", changed("QUALITY_LEAD", true)).expect(200);
        Client dunlin = SERVER.client();
        dunlin.signIn("dunlin", "dunlin has a password").expect(200);
        try (HeldRequest held = dunlin.begin(
                "PUT", "/api/session/password", Map.of("old", "dunlin has a password", "fresh", "another password"))) {
            change("dunlin", changed("INSPECTOR", true)).expect(200);
            assertThat(held.answer()).contains(" 401 ");
        }
        assertThat(lead.get("/api/people")
                        .json()
                        .valueStream()
                        .filter(each -> each.path("name").asString().equals("dunlin"))
                        .map(each -> each.path("role").asString()))
                .containsExactly("INSPECTOR");
        SERVER.client().signIn("dunlin", "dunlin has a password").expect(200);
    }

    @Test
    void whoIsNotLetInIsInTheJournalByNamesThatThereAre() {
        added("pipit");
        SERVER.client().signIn("pipit", "a guess").expect(401);
        assertThat(SERVER.journalled("session.refused", "pipit")).isEqualTo("pipit");
        SERVER.client().signIn("my secret password", "a guess").expect(401);
        assertThat(SERVER.journalled("session.refused", "nobody")).isEqualTo("nobody");
        for (int i = 0; i < 6; i++) {
            SERVER.client().signIn("pipit", "guess " + i);
        }
        assertThat(SERVER.journalled("session.throttled", "pipit")).isEqualTo("pipit");
        assertThat(SERVER.bean(JournalCheck.class).run().sentence()).startsWith("The data is sound");
    }
}
