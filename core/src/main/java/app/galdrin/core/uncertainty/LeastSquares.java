package app.galdrin.core.uncertainty;

import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.SingularValueDecomposition;

/**
 * The x that makes ‖A x − b‖ least, by QR; squaring the matrix would lose half the digits [HIGHAM]. It also says how the solution moves when a
 * reading moves its row, which propagation of uncertainty needs.
 */
public final class LeastSquares {

    private final double[][] rows;
    private final double[] right;
    private final QRDecomposition qr;
    private final double[][] r;

    private LeastSquares(double[][] rows, double[] right) {
        this.rows = rows;
        this.right = right;
        this.qr = new QRDecomposition(new Array2DRowRealMatrix(rows, false));
        int unknowns = rows[0].length;
        this.r = qr.getR().getSubMatrix(0, unknowns - 1, 0, unknowns - 1).getData();
    }

    /**
     * A problem with at least as many rows as unknowns.
     *
     * @param rows A, one array a row; kept, not copied; each unknown has a unit of its own
     * @param right b, in the unit of what was read
     */
    public static LeastSquares of(double[][] rows, double[] right) {
        return new LeastSquares(rows, right);
    }

    /**
     * Returns whether the condition number of A, its greatest by its smallest singular value, is above a limit, both without unit; it is
     * infinite where the rows do not determine x.
     *
     * @param limit of the condition number, without unit, above 1
     */
    public boolean isConditionAbove(double limit) {
        // ‖R‖ ‖R⁻¹‖ by Frobenius costs a tenth of the singular values and lies between the condition number and
        // unknowns times it
        double bound = frobeniusBound();
        if (bound <= limit) {
            return false;
        }
        return !(bound <= r.length * limit) || conditionNumber() > limit;
    }

    private double conditionNumber() {
        RealMatrix triangle = new Array2DRowRealMatrix(r, false);
        double[] singular = new SingularValueDecomposition(triangle).getSingularValues(); // those of A are those of R
        return singular[0] / singular[singular.length - 1];
    }

    /** Infinite or not a number where the condition number is infinite. */
    private double frobeniusBound() {
        double size = 0;
        double inverseSize = 0;
        for (int i = 0; i < r.length; i++) {
            size += dot(r[i], r[i]);
            double[] unit = new double[r.length];
            unit[i] = 1;
            double[] column = backward(unit);
            inverseSize += dot(column, column);
        }
        return Math.sqrt(size * inverseSize);
    }

    /**
     * The solution x, each unknown in its unit.
     *
     * @throws org.hipparchus.exception.MathIllegalArgumentException if the condition number is infinite
     */
    public double[] solution() {
        return qr.getSolver().solve(new ArrayRealVector(right, false)).toArray();
    }

    /**
     * Returns how the solution moves when row i moves: dx = (AᵀA)⁻¹ (aᵢ (db − da·x) + da ρᵢ), ρᵢ the residual of the row.
     *
     * @param x the solution, each unknown in its unit
     * @param da change of row i, an element a column, in the unit of the row
     * @param db change of its right-hand side, in the unit of the row
     */
    public double[] shift(double[] x, int i, double[] da, double db) {
        double[] row = rows[i];
        double residual = right[i] - dot(row, x);
        double along = db - dot(da, x);
        double[] v = new double[x.length];
        for (int j = 0; j < v.length; j++) {
            v[j] = row[j] * along + da[j] * residual;
        }
        return backward(forward(v));
    }

    /** R⁻ᵀ v. */
    private double[] forward(double[] v) {
        for (int i = 0; i < v.length; i++) {
            for (int j = 0; j < i; j++) {
                v[i] -= r[j][i] * v[j];
            }
            v[i] /= r[i][i];
        }
        return v;
    }

    /** R⁻¹ v. */
    private double[] backward(double[] v) {
        for (int i = v.length - 1; i >= 0; i--) {
            for (int j = i + 1; j < v.length; j++) {
                v[i] -= r[i][j] * v[j];
            }
            v[i] /= r[i][i];
        }
        return v;
    }

    private static double dot(double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            sum += a[i] * b[i];
        }
        return sum;
    }
}
