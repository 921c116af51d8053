package org.undanus.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.undanus.server.Contract.Operation;
import org.undanus.server.correction.Correction;
import org.undanus.server.journal.JournalCheck;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Asks everything that is described: who is let in, and whether any request, however odd, is answered otherwise than described.
 * That each answer is as described is asserted by the {@link Client} itself, here as in all other tests.
 */
class ContractTest {
    @RegisterExtension
    static final TestServer SERVER = TestServer.withDemo();

    private static final long SEED = 20261126;
    private static final int REQUESTS = 800;
    private static final String CREW_REFERENCE = "LH-07";

    private final Client inspector = SERVER.signedIn("inspector");
    private final String installation = inspector.installation(CREW_REFERENCE);

    /** What a path's variables stand for, where it matters who asks. */
    private String path(Operation operation) {
        String path = operation.path();
        if (path.startsWith("/api/photos/")) {
            return path.replace("{id}", photo());
        }
        if (path.startsWith("/api/corrections/")) {
            return path.replace("{id}", correction());
        }
        if (path.startsWith("/api/attachments/")) {
            return path.replace("{id}", attachment());
        }
        if (path.startsWith("/api/letters/")) {
            correction();
            return path.replace(
                    "{id}", inspector.get("/api/letters").json().at("/0/id").asString());
        }
        if (path.startsWith("/api/records/")) {
            return path.replace("{id}", record());
        }
        if (path.startsWith("/api/claims/")) {
            return path.replace(
                    "{id}",
                    inspector
                            .get("/api/records/" + record())
                            .json()
                            .at("/values/0/id")
                            .asString());
        }
        if (path.startsWith("/api/record-documents/")) {
            return path.replace("{id}", recordDocument()).replace("{number}", "1");
        }
        if (path.startsWith("/api/questions/")) {
            return path.replace("{id}", question());
        }
        return path.replace("{station}", "siting")
                .replace("{number}", "1")
                .replace("{version}", "9")
                .replace("{name}", "nobody")
                .replace("{subject}", "joint-1")
                .replace("{component}", "line-set-indoor-1")
                .replace("{hold}", "00000000-0000-0000-0000-000000000000")
                .replace("{listening}", "00000000-0000-0000-0000-000000000000")
                .replace("{notice}", "00000000-0000-0000-0000-000000000000")
                .replace("{sha256}", "0".repeat(64))
                .replace(
                        "{id}",
                        Map.of(
                                        "/api/rule-books", "sallowmere-2026-plate",
                                        "/api/instruments", "gauge-5",
                                        "/api/calculators", "voltage-drop",
                                        "/api/imports", "none",
                                        "/api/record-audits", "none",
                                        "/api/record-imports", "none",
                                        "/api/trials", "none")
                                .entrySet()
                                .stream()
                                .filter(known -> path.startsWith(known.getKey()))
                                .map(Map.Entry::getValue)
                                .findFirst()
                                .orElse(installation));
    }

    /** A record with something doubtful in it. */
    private String record() {
        JsonNode records =
                inspector.get("/api/installations/" + installation + "/records").json();
        if (!records.isEmpty()) {
            return records.get(0).path("id").asString();
        }
        return inspector
                .post("/api/installations/" + installation + "/records", Client.record("45 °C"))
                .expect(201)
                .json()
                .path("id")
                .asString();
    }

    private String recordDocument() {
        JsonNode documents = inspector.get("/api/records/" + record()).json().path("documents");
        return documents.isEmpty()
                ? inspector
                        .upload("/api/records/" + record() + "/documents?name=paper.png", TestPictures.png(30, 20))
                        .expect(201)
                        .json()
                        .path("id")
                        .asString()
                : documents.get(0).path("id").asString();
    }

    private String question() {
        JsonNode questions = inspector.get("/api/records/" + record()).json().path("questions");
        return questions.isEmpty()
                ? inspector
                        .post(
                                "/api/records/" + record() + "/questions",
                                Map.of("questions", List.of(Map.of("check", "record.weather", "subject", "system"))))
                        .expect(201)
                        .json()
                        .at("/0/id")
                        .asString()
                : questions.get(0).path("id").asString();
    }

