package org.undanus.core.plan;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.undanus.core.drawing.Drawing;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.installation.Case;
import org.undanus.core.installation.Subject;
import org.undanus.core.judgement.Judgements;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.words.Text;

/** A station's curve of one subject, to be looked at closely. */
@FunctionalInterface
public interface Charts {

    /** A way of looking at a curve that some have. */
    enum Option {
        /** Each step of the scale the same, where it is else drawn by powers of ten. */
        EVEN_SCALE,
        /** With the limits of the schools that were not chosen. */
        OTHER_SCHOOLS
    }

    /**
     * How it is looked at.
     *
     * @param from s from the curve's first sample
     * @param until s; what lies beyond the curve's end is its end
     * @param options what is chosen of those it has
     * @param beside another subject whose curve is drawn beside it
     * @param cursor a moment whose values are told, as a share of what is looked at
     */
    record Look(double from, double until, Set<Option> options, Optional<Subject> beside, OptionalDouble cursor) {
        /** All of it. */
        public static final Look WHOLE =
                new Look(0, Double.POSITIVE_INFINITY, Set.of(), Optional.empty(), OptionalDouble.empty());

        public Look {
            options = Set.copyOf(options);
            if (!(from >= 0 && until > from)) {
                throw new IllegalArgumentException("A curve is looked at from one moment to a later one.");
            }
        }

        /** Where what is looked at begins, of a curve of some length, s: before its end in any case. */
        public double begin(double lasting) {
            return Math.max(0, Math.min(from, lasting - 1));
        }

        /** Where what is looked at ends, of a curve of some length, s. */
        public double end(double lasting) {
            return Math.max(Math.min(until, lasting), begin(lasting) + 1);
        }

        /** The cursor's moment, of a curve of some length, s. */
        public OptionalDouble moment(double lasting) {
            return cursor.isPresent()
                    ? OptionalDouble.of(begin(lasting)
                            + Math.max(0, Math.min(1, cursor.getAsDouble())) * (end(lasting) - begin(lasting)))
                    : cursor;
        }
    }

    /**
     * A curve as it is looked at.
     *
     * @param sentence what it comes to
     * @param lasting all of it, s
     * @param options in which ways it can be looked at
     */
    record Chart(Drawing drawing, Text sentence, double lasting, Set<Option> options) {
        public Chart {
            options = Set.copyOf(options);
        }
    }

    /** Empty where the subject has no curve. */
    Optional<Chart> chart(
            Case facts, Evidence evidence, RuleBook rules, Judgements judgements, Subject subject, Look look);
}
