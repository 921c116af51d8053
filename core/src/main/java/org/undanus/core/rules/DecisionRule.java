package org.undanus.core.rules;

/** How a measured value with uncertainty is held against a limit (JCGM 106, clauses 8.2 and 8.3). */
public enum DecisionRule {
    /** Meets and Fails both need the whole of ±U on their side. */
    GUARDED("guarded"),
    /** The value alone decides; uncertainty is shown but does not count. */
    PLAIN("plain"),
    /** Meets needs the whole of ±U; anything else on the wrong side of the value fails. */
    GUARDED_ACCEPTANCE("guarded-acceptance");

    private final String key;

    DecisionRule(String key) {
        this.key = key;
    }

    public String key() {
        return key;
    }
}
