package org.undanus.server.work;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.undanus.server.problem.NotFoundException;

/** What goes on in the background for somebody, remembered for a while so that it can be looked at and stopped. */
public final class Underway<W extends Underway.Work> {
    private static final int REMEMBERED = 50;
    private static final Duration REMEMBERED_FOR = Duration.ofHours(1);

    /** How far a piece of it is. */
    public enum State {
        RUNNING,
        DONE,
        CANCELLED,
        FAILED
    }

    /** One piece of it. */
    public abstract static class Work {
        private final String id;
        private final String person;
        private State state = State.RUNNING;
        private String problem;

        /** @param person the name of whom it goes on for */
        protected Work(String id, String person) {
            this.id = id;
            this.person = person;
        }

        public final String id() {
            return id;
        }

        final String person() {
            return person;
        }

        public final synchronized State state() {
            return state;
        }

        /** What it failed by; empty where it did not. */
        public final synchronized Optional<String> problem() {
            return Optional.ofNullable(problem);
        }

        /** Whether it is to go on. */
        public final boolean running() {
            return state() == State.RUNNING;
        }

        /** Ends it where it still goes on: the first end stands. */
        public synchronized void end(State how, String why) {
            if (state == State.RUNNING) {
                state = how;
                problem = why;
            }
        }

        public final void cancel() {
            end(State.CANCELLED, null);
        }
    }

    private final String lost;
    private final Cache<String, W> known = Caffeine.newBuilder()
            .maximumSize(REMEMBERED)
            .expireAfterWrite(REMEMBERED_FOR)
            .build();

    /** @param lost what is said of one that is not known any more */
    public Underway(String lost) {
        this.lost = lost;
    }

    /** Remembers one that begins; another that goes on for the same person ends. */
    public void begin(W work) {
        known.asMap().values().stream()
                .filter(other -> other.person().equals(work.person()))
                .forEach(Work::cancel);
        known.put(work.id(), work);
    }

    /** @throws NotFoundException where none such goes on for this person, or ended long ago */
    public W of(String id, String person) {
        W work = known.getIfPresent(id);
        if (work == null || !work.person().equals(person)) {
            throw new NotFoundException(lost);
        }
        return work;
    }

    /** Those of this person that are remembered. */
    public List<W> of(String person) {
        return known.asMap().values().stream()
                .filter(work -> work.person().equals(person))
                .toList();
    }

    /** Ends all. */
    public void stop() {
        known.asMap().values().forEach(Work::cancel);
    }
}
