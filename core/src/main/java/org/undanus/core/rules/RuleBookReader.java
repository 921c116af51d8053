package org.undanus.core.rules;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.FieldNotation;
import org.undanus.core.quantity.FieldNotationException;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;

/**
 * Reads a rule book from YAML. Every problem is found in one reading and named by line and key; a book with any problem
 * is refused whole. The format is described in docs/formats/rule-book.md.
 */
public final class RuleBookReader {
    private static final String FORMAT = "undanus-rule-book/1";
    private static final Set<String> SECTIONS = Set.of(
            "format",
            "id",
            "title",
            "version",
            "extends",
            "display",
            "decision-rule",
            "note",
            "authorities",
            "schools",
            "limits",
            "deferrals",
            "settings",
            "sizes",
            "tables",
            "minimum-grades",
            "instruments",
            "scopes");

    private static final List<String> NEEDED =
            List.of("format", "id", "title", "version", "authorities", "schools", "limits", "settings");
    private static final List<String> NEEDED_TO_EXTEND = List.of("format", "id", "title", "version");
    private static final int MOST_LAYERS = 8;

    private static final Pattern BARE = Pattern.compile("\\s*[-+−]?[\\d.,]+\\s*");

    private final Vocabulary vocabulary;
    private final Library library;
    private boolean complete = true;
    private final List<RuleBookException.Problem> problems = new ArrayList<>();
    private final Map<String, Authority> authorities = new LinkedHashMap<>();

    /** Finds the book that another extends. */
    @FunctionalInterface
    public interface Library {
        Optional<RuleBook> find(RuleBook.Reference reference);
    }

    private RuleBookReader(Vocabulary vocabulary, Library library) {
        this.vocabulary = vocabulary;
        this.library = library;
    }

    /**
     * Reads a book that may extend one of the shipped general ones.
     *
     * @param vocabulary the words the stations know
     * @throws RuleBookException naming every problem
     */
    public static RuleBook read(String yaml, Vocabulary vocabulary) {
        return read(yaml, vocabulary, reference -> ShippedRuleBooks.book(reference, vocabulary));
    }

    /**
     * @param library the books there are to extend
     * @throws RuleBookException naming every problem
     */
    public static RuleBook read(String yaml, Vocabulary vocabulary, Library library) {
        return new RuleBookReader(vocabulary, library).readBook(yaml);
    }

    /** Reads a book that was complete when it was kept: later versions may ask for more and no longer know some of its words. */
    public static RuleBook readKept(String yaml, Vocabulary vocabulary, Library library) {
        RuleBookReader reader = new RuleBookReader(vocabulary, library);
        reader.complete = false;
        return reader.readBook(yaml);
    }

    private RuleBook readBook(String yaml) {
        YamlTree root = YamlTree.parse(yaml, problems);
        Map<String, YamlTree> sections = root.entries(SECTIONS);
        List<String> needed = sections.containsKey("extends") ? NEEDED_TO_EXTEND : NEEDED;
        for (String section : needed) {
            if (!sections.containsKey(section)) {
                root.problem("The section \"{section}\" is missing.", section);
            }
        }
        text(sections, "format").ifPresent(format -> {
            if (!format.equals(FORMAT)) {
                sections.get("format").problem("This reads {format}, not {other}.", FORMAT, format);
            }
        });
        String id = text(sections, "id").orElse("");
        if (!id.matches("[a-z0-9][a-z0-9-]{0,59}") && sections.containsKey("id")) {
            sections.get("id").problem("An id is lower-case letters, digits and hyphens.");
        }
        Optional<RuleBook> base = readBase(sections);
        base.ifPresent(b -> authorities.putAll(b.authorities()));
        readAuthorities(sections);
        RuleBook book = new RuleBook(
                id,
                text(sections, "title").orElse(""),
                wholeNumber(sections, "version"),
                base,
                choice(
                        sections,
                        "display",
                        UnitSystem.values(),
                        u -> u.name().toLowerCase(Locale.ROOT),
                        base.map(RuleBook::display).orElse(UnitSystem.SI)),
                choice(
                        sections,
                        "decision-rule",
                        DecisionRule.values(),
                        DecisionRule::key,
                        base.map(RuleBook::decisionRule).orElse(DecisionRule.GUARDED)),
                text(sections, "note").orElseGet(() -> base.map(RuleBook::note).orElse("")),
                authorities,
                overLimits(base.map(RuleBook::limits), readLimits(sections)),
                Stream.concat(base.stream().flatMap(b -> b.deferrals().stream()), readDeferrals(sections).stream())
                        .toList(),
                over(base.map(RuleBook::settings), readSettings(sections)),
                over(base.map(RuleBook::schools), readSchools(sections)),
                over(base.map(RuleBook::sizeLists), readSizes(sections)),
                over(base.map(RuleBook::tables), readTables(sections)),
                over(base.map(RuleBook::minimumGrades), readGrades(sections)),
                over(base.map(RuleBook::instruments), readInstruments(sections)),
                over(base.map(RuleBook::scopes), readScopes(sections)),
                yaml);
        if (complete) {
            requireComplete(root, book);
        }
        if (!problems.isEmpty()) {
            throw new RuleBookException(problems);
        }
        return book;
    }

