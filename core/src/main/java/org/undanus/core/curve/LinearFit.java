package org.undanus.core.curve;

import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;

/** Least squares of a few columns, by QR decomposition (Hipparchus). */
final class LinearFit {
    private final double[] coefficients;
    private final RealMatrix spread;
    private final double[] residuals;
    private final double squares;

    private LinearFit(double[] coefficients, RealMatrix spread, double[] residuals) {
        this.coefficients = coefficients;
        this.spread = spread;
        this.residuals = residuals;
        double sum = 0;
        for (double residual : residuals) {
            sum += residual * residual;
        }
        this.squares = sum;
    }

    /** @param columns of the same length as y, which is greater than their number */
    static LinearFit of(double[] y, double[]... columns) {
        RealMatrix matrix = new Array2DRowRealMatrix(y.length, columns.length);
        for (int column = 0; column < columns.length; column++) {
            matrix.setColumn(column, columns[column]);
        }
        QRDecomposition qr = new QRDecomposition(matrix);
        double[] coefficients =
                qr.getSolver().solve(new ArrayRealVector(y, false)).toArray();
        RealMatrix r = qr.getR().getSubMatrix(0, columns.length - 1, 0, columns.length - 1);
        RealMatrix inverse = new QRDecomposition(r).getSolver().getInverse();
        double[] fitted = matrix.operate(coefficients);
        double[] residuals = new double[y.length];
        for (int i = 0; i < y.length; i++) {
            residuals[i] = y[i] - fitted[i];
        }
        return new LinearFit(coefficients, inverse.multiplyTransposed(inverse), residuals);
    }

    double coefficient(int column) {
        return coefficients[column];
    }

    /** Of two coefficients with each other, for errors of unit variance that know nothing of each other. */
    double spread(int column, int other) {
        return spread.getEntry(column, other);
    }

    double[] residuals() {
        return residuals;
    }

    /** Sum of the squared residuals. */
    double squares() {
        return squares;
    }
}
