package org.undanus.core.station.siting;

import java.util.List;

/**
 * Sound pressure levels outdoors, as of a point source over hard ground: Lp(r₂) = Lp(r₁) − 20·log₁₀(r₂/r₁); levels of several
 * sources add as energies. Free-field spreading after ISO 9613-2; screening, ground and air absorption are left out, so the
 * true level is rarely above it.
 */
public final class SoundSpread {
    private SoundSpread() {}

    /** Level in dB at a distance, from a level known at another; distances in m, more than nothing. */
    public static double at(double level, double knownAt, double distance) {
        return level - 20 * Math.log10(distance / knownAt);
    }

    /** The level of several sources together, dB. */
    public static double sum(List<Double> levels) {
        return 10
                * Math.log10(levels.stream()
                        .mapToDouble(level -> Math.pow(10, level / 10))
                        .sum());
    }
}
