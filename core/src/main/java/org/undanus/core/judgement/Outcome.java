package org.undanus.core.judgement;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.undanus.core.words.Text;

/** What all judgements together come to: the sentence a report begins with, and what is left to do, most at stake first. */
public final class Outcome {
    /** Life first: what everybody leaves for, then what may be breathed, then the rest of safety in the order of the walk. */
    private static final Comparator<Judgement> MOST_AT_STAKE = Comparator.comparing(
                    (Judgement judgement) -> !judgement.about().stops())
            .thenComparing(judgement -> judgement.about().severity())
            .thenComparing(judgement -> judgement.about().severity() != Severity.SAFETY
                    || judgement.about().station() != Station.FUEL)
            .thenComparing(judgement -> judgement.about().station());

    /** So many of a kind and more are as many as one fewer; nine such counts fit a long. */
    private static final int COUNTED = 100;

    private final List<Judgement> failing;
    private final List<Judgement> unsettled;
    private final List<Judgement> notShown;
    private final boolean judged;

    private Outcome(List<Judgement> judgements) {
        failing = with(judgements, Set.of(Verdict.FAILS));
        unsettled = with(judgements, Set.of(Verdict.TOO_CLOSE, Verdict.REFER));
        notShown = with(judgements, Set.of(Verdict.NOT_SHOWN));
        judged = !judgements.isEmpty();
    }

    public static Outcome of(List<Judgement> judgements) {
        return new Outcome(judgements);
    }

    private static List<Judgement> with(List<Judgement> judgements, Set<Verdict> verdicts) {
        return judgements.stream()
                .filter(judgement -> verdicts.contains(judgement.verdict()))
                .sorted(MOST_AT_STAKE)
                .toList();
    }

    /** What fails, to be put right. */
    public List<Judgement> failing() {
        return failing;
    }

    /** What is too close to call or for a licensed person to decide. */
    public List<Judgement> unsettled() {
        return unsettled;
    }

    /** Of what the evidence is missing. */
    public List<Judgement> notShown() {
        return notShown;
    }

    /** What presses most: what fails before what is not settled before what is not shown. */
    public Optional<Judgement> mostPressing() {
        return Stream.of(failing, unsettled, notShown).flatMap(List::stream).findFirst();
    }

    /** How many fail of this severity. */
    public long failing(Severity severity) {
        return count(failing, severity);
    }

    private static long count(List<Judgement> some, Severity severity) {
        return some.stream()
                .filter(judgement -> judgement.about().severity() == severity)
                .count();
    }

    /**
     * How much is at stake, as one number to sort by: what fails for safety counts before any number of damages, these before
     * performance and records; then what is not settled in the same order, then what is not shown.
     */
    public long stake() {
        long stake = 0;
        for (List<Judgement> some : List.of(failing, unsettled)) {
            for (Severity severity : Severity.values()) {
                stake = stake * COUNTED + Math.min(COUNTED - 1, count(some, severity));
            }
        }
        return stake * COUNTED + Math.min(COUNTED - 1, notShown.size());
    }

    /** The title of what presses most and what was found, for a list of many installations. */
    public Optional<Text> pressing() {
        return mostPressing()
                .map(judgement -> Text.of("{requirement}: {finding}", judgement.called(), judgement.finding()));
    }

    /** In a sentence or two. What is not shown is never called a pass. */
    public Text sentence() {
        int open = unsettled.size() + notShown.size();
        if (!judged) {
            return Text.of("Nothing has been judged yet.");
        }
        if (failing.isEmpty()) {
            return open == 0
                    ? Text.of("Everything that applies meets its limits.")
                    : Text.counted(
                            open,
                            "Nothing that was shown fails. One requirement is not settled or not shown yet, which is no pass.",
                            "Nothing that was shown fails. {open} requirements are not settled or not shown yet, which is no pass.",
                            open);
        }
        return open == 0
                ? putRight()
                : putRight()
                        .then(Text.counted(
                                open,
                                "One more is not settled or not shown.",
                                "{open} more are not settled or not shown.",
                                open));
    }

    private Text putRight() {
        int all = failing.size();
        long safety = failing(Severity.SAFETY);
        if (safety == 0) {
            return Text.counted(all, "One thing must be put right.", "{count} things must be put right.", all);
        }
        return safety == all
                ? Text.counted(
                        all,
                        "One thing must be put right, for safety.",
                        "{count} things must be put right, for safety.",
                        all)
                : Text.of("{count} things must be put right, {safety} of them for safety.", all, safety);
    }
}
