package org.undanus.core.rules;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.snakeyaml.engine.v2.api.Dump;
import org.snakeyaml.engine.v2.api.DumpSettings;
import org.snakeyaml.engine.v2.api.Load;
import org.snakeyaml.engine.v2.api.LoadSettings;
import org.undanus.core.words.RefusedException;

/**
 * The text of a rule book's next version, made from single changes. Whether its values can be read is for {@link RuleBookReader} to
 * say; what the book inherits stays where it is. Comments in the text are lost.
 */
public final class RuleBookDraft {
    private static final int WIDTH = 160;

    /**
     * A limit that an authority sets.
     *
     * @param by id of the authority
     * @param value as typed, with its unit; empty takes the book's own limit of this side away
     * @param source where it comes from
     */
    public record LimitChange(String key, String by, Bound bound, String value, String source) {}

    /** A number the book decides, as typed, with its unit. */
    public record SettingChange(String id, String value, String source) {}

    /** Another way to judge a question of practice. */
    public record SchoolChange(String topic, String school) {}

    /** @param note what changed and why; empty keeps the old one */
    public record Changes(
            List<LimitChange> limits, List<SettingChange> settings, List<SchoolChange> schools, String note) {}

    private final Map<String, Object> text;

    private RuleBookDraft(Map<String, Object> text) {
        this.text = text;
    }

    /**
     * @param version the new one
     * @throws IllegalArgumentException where a change names no source
     */
    @SuppressWarnings("unchecked")
    public static String of(RuleBook book, Changes changes, int version) {
        RuleBookDraft draft = new RuleBookDraft(
                (Map<String, Object>) new Load(LoadSettings.builder().build()).loadFromString(book.yaml()));
        draft.text.put("version", version);
        if (!changes.note().isBlank()) {
            draft.text.put("note", changes.note().strip());
        }
        changes.limits().forEach(change -> draft.limit(book, change));
        for (SettingChange change : changes.settings()) {
            requireSource(change.source(), change.id());
            draft.section("settings").put(change.id(), entry("value", change.value(), change.source()));
        }
        changes.schools().forEach(change -> draft.section("schools").put(change.topic(), change.school()));
        return new Dump(DumpSettings.builder().setWidth(WIDTH).build()).dumpToString(draft.text);
    }

    private static void requireSource(String source, String what) {
        if (source.isBlank()) {
            throw new RefusedException("Say where the new value of {what} comes from.", what);
        }
    }

    private static Map<String, Object> entry(String name, String value, String source) {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put(name, value.strip());
        entry.put("source", source.strip());
        return entry;
    }

    @SuppressWarnings("unchecked")
    private Map<String, Object> section(String name) {
        return (Map<String, Object>) text.computeIfAbsent(name, any -> new LinkedHashMap<>());
    }

    @SuppressWarnings("unchecked")
    private void limit(RuleBook book, LimitChange change) {
        Map<String, Object> limits = section("limits");
        List<Map<String, Object>> own =
                new ArrayList<>((List<Map<String, Object>>) limits.getOrDefault(change.key(), List.of()));
        String side = change.bound().key();
        Optional<Map<String, Object>> mine = own.stream()
                .filter(entry -> change.by().equals(entry.get("by")) && entry.containsKey(side))
                .findFirst();
        if (change.value().isBlank()) {
            mine.ifPresent(entry -> withdraw(entry, side, own));
        } else {
            requireSource(change.source(), change.key());
            requireWholeHere(book, change, own);
            mine.ifPresent(entry -> withdraw(entry, side, own));
            Map<String, Object> entry = new LinkedHashMap<>();
            entry.put("by", change.by());
            entry.putAll(entry(side, change.value(), change.source()));
            own.add(entry);
        }
        if (own.isEmpty()) {
            limits.remove(change.key());
        } else {
            limits.put(change.key(), own);
        }
    }

    private static void withdraw(Map<String, Object> entry, String side, List<Map<String, Object>> own) {
        own.remove(entry);
        Map<String, Object> rest = new LinkedHashMap<>(entry);
        rest.remove(side);
        if (rest.keySet().stream().anyMatch(key -> key.startsWith("at-"))) {
            own.add(rest);
        }
    }

    /** What an authority says here takes the place of all it said before: its other side must not get lost. */
    private static void requireWholeHere(RuleBook book, LimitChange change, List<Map<String, Object>> own) {
        boolean otherSide = book.limits().getOrDefault(change.key(), List.of()).stream()
                .anyMatch(limit -> limit.authority().id().equals(change.by()) && limit.bound() != change.bound());
        boolean here = own.stream().anyMatch(entry -> change.by().equals(entry.get("by")));
        if (otherSide && !here) {
            throw new RefusedException(
                    "The book this one extends sets both sides of {change} by the same authority. Write both in the text of the book.",
                    change.key());
        }
    }
}
