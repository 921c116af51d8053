package org.undanus.core.derived;

import org.undanus.core.numeric.Root;

/**
 * Temperature of cold surfaces in humid air: steady heat flow through insulation, all temperatures in °C or all in K. Source:
 * ASHRAE Fundamentals, heat transfer through cylinders and slabs.
 */
public final class Sweating {
    private static final double THICKEST = 1;
    private static final double ACCURACY = 1e-6;

    private Sweating() {}

    /**
     * Surface of an insulated cylinder: (Ta − Ts)·h·ro = k·(Ts − Ti)/ln(ro/ri).
     *
     * @param tube outer radius of the tube, m
     * @param thickness of the insulation, m; 0 is bare tube
     * @param conductivity W/(m·K)
     * @param coefficient of the surface, W/(m²·K)
     */
    public static double ofTube(
            double air, double inside, double tube, double thickness, double conductivity, double coefficient) {
        double outer = tube + thickness;
        double resistance = coefficient * outer * Math.log(outer / tube);
        return (resistance * air + conductivity * inside) / (resistance + conductivity);
    }

    /** Surface temperature, K, of a flat sheet with insulation on one side: (Ta − Ts)·h = k·(Ts − Ti)/thickness. */
    public static double ofFlat(double air, double inside, double thickness, double conductivity, double coefficient) {
        double resistance = coefficient * thickness;
        return (resistance * air + conductivity * inside) / (resistance + conductivity);
    }

    /** Least insulation about a tube with which the surface is no colder than the dew point, m; at most 1 m. */
    public static double thickness(
            double air, double dewPoint, double inside, double tube, double conductivity, double coefficient) {
        return Root.of(
                thickness -> ofTube(air, inside, tube, thickness, conductivity, coefficient) - dewPoint,
                0,
                THICKEST,
                ACCURACY);
    }
}
