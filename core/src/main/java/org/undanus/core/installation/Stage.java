package org.undanus.core.installation;

/** When in the life of an installation a visit happens. */
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
}
