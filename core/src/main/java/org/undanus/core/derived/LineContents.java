package org.undanus.core.derived;

/** What lines hold, and what charge their length asks for. */
public final class LineContents {
    private LineContents() {}

    /** Volume inside both tubes, m³: Σ π·d²/4·L. */
    public static double volume(double length, Tube liquid, Tube suction) {
        return length * (liquid.bore() + suction.bore());
    }

    /**
     * Charge to add for lines of another length than the factory charge is for, kg: k·(L − L0); negative where they are shorter.
     *
     * @param each k, kg/m
     */
    public static double addedCharge(double length, double precharged, double each) {
        return each * (length - precharged);
    }
}
