package org.undanus.core.words;

/** Something that cannot be taken as asked. Its sentence says why, and what would do. */
public class RefusedException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    private final transient Text said;

    /** @param template one or more whole sentences, see {@link Text} */
    public RefusedException(String template, Object... arguments) {
        this(Text.of(template, arguments));
    }

    public RefusedException(Text said) {
        super(said.toString());
        this.said = said;
    }

    public Text said() {
        return said;
    }

    /** What an exception says, as a sentence to put into words. */
    public static Text said(Exception e) {
        return e instanceof RefusedException refused ? refused.said : Text.plain(String.valueOf(e.getMessage()));
    }
}
