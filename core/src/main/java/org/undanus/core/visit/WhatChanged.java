package org.undanus.core.visit;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.undanus.core.judgement.Judgement;

/**
 * A judgement that is not what it was.
 *
 * @param before empty where there was none
 * @param now empty where there is none any more
 */
public record WhatChanged(Optional<Judgement> before, Optional<Judgement> now) {

    /** Which verdicts are others, in the order of the walk; what is gone stands last. */
    public static List<WhatChanged> between(List<Judgement> before, List<Judgement> now) {
        Map<String, Judgement> then = byKey(before);
        Map<String, Judgement> here = byKey(now);
        List<WhatChanged> changed = now.stream()
                .map(judgement ->
                        new WhatChanged(Optional.ofNullable(then.get(judgement.key())), Optional.of(judgement)))
                .filter(WhatChanged::differs)
                .collect(Collectors.toList());
        before.stream()
                .filter(judgement -> !here.containsKey(judgement.key()))
                .forEach(gone -> changed.add(new WhatChanged(Optional.of(gone), Optional.empty())));
        return changed;
    }

    private static Map<String, Judgement> byKey(List<Judgement> judgements) {
        return judgements.stream().collect(Collectors.toMap(Judgement::key, Function.identity()));
    }

    private boolean differs() {
        return !before.map(Judgement::verdict).equals(now.map(Judgement::verdict));
    }

    /** Whichever there is, the later one first. */
    public Judgement either() {
        return now.or(() -> before).orElseThrow();
    }
}