    private Optional<RuleBook> readBase(Map<String, YamlTree> sections) {
        if (!sections.containsKey("extends")) {
            return Optional.empty();
        }
        YamlTree tree = sections.get("extends");
        Map<String, YamlTree> fields = tree.entries(Set.of("id", "version"));
        Optional<String> id = required(tree, fields, "id");
        required(tree, fields, "version");
        int version = wholeNumber(fields, "version");
        if (id.isEmpty() || version == 0) {
            return Optional.empty();
        }
        RuleBook.Reference reference = new RuleBook.Reference(id.get(), version);
        Optional<RuleBook> base = library.find(reference);
        if (base.isEmpty()) {
            tree.problem("There is no rule book {reference} here. Add it first.", reference);
        } else if (base.get().layers().size() >= MOST_LAYERS) {
            tree.problem("A rule book stands on {mostLayers} others at most.", (MOST_LAYERS - 1));
        }
        return base;
    }

    private static <K, V> Map<K, V> over(Optional<Map<K, V>> base, Map<K, V> own) {
        Map<K, V> merged = new LinkedHashMap<>(base.orElse(Map.of()));
        merged.putAll(own);
        return merged;
    }

    /** What an authority says of something takes the place of what it said before; other authorities stand beside it. */
    private static Map<String, List<Limit>> overLimits(
            Optional<Map<String, List<Limit>>> base, Map<String, List<Limit>> own) {
        Map<String, List<Limit>> merged = new LinkedHashMap<>(base.orElse(Map.of()));
        own.forEach((key, limits) -> merged.merge(key, limits, (before, now) -> Stream.concat(
                        before.stream().filter(limit -> now.stream()
                                .noneMatch(other -> other.authority().equals(limit.authority()))),
                        now.stream())
                .toList()));
        return merged;
    }

    private void requireComplete(YamlTree root, RuleBook book) {
        Map<String, Object> asked = new TreeMap<>();
        vocabulary.settings().values().stream()
                .filter(setting -> setting.needed() && (book.base().isPresent() || !setting.local()))
                .forEach(setting -> asked.put(
                        setting.id(),
                        Text.of(
                                "{id} ({setting}, as {example})",
                                setting.id(),
                                setting.title(),
                                setting.dimension().example())));
        missing(root, "settings", asked, book.settings().keySet());
        missing(
                root,
                "schools",
                named(vocabulary.topics().keySet()),
                book.schools().keySet());
        missing(
                root,
                "sizes",
                named(vocabulary.sizeLists().keySet()),
                book.sizeLists().keySet());
        missing(
                root,
                "tables",
                named(vocabulary.tables().keySet()),
                book.tables().keySet());
        for (Authority.Kind kind : List.of(Authority.Kind.MAKER, Authority.Kind.CODE)) {
            if (authorities.values().stream().filter(a -> a.kind() == kind).count() != 1) {
                root.problem(
                        "Exactly one authority of kind {kind} is needed: limits that follow from plates or code speak as it.",
                        kind.key());
            }
        }
    }

    private static Map<String, String> named(Set<String> ids) {
        return ids.stream().collect(Collectors.toMap(id -> id, id -> id, (one, other) -> one, TreeMap::new));
    }

    /** Says all that a section lacks at once; what stands there and could not be read has its own problem. */
    private void missing(YamlTree root, String section, Map<String, ?> needed, Set<String> given) {
        Map<String, Object> lacking = new TreeMap<>(needed);
        lacking.keySet().removeAll(given);
        lacking.keySet().removeIf(id -> problems.stream()
                .anyMatch(problem -> problem.key().startsWith(section + "." + id)));
        if (!lacking.isEmpty()) {
            root.problem(
                    "The section \"{section}\" lacks {values}.", section, Text.list(List.copyOf(lacking.values())));
        }
    }

