package org.undanus.server.seal;

import java.io.InputStream;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.BiConsumer;
import java.util.function.IntConsumer;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The parts of a case that are hashed one by one, each under a name that a person understands. */
final class SealParts {
    /** Before the name of a file beside the document. */
    static final String FILE = "file ";

    private static final String INSTALLATIONS = "installations";
    private static final int MOST_PARTS = 200_000;
    private static final Set<String> APART =
            Set.of("readings", "judgements", "corrections", "photos", "traces", "records", "files");

    private final JsonMapper json;
    private final SortedMap<String, String> digests = new TreeMap<>();

    private SealParts(JsonMapper json) {
        this.json = json;
    }

    /**
     * Of a document alone; files come with {@link #file}. It is read a part at a time, however large it is.
     *
     * @throws tools.jackson.core.JacksonException where it is no JSON, or says something twice
     * @throws IllegalArgumentException where it is no case, or names two parts alike
     */
    static SealParts of(InputStream document, JsonMapper json) {
        SealParts parts = new SealParts(json.rebuild()
                .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                .build());
        try (JsonParser from = parts.json.createParser(document)) {
            from.nextToken();
            parts.fields(from, (name, token) -> {
                if (name.equals(INSTALLATIONS)) {
                    parts.elements(from, name, number -> parts.installation(from));
                } else if (token == JsonToken.START_ARRAY) {
                    parts.each(from, name);
                } else {
                    parts.put(name, from.readValueAsTree());
                }
            });
            require(from.nextToken() == null, "something stands after it");
        }
        return parts;
    }

    private void installation(JsonParser from) {
        ObjectNode facts = json.createObjectNode();
        fields(from, (name, token) -> {
            if (APART.contains(name)) {
                each(from, name);
            } else {
                facts.set(name, from.readValueAsTree());
            }
        });
        put("installation", facts);
    }

    private void each(JsonParser from, String kind) {
        elements(from, kind, number -> {
            JsonNode one = from.readValueAsTree();
            put(kind + " " + number + called(kind, one), one);
        });
    }

    /** Goes through an object, standing at its beginning, and on to its end. */
    private void fields(JsonParser from, BiConsumer<String, JsonToken> field) {
        require(from.currentToken() == JsonToken.START_OBJECT, "an object is expected");
        while (from.nextToken() != JsonToken.END_OBJECT) {
            String name = from.currentName();
            field.accept(name, from.nextToken());
        }
    }

    /** Goes through an array, standing at its beginning, and on to its end. */
    private void elements(JsonParser from, String kind, IntConsumer element) {
        require(from.currentToken() == JsonToken.START_ARRAY, kind + " is no list");
        for (int number = 1; from.nextToken() != JsonToken.END_ARRAY; number++) {
            element.accept(number);
        }
    }

    private static void require(boolean so, String otherwise) {
        if (!so) {
            throw new IllegalArgumentException(otherwise);
        }
    }

    /** What tells it from others of its kind. */
    private static String called(String kind, JsonNode one) {
        String what =
                switch (kind) {
                    case "readings" -> one.path("point").asString("");
                    case "judgements" -> one.path("requirement").asString("");
                    case "corrections" -> one.path("what").asString("");
                    case "photos", "traces", "files" -> one.path("file").asString("");
                    case "records" -> one.path("day").asString("");
                    case "dataSheets" -> one.path("model").asString("");
                    case "instruments" -> one.path("id").asString("");
                    default -> "";
                };
        String where = one.path("component").asString("");
        return (what.isEmpty() ? "" : ": " + what) + (where.isEmpty() ? "" : " of " + where);
    }

    private void put(String name, JsonNode value) {
        require(digests.size() < MOST_PARTS, "it has more than " + MOST_PARTS + " parts");
        require(
                digests.put(name, Canonical.digest(json.writeValueAsString(value))) == null,
                "it says twice what is its " + name);
    }

    /** A file beside the document, by the SHA-256 of its bytes. */
    SealParts file(String name, String sha256) {
        digests.put(FILE + name, sha256);
        return this;
    }

    SortedMap<String, String> digests() {
        return digests;
    }
}
