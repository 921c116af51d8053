package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.undanus.core.installation.SheetValue;
import org.undanus.server.journal.JournalCheck;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Export, import, corrections and the report. */
class CaseDocumentTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    @Test
    void sheetsAreTheSameInTheirOwnSchemaAndInThatOfCases() throws IOException {
        JsonMapper json = new JsonMapper();
        JsonNode cases = json.readTree(Files.readString(Path.of("../docs/formats/case.schema.json")));
        JsonNode sheets = json.readTree(Files.readString(Path.of("../docs/formats/data-sheet.schema.json")));
        assertThat(sheets.at("/$defs/dataSheet")).isEqualTo(cases.at("/$defs/dataSheet"));
        JsonNode known = sheets.at("/$defs/dataSheet/properties");
        assertThat(SheetValue.values())
                .allSatisfy(figure ->
                        assertThat(known.has(figure.key())).as(figure.key()).isTrue());
    }

    @Test
    void anEmptySystemJudgesAnImportedCaseTheSame() {
        Client from = SERVER.signedIn("inspector");
        TestServer empty = TestServer.empty();
        empty.start();
        try {
            Client to = empty.firstLead();
            assertThat(to.get("/api/installations").expect(200).json().path("entries"))
                    .isEmpty();
            for (String reference : List.of("LH-07", "LH-15", "LH-19", "LH-23", "LH-28")) {
                String document = from.get("/api/installations/" + from.installation(reference) + "/case.json")
                        .expect(200)
                        .text();
                to.bringIn(document).expect(200);
                JsonNode exported = from.get("/api/installations/" + from.installation(reference) + "/case.json")
                        .json();
                JsonNode again = to.get("/api/installations/" + to.installation(reference) + "/case.json")
                        .json();
                assertThat(again.at("/installations/0")).isEqualTo(exported.at("/installations/0"));
            }
            Client.Answer twice = to.bringIn(from.get("/api/installations/" + from.installation("LH-15") + "/case.json")
                    .text());
            assertThat(twice.expect(422).detail()).contains("already in the register");
            assertThat(empty.bean(JournalCheck.class).run()).matches(JournalCheck.Result::sound);
        } finally {
            empty.stop();
        }
    }

    @Test
    void aCaseMayBringABookFromBeforeASettingWasAskedFor() {
        Client lead = SERVER.signedIn("lead");
        ObjectNode document = (ObjectNode) lead.get("/api/installations/" + lead.installation("LH-01") + "/case.json")
                .expect(200)
                .json();
        String older = document.at("/ruleBooks/0")
                .asString()
                .replace("id: general-plate", "id: older-general")
                .replaceAll("(?m)^  siting.support-factor:.*\n", "");
        String extending = document.at("/ruleBooks/1")
                .asString()
                .replace("id: sallowmere-2026-plate", "id: older-book")
                .replace("id: general-plate", "id: older-general");
        document.putArray("ruleBooks").add(older).add(extending);
        ObjectNode installation = (ObjectNode) document.at("/installations/0");
        installation.put("reference", "LH-01-older");
        ((ObjectNode) installation.path("ruleBook")).put("id", "older-book");
        installation.path("readings").forEach(reading -> ((ObjectNode) reading).remove("id"));
        String id = lead.bringIn(document.toString())
                .expect(200)
                .json()
                .at("/installations/0")
                .asString();
        JsonNode judgement = lead.judgement(id, "siting", "siting.support-capacity@outdoor-1");
        assertThat(judgement.path("verdict").asString()).isEqualTo("NOT_SHOWN");
        assertThat(judgement.path("because").asString()).contains("does not decide");
        assertThat(lead.judgement(id, "siting", "siting.base-height@outdoor-1")
                        .path("verdict")
                        .asString())
                .isEqualTo("MEETS");
    }

    @Test
    void everyExportedFieldStandsInTheSchema() throws Exception {
        Client client = SERVER.signedIn("inspector");
        JsonNode schema = new JsonMapper()
                .readTree(Path.of("../docs/formats/case.schema.json").toFile());
        JsonNode document = client.get("/api/installations/" + client.installation("LH-15") + "/case.json")
                .json();
        List<String> unknown = new ArrayList<>();
        compare(document, schema, schema, "", unknown);
        assertThat(unknown).isEmpty();
    }

    /** Holds required names, names and plain types against the schema; a small part of JSON Schema, all this one uses. */
    private static void compare(JsonNode value, JsonNode schema, JsonNode root, String where, List<String> problems) {
        JsonNode here =
                schema.has("$ref") ? root.at(schema.path("$ref").asString().substring(1)) : schema;
        if (value.isObject()) {
            here.path("required").forEach(name -> {
                if (!value.has(name.asString())) {
                    problems.add(where + " lacks " + name.asString());
                }
            });
            for (Map.Entry<String, JsonNode> field : value.properties()) {
                JsonNode known = here.path("properties").path(field.getKey());
                JsonNode other = known.isMissingNode() ? here.path("additionalProperties") : known;
                if (!other.isObject()) {
                    problems.add(where + "." + field.getKey() + " is not in the schema");
                } else {
                    compare(field.getValue(), other, root, where + "." + field.getKey(), problems);
                }
            }
        } else if (value.isArray()) {
            value.forEach(item -> compare(item, here.path("items"), root, where + "[]", problems));
        } else {
            String type = value.isString() ? "string" : value.isBoolean() ? "boolean" : "number";
            String told = here.path("type").asString().replace("integer", "number");
            if (!told.equals(type)) {
                problems.add(where + " is a " + type + ", the schema says " + told);
            }
        }
    }

    @Test
    void correctionKeepsLimitAndSourceAsTheyStood() {
        Client client = SERVER.signedIn("inspector");
        String museum = client.installation("LH-07");
        Map<String, Object> asked = new LinkedHashMap<>(Map.of(
                "judgements", List.of("electrical.overcurrent-device@outdoor-1"), "words", "", "due", "2026-10-01"));
        JsonNode raised = client.post("/api/installations/" + museum + "/corrections?units=US", asked)
                .expect(201)
                .json()
                .get(0);
        assertThat(raised.path("finding").asString()).startsWith("Fails.").contains("20 A over");
        assertThat(raised.path("limits").asString()).contains("at most 40 A (Nameplate)");
        assertThat(raised.path("words").asString()).contains("25 A, 30 A, 35 A or 40 A");
        assertThat(client.post("/api/installations/" + museum + "/corrections", asked)
                        .expect(422)
                        .detail())
                .contains("already open");

        String path = "/api/corrections/" + raised.path("id").asString();
        Map<String, Object> amended = Map.of("words", "Change it.", "version", 1);
        assertThat(client.put(path, amended).expect(200).json().path("version").asInt())
                .isEqualTo(2);
        JsonNode conflict = client.put(path, amended).expect(409).json();
        assertThat(conflict.at("/theirs/words").asString()).isEqualTo("Change it.");
        assertThat(SERVER.signedIn("dunmarrow").get("/api/corrections").json()).isNotEmpty();
        assertThat(SERVER.signedIn("threeways").get("/api/corrections").json().toString())
                .doesNotContain("LH-07");
    }

    @Test
    void reportIsAnArchivablePdfOnBothPapers() throws Exception {
        Client client = SERVER.signedIn("inspector");
        String museum = client.installation("LH-07");
        for (Map.Entry<String, Float> paper :
                Map.of("A4", 841.9f, "LETTER", 792f).entrySet()) {
            byte[] pdf = client.get("/api/installations/" + museum + "/report.pdf?units=US&derivations=true&paper="
                            + paper.getKey())
                    .expect(200)
                    .response()
                    .body();
            try (var document = Loader.loadPDF(pdf)) {
                assertThat(document.getPage(0).getMediaBox().getHeight()).isCloseTo(paper.getValue(), within(0.5f));
                for (var page : document.getPages()) {
                    for (var name : page.getResources().getFontNames()) {
                        assertThat(page.getResources().getFont(name).isEmbedded())
                                .as(name.getName())
                                .isTrue();
                        assertThat(page.getResources().getFont(name).getName())
                                .as("only fonts that ship with it")
                                .containsAnyOf("Atkinson", "DejaVuSans");
                    }
                }
                String text = new PDFTextStripper().getText(document);
                assertThat(text)
                        .contains("Foundry floor, ducted split")
                        .contains("20 A over.")
                        .contains("Local code and licensed practice decide")
                        .contains("Appendix")
                        .contains("Probability of conforming")
                        .doesNotContain("#");
                String metadata =
                        new String(document.getDocumentCatalog().getMetadata().toByteArray());
                assertThat(metadata).contains("pdfaid");
            }
        }
    }

    @Test
    void pagesCanBeLookedAtBeforePrinting() {
        Client client = SERVER.signedIn("inspector");
        String lido = client.installation("LH-01");
        int pages = client.get("/api/installations/" + lido + "/report")
                .expect(200)
                .json()
                .path("pages")
                .asInt();
        assertThat(pages).isGreaterThan(2);
        Client.Answer page = client.get("/api/installations/" + lido + "/report/pages/" + pages)
                .expect(200);
        assertThat(page.header("Content-Type")).isEqualTo("image/png");
        assertThat(page.response().body()).hasSizeGreaterThan(5_000);
    }
}
