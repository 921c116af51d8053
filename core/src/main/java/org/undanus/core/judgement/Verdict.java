package org.undanus.core.judgement;

/** What a requirement comes to, most pressing first. */
public enum Verdict {
    FAILS("Fails"),
    TOO_CLOSE("Too close to call"),
    REFER("Refer"),
    NOT_SHOWN("Not shown"),
    MEETS("Meets"),
    DOES_NOT_APPLY("Does not apply");

    private final String title;

    Verdict(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }

    /** The more pressing of two. */
    public Verdict or(Verdict other) {
        return compareTo(other) <= 0 ? this : other;
    }

    /** Whether something is left to do before the station can be left behind. */
    public boolean open() {
        return this != MEETS && this != DOES_NOT_APPLY;
    }
}
