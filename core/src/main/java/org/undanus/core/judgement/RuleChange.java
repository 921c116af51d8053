package org.undanus.core.judgement;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.rules.Limit;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.SchoolTopic;
import org.undanus.core.rules.Setting;
import org.undanus.core.rules.Vocabulary;
import org.undanus.core.words.Text;

/**
 * What one rule book says otherwise than another, and which requirements that can touch: only those are judged anew when a change
 * is tried on many installations.
 */
public final class RuleChange {

    /** What kind of thing is said otherwise. */
    public enum Kind {
        LIMIT("limit"),
        SETTING("setting"),
        SCHOOL("school"),
        OTHER("other");

        private final String title;

        Kind(String title) {
            this.title = title;
        }

        public String title() {
            return title;
        }
    }

    /** @param before empty text where the earlier book says nothing, as {@code now} where the later one does not */
    public record Difference(Kind kind, String id, String title, Text before, Text now) {}

    private final List<Difference> differences;
    private final boolean everything;

    private RuleChange(List<Difference> differences, boolean everything) {
        this.differences = List.copyOf(differences);
        this.everything = everything;
    }

    /** @param words what rule books may say */
    public static RuleChange between(RuleBook before, RuleBook now, Vocabulary words) {
        List<Difference> found = new ArrayList<>();
        for (LimitKey key : new TreeMap<>(words.limits()).values()) {
            compare(Kind.LIMIT, key.id(), key.title(), before.limits(key), now.limits(key), RuleChange::said, found);
        }
        for (Setting setting : new TreeMap<>(words.settings()).values()) {
            compare(
                    Kind.SETTING,
                    setting.id(),
                    setting.title(),
                    ruling(before, setting),
                    ruling(now, setting),
                    each -> each.map(r -> Text.of("{value} ({source})", r.value(), r.source()))
                            .orElse(Text.empty()),
                    found);
        }
        for (SchoolTopic topic : new TreeMap<>(words.topics()).values()) {
            compare(
                    Kind.SCHOOL,
                    topic.id(),
                    topic.title(),
                    before.school(topic),
                    now.school(topic),
                    school -> Text.of("{school}", school.title()),
                    found);
        }
        int named = found.size();
        other(
                "decision-rule",
                "Decision rule",
                before,
                now,
                book -> book.decisionRule().key(),
                found);
        other("grades", "Weakest grades accepted", before, now, RuleBook::minimumGrades, found);
        other("sizes", "Lists of sizes", before, now, RuleBook::sizeLists, found);
        other("tables", "Tables", before, now, RuleBook::tables, found);
        other("deferrals", "Who gives way to whom", before, now, book -> Set.copyOf(book.deferrals()), found);
        other("instruments", "Accuracies of instruments", before, now, RuleBook::instruments, found);
        other("scopes", "Scopes of a visit", before, now, RuleBook::scopes, found);
        other("authorities", "Authorities", before, now, RuleBook::authorities, found);
        return new RuleChange(found, found.size() > named);
    }

    private static Optional<RuleBook.Ruling> ruling(RuleBook book, Setting setting) {
        return book.decides(setting) ? Optional.of(book.setting(setting)) : Optional.empty();
    }

    private static Text said(List<Limit> limits) {
        return Text.series(limits.stream()
                .map(limit -> Text.of(
                        "{authority}: {bound} {limit} ({source})",
                        limit.authority().name(),
                        limit.bound().words(),
                        limit.value(),
                        limit.source()))
                .toList());
    }

    private static <T> void compare(
            Kind kind, String id, String title, T before, T now, Function<T, Text> said, List<Difference> found) {
        if (!before.equals(now)) {
            found.add(new Difference(kind, id, title, said.apply(before), said.apply(now)));
        }
    }

    /** What is not bound to single requirements. */
    private static void other(
            String id,
            String title,
            RuleBook before,
            RuleBook now,
            Function<RuleBook, Object> what,
            List<Difference> found) {
        Object then = what.apply(before);
        Object here = what.apply(now);
        if (!Objects.equals(then, here)) {
            found.add(new Difference(Kind.OTHER, id, title, words(then, here), words(here, then)));
        }
    }

    /** Of many things those that the other has not, by their names; of one thing itself. */
    private static Text words(Object said, Object other) {
        if (said instanceof Map<?, ?> map && other instanceof Map<?, ?> others) {
            return Text.list(map.entrySet().stream()
                    .filter(each -> !each.getValue().equals(others.get(each.getKey())))
                    .map(each -> each.getKey() instanceof InstrumentKind kind
                            ? kind.title()
                            : each.getKey().toString())
                    .sorted()
                    .toList());
        }
        return said instanceof String word ? Text.of("{word}", word) : Text.of("another list");
    }

    public List<Difference> differences() {
        return differences;
    }

    /** Those of these requirements whose judgement the change can touch. */
    public Set<String> touched(List<About> requirements) {
        Set<String> changed = differences.stream().map(Difference::id).collect(Collectors.toSet());
        return requirements.stream()
                .filter(about -> everything
                        || about.limits().stream().anyMatch(key -> changed.contains(key.id()))
                        || about.settings().stream().anyMatch(setting -> changed.contains(setting.id()))
                        || about.topic()
                                .filter(topic -> changed.contains(topic.id()))
                                .isPresent())
                .map(About::id)
                .collect(Collectors.toCollection(TreeSet::new));
    }
}
