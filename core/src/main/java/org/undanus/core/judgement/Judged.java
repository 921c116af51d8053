package org.undanus.core.judgement;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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

    /** The points that any of them looked at; empty where one looks at all there are. */
    public Optional<Set<String>> points() {
        return entries.values().stream().anyMatch(entry -> entry.basis().everything())
                ? Optional.empty()
                : Optional.of(entries.values().stream()
                        .flatMap(entry -> entry.basis().points().stream())
                        .map(PointKey::point)
                        .collect(Collectors.toSet()));
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

    /** The points read in one of the two but not in the other, or in another order: what comes after where they part. */
    private static Set<PointKey> changed(Evidence before, Evidence now) {
        List<Reading> then = before.readings();
        List<Reading> known = now.readings();
        int same = 0;
        while (same < Math.min(then.size(), known.size()) && then.get(same).equals(known.get(same))) {
            same++;
        }
        return Stream.concat(then.stream().skip(same), known.stream().skip(same))
                .map(Reading::key)
                .collect(Collectors.toSet());
    }
}
