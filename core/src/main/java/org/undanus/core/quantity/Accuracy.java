package org.undanus.core.quantity;

import java.util.OptionalDouble;

/**
 * How good an instrument is: ±(ofReading · |x| + ofFullScale · fullScale + constant), and the step of its display.
 *
 * @param ofReading share of the reading, for example 0.005
 * @param ofFullScale share of full scale
 * @param fullScale full scale in SI, 0 where {@code ofFullScale} is 0
 * @param constant fixed part in SI
 * @param resolution display step in SI
 */
public record Accuracy(double ofReading, double ofFullScale, double fullScale, double constant, double resolution) {
    public static final Accuracy EXACT = new Accuracy(0, 0, 0, 0, 0);

    public Accuracy {
        if (!(ofReading >= 0 && ofFullScale >= 0 && fullScale >= 0 && constant >= 0 && resolution >= 0)) {
            throw new IllegalArgumentException("Numbers of an accuracy are never negative");
        }
    }

    /**
     * The greatest fixed ± that an instrument may have for its readings to come out within an expanded uncertainty
     * (k = 2), after its step has had its share: the inverse of {@link #standardUncertainty}. Empty where the step alone is
     * too coarse.
     *
     * @param expanded in SI
     * @param step of display or writing, SI
     */
    public static OptionalDouble needed(double expanded, double step) {
        double standard = expanded / Uncertain.COVERAGE_FACTOR;
        double variance = standard * standard - step * step / 12;
        return variance > 0 ? OptionalDouble.of(Math.sqrt(3 * variance)) : OptionalDouble.empty();
    }

    /** A fixed ± in SI with no other part. */
    public static Accuracy ofConstant(double constant) {
        return new Accuracy(0, 0, 0, constant, 0);
    }

    /**
     * The share by which every reading, and so every difference of two, may be too large or small, as a standard uncertainty: the same
     * error of gain is in all of them and does not average out.
     */
    public double gain() {
        return ofReading / Math.sqrt(3);
    }

    /**
     * Standard uncertainty of a reading: limits of error and display step taken as rectangular (JCGM 100, 4.3.7).
     *
     * @param reading the size that accuracy is stated of, SI: the reading counted from the zero of the unit it is shown in
     *     ({@link FieldUnit#size})
     * @param typedResolution the step of the last digit the person wrote; the coarser of it and the display counts
     */
    public double standardUncertainty(double reading, double typedResolution) {
        double limit = ofReading * Math.abs(reading) + ofFullScale * fullScale + constant;
        double step = limit == 0 && resolution == 0 ? 0 : Math.max(resolution, typedResolution);
        return Math.sqrt(limit * limit / 3 + step * step / 12);
    }
}
