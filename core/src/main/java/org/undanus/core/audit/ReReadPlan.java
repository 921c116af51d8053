package org.undanus.core.audit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.undanus.core.evidence.Evidence;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.installation.Case;
import org.undanus.core.judgement.About;
import org.undanus.core.judgement.Severity;
import org.undanus.core.plan.StationPlan;
import org.undanus.core.quantity.Duration;
import org.undanus.core.rules.RuleBook;
import org.undanus.core.station.Walk;
import org.undanus.core.visit.RevisitPlan;

/**
 * Which lines to read again in the time there is: those of which another reading would say most about a record. What is at stake,
 * times how much doubt there is, times how well today's instrument could tell the claim from what was expected.
 */
public final class ReReadPlan {
    private ReReadPlan() {}

    /**
     * @param stake what a requirement that needs the line is there for
     * @param doubt the greatest likelihood ratio of what was found on it
     * @param telling from 0 to 1: how surely a reading with the usual instrument would decide
     */
    public record Line(PointKey key, Severity stake, double doubt, double telling, Found because) {
        /** Stakes count by their rank; doubts by the digits of their ratio, as evidence adds up. */
        private double worth() {
            return (Severity.values().length - stake.ordinal()) * Math.log10(doubt) * telling;
        }
    }

    /**
     * In walking order.
     *
     * @param found what the audit of the record came to
     * @param time there is; the rule book says what a line takes, and where it does not nothing is chosen
     */
    public static List<Line> of(
            Case facts, CommissioningRecord record, Evidence own, RuleBook rules, List<Found> found, Duration time) {
        if (!rules.decides(RevisitPlan.PER_LINE)) {
            return List.of();
        }
        long most = (long) Math.floor(time.si() / rules.number(RevisitPlan.PER_LINE));
        List<Line> chosen = lines(facts, record, own, rules, found).stream()
                .filter(line -> line.worth() > 0)
                .sorted(Comparator.comparingDouble(Line::worth).reversed())
                .limit(most)
                .toList();
        List<String> order = Walk.plans().stream()
                .map(StationPlan::points)
                .flatMap(List::stream)
                .map(Point::id)
                .toList();
        return chosen.stream()
                .sorted(Comparator.comparingInt(line -> order.indexOf(line.key().point())))
                .toList();
    }

    private static List<Line> lines(
            Case facts, CommissioningRecord record, Evidence own, RuleBook rules, List<Found> found) {
        Map<PointKey, Found> worst = new LinkedHashMap<>();
        for (Found each : found) {
            if (each.doubt().isPresent() && !each.about().equals(AgainstOwn.ABOUT)) {
                each.on()
                        .forEach(key -> worst.merge(
                                key,
                                each,
                                (one, other) -> other.doubt().get().chance()
                                                < one.doubt().get().chance()
                                        ? other
                                        : one));
            }
        }
        List<Line> lines = new ArrayList<>();
        worst.forEach((key, because) -> RecordLines.point(key.point())
                .filter(RecordLines::ofWalk)
                .filter(point ->
                        record.claim(key).isPresent() && own.latest(key).isEmpty())
                .ifPresent(point -> lines.add(new Line(
                        key,
                        stake(point),
                        because.doubt().orElseThrow().likelihoodRatio(),
                        telling(rules, point, because),
                        because))));
        return lines;
    }

    private static Severity stake(Point point) {
        return Walk.judge().abouts().stream()
                .filter(about -> about.needs().contains(point))
                .map(About::severity)
                .min(Comparator.naturalOrder())
                .orElse(Severity.RECORD);
    }

    /** The share of what parts claim and expectation that a reading would not blur: 1 where nothing was expected in numbers. */
    private static double telling(RuleBook rules, Point point, Found because) {
        Optional<Found.Band> band = because.band();
        if (band.isEmpty() || point.kind() != Point.Kind.QUANTITY) {
            return 1;
        }
        double apart = Math.max(
                band.get().low() - band.get().claimed(),
                band.get().claimed() - band.get().high());
        double blur = rules.accuracy(point.instrument())
                .standardUncertainty(band.get().claimed(), 0);
        return apart <= 0 ? 0 : apart / (apart + blur);
    }
}
