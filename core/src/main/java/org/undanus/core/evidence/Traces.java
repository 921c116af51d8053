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
        public void follow(Trace trace, Instant from, Samples to) {
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
     * Goes through a curve's samples, beginning with the last one that is not after a moment.
     *
     * @param from that moment; where the curve begins later, all of it
     * @throws IllegalArgumentException where there is no such curve
     */
    void follow(Trace trace, Instant from, Samples to);
}