    private String photo() {
        JsonNode photos =
                inspector.get("/api/installations/" + installation + "/photos").json();
        return photos.isEmpty()
                ? inspector
                        .upload(
                                "/api/installations/" + installation + "/photos?component=outdoor-1",
                                TestPictures.jpeg(30, 20))
                        .expect(201)
                        .json()
                        .path("id")
                        .asString()
                : photos.get(0).path("id").asString();
    }

    /** One that still goes on: an odd request may have ended another. */
    private String correction() {
        JsonNode raised = inspector
                .get("/api/installations/" + installation + "/corrections")
                .json();
        return StreamSupport.stream(raised.spliterator(), false)
                .filter(each ->
                        !Correction.State.valueOf(each.path("state").asString()).ended())
                .map(each -> each.path("id").asString())
                .findFirst()
                .orElseGet(() -> inspector
                        .post(
                                "/api/installations/" + installation + "/corrections",
                                Map.of("judgements", List.of(open()), "words", "Mend it."))
                        .expect(201)
                        .json()
                        .at("/0/id")
                        .asString());
    }

    private String attachment() {
        return inspector
                .upload(
                        "/api/corrections/" + correction() + "/files?name=note.txt",
                        "Done.".getBytes(StandardCharsets.UTF_8))
                .expect(201)
                .json()
                .path("id")
                .asString();
    }

    private String open() {
        return inspector
                .get("/api/installations/" + installation + "/stations/siting")
                .json()
                .path("judgements")
                .valueStream()
                .filter(j -> j.path("verdict").asString().equals("FAILS"))
                .map(j -> j.path("key").asString())
                .findFirst()
                .orElseThrow();
    }

    private static String query(Operation operation) {
        Map<String, String> needed = new LinkedHashMap<>();
        operation
                .description()
                .path("parameters")
                .valueStream()
                .filter(p -> p.path("in").asString().equals("query")
                        && p.path("required").asBoolean())
                .forEach(p -> needed.put(p.path("name").asString(), fit(p.path("schema"))));
        return needed.isEmpty()
                ? ""
                : "?"
                        + needed.entrySet().stream()
                                .map(e -> e.getKey() + "=" + e.getValue())
                                .collect(Collectors.joining("&"));
    }

    private static String fit(JsonNode schema) {
        if (schema.has("enum")) {
            return schema.at("/enum/0").asString();
        }
        return switch (schema.path("type").asString()) {
            case "integer" -> "1";
            case "boolean" -> "false";
            default -> "x";
        };
    }

    private static Client.Answer ask(Client client, Operation operation, String path, byte[] body) {
        return operation.method().equals("GET")
                ? client.get(path)
                : client.send(
                        operation.method(),
                        path,
                        body,
                        operation.body().map(Map.Entry::getKey).orElse("application/json"));
    }

    // -- who is let in

    /** Whoever asks is signed in or out by it, or others of the same name are. */
    private static final Set<String> NOT_ASKED = Set.of("/api/session", "/api/session/others");

    private enum Who {
        NOBODY("nobody", null),
        OWN_CREW("own crew", "dunmarrow"),
        OTHER_CREW("other crew", "threeways"),
        INSPECTOR("inspector", "inspector"),
        LEAD("quality lead", "lead");

        private final String title;
        private final String name;

        Who(String title, String name) {
            this.title = title;
            this.name = name;
        }

        private Client client() {
            return name == null ? SERVER.client() : SERVER.signedIn(name);
        }
    }

    /** Whose business it is not hears that there is none such, as if there were none. */
    private static final Pattern NOT_THEIRS =
            Pattern.compile("no such (installation in your register|photo|correction|certificate|file|letter)");

    private static String let(Client.Answer answer) {
        return switch (answer.status()) {
            case 401 -> "sign in";
            case 403 -> "not allowed";
            case 404 -> NOT_THEIRS.matcher(answer.detail()).find() ? "not found" : "let in";
            default -> "let in";
        };
    }

