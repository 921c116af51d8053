package org.undanus.core.judgement;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Subject;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.SchoolTopic;
import org.undanus.core.rules.Setting;

/**
 * Judges a whole case: every requirement for every subject it speaks of, in the order of the walk. A pure function of
 * case, evidence and rule book; linear in requirements times units.
 */
public final class Judge {
    /** Hears of a requirement that could not be computed. */
    @FunctionalInterface
    public interface FailureListener {
        void failed(Judgement inItsPlace, RuntimeException failure);
    }

    private final List<Requirement> requirements;
    private final Optional<FailureListener> listener;

    /** A judge that lets a requirement's exception through. */
    public Judge(List<Requirement> requirements) {
        this(List.copyOf(requirements), Optional.empty());
    }

    private Judge(List<Requirement> requirements, Optional<FailureListener> listener) {
        this.requirements = requirements;
        this.listener = listener;
    }

    /** A judge that goes on where a requirement throws: its judgement becomes <em>Refer</em>, and the listener is told. */
    public Judge containing(FailureListener told) {
        return new Judge(requirements, Optional.of(told));
    }

    /** A judge of some of its requirements alone, by their ids. */
    public Judge only(Set<String> ids) {
        return new Judge(
                requirements.stream()
                        .filter(requirement -> ids.contains(requirement.about().id()))
                        .toList(),
                listener);
    }

    /** What it judges. */
    public List<About> abouts() {
        return requirements.stream().map(Requirement::about).toList();
    }

    public List<Judgement> judge(Case facts, Evidence evidence, RuleBook rules) {
        return judged(facts, evidence, rules, Optional.empty()).judgements();
    }

    /**
     * Judges a case, and tells with it what each judgement rests on.
     *
     * @param last how it was judged before: what none of the changes touches is taken over
     */
    public Judged judged(Case facts, Evidence evidence, RuleBook rules, Optional<Judged> last) {
        Map<String, Judged.Entry> standing =
                last.map(before -> before.standing(facts, evidence, rules)).orElse(Map.of());
        List<Judged.Entry> entries = new ArrayList<>();
        Map<Class<?>, Object> shared = new HashMap<>();
        Map<Scope, List<Subject>> subjects = new EnumMap<>(Scope.class);
        for (Requirement requirement : requirements) {
            for (Subject subject : subjects.computeIfAbsent(requirement.about().scope(), facts::subjects)) {
                Judged.Entry known = standing.get(requirement.about().id() + "@" + subject.id());
                entries.add(known == null ? bySchool(requirement, facts, evidence, rules, subject, shared) : known);
            }
        }
        return new Judged(facts, evidence, rules, entries);
    }

    private Judged.Entry bySchool(
            Requirement requirement,
            Case facts,
            Evidence evidence,
            RuleBook rules,
            Subject subject,
            Map<Class<?>, Object> shared) {
        Optional<SchoolTopic> topic = requirement.about().topic();
        Optional<SchoolTopic.School> chosen = topic.map(rules::school);
        Judged.Entry own = single(requirement, facts, evidence, rules, subject, chosen, shared);
        List<Judgement> others = new ArrayList<>();
        for (SchoolTopic.School school : topic.map(SchoolTopic::schools).orElse(List.of())) {
            if (!school.equals(chosen.orElseThrow())) {
                Judged.Entry other = single(requirement, facts, evidence, rules, subject, Optional.of(school), shared);
                own.basis().add(other.basis());
                others.add(other.judgement());
            }
        }
        return new Judged.Entry(own.judgement().withOtherSchools(others), own.basis());
    }

    private Judged.Entry single(
            Requirement requirement,
            Case facts,
            Evidence evidence,
            RuleBook rules,
            Subject subject,
            Optional<SchoolTopic.School> school,
            Map<Class<?>, Object> shared) {
        Examination x = new Examination(facts, evidence, rules, requirement.about(), subject, school, shared);
        try {
            return new Judged.Entry(examined(requirement, x, rules), x.basis());
        } catch (Evidence.UnknownException askedFurther) {
            throw askedFurther;
        } catch (RuntimeException failure) {
            if (listener.isEmpty()) {
                throw failure;
            }
            Judgement referred = x.notComputed();
            listener.get().failed(referred, failure);
            return new Judged.Entry(referred, x.basis());
        }
    }

    private static Judgement examined(Requirement requirement, Examination x, RuleBook rules) {
        Optional<SchoolTopic> silent = requirement.about().topic().filter(topic -> !rules.decides(topic));
        if (silent.isPresent()) {
            return x.undecided(silent.get());
        }
        List<Setting> undecided = requirement.about().settings().stream()
                .filter(setting -> setting.needed() && !rules.decides(setting))
                .toList();
        if (!undecided.isEmpty()) {
            return x.undecided(undecided);
        }
        List<Point> needs = requirement.about().needs();
        Optional<Judgement> spared =
                needs.stream().flatMap(point -> x.spared(point).stream()).findFirst();
        if (spared.isPresent()) {
            return spared.get();
        }
        Optional<Judgement> outOfPlace = requirement.spared(x);
        if (outOfPlace.isPresent()) {
            return outOfPlace.get();
        }
        List<Point> missing = x.missing(needs.toArray(Point[]::new));
        return missing.isEmpty() ? requirement.judge(x) : x.notShown(missing);
    }
}
