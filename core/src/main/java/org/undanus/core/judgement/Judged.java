package org.undanus.core.judgement;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.installation.Case;
import org.undanus.core.rules.RuleBook;

/** A case with its judgements and what each of them rests on, so that after another reading only those it touches are made anew. */
public final class Judged {

    /** A judgement with what it rests on. */
    record Entry(Judgement judgement, Basis basis) {}

    private final Case facts;
    private final Evidence evidence;
    private final RuleBook rules;
    private final Map<String, Entry> entries;
    private final List<Judgement> judgements;

    Judged(Case facts, Evidence evidence, RuleBook rules, List<Entry> entries) {
        this.facts = facts;
        this.evidence = evidence;
        this.rules = rules;
        this.judgements = entries.stream().map(Entry::judgement).toList();
        this.entries = entries.stream()
                .collect(Collectors.toUnmodifiableMap(entry -> entry.judgement().key(), entry -> entry));
    }

    public List<Judgement> judgements() {
        return judgements;
    }

    /** Those that stand as they are with other evidence, by their key; none where facts or rules are others. */
    Map<String, Entry> standing(Case now, Evidence known, RuleBook by) {
        if (rules != by || !facts.equals(now)) {
            return Map.of();
        }
        Set<PointKey> changed = changed(evidence, known);
        return entries.entrySet().stream()
                .filter(entry -> !entry.getValue().basis().touchedBy(changed))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    private static Set<PointKey> changed(Evidence before, Evidence now) {
        Map<PointKey, List<Reading>> then = byPoint(before);
        Map<PointKey, List<Reading>> known = byPoint(now);
        Set<PointKey> changed = new HashSet<>(then.keySet());
        changed.addAll(known.keySet());
        changed.removeIf(point -> then.getOrDefault(point, List.of()).equals(known.getOrDefault(point, List.of())));
        return changed;
    }

    private static Map<PointKey, List<Reading>> byPoint(Evidence evidence) {
        return evidence.readings().stream().collect(Collectors.groupingBy(Reading::key));
    }
}
