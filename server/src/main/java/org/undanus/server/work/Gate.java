package org.undanus.server.work;

import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.undanus.server.problem.BusyException;

/** Lets so many through at once; the rest wait a while and are then asked to come back. */
public final class Gate {
    private final Semaphore places;
    private final Duration patience;

    /** @param patience how long one waits for a place */
    public Gate(int places, Duration patience) {
        this.places = new Semaphore(places, true);
        this.patience = patience;
    }

    /** @throws BusyException when no place came free in time */
    public <T> T through(Supplier<T> work) {
        try {
            if (!places.tryAcquire(patience.toMillis(), TimeUnit.MILLISECONDS)) {
                throw new BusyException(patience);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new BusyException(patience);
        }
        try {
            return work.get();
        } finally {
            places.release();
        }
    }
}
