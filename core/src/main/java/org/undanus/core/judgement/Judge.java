package org.undanus.core.judgement;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Point;
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

    /** The same judge; a requirement's exception becomes <em>Refer</em> in its judgement and is told to the listener. */
    public Judge containing(FailureListener told) {
        return new Judge(requirements, Optional.of(told));
    }

    public List<Judgement> judge(Case facts, Evidence evidence, RuleBook rules) {
        List<Judgement> judgements = new ArrayList<>();
        Map<Class<?>, Object> shared = new HashMap<>();
        for (Requirement requirement : requirements) {
            facts.subjects(requirement.about().scope())
                    .forEach(subject -> judgements.add(bySchool(requirement, facts, evidence, rules, subject, shared)));
        }
        return judgements;
    }

    private Judgement bySchool(
            Requirement requirement,
            Case facts,
            Evidence evidence,
            RuleBook rules,
            Subject subject,
            Map<Class<?>, Object> shared) {
        Optional<SchoolTopic> topic = requirement.about().topic();
        Optional<SchoolTopic.School> chosen = topic.map(rules::school);
        Judgement judgement = single(requirement, facts, evidence, rules, subject, chosen, shared);
        List<Judgement> others = topic.stream()
                .flatMap(t -> t.schools().stream())
                .filter(school -> !school.equals(chosen.orElseThrow()))
                .map(school -> single(requirement, facts, evidence, rules, subject, Optional.of(school), shared))
                .toList();
        return judgement.withOtherSchools(others);
    }

    private Judgement single(
            Requirement requirement,
            Case facts,
            Evidence evidence,
            RuleBook rules,
            Subject subject,
            Optional<SchoolTopic.School> school,
            Map<Class<?>, Object> shared) {
        Examination x = new Examination(facts, evidence, rules, requirement.about(), subject, school, shared);
        try {
            return examined(requirement, x, rules);
        } catch (RuntimeException failure) {
            if (listener.isEmpty()) {
                throw failure;
            }
            Judgement referred = x.notComputed();
            listener.get().failed(referred, failure);
            return referred;
        }
    }

    private static Judgement examined(Requirement requirement, Examination x, RuleBook rules) {
        List<Setting> undecided = requirement.about().settings().stream()
                .filter(setting -> !rules.decides(setting))
                .toList();
        if (!undecided.isEmpty()) {
            return x.undecided(undecided);
        }
        List<Point> missing = x.missing(requirement.about().needs().toArray(Point[]::new));
        return missing.isEmpty() ? requirement.judge(x) : x.notShown(missing);
    }
}
