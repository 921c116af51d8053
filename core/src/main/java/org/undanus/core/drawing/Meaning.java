package org.undanus.core.drawing;

import java.util.Optional;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.judgement.Verdict;

/**
 * What a part of a drawing stands for.
 *
 * @param judgement the key of the judgement that the verdict is of
 * @param line the line that it is read on
 * @param thing the drawn thing, by its id in the site's plan
 */
public record Meaning(
        Optional<Verdict> verdict, Optional<String> judgement, Optional<PointKey> line, Optional<String> thing) {

    /** Of a judgement that may be looked up by its key. */
    public static Meaning of(Verdict verdict, String judgement) {
        return new Meaning(Optional.of(verdict), Optional.of(judgement), Optional.empty(), Optional.empty());
    }

    public static Meaning of(Judgement judgement) {
        return of(judgement.verdict(), judgement.key());
    }

    /** Of what a requirement says of a unit; not shown where it says nothing. */
    public static Meaning of(Judgements judgements, About requirement, String component) {
        return judgements.find(requirement, component).map(Meaning::of).orElse(of(Verdict.NOT_SHOWN));
    }

    /** Its verdict in words, empty where it has none. */
    public String said() {
        return verdict.map(Verdict::title).orElse("");
    }

    public static Meaning of(Verdict verdict) {
        return new Meaning(Optional.of(verdict), Optional.empty(), Optional.empty(), Optional.empty());
    }

    public static Meaning of(PointKey line) {
        return new Meaning(Optional.empty(), Optional.empty(), Optional.of(line), Optional.empty());
    }

    /** This, as read on a line. */
    public Meaning on(PointKey where) {
        return new Meaning(verdict, judgement, Optional.of(where), thing);
    }

    /** Of a thing that was drawn, nothing judged. */
    public static Meaning ofThing(String id) {
        return new Meaning(Optional.empty(), Optional.empty(), Optional.empty(), Optional.of(id));
    }

    /** This, as of a thing that somebody drew. */
    public Meaning ofDrawn(String id) {
        return new Meaning(verdict, judgement, line, Optional.of(id));
    }
}