    /** Well formed, and nothing that anybody would keep. */
    private static JsonNode useless(JsonNode schema) {
        JsonNodeFactory nodes = JsonNodeFactory.instance;
        JsonNode wanted = Contract.KEPT.resolved(schema);
        if (wanted.has("enum")) {
            return wanted.path("enum").get(0);
        }
        return switch (wanted.path("type").asString("object")) {
            case "string" ->
                nodes.stringNode(Map.of(
                                "date", "1900-01-01",
                                "date-time", "1900-01-01T00:00:00Z",
                                "uuid", "00000000-0000-0000-0000-000000000000",
                                "byte", "")
                        .getOrDefault(wanted.path("format").asString(""), "x"));
            case "integer", "number" -> nodes.numberNode(-1);
            case "boolean" -> nodes.booleanNode(false);
            case "array" ->
                wanted.path("minItems").asInt(0) > 0
                        ? nodes.arrayNode().add(useless(wanted.path("items")))
                        : nodes.arrayNode();
            default -> {
                ObjectNode object = nodes.objectNode();
                wanted.path("required")
                        .valueStream()
                        .map(JsonNode::asString)
                        .forEach(name -> object.set(
                                name, useless(wanted.path("properties").path(name))));
                yield object;
            }
        };
    }

    @Test
    void whoIsLetInIsAsTheMatrixSays() {
        Map<Who, Client> clients = new TreeMap<>();
        for (Who who : Who.values()) {
            clients.put(who, who.client());
            // the page that a browser loads first hands out the token
            clients.get(who).get("/api/session");
        }
        String crew = inspector
                .get("/api/installations/" + installation)
                .json()
                .path("crew")
                .asString();
        assertThat(crew).isEqualTo("Dunmarrow Services");
        Map<String, Map<Who, String>> rows = new TreeMap<>();
        for (Operation operation : Contract.KEPT.operations()) {
            if (NOT_ASKED.contains(operation.path())) {
                continue;
            }
            Map<Who, String> row = new TreeMap<>();
            byte[] nothing = operation
                    .body()
                    .map(body -> useless(body.getValue()).toString().getBytes(StandardCharsets.UTF_8))
                    .orElse(new byte[0]);
            String path = path(operation) + query(operation);
            clients.forEach((who, client) -> row.put(who, let(ask(client, operation, path, nothing))));
            rows.put(operation.path() + " " + operation.method(), row);

            assertThat(row.get(Who.NOBODY))
                    .as(operation.toString())
                    .isEqualTo(Set.of("/api/words", "/api/language").contains(operation.path()) ? "let in" : "sign in");
            if (operation.path().startsWith("/api/installations/{id}")
                    || operation.path().startsWith("/api/photos")
                    || operation.path().startsWith("/api/attachments/")
                    || operation.path().startsWith("/api/letters/")
                    || operation.path().startsWith("/api/corrections/")) {
                assertThat(row.get(Who.OTHER_CREW)).as(operation.toString()).isEqualTo("not found");
            }
        }
        StringBuilder matrix = new StringBuilder("# Who is let in\n\n"
                + "Generated from the description of the interface and asserted by `ContractTest`. \"Let in\" means that the"
                + " request is looked at; what is in it may still be refused.\n\n| path | method |");
        for (Who who : Who.values()) {
            matrix.append(' ').append(who.title).append(" |");
        }
        matrix.append("\n|---|---|").append("---|".repeat(Who.values().length)).append('\n');
        rows.forEach((operation, row) -> {
            String[] parts = operation.split(" ");
            matrix.append("| `")
                    .append(parts[0])
                    .append("` | ")
                    .append(parts[1])
                    .append(" |");
            row.values().forEach(let -> matrix.append(' ').append(let).append(" |"));
            matrix.append('\n');
        });
        Golden.compare(Path.of("../docs/access.md"), matrix.toString());
    }

    // -- odd requests

    private static final List<String> ODD = List.of(
            "",
            " ",
            "0",
            "-1",
            "1e308",
            "NaN",
            "null",
            "12 in",
            "208/230 V",
            "\u0000",
            "é",
            "e\u0301",
            "'; DROP TABLE reading; --",
            "<script>alert(1)</script>",
            "../../etc/passwd",
            "x".repeat(1500),
            "outdoor-1",
            "plate.model",
            "siting.outdoor-clearance-front",
            "WITNESSED",
            "2026-02-30",
            "00000000-0000-0000-0000-000000000000");

    /** What the container itself refuses within a path. */
    private static final Pattern UNFIT_FOR_PATHS = Pattern.compile("[/\\x00]");

    private static String odd(Random random) {
        return ODD.get(random.nextInt(ODD.size()));
    }

