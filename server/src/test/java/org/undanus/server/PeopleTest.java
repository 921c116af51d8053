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
        lead.put("/api/people/teal", changed("INSPECTOR", false)).expect(200);
        assertThat(client.get("/api/installations").expect(401).detail()).contains("account has been changed");
        SERVER.client().signIn("teal", "teal has a password").expect(401);
        lead.put("/api/people/teal", changed("INSPECTOR", true)).expect(200);
        SERVER.client().signIn("teal", "teal has a password").expect(200);
    }

    @Test
    void aNewPasswordEndsWhatTheOldOneSignedIn() {
        Client client = added("rook");
        Map<String, Object> change = changed("INSPECTOR", true);
        lead.put("/api/people/rook", change).expect(200);
        client.get("/api/installations").expect(200);
        change.put("password", "quite another one");
        lead.put("/api/people/rook", change).expect(200);
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
        lead.put("/api/people/lead", changed("QUALITY_LEAD", false)).expect(422);
        lead.put("/api/people/lead", changed("INSPECTOR", true)).expect(422);
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
        inspector.put("/api/people/lead", changed("INSPECTOR", false)).expect(403);
        lead.put("/api/people/nobody", changed("INSPECTOR", true)).expect(404);
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
        assertThat(SERVER.bean(JournalCheck.class).run().sound()).isTrue();
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
        assertThat(SERVER.bean(JournalCheck.class).run().sentence()).contains("sound");
    }
}
