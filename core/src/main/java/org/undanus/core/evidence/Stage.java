package org.undanus.core.evidence;

/** When in the life of an installation a visit happens, in order. */
public enum Stage {
    PLAN_CHECK("plan check"),
    BEFORE_COVER("before cover"),
    WITNESS("witness"),
    FINAL("final"),
    RE_VISIT("re-visit");

    private final String title;

    Stage(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }

    /** The visit itself, as it is called: {@code final visit}, {@code re-visit}. */
    public String visit() {
        return this == PLAN_CHECK || this == RE_VISIT ? title : title + " visit";
    }

    public boolean reached(Stage other) {
        return compareTo(other) >= 0;
    }

    /** Whether walls and covers are closed by now. */
    public boolean covered() {
        return reached(FINAL);
    }
}
