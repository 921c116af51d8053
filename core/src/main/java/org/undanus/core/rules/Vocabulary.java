package org.undanus.core.rules;

import java.util.Collection;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.undanus.core.quantity.Dimension;

/**
 * The words a rule book may use: what the stations can be limited by, set, asked to choose between.
 *
 * @param sizeLists names of lists of sizes, with their dimension
 * @param tables names of choices of shipped table, with the tables there are
 */
public record Vocabulary(
        Map<String, LimitKey> limits,
        Map<String, Setting> settings,
        Map<String, SchoolTopic> topics,
        Map<String, Dimension> sizeLists,
        Map<String, Set<String>> tables,
        Set<String> gradeable,
        Set<String> severities) {

    /**
     * @param gradeable stations and requirements for which a book may ask a minimum grade
     * @param severities what may be at stake
     */
    public static Vocabulary of(
            Collection<LimitKey> limits,
            Collection<Setting> settings,
            Collection<SchoolTopic> topics,
            Map<String, Dimension> sizeLists,
            Map<String, Set<String>> tables,
            Set<String> gradeable,
            Set<String> severities) {
        return new Vocabulary(
                byId(limits, LimitKey::id),
                byId(settings, Setting::id),
                byId(topics, SchoolTopic::id),
                Map.copyOf(sizeLists),
                Map.copyOf(tables),
                Set.copyOf(gradeable),
                Set.copyOf(severities));
    }

    private static <T> Map<String, T> byId(Collection<T> items, Function<T, String> id) {
        return items.stream().distinct().collect(Collectors.toUnmodifiableMap(id, item -> item));
    }
}
