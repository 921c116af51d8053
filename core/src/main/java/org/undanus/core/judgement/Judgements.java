package org.undanus.core.judgement;

import java.util.List;
import java.util.Optional;

/** All judgements of a case, to look things up in. */
public record Judgements(List<Judgement> all) {
    public Judgements {
        all = List.copyOf(all);
    }

    public Optional<Judgement> find(String requirement, String component) {
        return all.stream()
                .filter(j -> j.about().id().equals(requirement) && j.component().equals(component))
                .findFirst();
    }

    /** Not shown where the requirement was not judged for this unit. */
    public Verdict verdict(String requirement, String component) {
        return find(requirement, component).map(Judgement::verdict).orElse(Verdict.NOT_SHOWN);
    }

    public List<Judgement> of(Station station) {
        return all.stream().filter(j -> j.about().station() == station).toList();
    }
}
