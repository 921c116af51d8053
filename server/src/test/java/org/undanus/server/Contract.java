package org.undanus.server;

import com.networknt.schema.Schema;
import com.networknt.schema.SchemaLocation;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The described interface, and whether an answer is as described. */
public final class Contract {
    private static final JsonMapper JSON = new JsonMapper();

    /** As kept under docs; the golden test holds it to what the server says. */
    public static final Contract KEPT = new Contract(Path.of("../docs/formats/openapi.json"));

    /** @param pattern matches the paths it answers */
    public record Operation(String method, String path, Pattern pattern, JsonNode description) {
        public boolean sends() {
            return description.has("requestBody");
        }

        /** The media type that it takes first, and the schema of it. */
        public Optional<Map.Entry<String, JsonNode>> body() {
            return description
                    .path("requestBody")
                    .path("content")
                    .propertyStream()
                    .findFirst()
                    .map(content ->
                            Map.entry(content.getKey(), content.getValue().path("schema")));
        }

        /** How specific its path is: one without variables goes before one with. */
        private long variables() {
            return path.chars().filter(c -> c == '{').count();
        }

        @Override
        public String toString() {
            return method + " " + path;
        }
    }

    private final JsonNode document;
    private final List<Operation> operations = new ArrayList<>();
    private final SchemaRegistry schemas = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12);
    private final Map<String, Schema> known = new ConcurrentHashMap<>();

    private Contract(Path file) {
        try {
            document = JSON.readTree(Files.readString(file));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        document.path("paths").propertyStream().forEach(path -> path.getValue()
                .propertyStream()
                .forEach(operation -> operations.add(new Operation(
                        operation.getKey().toUpperCase(Locale.ROOT),
                        path.getKey(),
                        Pattern.compile(path.getKey().replace(".", "\\.").replaceAll("\\{[^}]+}", "[^/]+")),
                        operation.getValue()))));
    }

    public List<Operation> operations() {
        return List.copyOf(operations);
    }

    /** A schema with what it refers to looked up. */
    public JsonNode resolved(JsonNode schema) {
        String ref = schema.path("$ref").asString("");
        return ref.isEmpty() ? schema : document.at(ref.substring(1));
    }

    /** What about this answer is not as described; empty for paths that are not described at all. */
    public List<String> faults(String method, String path, int status, String contentType, byte[] body) {
        return operations.stream()
                .filter(o ->
                        o.method().equals(method) && o.pattern().matcher(path).matches())
                .min(Comparator.comparingLong(Operation::variables))
                .map(operation -> faults(operation, status, contentType, body))
                .orElse(List.of());
    }

    private List<String> faults(Operation operation, int status, String contentType, byte[] body) {
        JsonNode answer = resolved(operation.description().path("responses").path(Integer.toString(status)));
        if (answer.isMissingNode()) {
            return List.of(operation + " does not declare that it may answer " + status);
        }
        if (!answer.has("content")) {
            return body.length == 0 ? List.of() : List.of(operation + " declares no content with " + status);
        }
        String type = contentType.split(";")[0].strip();
        JsonNode content = answer.path("content").path(type);
        if (content.isMissingNode()) {
            return List.of(operation + " does not declare " + type + " with " + status);
        }
        return type.endsWith("json") && !type.contains("geo") ? faults(operation, content, body) : List.of();
    }

    private List<String> faults(Operation operation, JsonNode content, byte[] body) {
        return schema(content.path("schema")).validate(JSON.readTree(body)).stream()
                .map(error -> operation + ": " + error)
                .toList();
    }

    private Schema schema(JsonNode wanted) {
        return known.computeIfAbsent(wanted.toString(), text -> {
            ObjectNode whole = JSON.createObjectNode();
            whole.set("components", document.path("components"));
            whole.setAll((ObjectNode) wanted);
            return schemas.getSchema(SchemaLocation.of("undanus:" + known.size()), whole);
        });
    }
}