    private void readAuthorities(Map<String, YamlTree> sections) {
        section(sections, "authorities").forEach((id, tree) -> {
            Map<String, YamlTree> fields = tree.entries(Set.of("kind", "name", "note"));
            Authority.Kind kind = choice(fields, "kind", Authority.Kind.values(), Authority.Kind::key, null);
            Optional<String> name = required(tree, fields, "name");
            if (authorities.containsKey(id)) {
                tree.problem("The book this one extends names the authority \"{id}\" already.", id);
            } else if (kind == null) {
                tree.problem("An authority needs a kind: code, maker, programme or practice.");
            } else if (name.isPresent()) {
                authorities.put(
                        id,
                        new Authority(id, kind, name.get(), text(fields, "note").orElse("")));
            }
        });
    }

    private Map<String, List<Limit>> readLimits(Map<String, YamlTree> sections) {
        Map<String, List<Limit>> limits = new LinkedHashMap<>();
        section(sections, "limits").forEach((id, tree) -> known(tree, vocabulary.limits(), id, "limit")
                .ifPresent(key -> {
                    List<Limit> all = new ArrayList<>();
                    tree.items().forEach(item -> all.addAll(limit(item, key)));
                    limits.put(id, List.copyOf(all));
                }));
        return limits;
    }

    private List<Limit> limit(YamlTree item, LimitKey key) {
        Map<String, YamlTree> fields = item.entries(Set.of("by", "at-least", "at-most", "source"));
        Optional<Authority> authority =
                required(item, fields, "by").flatMap(by -> known(fields.get("by"), authorities, by, "authority"));
        Optional<String> source = required(item, fields, "source");
        List<Limit> sides = new ArrayList<>();
        if (!fields.containsKey("at-least") && !fields.containsKey("at-most")) {
            item.problem("A limit says at-least, at-most or both.");
        }
        BiFunction<String, Bound, Optional<Limit>> side = (name, bound) -> Optional.ofNullable(fields.get(name))
                .flatMap(tree -> quantity(tree, key.dimension()))
                .filter(value -> authority.isPresent() && source.isPresent())
                .map(value -> new Limit(authority.get(), bound, value, source.get()));
        side.apply(Bound.AT_LEAST.key(), Bound.AT_LEAST).ifPresent(sides::add);
        side.apply(Bound.AT_MOST.key(), Bound.AT_MOST).ifPresent(sides::add);
        return sides;
    }

    private List<Deferral> readDeferrals(Map<String, YamlTree> sections) {
        List<Deferral> deferrals = new ArrayList<>();
        if (sections.containsKey("deferrals")) {
            sections.get("deferrals").items().forEach(item -> {
                Map<String, YamlTree> fields = item.entries(Set.of("limit", "authority", "to", "reason"));
                Optional<String> limit = required(item, fields, "limit");
                Optional<String> authority = required(item, fields, "authority");
                Optional<String> to = required(item, fields, "to");
                Optional<String> reason = required(item, fields, "reason");
                limit.ifPresent(id -> known(fields.get("limit"), vocabulary.limits(), id, "limit"));
                authority.ifPresent(id -> known(fields.get("authority"), authorities, id, "authority"));
                to.ifPresent(id -> known(fields.get("to"), authorities, id, "authority"));
                if (limit.isPresent() && authority.isPresent() && to.isPresent() && reason.isPresent()) {
                    deferrals.add(new Deferral(limit.get(), authority.get(), to.get(), reason.get()));
                }
            });
        }
        return deferrals;
    }

    private Map<String, RuleBook.Ruling> readSettings(Map<String, YamlTree> sections) {
        Map<String, RuleBook.Ruling> settings = new LinkedHashMap<>();
        section(sections, "settings").forEach((id, tree) -> known(tree, vocabulary.settings(), id, "setting")
                .ifPresent(setting -> {
                    Map<String, YamlTree> fields = tree.entries(Set.of("value", "source"));
                    Optional<Quantity> value = required(tree, fields, "value")
                            .flatMap(text -> quantity(fields.get("value"), setting.dimension()));
                    Optional<String> source = required(tree, fields, "source");
                    if (value.isPresent() && source.isPresent()) {
                        settings.put(id, new RuleBook.Ruling(value.get(), source.get()));
                    }
                }));
        return settings;
    }

