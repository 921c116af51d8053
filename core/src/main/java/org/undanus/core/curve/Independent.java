package org.undanus.core.curve;

/**
 * How many of a row of residuals count as independent. Errors that follow one another hold less than as many drawn at random:
 * n·(1 − ρ)/(1 + ρ) with the correlation ρ of neighbours (Bayley and Hammersley, Journal of the Royal Statistical Society 8,
 * 1946). A display that hardly moves tells no more than the times it moved.
 */
final class Independent {
    private Independent() {}

    /** @param readings as they were shown, to see how often the display moved */
    static double of(double[] residuals, double[] readings) {
        double squares = 0;
        double neighbours = 0;
        int moved = 1;
        for (int i = 0; i < residuals.length; i++) {
            squares += residuals[i] * residuals[i];
            if (i > 0) {
                neighbours += residuals[i] * residuals[i - 1];
                moved += readings[i] == readings[i - 1] ? 0 : 1;
            }
        }
        double correlation = squares > 0 ? Math.max(0, Math.min(0.99, neighbours / squares)) : 0;
        return Math.max(1, Math.min(moved, residuals.length * (1 - correlation) / (1 + correlation)));
    }
}