    /** Something of the schema's shape, or now and then of none. */
    private static JsonNode body(JsonNode schema, Random random, int depth) {
        JsonNodeFactory nodes = JsonNodeFactory.instance;
        JsonNode wanted = Contract.KEPT.resolved(schema);
        if (random.nextInt(12) == 0 || depth > 8) {
            return List.<JsonNode>of(
                            nodes.nullNode(),
                            nodes.numberNode(random.nextInt()),
                            nodes.stringNode(odd(random)),
                            nodes.booleanNode(true),
                            nodes.arrayNode(),
                            nodes.objectNode())
                    .get(random.nextInt(6));
        }
        if (wanted.has("enum")) {
            ArrayNode values = (ArrayNode) wanted.path("enum");
            return values.get(random.nextInt(values.size()));
        }
        return switch (wanted.path("type").asString("object")) {
            case "string" -> nodes.stringNode(odd(random));
            case "integer" -> nodes.numberNode(random.nextInt(5) == 0 ? random.nextLong() : random.nextInt(4) - 1);
            case "number" ->
                nodes.numberNode(random.nextInt(3) == 0 ? random.nextGaussian() * 1e300 : random.nextInt(50));
            case "boolean" -> nodes.booleanNode(random.nextBoolean());
            case "array" -> {
                ArrayNode array = nodes.arrayNode();
                for (int i = random.nextInt(4); i > 0; i--) {
                    array.add(body(wanted.path("items"), random, depth + 1));
                }
                yield array;
            }
            default -> {
                ObjectNode object = nodes.objectNode();
                wanted.path("properties")
                        .propertyStream()
                        .filter(property -> random.nextInt(8) > 0)
                        .forEach(p -> object.set(p.getKey(), body(p.getValue(), random, depth + 1)));
                yield object;
            }
        };
    }

    private String oddPath(Operation operation, Random random) {
        String path = random.nextInt(4) > 0
                ? path(operation)
                : operation
                        .path()
                        .replaceAll(
                                "\\{[^}]+}",
                                Client.encoded(
                                        UNFIT_FOR_PATHS.matcher(odd(random)).replaceAll("") + "x"));
        List<String> parameters = new ArrayList<>();
        operation
                .description()
                .path("parameters")
                .valueStream()
                .filter(p -> p.path("in").asString().equals("query"))
                .filter(p -> random.nextInt(5) > 0)
                .forEach(p -> {
                    JsonNode schema = p.path("schema");
                    String value = random.nextInt(3) > 0 && schema.has("enum")
                            ? schema.path("enum").get(0).asString()
                            : odd(random);
                    parameters.add(p.path("name").asString() + "=" + Client.encoded(value));
                });
        return path + (parameters.isEmpty() ? "" : "?" + String.join("&", parameters));
    }

    @Test
    void noRequestIsAnsweredOtherwiseThanDescribed() {
        Random random = new Random(SEED);
        JsonMapper json = new JsonMapper();
        List<Operation> operations = Contract.KEPT.operations().stream()
                .filter(o -> !o.path().equals("/api/session"))
                .toList();
        Client lead = SERVER.signedIn("lead");
        Client crew = SERVER.signedIn("dunmarrow");
        Map<Integer, Integer> answers = new TreeMap<>();
        for (int i = 0; i < REQUESTS; i++) {
            Operation operation = operations.get(random.nextInt(operations.size()));
            String path = oddPath(operation, random);
            Optional<JsonNode> schema = operation.body().map(Map.Entry::getValue);
            byte[] body = json.writeValueAsBytes(
                    schema.map(s -> body(s, random, 0)).orElseGet(JsonNodeFactory.instance::objectNode));
            Client.Answer answer = ask(random.nextInt(3) > 0 ? lead : crew, operation, path, body);
            assertThat(answer.status())
                    .as(operation + " " + path + " " + new String(body, StandardCharsets.UTF_8) + " " + answer.text())
                    .isNotEqualTo(500);
            answers.merge(answer.status(), 1, Integer::sum);
        }
        // all sorts of answers were met, not one alone
        assertThat(answers.keySet()).contains(200, 400, 403, 404, 422);
        assertThat(SERVER.bean(JournalCheck.class).run().sentence()).startsWith("The data is sound");
        lead.get("/api/installations").expect(200);
        lead.get("/api/corrections").expect(200);
        lead.get("/api/data-sheets").expect(200);
    }
}
