package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.security.InvalidKeyException;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.undanus.server.journal.JournalCheck;
import tools.jackson.databind.JsonNode;

/** Codes that change with time, asked for beside the password. */
class SecondFactorTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo().with("--undanus.second-factor-for=CREW");

    private static final String FACTOR = "/api/session/second-factor";

    private static String code(String secret, Duration later) {
        try {
            TimeBasedOneTimePasswordGenerator codes = new TimeBasedOneTimePasswordGenerator();
            return codes.generateOneTimePasswordString(
                    new SecretKeySpec(new Base32().decode(secret), codes.getAlgorithm()),
                    Instant.now().plus(later));
        } catch (InvalidKeyException e) {
            throw new IllegalStateException(e);
        }
    }

    private static Client.Answer signIn(Client client, String name, String code) {
        client.get("/api/session");
        return client.post("/api/session", Map.of("name", name, "password", name + "-demo", "code", code));
    }

    private static String setUp(Client client, String name) {
        JsonNode begun = client.post(FACTOR, Map.of("password", name + "-demo"))
                .expect(200)
                .json();
        String secret = begun.path("secret").asString();
        assertThat(begun.path("address").asString()).startsWith("otpauth://totp/Undanus%3A" + name);
        assertThat(client.put(FACTOR, Map.of("code", "000000")).expect(422).detail())
                .contains("not right");
        client.put(FACTOR, Map.of("code", code(secret, Duration.ofSeconds(-30))))
                .expect(204);
        return secret;
    }

    @Test
    void aCodeIsAskedForOnceItIsSetUpAndIsGoodOnce() {
        Client client = SERVER.client();
        client.signIn("inspector", "inspector-demo").expect(200);
        assertThat(client.post(FACTOR, Map.of("password", "wrong")).expect(422).detail())
                .contains("password is not right");
        String secret = setUp(client, "inspector");

        Client other = SERVER.client();
        JsonNode asked = other.signIn("inspector", "inspector-demo").expect(401).json();
        assertThat(asked.path("code").asBoolean()).isTrue();
        other.get("/api/installations").expect(401);
        String now = code(secret, Duration.ZERO);
        signIn(other, "inspector", now).expect(200);
        assertThat(other.get("/api/session").json().path("secondFactor").asBoolean())
                .isTrue();
        assertThat(signIn(SERVER.client(), "inspector", now).expect(401).detail())
                .contains("used already");
        assertThat(signIn(SERVER.client(), "inspector", code(secret, Duration.ofMinutes(-5)))
                        .expect(401)
                        .detail())
                .contains("not right");
        assertThat(SERVER.bean(JournalCheck.class).run().sentence()).startsWith("The data is sound");

        // the password alone neither takes it away nor puts another in its place
        assertThat(other.post(FACTOR + "/removal", Map.of("password", "inspector-demo"))
                        .expect(422)
                        .detail())
                .contains("Type the code");
        other.post(FACTOR, Map.of("password", "inspector-demo")).expect(422);
        String next = code(secret, Duration.ofSeconds(30));
        other.post(FACTOR + "/removal", Map.of("password", "inspector-demo", "code", next))
                .expect(204);
        SERVER.client().signIn("inspector", "inspector-demo").expect(200);
    }

    @Test
    void whoseRoleNeedsOneDoesNothingElseBefore() {
        Client crew = SERVER.client();
        crew.signIn("nettlebank", "nettlebank-demo").expect(200);
        assertThat(crew.get("/api/session").json().path("secondFactorDue").asBoolean())
                .isTrue();
        assertThat(crew.get("/api/installations").expect(403).detail()).contains("Set it up first");
        String secret = setUp(crew, "nettlebank");
        crew.get("/api/installations").expect(200);

        // an older one tried in between makes the used one no good again
        String now = code(secret, Duration.ZERO);
        signIn(SERVER.client(), "nettlebank", now).expect(200);
        signIn(SERVER.client(), "nettlebank", code(secret, Duration.ofSeconds(-30)))
                .expect(401);
        assertThat(signIn(SERVER.client(), "nettlebank", now).expect(401).detail())
                .contains("used already");
        assertThat(SERVER.journalled("session.code-refused", "nettlebank")).isEqualTo("nettlebank");
        assertThat(crew.post(
                                FACTOR + "/removal",
                                Map.of("password", "nettlebank-demo", "code", code(secret, Duration.ofSeconds(30))))
                        .expect(422)
                        .detail())
                .contains("Your role needs");
        assertThat(crew.put(FACTOR, Map.of("code", "123456")).expect(422).detail())
                .contains("Begin again");

        Client lead = SERVER.signedIn("lead");
        lead.send("DELETE", "/api/people/nettlebank/second-factor", "{}", "application/json")
                .expect(204);
        assertThat(crew.get("/api/installations").expect(403).detail()).contains("Set it up first");
        crew.send("DELETE", "/api/people/lead/second-factor", "{}", "application/json")
                .expect(403);
    }
}
