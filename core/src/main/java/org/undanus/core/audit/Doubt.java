package org.undanus.core.audit;

import org.hipparchus.special.Erf;

/**
 * How strongly something speaks against having come about honestly.
 *
 * @param chance of something at least as odd in an honest record, 0 to 1
 */
public record Doubt(double chance) {
    /** Nothing smaller is told: no model of honest work is exact that far out. */
    private static final double LEAST = 1e-9;

    /** Least likelihood ratios and how they are said (ENFSI guideline for evaluative reporting in forensic science, 2015). */
    private enum Strength {
        NONE(1, "no doubt as recorded"),
        WEAK(2, "slightly doubtful as recorded"),
        MODERATE(10, "doubtful as recorded"),
        MODERATELY_STRONG(100, "very doubtful as recorded"),
        STRONG(1_000, "unlikely as recorded"),
        VERY_STRONG(10_000, "very unlikely as recorded"),
        EXTREMELY_STRONG(1_000_000, "practically impossible as recorded");

        private final double least;
        private final String words;

        Strength(double least, String words) {
            this.least = least;
            this.words = words;
        }
    }

    public Doubt {
        if (!(chance >= 0 && chance <= 1)) {
            throw new IllegalArgumentException("A chance lies between 0 and 1: " + chance);
        }
        chance = Math.max(LEAST, chance);
    }

    /** Of a value so many standard uncertainties away, to either side. */
    public static Doubt twoSided(double deviations) {
        return new Doubt(Erf.erfc(Math.abs(deviations) / Math.sqrt(2)));
    }

    /** Of a value so many standard uncertainties beyond what can be; none where it is on the good side. */
    public static Doubt beyond(double deviations) {
        return new Doubt(Math.min(1, Erf.erfc(deviations / Math.sqrt(2)) / 2));
    }

    /**
     * At most so many times likelier if it did not come about as the record says than if it did: −1/(e·p·ln p), the bound that holds
     * for any reasonable alternative (Sellke, Bayarri and Berger, The American Statistician 55, 2001).
     */
    public double likelihoodRatio() {
        return chance < 1 / Math.E ? -1 / (Math.E * chance * Math.log(chance)) : 1;
    }

    /** In words: "doubtful as recorded". */
    public String words() {
        Strength said = Strength.NONE;
        for (Strength each : Strength.values()) {
            if (likelihoodRatio() >= each.least) {
                said = each;
            }
        }
        return said.words;
    }
}
