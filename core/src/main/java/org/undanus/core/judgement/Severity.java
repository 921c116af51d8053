package org.undanus.core.judgement;

/** What is at stake when a requirement fails. */
public enum Severity {
    SAFETY("safety"),
    DAMAGE("damage"),
    PERFORMANCE("performance"),
    RECORD("record");

    private final String title;

    Severity(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }
}
