package org.undanus.core.rules;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import org.undanus.core.evidence.Grade;
import org.undanus.core.evidence.InstrumentKind;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.words.UnitSystem;

/**
 * One version of a rule book. Immutable; made by {@link RuleBookReader}.
 *
 * @param base the book it extends; what it holds besides its own is that one's
 * @param scopes parts of the work that a visit may be confined to, by their ids, in the order they are offered
 * @param yaml the text it was read from, kept so that a case can carry its rules with it
 */
public record RuleBook(
        String id,
        String title,
        int version,
        Optional<RuleBook> base,
        UnitSystem display,
        DecisionRule decisionRule,
        String note,
        Map<String, Authority> authorities,
        Map<String, List<Limit>> limits,
        List<Deferral> deferrals,
        Map<String, Ruling> settings,
        Map<String, String> schools,
        Map<String, List<Quantity>> sizeLists,
        Map<String, String> tables,
        Map<String, Grade> minimumGrades,
        Map<InstrumentKind, Accuracy> instruments,
        Map<String, InspectionScope> scopes,
        String yaml) {

    private static final Authority COMPUTED = new Authority(
            "computed",
            Authority.Kind.COMPUTED,
            "Computed from sheet or plate",
            "An expectation computed from the unit's data sheet or plate; nobody's rule.");

    /** Which book, in which version. */
    public record Reference(String id, int version) {
        @Override
        public String toString() {
            return id + ", version " + version;
        }
    }

    public Reference reference() {
        return new Reference(id, version);
    }

    /** Itself and the books it rests on, the most general first. */
    public List<RuleBook> layers() {
        List<RuleBook> layers = new ArrayList<>(base.map(RuleBook::layers).orElse(List.of()));
        layers.add(this);
        return layers;
    }

    /** The most general layer that says what this book says. */
    public RuleBook layer(Function<RuleBook, Object> what) {
        Object said = what.apply(this);
        return layers().stream()
                .filter(layer -> Objects.equals(what.apply(layer), said))
                .findFirst()
                .orElse(this);
    }

    /** The layer a limit comes from. */
    public RuleBook layer(LimitKey key, Limit limit) {
        return layers().stream()
                .filter(layer -> layer.limits(key).contains(limit))
                .findFirst()
                .orElse(this);
    }

    /** A setting's value and where it comes from. */
    public record Ruling(Quantity value, String source) {}

    public RuleBook {
        authorities = Map.copyOf(authorities);
        limits = Map.copyOf(limits);
        deferrals = List.copyOf(deferrals);
        settings = Map.copyOf(settings);
        schools = Map.copyOf(schools);
        sizeLists = Map.copyOf(sizeLists);
        tables = Map.copyOf(tables);
        minimumGrades = Map.copyOf(minimumGrades);
        instruments = Map.copyOf(instruments);
        scopes = Collections.unmodifiableMap(new LinkedHashMap<>(scopes));
    }

    /** What the book's authorities say of this; empty where it is silent. */
    public List<Limit> limits(LimitKey key) {
        return limits.getOrDefault(key.id(), List.of());
    }

    /** The authority that stands for plates and makers' instructions. */
    public Authority maker() {
        return first(Authority.Kind.MAKER);
    }

    /** The authority that stands for the adopted code where a requirement itself derives a limit from it. */
    public Authority code() {
        return first(Authority.Kind.CODE);
    }

    /** The authority that stands for good practice; the code where a book names none. */
    public Authority practice() {
        return authorities.values().stream()
                .filter(authority -> authority.kind() == Authority.Kind.PRACTICE)
                .findFirst()
                .orElseGet(this::code);
    }

    /** What stands for a computed expectation; a book may name it otherwise. */
    public Authority computed() {
        return authorities.values().stream()
                .filter(authority -> authority.kind() == Authority.Kind.COMPUTED)
                .findFirst()
                .orElse(COMPUTED);
    }

    private Authority first(Authority.Kind kind) {
        return authorities.values().stream()
                .filter(authority -> authority.kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    /** @throws IllegalStateException when the book lacks it; the judge asks {@link #decides} first */
    public Ruling setting(Setting setting) {
        Ruling ruling = settings.get(setting.id());
        if (ruling == null) {
            throw new IllegalStateException("The rule book " + id + " does not set " + setting.id());
        }
        return ruling;
    }

    /** Whether the book gives the setting; one kept from before the setting was asked for may not. */
    public boolean decides(Setting setting) {
        return settings.containsKey(setting.id());
    }

    /** A setting's value in SI. */
    public double number(Setting setting) {
        return setting(setting).value().si();
    }

    /** Whether the book chooses between the schools; one kept from before the topic was asked for may not. */
    public boolean decides(SchoolTopic topic) {
        return schools.containsKey(topic.id());
    }

    /** The school it chooses; the first there is where it does not, by which nothing is judged then: see {@link #decides}. */
    public SchoolTopic.School school(SchoolTopic topic) {
        return decides(topic)
                ? topic.school(schools.get(topic.id()))
                : topic.schools().get(0);
    }

    public List<Quantity> sizes(String list) {
        return sizeLists.getOrDefault(list, List.of());
    }

    /** The weakest grade a requirement accepts: its own word, else its station's, else none. */
    public Optional<Grade> minimumGrade(String requirement, String station) {
        return Optional.ofNullable(minimumGrades.getOrDefault(requirement, minimumGrades.get(station)));
    }

    /** The accuracy assumed of an instrument of which only the kind is known. */
    public Accuracy accuracy(InstrumentKind kind) {
        return instruments.getOrDefault(kind, Accuracy.EXACT);
    }

    /** Whether an authority gives way on a limit because another has spoken. */
    public Optional<Deferral> deferral(LimitKey key, Limit limit, List<Limit> spoken) {
        return deferrals.stream()
                .filter(d -> d.limit().equals(key.id())
                        && d.authority().equals(limit.authority().id()))
                .filter(d -> spoken.stream()
                        .anyMatch(other -> other.bound() == limit.bound()
                                && other.authority().id().equals(d.to())))
                .findFirst();
    }
}
