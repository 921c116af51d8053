package org.undanus.core.rules;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;

/** The rule books that come with Undanus: general ones, and those of the demo's invented borough, which extend them. */
public final class ShippedRuleBooks {
    private static final List<String> GENERAL = List.of("general-plate.yaml", "general-design.yaml");
    private static final List<String> DEMO = List.of("sallowmere-2026-plate.yaml", "sallowmere-2026-design.yaml");

    private ShippedRuleBooks() {}

    /** The YAML of the general ones, in the order they are listed. */
    public static List<String> general() {
        return GENERAL.stream().map(ShippedRuleBooks::text).toList();
    }

    /** The YAML of the demo's. */
    public static List<String> demo() {
        return DEMO.stream().map(ShippedRuleBooks::text).toList();
    }

    /** The shipped book a reference leads to, for books that extend it. */
    public static Optional<RuleBook> book(RuleBook.Reference reference, Vocabulary vocabulary) {
        return general().stream()
                .map(yaml -> RuleBookReader.read(yaml, vocabulary))
                .filter(book -> book.reference().equals(reference))
                .findFirst();
    }

    private static String text(String file) {
        try (InputStream in = ShippedRuleBooks.class.getResourceAsStream(file)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
