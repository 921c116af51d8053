package org.undanus.server.report;

import org.undanus.core.words.Text;
import org.undanus.core.words.Wording;

/** Puts what a page template says itself into words: the template calls it {@code say}. */
public final class Said {
    private static final String DECIDES = "Local code and licensed practice decide.";
    private static final String HERE = "\u0001";
    private static final String OF = "\u0002";

    private final Wording wording;

    Said(Wording wording) {
        this.wording = wording;
    }

    /** @throws IllegalStateException where the template names other than it is given */
    public String of(String template, Object... arguments) {
        return Text.of(template, arguments).in(wording);
    }

    /** As many as {@code count}. */
    public String counted(long count, String one, String many, Object... arguments) {
        return Text.counted(count, one, many, arguments).in(wording);
    }

    /** The foot of every page, as content of a style sheet. */
    public String decides() {
        return content(of(DECIDES));
    }

    /** Which page of how many, as content of a style sheet; whoever lays out the pages counts them. */
    public String pages() {
        return content(of("Page {page} of {pages}", HERE, OF))
                .replace(HERE, "\" counter(page) \"")
                .replace(OF, "\" counter(pages) \"");
    }

    private static String content(String words) {
        return '"' + words.replace("\\", "\\\\").replace("\"", "\\\"").replace("<", "\\3c ") + '"';
    }
}
