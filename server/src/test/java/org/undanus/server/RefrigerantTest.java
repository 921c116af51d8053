package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

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