    private Map<String, String> readSchools(Map<String, YamlTree> sections) {
        Map<String, String> schools = new LinkedHashMap<>();
        section(sections, "schools").forEach((id, tree) -> known(tree, vocabulary.topics(), id, "topic")
                .ifPresent(topic -> tree.text().ifPresent(chosen -> {
                    List<String> there =
                            topic.schools().stream().map(SchoolTopic.School::id).toList();
                    oneOf(tree, chosen, there).ifPresent(school -> schools.put(id, school));
                })));
        return schools;
    }

    private Map<String, List<Quantity>> readSizes(Map<String, YamlTree> sections) {
        Map<String, List<Quantity>> sizes = new LinkedHashMap<>();
        section(sections, "sizes").forEach((id, tree) -> known(tree, vocabulary.sizeLists(), id, "list of sizes")
                .ifPresent(dimension -> {
                    List<Quantity> list = new ArrayList<>();
                    for (YamlTree item : tree.items()) {
                        quantity(item, dimension).ifPresent(size -> {
                            if (!list.isEmpty() && list.get(list.size() - 1).si() >= size.si()) {
                                item.problem("Sizes rise from first to last.");
                            }
                            list.add(size);
                        });
                    }
                    sizes.put(id, List.copyOf(list));
                }));
        return sizes;
    }

    private Map<String, String> readTables(Map<String, YamlTree> sections) {
        Map<String, String> tables = new LinkedHashMap<>();
        section(sections, "tables").forEach((id, tree) -> known(tree, vocabulary.tables(), id, "table")
                .ifPresent(there -> tree.text()
                        .flatMap(chosen ->
                                oneOf(tree, chosen, there.stream().sorted().toList()))
                        .ifPresent(table -> tables.put(id, table))));
        return tables;
    }

    private Map<String, Grade> readGrades(Map<String, YamlTree> sections) {
        Map<String, Grade> grades = new LinkedHashMap<>();
        section(sections, "minimum-grades").forEach((id, tree) -> {
            if (!vocabulary.gradeable().contains(id)) {
                tree.problem("\"{id}\" is neither a station nor a requirement.", id);
            }
            tree.text()
                    .flatMap(word -> oneOf(
                            tree,
                            word,
                            Arrays.stream(Grade.values())
                                    .map(g -> g.name().toLowerCase(Locale.ROOT))
                                    .toList()))
                    .ifPresent(word -> grades.put(id, Grade.valueOf(word.toUpperCase(Locale.ROOT))));
        });
        return grades;
    }

    private Map<InstrumentKind, Accuracy> readInstruments(Map<String, YamlTree> sections) {
        Map<InstrumentKind, Accuracy> instruments = new EnumMap<>(InstrumentKind.class);
        section(sections, "instruments").forEach((id, tree) -> {
            Map<String, YamlTree> fields = tree.entries(Set.of("dimension", "of-reading", "constant", "resolution"));
            List<String> kinds = Arrays.stream(InstrumentKind.values())
                    .map(InstrumentKind::key)
                    .toList();
            Optional<InstrumentKind> kind =
                    oneOf(tree, id, kinds).map(key -> InstrumentKind.values()[kinds.indexOf(key)]);
            Dimension dimension = choice(
                    fields,
                    "dimension",
                    Dimension.values(),
                    d -> d.name().toLowerCase(Locale.ROOT).replace('_', '-'),
                    null);
            if (dimension == null) {
                tree.problem("An instrument needs the dimension its accuracy is stated in.");
                return;
            }
            double ofReading = number(fields, "of-reading", Dimension.RATIO);
            double constant = number(fields, "constant", dimension);
            double resolution = number(fields, "resolution", dimension);
            if (ofReading < 0 || constant < 0 || resolution < 0) {
                tree.problem("Numbers of an accuracy are never negative.");
            } else {
                kind.ifPresent(k -> instruments.put(k, new Accuracy(ofReading, 0, 0, constant, resolution)));
            }
        });
        return instruments;
    }

