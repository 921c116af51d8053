package org.undanus.core.judgement;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Point;

/** All judgements of a case, to look things up in. */
public record Judgements(List<Judgement> all) {
    public Judgements {
        all = List.copyOf(all);
    }

    /** What a requirement says of a unit; empty where it is not judged for it. */
    public Optional<Judgement> find(About requirement, String component) {
        return find(requirement.id(), component);
    }

    /** What a requirement comes to that one look at a point settles, and which goes by the point's name; empty where it is not judged. */
    public Optional<Judgement> find(Point observed, String component) {
        return find(observed.id(), component);
    }

    private Optional<Judgement> find(String requirement, String component) {
        return all.stream()
                .filter(j -> j.about().id().equals(requirement) && j.component().equals(component))
                .findFirst();
    }

    public List<Judgement> of(Station station) {
        return all.stream().filter(j -> j.about().station() == station).toList();
    }
}
