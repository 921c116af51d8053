package org.undanus.core.simulated;

import java.util.Random;

/**
 * What a gauge shows of a value: it reads a share too high, drifts, scatters, and shows steps.
 *
 * @param share by which it reads too high, of the value
 * @param drift by which it reads higher each hour, SI
 * @param scatter standard deviation of one reading, as a share of the value
 * @param step of its display, SI
 */
public record VirtualGauge(double share, double drift, double scatter, double step) {

    /** What is shown, in the unit of the value, after a time in s. */
    public double shown(double value, double seconds, Random chance) {
        double read = value * (1 + share + scatter * chance.nextGaussian()) + drift * seconds / 3600;
        return Math.rint(read / step) * step;
    }
}
