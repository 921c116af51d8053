package org.undanus.core.rules;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** The rule books that come with Undanus. */
public final class ShippedRuleBooks {
    private static final List<String> FILES = List.of("sallowmere-2026-plate.yaml", "sallowmere-2026-design.yaml");

    private ShippedRuleBooks() {}

    /** Their YAML, in the order they are listed. */
    public static List<String> yaml() {
        return FILES.stream().map(ShippedRuleBooks::text).toList();
    }

    private static String text(String file) {
        try (InputStream in = ShippedRuleBooks.class.getResourceAsStream(file)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
