package org.undanus.core.judgement;

/**
 * One thing an installation must satisfy. An implementation is small, has no state, and lives in its station's package
 * with its metadata beside it.
 */
public interface Requirement {

    About about();

    /**
     * Judges one subject. Called only when every point of {@link About#needs()} has been read.
     *
     * @param x the case and its evidence, seen from the subject
     */
    Judgement judge(Examination x);
}
