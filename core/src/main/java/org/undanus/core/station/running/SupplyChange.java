package org.undanus.core.station.running;

import static org.undanus.core.derived.AirPoints.SUPPLY_DRY_BULB;
import static org.undanus.core.station.running.RunningPoints.SUPPLY_EARLIER;
import static org.undanus.core.station.running.RunningPoints.SUPPLY_LOG;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Trace;
import org.undanus.core.evidence.Traces;
import org.undanus.core.evidence.Value;
import org.undanus.core.judgement.Examination;
import org.undanus.core.judgement.Finding;
import org.undanus.core.judgement.Judgement;
import org.undanus.core.judgement.Verdict;
import org.undanus.core.quantity.Uncertain;
import org.undanus.core.words.Text;

/**
 * How much the supply air changed in five minutes: from its log, where there is one, the most it moved in the last five; else
 * from two readings. One thermometer stays in one place, so its calibration error cancels and only the step counts that it
 * shows and that was written.
 */
final class SupplyChange {
    /** What the limit is stated for. */
    private static final Duration WINDOW = Duration.ofMinutes(5);

    private SupplyChange() {}

    /** Why it cannot be told; empty where it can. */
    static Optional<Judgement> unknown(Examination x) {
        Optional<Trace> log = x.curve(SUPPLY_LOG);
        if (log.isEmpty()) {
            List<Point> missing = x.missing(SUPPLY_EARLIER, SUPPLY_DRY_BULB);
            List<Point> named = x.doubted(SUPPLY_LOG) ? List.of(SUPPLY_LOG) : missing;
            return missing.isEmpty() ? Optional.empty() : Optional.of(x.notShown(named));
        }
        if (log.get().lasting().compareTo(WINDOW) >= 0) {
            return Optional.empty();
        }
        return Optional.of(x.finding()
                .conclude(
                        Verdict.NOT_SHOWN,
                        Text.of(
                                "The supply air was logged for {lasting} only; five minutes are needed.",
                                quantity(log.get().lasting())),
                        "Let the logger run on, then load its file again."));
    }

    static Uncertain of(Examination x, Finding finding) {
        Optional<Trace> log = x.curve(SUPPLY_LOG);
        return log.isPresent() ? logged(x, log.get(), finding) : read(x, finding);
    }

    private static Uncertain read(Examination x, Finding finding) {
        Value.Measured earlier = x.need(SUPPLY_EARLIER);
        Value.Measured now = x.need(SUPPLY_DRY_BULB);
        finding.step("Supply air, five minutes earlier", earlier.quantity()).step("Supply air, now", now.quantity());
        return change(
                now.quantity().si() - earlier.quantity().si(),
                Math.hypot(x.step(SUPPLY_EARLIER), x.step(SUPPLY_DRY_BULB)));
    }

    private static Uncertain logged(Examination x, Trace log, Finding finding) {
        Range range = new Range();
        x.facts().traces().follow(log, log.to().minus(WINDOW), log.to(), range);
        finding.step(
                        "Supply air, logged",
                        "",
                        Text.of("{samples} samples in {lasting}", log.samples(), quantity(log.lasting())),
                        "")
                .step("Least in the last five minutes", log.dimension().of(range.least))
                .step("Most in the last five minutes", log.dimension().of(range.most));
        return change(range.most - range.least, Math.sqrt(2) * x.step(SUPPLY_LOG, log));
    }

    /** @param steps of the two values together, K */
    private static Uncertain change(double kelvin, double steps) {
        return new Uncertain(Math.abs(kelvin), steps / Math.sqrt(12));
    }

    private static org.undanus.core.quantity.Duration quantity(Duration time) {
        return org.undanus.core.quantity.Duration.ofSeconds(time.toSeconds());
    }

    private static final class Range implements Traces.Samples {
        private double least = Double.POSITIVE_INFINITY;
        private double most = Double.NEGATIVE_INFINITY;

        @Override
        public void sample(Instant at, double si) {
            least = Math.min(least, si);
            most = Math.max(most, si);
        }
    }
}
