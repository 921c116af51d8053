package org.undanus.core.plan;

import java.util.Optional;
import java.util.function.Function;
import org.undanus.core.derived.notation.Marks;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Point;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Examination;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/**
 * Something that is left alone for a while, and whose time is a line.
 *
 * @param line its time is read on, s
 * @param begins what is done when it begins, as a mark says it; empty where no mark does
 * @param about the requirement it is held for
 * @param needed how long it has to be held, s; empty where that is not known yet
 * @param power what would have shown after a time in s; empty where that is not known yet
 */
public record HoldableLine(
        Point line,
        Optional<Marks.Act> begins,
        About about,
        Function<Examination, Optional<Double>> needed,
        Power power) {

    /** What a time of holding could show. */
    @FunctionalInterface
    public interface Power {
        /** @param seconds held so far */
        Optional<Text> after(Examination x, double seconds);
    }

    /** Of one subject of an installation. */
    public Examination examination(Case facts, Evidence evidence, RuleBook rules, Subject subject) {
        return Examination.of(facts, evidence, rules, about, subject);
    }
}