    private Map<String, InspectionScope> readScopes(Map<String, YamlTree> sections) {
        Map<String, InspectionScope> scopes = new LinkedHashMap<>();
        section(sections, "scopes").forEach((id, tree) -> {
            Map<String, YamlTree> fields =
                    tree.entries(Set.of("title", "severities", "stations", "requirements", "open"));
            if (!id.matches("[a-z0-9][a-z0-9-]{0,39}")) {
                tree.problem("An id is lower-case letters, digits and hyphens.");
            }
            Optional<String> title = required(tree, fields, "title");
            Set<String> severities = words(fields, "severities", vocabulary.severities(), "severity");
            Set<String> stations = words(fields, "stations", vocabulary.gradeable(), "station");
            Set<String> requirements = words(fields, "requirements", vocabulary.gradeable(), "requirement");
            boolean open = text(fields, "open").filter("true"::equals).isPresent();
            if (severities.isEmpty() && stations.isEmpty() && requirements.isEmpty() && !open) {
                tree.problem("A scope names severities, stations or requirements, or is open: true.");
            }
            title.ifPresent(
                    said -> scopes.put(id, new InspectionScope(id, said, severities, stations, requirements, open)));
        });
        return scopes;
    }

    /** Words of a list that are known; a book kept from before leaves out what is no longer. */
    private Set<String> words(Map<String, YamlTree> fields, String name, Set<String> known, String what) {
        Set<String> words = new LinkedHashSet<>();
        if (fields.containsKey(name)) {
            for (YamlTree item : fields.get(name).items()) {
                item.text().ifPresent(word -> {
                    if (known.contains(word)) {
                        words.add(word);
                    } else if (complete) {
                        item.problem("\"{word}\" is no {what}.", word, what);
                    }
                });
            }
        }
        return words;
    }

    private double number(Map<String, YamlTree> fields, String name, Dimension dimension) {
        return Optional.ofNullable(fields.get(name))
                .flatMap(tree -> quantity(tree, dimension))
                .map(Quantity::si)
                .orElse(0.0);
    }

    // -- small parts

    private Map<String, YamlTree> section(Map<String, YamlTree> sections, String name) {
        return sections.containsKey(name) ? sections.get(name).entries() : Map.of();
    }

    private Optional<Quantity> quantity(YamlTree tree, Dimension dimension) {
        return tree.text().flatMap(text -> {
            if (complete
                    && dimension.usualUnits().size() > 1
                    && BARE.matcher(text).matches()) {
                tree.problem("\"{text}\" lacks its unit: {usualUnits}.", text, Text.list(dimension.usualUnits()));
                return Optional.empty();
            }
            try {
                return Optional.of(FieldNotation.parse(text, dimension).value());
            } catch (FieldNotationException e) {
                tree.problem(RefusedException.said(e));
                return Optional.empty();
            }
        });
    }

    private Optional<String> text(Map<String, YamlTree> fields, String name) {
        return Optional.ofNullable(fields.get(name)).flatMap(YamlTree::text);
    }

    private Optional<String> required(YamlTree owner, Map<String, YamlTree> fields, String name) {
        if (!fields.containsKey(name)) {
            owner.problem("\"{name}\" is missing here.", name);
        }
        return text(fields, name);
    }

    private int wholeNumber(Map<String, YamlTree> fields, String name) {
        Optional<String> text = text(fields, name);
        if (text.isPresent() && !text.get().matches("[1-9]\\d{0,5}")) {
            fields.get(name).problem("A whole number from 1 is expected.");
            return 0;
        }
        return text.map(Integer::parseInt).orElse(0);
    }

    private <T> T choice(Map<String, YamlTree> fields, String name, T[] values, Function<T, String> key, T otherwise) {
        List<String> keys = Arrays.stream(values).map(key).toList();
        return text(fields, name)
                .flatMap(word -> oneOf(fields.get(name), word, keys))
                .map(word -> values[keys.indexOf(word)])
                .orElse(otherwise);
    }

    private static Optional<String> oneOf(YamlTree tree, String word, List<String> known) {
        if (known.contains(word)) {
            return Optional.of(word);
        }
        tree.problem("\"{word}\" is not one of {known}.", word, Text.list(known));
        return Optional.empty();
    }

    private <T> Optional<T> known(YamlTree tree, Map<String, T> words, String id, String kind) {
        Optional<T> found = Optional.ofNullable(words.get(id));
        if (found.isEmpty() && complete) {
            tree.problem(
                    "No {kind} is called \"{id}\". Known: {known}.",
                    kind,
                    id,
                    Text.list(words.keySet().stream().sorted().toList()));
        }
        return found;
    }
}
