package org.undanus.core.rules;

/** How a measured value with uncertainty is held against a limit (JCGM 106, clauses 8.2 and 8.3). */
public enum DecisionRule {
    /** Meets and Fails both need the whole of ±U on their side. */
    GUARDED(
            "guarded",
            "A reading meets or fails a limit only with the whole of its uncertainty on one side. One that equals the limit is too close to call, unless it was counted or written without uncertainty."),
    /** The value alone decides; uncertainty is shown but does not count. */
    PLAIN("plain", "The value as read decides. One that equals the limit meets it."),
    /** Meets needs the whole of ±U; anything else on the wrong side of the value fails. */
    GUARDED_ACCEPTANCE(
            "guarded-acceptance",
            "A reading meets a limit only with the whole of its uncertainty inside, and fails once its value is outside. One that equals the limit is too close to call.");

    private final String key;
    private final String words;

    DecisionRule(String key, String words) {
        this.key = key;
        this.words = words;
    }

    public String key() {
        return key;
    }

    /** For people, what becomes of a reading that equals its limit included. */
    public String words() {
        return words;
    }
}
