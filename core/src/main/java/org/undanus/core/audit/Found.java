package org.undanus.core.audit;

import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Outline;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.quantity.Dimension;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.words.Text;

/**
 * What a check came to.
 *
 * @param subject the unit or part it speaks of, "system" for all
 * @param doubt empty where it cannot tell
 * @param because a sentence with the numbers
 * @param mistake an honest mistake that would explain it to the digit: "at sea level it would fit"
 * @param on the lines it rests on
 */
public record Found(
        AboutCheck about,
        String subject,
        Consistency outcome,
        Optional<Doubt> doubt,
        Text because,
        Optional<Text> mistake,
        List<PointKey> on,
        Optional<Band> band,
        Optional<Overlay> overlay) {

    /** How it stands. */
    public enum Consistency {
        CONSISTENT("Consistent"),
        DOUBTFUL("Doubtful"),
        /** Written before what may have been copied from it. */
        SOURCE("Probably the source"),
        CANNOT_TELL("Cannot tell");

        private final String title;

        Consistency(String title) {
            this.title = title;
        }

        public String title() {
            return title;
        }
    }

    /**
     * What was to be expected and what is claimed, SI.
     *
     * @param low infinite where there is no least, as {@code high}
     */
    public record Band(Dimension dimension, double low, double high, double claimed) {}

    /** Two curves over each other, the second laid onto the first, and of which records they are. */
    public record Overlay(Dimension dimension, Outline first, Outline second, String firstOf, String secondOf) {}

    public Found {
        on = List.copyOf(on);
    }

    static Found cannotTell(AboutCheck about, String subject, Text because) {
        return new Found(
                about,
                subject,
                Consistency.CANNOT_TELL,
                Optional.empty(),
                because,
                Optional.empty(),
                List.of(),
                Optional.empty(),
                Optional.empty());
    }

    /** Before it is known how many others were made. */
    static Found weighed(AboutCheck about, String subject, Doubt doubt, Text because, List<PointKey> on) {
        return new Found(
                about,
                subject,
                Consistency.CONSISTENT,
                Optional.of(doubt),
                because,
                Optional.empty(),
                on,
                Optional.empty(),
                Optional.empty());
    }

    /** With the claim drawn against what was expected of it, ± twice its standard uncertainty. */
    Found drawn(Dimension dimension, Uncertain expected, double claimed) {
        return drawn(new Band(
                dimension, expected.value() - expected.expanded(), expected.value() + expected.expanded(), claimed));
    }

    Found drawn(Band drawn) {
        return new Found(about, subject, outcome, doubt, because, mistake, on, Optional.of(drawn), overlay);
    }

    Found drawn(Overlay drawn) {
        return new Found(about, subject, outcome, doubt, because, mistake, on, band, Optional.of(drawn));
    }

    Found explained(Optional<Text> honest) {
        return new Found(about, subject, outcome, doubt, because, honest, on, band, overlay);
    }

    Found with(Consistency judged) {
        return new Found(about, subject, judged, doubt, because, mistake, on, band, overlay);
    }

    /** Whether it found something that honest work hardly brings about. */
    public boolean doubtful() {
        return outcome == Consistency.DOUBTFUL;
    }
}
