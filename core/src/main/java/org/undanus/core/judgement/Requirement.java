package org.undanus.core.judgement;

import java.util.Optional;
import java.util.function.Function;

/**
 * One thing an installation must satisfy. An implementation is small, has no state, and lives in its station's package
 * with its metadata beside it.
 */
public interface Requirement {

    /** One whose judgement is a function of the case. */
    static Requirement of(About about, Function<Examination, Judgement> judging) {
        return new Requirement() {
            @Override
            public About about() {
                return about;
            }

            @Override
            public Judgement judge(Examination x) {
                return judging.apply(x);
            }
        };
    }

    About about();

    /**
     * Judges one subject. Called only when every point of {@link About#needs()} has been read.
     *
     * @param x the case and its evidence, seen from the subject
     */
    Judgement judge(Examination x);

    /** What it comes to where something that is known leaves nothing to judge, whatever has been read; empty else. */
    default Optional<Judgement> spared(Examination x) {
        return Optional.empty();
    }
}
