package org.undanus.core.evidence;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import org.undanus.core.quantity.Quantity;
import org.undanus.core.quantity.QuantityFormat;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.words.Text;
import org.undanus.core.words.UnitSystem;
import org.undanus.core.words.Wording;

/** What a reading says, by kind of point. */
public sealed interface Value {

    /** Its quantities in a reader's units and language: of a curve its least and its most; empty for what is no quantity. */
    default Optional<String> in(Wording wording) {
        return Optional.empty();
    }

    /** Its ± expanded uncertainty in a reader's units; empty where it has none. */
    default Optional<String> uncertaintyIn(UnitSystem units) {
        return Optional.empty();
    }

    /** The id of what was chosen, or yes or no; empty for what is no answer to a question. */
    default Optional<String> answer() {
        return Optional.empty();
    }

    /**
     * @param standardUncertainty in SI, from the instrument and the digits written
     * @param resolution the step of the last digit written, in SI
     */
    record Measured(Quantity quantity, double standardUncertainty, double resolution) implements Value {
        @Override
        public Optional<String> in(Wording wording) {
            return Optional.of(QuantityFormat.of(wording.units()).format(quantity, resolution));
        }

        @Override
        public Optional<String> uncertaintyIn(UnitSystem units) {
            if (standardUncertainty == 0) {
                return Optional.empty();
            }
            QuantityFormat format = QuantityFormat.of(units);
            return Optional.of("± "
                    + format.formatUncertainty(quantity.dimension(), uncertain().expanded(), resolution));
        }

        /** In SI: what rounding to the digits written alone makes uncertain: their step over √12 (JCGM 100, 4.3.7). */
        public double rounding() {
            return resolution / Math.sqrt(12);
        }

        public Uncertain uncertain() {
            return new Uncertain(quantity.si(), standardUncertainty);
        }
    }

    record Chosen(Option option) implements Value {
        @Override
        public Optional<String> answer() {
            return Optional.of(option.id());
        }
    }

    record Affirmed(boolean yes) implements Value {
        @Override
        public Optional<String> answer() {
            return Optional.of(yes ? "yes" : "no");
        }
    }

    record Written(String text) implements Value {}

    /** Some day of a period: a plate tells the month or week only. */
    record Within(LocalDate first, LocalDate last) implements Value {}

    /** Something with parts. */
    record Listed(Notation.Listing listing) implements Value {
        @Override
        public Optional<String> in(Wording wording) {
            return Optional.of(listing.summary().in(wording));
        }
    }

    /** The course of something over time, in a file of its own. */
    record Logged(Trace trace) implements Value {
        @Override
        public Optional<String> in(Wording wording) {
            QuantityFormat format = QuantityFormat.of(wording.units());
            return Optional.of(Text.of(
                            "{least} to {most}",
                            format.format(trace.dimension().of(trace.least()), trace.resolution()),
                            format.format(trace.dimension().of(trace.most()), trace.resolution()))
                    .in(wording));
        }

        /** In a few words; times in Greenwich time. */
        Text said() {
            return Text.of(
                    "log of {samples} samples, {from} to {to} UTC",
                    trace.samples(),
                    MINUTE.format(trace.from()),
                    MINUTE.format(trace.to()));
        }

        private static final DateTimeFormatter MINUTE =
                DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm", Locale.ROOT).withZone(ZoneOffset.UTC);
    }

    /**
     * An answer all the same: why nothing was read. It shows nothing.
     *
     * @param because in the reader's words; empty where nobody said
     */
    record Unread(Why why, String because) implements Value {
        /** What may be said of a line that was not read. */
        public enum Why {
            NOT_ACCESSIBLE("Not accessible"),
            NOT_LOOKED_AT("Not looked at");

            private final String title;

            Why(String title) {
                this.title = title;
            }

            public String title() {
                return title;
            }
        }

        /** In words: {@code Not accessible: the hatch is screwed shut}. */
        public Text said() {
            return because.isEmpty() ? Text.of(why.title()) : Text.of("{why}: {because}", why.title(), because);
        }
    }

    /**
     * The reading that stands on the line is taken back: it stays in its history, struck, and what was read before it stands
     * again.
     *
     * @param because why
     */
    record TakenBack(String because) implements Value {}

    /**
     * A kept reading that this version can no longer take: an option it does not know, a value that cannot be. It shows
     * nothing and stays visible with its text.
     *
     * @param why a sentence for the reader
     */
    record SetAside(Text why) implements Value {}
}
