package org.undanus.core.derived;

import java.util.Optional;
import org.undanus.core.derived.notation.WrittenCurve;
import org.undanus.core.evidence.Outline;
import org.undanus.core.evidence.Point;
import org.undanus.core.evidence.Trace;
import org.undanus.core.judgement.Examination;
import org.undanus.core.quantity.Accuracy;
import org.undanus.core.quantity.Uncertain;

/**
 * A curve that can be judged by: from a logger where there is a log, else as it was written by hand.
 *
 * @param outline SI, times from its first sample on
 * @param step of the display, SI
 * @param accuracy of the instrument
 * @param logged whether a logger took it
 */
public record Curve(Outline outline, double step, Accuracy accuracy, boolean logged) {

    /** Empty where neither was read well enough. */
    public static Optional<Curve> of(Examination x, Point log, Point byHand) {
        Optional<Curve> logged = x.curve(log).map(trace -> logged(x, log, trace));
        return logged.isPresent()
                ? logged
                : x.listed(byHand, WrittenCurve.class)
                        .map(read -> new Curve(
                                read.outline(),
                                x.step(byHand, read.dimension(), read.resolution()),
                                x.accuracy(byHand, read.dimension()),
                                false));
    }

    private static Curve logged(Examination x, Point log, Trace trace) {
        return new Curve(
                x.facts().traces().outline(trace, trace.from(), trace.to()),
                x.step(log, trace),
                x.accuracy(log, trace.dimension()),
                true);
    }

    /** The part between two times from its first sample, in as many points as all of it. */
    public Outline near(Examination x, Point log, double from, double until) {
        Optional<Trace> trace = x.curve(log).filter(found -> logged);
        return trace.map(t -> x.facts()
                        .traces()
                        .outline(
                                t,
                                t.from().plusMillis((long) (1000 * from)),
                                t.from().plusMillis((long) Math.ceil(1000 * Math.min(until, outline.lasting())))))
                .orElseGet(() -> between(from, until));
    }

    /** A value of it with what the instrument may be wrong by. */
    public Uncertain uncertain(double value) {
        return new Uncertain(value, accuracy.standardUncertainty(value, step));
    }

    /** Time from its first sample, s. */
    public double since(int point) {
        return outline.seconds(point) - outline.seconds(0);
    }

    /** The part between two times from its first sample. */
    public Outline between(double from, double to) {
        return outline.between(outline.seconds(0) + from, outline.seconds(0) + to);
    }
}
