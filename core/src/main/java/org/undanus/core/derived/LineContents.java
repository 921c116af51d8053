package org.undanus.core.derived;

/** What lines hold, and what charge their length asks for. */
public final class LineContents {
    private LineContents() {}

    /** Volume inside both tubes, m³: Σ π·d²/4·L. */
    public static double volume(double length, Tube liquid, Tube suction) {
        return length * (liquid.bore() + suction.bore());
    }

    /**
     * Charge to add for lines of another length than the factory charge is for, kg: k·(L − L0); negative where they are shorter and
     * the maker has some taken out.
     *
     * @param longer k of longer lines, kg/m
     * @param shorter k of shorter lines, kg/m; nothing where the factory charge is for all of them
     */
    public static double addedCharge(double length, double precharged, double longer, double shorter) {
        return (length > precharged ? longer : shorter) * (length - precharged);
    }
}
