package org.undanus.core.visit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.evidence.Reading;
import org.undanus.core.evidence.Value;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.words.Text;

/**
 * Which lines can still change what they are judged to: those that are read and leave a judgement too close to call, and those
 * that are open where one is not shown. What is at stake comes first, then what is asked for at this visit, then what is read but
 * not well enough; of equals the one that comes first on the walk.
 */
public final class WhatNext {

    /** @param asked whether it has to be read at this visit */
    public record Line(PointKey key, boolean asked) {}

    /** @param reason what reading it decides, for example {@code decides: Overcurrent protective device} */
    public record Next(PointKey line, Text reason) {}

    private record Candidate(Line line, Judgement judgement) {
        private boolean tooClose() {
            return judgement.verdict() == Verdict.TOO_CLOSE;
        }

        private Next next() {
            return new Next(
                    line.key(),
                    Text.of(
                            tooClose() ? "settles: {requirement}" : "decides: {requirement}",
                            judgement.about().title()));
        }
    }

    private static final Comparator<Candidate> MOST_FIRST = Comparator.comparing(
                    (Candidate c) -> c.judgement.about().severity())
            .thenComparing(c -> !c.line.asked())
            .thenComparing(c -> !c.tooClose());

    private WhatNext() {}

    /** @param lines in the order they are walked */
    public static List<Next> of(List<Judgement> judgements, List<Line> lines, Evidence evidence) {
        List<Candidate> candidates = new ArrayList<>();
        for (Line line : lines) {
            judgements.stream()
                    .filter(judgement ->
                            judgement.evidence().contains(line.key()) && changes(judgement, line, evidence))
                    .map(judgement -> new Candidate(line, judgement))
                    .min(MOST_FIRST)
                    .ifPresent(candidates::add);
        }
        return candidates.stream().sorted(MOST_FIRST).map(Candidate::next).toList();
    }

    private static boolean changes(Judgement judgement, Line line, Evidence evidence) {
        Optional<Reading> reading = evidence.latest(line.key());
        return switch (judgement.verdict()) {
            case NOT_SHOWN -> evidence.answer(line.key()).isEmpty();
            case TOO_CLOSE -> reading.filter(WhatNext::measured).isPresent();
            default -> false;
        };
    }

    /** Read on an instrument, so that a better one could say more. */
    private static boolean measured(Reading reading) {
        return reading.value() instanceof Value.Measured measured && measured.standardUncertainty() > 0;
    }
}
