package org.undanus.core.quantity;

/** The one condition every quantity shares. */
final class FiniteNumber {
    private FiniteNumber() {}

    static void require(double si, Dimension dimension) {
        if (!Double.isFinite(si)) {
            throw new IllegalArgumentException(dimension.named() + " must be a finite number, not " + si);
        }
    }
}
