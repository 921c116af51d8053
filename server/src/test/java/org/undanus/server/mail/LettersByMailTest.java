package org.undanus.server.mail;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.undanus.server.Client;
import org.undanus.server.TestServer;
import org.undanus.server.journal.JournalCheck;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;

/** Letters leave for those who want them, and for nobody else. */
class LettersByMailTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo()
            .with("--undanus.mail.send-every=PT0.1S")
            .with("--undanus.mail.link=https://undanus.example/");

    private static final List<String> ALL = List.of("RAISED", "ANSWERED", "RECORD");

    private final Client inspector = SERVER.signedIn("inspector");
    private final Client lead = SERVER.signedIn("lead");

    /** Polls: letters leave by themselves. */
    static JsonNode until(Supplier<JsonNode> asked) throws InterruptedException {
        for (int tries = 0; tries < 200; tries++) {
            JsonNode found = asked.get();
            if (!found.isEmpty()) {
                return found;
            }
            Thread.sleep(50);
        }
        throw new AssertionError("nothing came of it in ten seconds");
    }

    static JsonNode raise(Client who, String reference, String judgement, String words) {
        return who.post(
                        "/api/installations/" + who.installation(reference) + "/corrections?units=US",
                        Map.of("judgements", List.of(judgement), "words", words))
                .expect(201)
                .json()
                .get(0);
    }

    private JsonNode arrived(Client who, String words) {
        JsonNode all = who.get("/api/simulated/mail").expect(200).json();
        return JsonNodeFactory.instance
                .arrayNode()
                .addAll(all.valueStream()
                        .filter(letter -> letter.path("words").asString().contains(words))
                        .toList());
    }

    private static List<String> states(Client who, String installation, String of) {
        return who.get("/api/letters")
                .expect(200)
                .json()
                .valueStream()
                .filter(letter -> letter.path("installationId").asString().equals(installation))
                .filter(letter -> letter.path("subject").asString().contains(of))
                .flatMap(letter -> letter.path("deliveries").valueStream())
                .map(delivery -> delivery.path("to").asString() + " "
                        + delivery.path("state").asString())
                .distinct()
                .toList();
    }

    private static Map<String, Object> mail(String address, List<String> kinds, int version) {
        return Map.of("address", address, "kinds", kinds, "version", version);
    }

    @Test
    void aCorrectionReachesTheCrewAndItsAnswerTheOffice() throws Exception {
        String museum = inspector.installation("LH-07");
        JsonNode raised = raise(inspector, "LH-07", "siting.outdoor-clearance-back@outdoor-1", "Move it, by Tuesday.");
        String crew = raised.path("crew").asString("");
        Client own = SERVER.signedIn("nettlebank");
        JsonNode letter =
                until(() -> arrived(inspector, "Move it, by Tuesday.")).get(0);
        assertThat(letter.path("to").asString()).endsWith("@sallowmere.example").doesNotContain("inspector");
        assertThat(letter.path("from").asString()).contains("Inspection office");
        assertThat(letter.path("subject").asString()).contains("LH-07");
        assertThat(letter.path("words").asString())
                .endsWith("https://undanus.example/corrections?installation=" + museum);
        assertThat(states(inspector, museum, "LH-07"))
                .as("to members of the crew %s alone", crew)
                .singleElement()
                .asString()
                .endsWith("SENT");
        String to = letter.path("to").asString().split("@")[0];
        assertThat(arrived(SERVER.signedIn(to), "Move it, by Tuesday.")).hasSize(1);
        String other = to.equals("threeways") ? "dunmarrow" : "threeways";
        assertThat(arrived(SERVER.signedIn(other), "Move it, by Tuesday."))
                .as("no other crew reads it")
                .isEmpty();

        Client answering = to.equals("nettlebank") ? own : SERVER.signedIn(to);
        answering
                .post(
                        "/api/corrections/" + raised.path("id").asString() + "/steps",
                        Map.of(
                                "kind",
                                "ANSWERED",
                                "words",
                                "It stands free now.",
                                "readings",
                                List.of(),
                                "confirmed",
                                false,
                                "version",
                                raised.path("version").asInt()))
                .expect(201);
        JsonNode answer = until(() -> {
            JsonNode came = arrived(inspector, "It stands free now.");
            return came.size() < 2 ? JsonNodeFactory.instance.arrayNode() : came;
        });
        assertThat(answer.valueStream().map(each -> each.path("to").asString()))
                .as("the whole office, each by a letter of their own")
                .containsExactlyInAnyOrder("inspector@sallowmere.example", "lead@sallowmere.example");
        assertThat(SERVER.bean(JournalCheck.class).run().sentence()).startsWith("The data is sound");
    }

    @Test
    void whoWantsNoSuchLetterGetsNone() throws Exception {
        JsonNode before = lead.get("/api/people/threeways/mail").expect(200).json();
        assertThat(before.path("sends").asBoolean()).isTrue();
        assertThat(before.path("offered")).hasSize(3);
        assertThat(inspector.get("/api/mail").json().path("offered").toString())
                .as("nobody asks the office for corrections")
                .doesNotContain("RAISED");
        JsonNode now = lead.put(
                        "/api/people/threeways/mail",
                        mail(
                                "site@threeways.example",
                                List.of("RECORD"),
                                before.path("version").asInt()))
                .expect(200)
                .json();
        assertThat(now.path("kinds").valueStream().map(JsonNode::asString)).containsExactly("RECORD");
        String id = inspector.installation("LH-15");
        Deliveries deliveries = SERVER.bean(Deliveries.class);
        assertThat(deliveries.due(100)).isEmpty();
        MailChoice choice = SERVER.bean(MailChoices.class).of("threeways");
        assertThat(choice.wants(LetterKind.RECORD)).isTrue();
        assertThat(choice.wants(LetterKind.RAISED)).isFalse();
        assertThat(MailChoice.NONE.wants(LetterKind.RAISED))
                .as("without an address")
                .isFalse();
        assertThat(states(inspector, id, "threeways")).isEmpty();
        assertThat(lead.put("/api/people/threeways/mail", mail("late@threeways.example", ALL, 1))
                        .expect(409)
                        .detail())
                .contains("changed meanwhile");
        assertThat(SERVER.bean(MailChoices.class).of("threeways").address()).isEqualTo("site@threeways.example");
    }

    @Test
    void whatIsNoAddressIsRefused() {
        Client own = SERVER.signedIn("dunmarrow");
        int version = own.get("/api/mail").expect(200).json().path("version").asInt();
        for (String wrong : List.of(
                "wren",
                "wren@undanus",
                "wren@undanus.example\r\nBcc: other@undanus.example",
                "a b@undanus.example",
                "w@undanus..example",
                "w".repeat(250) + "@undanus.example",
                "Wren <wren@undanus.example>")) {
            assertThat(own.put("/api/mail", mail(wrong, ALL, version)).status())
                    .as(wrong)
                    .isEqualTo(400);
        }
        assertThat(own.put("/api/mail", Map.of("address", "", "kinds", List.of("ALL"), "version", version))
                        .status())
                .as("a kind that there is not")
                .isEqualTo(400);
        own.put("/api/mail", mail("", ALL, version)).expect(200);
        assertThat(SERVER.bean(MailChoices.class).of("dunmarrow").wants(LetterKind.RAISED))
                .as("an empty address takes them off")
                .isFalse();
        own.get("/api/people/threeways/mail").expect(403);
        own.put("/api/people/threeways/mail", mail("dunmarrow@undanus.example", ALL, 1))
                .expect(403);
        lead.get("/api/people/nobody/mail").expect(404);
    }

    @Test
    void anAddressIsNotInTheJournal() {
        MailMapper.ChoiceRow row = MailMapper.ChoiceRow.of("wren", new MailChoice("wren@undanus.example", Set.of(), 1));
        assertThat(row.state().address()).hasSize(64).doesNotContain("wren");
        assertThat(row.choice().kinds()).isEmpty();
    }
}
