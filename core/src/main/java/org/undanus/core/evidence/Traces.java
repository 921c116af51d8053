package org.undanus.core.evidence;

import java.time.Instant;
import java.util.Optional;

/** The curves logged at one installation. They may be long: none is ever held whole. */
public interface Traces {
    Traces NONE = new Traces() {
        @Override
        public Optional<Trace> find(String sha256) {
            return Optional.empty();
        }

        @Override
        public void follow(Trace trace, Instant from, Instant until, Samples to) {
            throw new IllegalArgumentException("There is no such trace");
        }
    };

    /** Takes samples in order of time. */
    @FunctionalInterface
    interface Samples {
        /** @param si the value in SI */
        void sample(Instant at, double si);
    }

    /** The curve whose file has this digest. */
    Optional<Trace> find(String sha256);

    /**
     * Goes through a curve's samples between two moments, beginning with the last one that is not after the first of them.
     *
     * @param from the first moment; where the curve begins later, from its beginning
     * @param until the last moment
     * @throws IllegalArgumentException where there is no such curve
     */
    void follow(Trace trace, Instant from, Instant until, Samples to);

    /** A curve between two moments in few points, times counted from its beginning. Where it is kept, it costs nothing again. */
    default Outline outline(Trace trace, Instant from, Instant until) {
        Outline.Builder builder = new Outline.Builder(trace.from());
        follow(trace, from, until, builder);
        return builder.outline();
    }
}
