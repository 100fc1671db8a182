package app.galdrin.core.measure;

import app.galdrin.core.geometry.Floor;
import app.galdrin.core.uncertainty.Budget;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.core.uncertainty.LeastSquares;
import org.hipparchus.analysis.differentiation.Gradient;

/**
 * The least-squares solution of a caster sweep and how every reading moves it. A sweep may have very many readings, so each
 * row carries derivatives by its own camber and steer and by what all rows share, not by every reading.
 */
final class SweepFit {

    // what a row may depend on
    private static final int CAMBER = 0;
    private static final int STEER = 1;
    private static final int PITCH = 2;
    private static final int ROLL = 3;
    private static final int KPI = 4;
    private static final int SHARED_FROM = PITCH;
    private static final int VARIABLES = 5;

    private final CasterSweep.Readings readings;
    private final CasterSweep.ReadingUncertainty u;
    private final boolean solvesKpi;
    private final int carried;
    private final Gradient[] cambers;
    private final Gradient[][] rows;
    private final Gradient[] right;
    private final LeastSquares leastSquares;
    private double[] solution = {};

    SweepFit(CasterSweep.Readings readings, CasterSweep.ReadingUncertainty u, boolean solvesKpi) {
        this.readings = readings;
        this.u = u;
        this.solvesKpi = solvesKpi;
        this.carried = u.equals(CasterSweep.ReadingUncertainty.NONE) ? 0 : VARIABLES;
        int n = readings.readings().size();
        this.cambers = new Gradient[n];
        this.rows = new Gradient[n][];
        this.right = new Gradient[n];
        double[][] a = new double[n][];
        double[] b = new double[n];
        for (int i = 0; i < n; i++) {
            row(i);
            a[i] = values(rows[i]);
            b[i] = right[i].getValue();
        }
        this.leastSquares = LeastSquares.of(a, b);
    }

    private void row(int i) {
        CasterSweep.Reading reading = readings.readings().get(i);
        int s = readings.side().sign();
        Gradient pitch = variable(PITCH, readings.floor().pitch());
        Gradient roll = variable(ROLL, readings.floor().roll());
        Gradient toe = variable(STEER, reading.steer()).multiply(-s);
        Gradient camber = Floor.camber(variable(CAMBER, reading.camber()), toe, readings.side(), pitch, roll);
        Gradient cos = camber.cos();
        Gradient byCaster = toe.sin().multiply(cos);
        Gradient byKpi = toe.cos().multiply(cos);
        Gradient constant = Gradient.constant(carried, -1);
        cambers[i] = camber;
        if (solvesKpi) {
            rows[i] = new Gradient[] {byCaster, byKpi, constant};
            right[i] = camber.sin().negate();
        } else {
            rows[i] = new Gradient[] {byCaster, constant};
            Gradient kpi = variable(KPI, readings.kpi());
            right[i] = camber.sin().negate().subtract(byKpi.multiply(kpi.tan()));
        }
    }

    private Gradient variable(int index, double value) {
        return carried == 0 ? Gradient.constant(0, value) : Gradient.variable(carried, index, value);
    }

    private static double[] values(Gradient[] row) {
        double[] values = new double[row.length];
        for (int j = 0; j < values.length; j++) {
            values[j] = row[j].getValue();
        }
        return values;
    }

    /** The cambers freed from the floor, rad. */
    double[] cambers() {
        return values(cambers);
    }

    double conditionNumber() {
        return leastSquares.conditionNumber();
    }

    /** Solves for the axis; the condition number must be finite. */
    void solve() {
        solution = leastSquares.solution();
    }

    Estimate caster() {
        return angle(0);
    }

    Estimate kpi() {
        return angle(1);
    }

    /** The angle whose tangent is an unknown. */
    private Estimate angle(int unknown) {
        double tangent = solution[unknown];
        double angle = Math.atan(tangent);
        return carried == 0
                ? new Estimate(angle, 0)
                : new Estimate(angle, budget(unknown, 1 / (1 + tangent * tangent)));
    }

    /** First the cambers, then the steers, then pitch, roll and the assumed KPI. */
    private Budget budget(int unknown, double slope) {
        int n = rows.length;
        double[] parts = new double[2 * n + VARIABLES - SHARED_FROM];
        for (int i = 0; i < n; i++) {
            parts[i] = shift(i, CAMBER)[unknown] * slope * u.angle();
            parts[n + i] = shift(i, STEER)[unknown] * slope * u.steer();
            for (int shared = SHARED_FROM; shared < VARIABLES; shared++) {
                parts[2 * n + shared - SHARED_FROM] += shift(i, shared)[unknown] * slope * ofShared(shared);
            }
        }
        return Budget.of(parts, i -> name(i, n));
    }

    private double[] shift(int i, int variable) {
        double[] da = new double[solution.length];
        for (int j = 0; j < da.length; j++) {
            da[j] = rows[i][j].getPartialDerivative(variable);
        }
        return leastSquares.shift(solution, i, da, right[i].getPartialDerivative(variable));
    }

    private double ofShared(int variable) {
        return variable == KPI ? u.kpi() : u.floor();
    }

    private static String name(int part, int n) {
        if (part < 2 * n) {
            return part < n ? CasterSweep.camberPlace(part) : CasterSweep.steerPlace(part - n);
        }
        return switch (part - 2 * n + SHARED_FROM) {
            case PITCH -> "floorPitch";
            case ROLL -> "floorRoll";
            default -> "kpi";
        };
    }
}
