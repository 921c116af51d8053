package org.undanus.core.judgement;

/** What a requirement comes to, most pressing first. */
public enum Verdict {
    FAILS("Fails", "fail"),
    TOO_CLOSE("Too close to call", "too close"),
    REFER("Refer", "refer"),
    NOT_SHOWN("Not shown", "not shown"),
    MEETS("Meets", "meet"),
    DOES_NOT_APPLY("Does not apply", "do not apply");

    private final String title;
    private final String counted;

    Verdict(String title, String counted) {
        this.title = title;
        this.counted = counted;
    }

    /** After a number: {@code 3 fail}. */
    public String counted() {
        return counted;
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
