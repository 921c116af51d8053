package org.undanus.server.seal;

import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The parts of a case that are hashed one by one, each under a name that a person understands. */
final class SealParts {
    private static final String INSTALLATIONS = "installations";
    private static final Set<String> APART =
            Set.of("readings", "judgements", "corrections", "photos", "traces", "records", "files");

    private final JsonMapper json;
    private final SortedMap<String, String> digests = new TreeMap<>();

    private SealParts(JsonMapper json) {
        this.json = json;
    }

    /** Of a document alone; files come with {@link #file}. */
    static SealParts of(JsonNode document, JsonMapper json) {
        SealParts parts = new SealParts(json);
        for (Map.Entry<String, JsonNode> field : document.properties()) {
            if (field.getKey().equals(INSTALLATIONS)) {
                field.getValue().forEach(parts::installation);
            } else if (field.getValue().isArray()) {
                parts.each(field.getKey(), field.getValue());
            } else {
                parts.put(field.getKey(), field.getValue());
            }
        }
        return parts;
    }

    private void installation(JsonNode installation) {
        ObjectNode facts = json.createObjectNode();
        for (Map.Entry<String, JsonNode> field : installation.properties()) {
            if (APART.contains(field.getKey())) {
                each(field.getKey(), field.getValue());
            } else {
                facts.set(field.getKey(), field.getValue());
            }
        }
        put("installation", facts);
    }

    private void each(String kind, JsonNode all) {
        int number = 1;
        for (JsonNode one : all) {
            put(kind + " " + number++ + called(kind, one), one);
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
        digests.put(name, Canonical.digest(json.writeValueAsString(value)));
    }

    /** A file beside the document, by the SHA-256 of its bytes. */
    SealParts file(String name, String sha256) {
        digests.put("file " + name, sha256);
        return this;
    }

    SortedMap<String, String> digests() {
        return digests;
    }
}
