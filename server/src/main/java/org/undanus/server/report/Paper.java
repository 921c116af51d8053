package org.undanus.server.report;

/** The paper a report is laid out for. */
enum Paper {
    A4("A4"),
    LETTER("letter");

    private final String css;

    Paper(String css) {
        this.css = css;
    }

    /** The name the page style knows. */
    public String css() {
        return css;
    }
}
