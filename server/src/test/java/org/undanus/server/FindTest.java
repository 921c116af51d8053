package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

class FindTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private final Client client = SERVER.signedIn("inspector");

    private static List<String> addresses(Client who, String query) {
        return who.get("/api/find?" + query)
                .expect(200)
                .json()
                .valueStream()
                .map(found -> found.path("address").asString())
                .toList();
    }

    @ParameterizedTest
    @CsvSource({
        "sound, /calculators/sound",
        "ws-12, /data-sheets?model=WS-12",
        "clearance front, '/rule-books?find=Clearance%2C+front'",
    })
    void whateverIsCalledSoIsFoundWithItsAddress(String words, String address) {
        assertThat(addresses(client, "words=" + Client.encoded(words))).contains(address);
    }

    @Test
    void ofAnInstallationInHandItsLinesAreFoundByTheWordsPeopleSayAndItsJudgementsByTitle() {
        String id = client.installation("LH-07");
        String at = "/installations/" + id + "/electrical";
        assertThat(addresses(client, "words=breaker&installation=" + id))
                .contains(at + "?line=electrical.device-rating%40outdoor-1");
        assertThat(addresses(client, "words=overcurrent%20fits%20fails&installation=" + id))
                .contains(at + "?judgement=electrical.overcurrent-device%40outdoor-1");
        assertThat(addresses(client, "words=breaker")).noneMatch(address -> address.startsWith("/installations"));
    }

    @Test
    void ofAnInstallationInHandTheTradesAbbreviationsAreFound() {
        String id = client.installation("LH-07");
        for (String trade : List.of("MCA", "mop", "RLA", "FLA", "TESP", "OCPD")) {
            assertThat(client.get("/api/find?words=" + trade + "&installation=" + id)
                            .json())
                    .as(trade)
                    .isNotEmpty();
        }
    }

    @Test
    void ofAnInstallationInHandItsCorrectionsAreFoundByNumberAndWords() {
        String id = client.installation("LH-15");
        JsonNode open = client.get("/api/installations/" + id + "/corrections")
                .expect(200)
                .json()
                .get(0);
        String address = "/corrections/" + open.path("id").asString();
        String number = open.path("number").asInt() + ".";
        assertThat(addresses(client, "words=correction%20" + number + "&installation=" + id))
                .contains(address);
        assertThat(addresses(client, "words=correction&installation=" + client.installation("LH-01")))
                .doesNotContain(address);
    }

    @Test
    void aFewOfAKindAreNamedAndNothingForNoWord() {
        String id = client.installation("LH-07");
        JsonNode many = client.get("/api/find?words=e&installation=" + id).json();
        assertThat(many.size()).isLessThanOrEqualTo(30);
        assertThat(client.get("/api/find?words=breaker&installation=" + client.installation("LH-07"))
                        .json()
                        .at("/0/title")
                        .asString())
                .as("what is called just so comes before the main breaker")
                .isEqualTo("Breaker or fuse size (OCPD)");
        client.get("/api/find?words=%20").expect(400);
        client.get("/api/find?words=" + "e".repeat(101)).expect(400);
    }

    @Test
    void anotherCrewFindsNoLineOfIt() {
        String id = client.installation("LH-07");
        SERVER.signedIn("nettlebank")
                .get("/api/find?words=breaker&installation=" + id)
                .expect(404);
    }
}
