package org.undanus.core.judgement;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Scope;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Component;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.rules.SchoolTopic;
import org.undanus.core.rules.Setting;

/**
 * Judges a whole case: every requirement for every subject it speaks of, in the order of the walk. A pure function of
 * case, evidence and rule book; linear in requirements times units.
 */
public final class Judge {
    private final List<Requirement> requirements;

    public Judge(List<StationPlan> plans) {
        this.requirements =
                plans.stream().flatMap(plan -> plan.requirements().stream()).toList();
    }

    public List<Judgement> judge(Case facts, Evidence evidence, RuleBook rules) {
        List<Judgement> judgements = new ArrayList<>();
        Map<Class<?>, Object> shared = new HashMap<>();
        for (Requirement requirement : requirements) {
            subjects(requirement.about().scope(), facts)
                    .forEach(subject -> judgements.add(bySchool(requirement, facts, evidence, rules, subject, shared)));
        }
        return judgements;
    }

    private static Stream<Optional<Component>> subjects(Scope scope, Case facts) {
        if (scope.ofSystem()) {
            return facts.asksOfSystem(scope) ? Stream.of(Optional.empty()) : Stream.empty();
        }
        return facts.components().stream().filter(c -> c.within(scope)).map(Optional::of);
    }

    private static Judgement bySchool(
            Requirement requirement,
            Case facts,
            Evidence evidence,
            RuleBook rules,
            Optional<Component> subject,
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

    private static Judgement single(
            Requirement requirement,
            Case facts,
            Evidence evidence,
            RuleBook rules,
            Optional<Component> subject,
            Optional<SchoolTopic.School> school,
            Map<Class<?>, Object> shared) {
        Examination x = new Examination(facts, evidence, rules, requirement.about(), subject, school, shared);
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
