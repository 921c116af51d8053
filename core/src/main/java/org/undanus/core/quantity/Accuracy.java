package org.undanus.core.quantity;

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
            throw new IllegalArgumentException("Accuracy figures are never negative");
        }
    }

    /** A fixed ± in SI with no other part. */
    public static Accuracy ofConstant(double constant) {
        return new Accuracy(0, 0, 0, constant, 0);
    }

    /**
     * Standard uncertainty of a reading: limits of error and display step taken as rectangular (JCGM 100, 4.3.7).
     *
     * @param reading the reading in SI, a difference in SI for temperatures (pass the size that accuracy is stated of)
     * @param typedResolution the step of the last digit the person wrote; the coarser of it and the display counts
     */
    public double standardUncertainty(double reading, double typedResolution) {
        double limit = ofReading * Math.abs(reading) + ofFullScale * fullScale + constant;
        double step = limit == 0 && resolution == 0 ? 0 : Math.max(resolution, typedResolution);
        return Math.sqrt(limit * limit / 3 + step * step / 12);
    }
}
