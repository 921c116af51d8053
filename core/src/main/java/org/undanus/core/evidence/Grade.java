package org.undanus.core.evidence;

/** How a reading came to be known, strongest first. */
public enum Grade {
    WITNESSED("Witnessed", "the inspector read it"),
    LOGGED("Logged", "an instrument's file holds it"),
    RECORDED("Recorded", "someone wrote it in the commissioning record"),
    STATED("Stated", "someone said it");

    private final String title;
    private final String meaning;

    Grade(String title, String meaning) {
        this.title = title;
        this.meaning = meaning;
    }

    public String title() {
        return title;
    }

    public String meaning() {
        return meaning;
    }

    /** Whether this is as strong as the other. */
    public boolean atLeast(Grade other) {
        return compareTo(other) <= 0;
    }
}
