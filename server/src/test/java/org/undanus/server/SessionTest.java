package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SessionTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    @Test
    void signsInAndOut() {
        Client client = SERVER.client();
        assertThat(client.get("/api/session").expect(200).json().has("person")).isFalse();
        client.get("/api/installations").expect(401);
        assertThat(client.signIn("Inspector", "inspector-demo")
                        .expect(200)
                        .json()
                        .at("/person/role")
                        .asString())
                .isEqualTo("INSPECTOR");
        client.get("/api/installations").expect(200);
        client.send("DELETE", "/api/session", "", "application/json").expect(204);
        assertThat(client.get("/api/installations").expect(401).detail()).contains("not signed in");
    }

    @Test
    void wrongPasswordsAreSlowed() {
        Client client = SERVER.client();
        for (int i = 0; i < 5; i++) {
            assertThat(client.signIn("lead", "guess" + i).expect(401).detail()).contains("wrong");
        }
        Client.Answer slowed = client.signIn("lead", "lead-demo").expect(429);
        assertThat(slowed.detail()).contains("Wait");
        assertThat(Integer.parseInt(slowed.header("Retry-After"))).isBetween(1, 60);
        // another name is not held up by it
        client.signIn("nettlebank", "nettlebank-demo").expect(200);
    }

    @Test
    void unknownNameAnswersLikeAWrongPassword() {
        String wrong = SERVER.client().signIn("dunmarrow", "no").expect(401).detail();
        assertThat(SERVER.client().signIn("nobody-here", "no").expect(401).detail())
                .isEqualTo(wrong);
    }

    @Test
    void emptyFieldsAreNamed() {
        Client client = SERVER.client();
        client.get("/api/session");
        Client.Answer answer =
                client.post("/api/session", Map.of("name", " ", "password", "")).expect(400);
        assertThat(answer.detail())
                .startsWith("Please enter: ")
                .contains("name")
                .contains("password");
        assertThat(answer.json().at("/fields/name").asString()).isEqualTo("is empty");
        assertThat(answer.json().at("/fields/password").asString()).isEqualTo("is empty");
    }

    @Test
    void changesNeedTheToken() {
        Client client = SERVER.signedIn("inspector");
        client.postWithoutToken("/api/imports", Map.of()).expect(403);
        SERVER.client()
                .postWithoutToken("/api/session", Map.of("name", "inspector", "password", "inspector-demo"))
                .expect(403);
    }

    @ParameterizedTest
    @ValueSource(strings = {"/", "/register", "/api/session"})
    void everyPageForbidsInlineScriptAndFraming(String path) {
        String policy = SERVER.client().get(path).header("Content-Security-Policy");
        assertThat(policy)
                .contains("script-src 'self'")
                .contains("frame-ancestors 'none'")
                .doesNotContain("unsafe");
        assertThat(SERVER.client().get(path).header("X-Content-Type-Options")).isEqualTo("nosniff");
    }

    @Test
    void healthIsOpenAndTheRestOfActuatorIsNot() {
        SERVER.client().get("/actuator/health").expect(200);
        SERVER.client().get("/actuator/env").expect(401);
    }
}
