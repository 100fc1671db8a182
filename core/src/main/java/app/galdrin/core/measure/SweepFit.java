package app.galdrin.core.measure;

import app.galdrin.core.geometry.Floor;
import app.galdrin.core.geometry.SteeringAxis;
import app.galdrin.core.uncertainty.Budget;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.core.uncertainty.LeastSquares;

/**
 * The least-squares solution of a caster sweep and how every reading moves it. With γ the camber freed from the floor, a row is
 * [sin t cos γ, cos t cos γ, −1] with − sin γ on its right, or without its middle and with − sin γ − cos t cos γ tan σ. A row depends
 * on its own camber and steer, and on the floor and the assumed KPI that all rows share.
 */
final class SweepFit {

    /** Inputs that move a row, in the order of a budget. */
    private enum RowSensitivities {
        CAMBER,
        STEER,
        PITCH,
        ROLL,
        KPI
    }

    private static final RowSensitivities[] SHARED = {
        RowSensitivities.PITCH, RowSensitivities.ROLL, RowSensitivities.KPI
    };

    private final SweepReadings readings;
    private final SweepUncertainty u;
    private final boolean solvesKpi;
    private final double tanKpi;
    private final Floor.CorrectedCamber[] cambers;

    /** The sine of each row's toe. */
    private final double[] sinToe;

    private final double[] cosToe;
    private final double[] sin;
    private final double[] cos;
    private final LeastSquares leastSquares;
    private double[] solution = {};

    SweepFit(SweepReadings readings, SweepUncertainty u, boolean solvesKpi) {
        this.readings = readings;
        this.u = u;
        this.solvesKpi = solvesKpi;
        this.tanKpi = Math.tan(readings.kpi());
        int n = readings.readings().size();
        this.cambers = new Floor.CorrectedCamber[n];
        this.sinToe = new double[n];
        this.cosToe = new double[n];
        this.sin = new double[n];
        this.cos = new double[n];
        double[][] rows = new double[n][];
        double[] right = new double[n];
        for (int i = 0; i < n; i++) {
            SweepReading reading = readings.readings().get(i);
            double toe = SteeringAxis.toe(reading.steer(), readings.side());
            cambers[i] = readings.floor().camber(reading.camber(), toe, readings.side());
            sinToe[i] = Math.sin(toe);
            cosToe[i] = Math.cos(toe);
            sin[i] = Math.sin(cambers[i].camber());
            cos[i] = Math.cos(cambers[i].camber());
            rows[i] = row(sinToe[i] * cos[i], cosToe[i] * cos[i], -1);
            right[i] = -sin[i] - (solvesKpi ? 0 : cosToe[i] * cos[i] * tanKpi);
        }
        this.leastSquares = LeastSquares.of(rows, right);
    }

    private double[] row(double byCaster, double byKpi, double constant) {
        return solvesKpi ? new double[] {byCaster, byKpi, constant} : new double[] {byCaster, constant};
    }

    /** The camber of a reading freed from the floor, rad. */
    double camber(int reading) {
        return cambers[reading].camber();
    }

    boolean isConditionAbove(double limit) {
        return leastSquares.isConditionAbove(limit);
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
        return u.equals(SweepUncertainty.NONE)
                ? new Estimate(angle, 0)
                : new Estimate(angle, budget(unknown, 1 / (1 + tangent * tangent)));
    }

    /** First the cambers, then the steers, then what all rows share. */
    private Budget budget(int unknown, double slope) {
        int n = cambers.length;
        double[] parts = new double[2 * n + SHARED.length];
        for (int i = 0; i < n; i++) {
            parts[i] = shift(i, RowSensitivities.CAMBER, unknown) * slope * u.angle();
            parts[n + i] = shift(i, RowSensitivities.STEER, unknown) * slope * u.steer();
            for (int shared = 0; shared < SHARED.length; shared++) {
                double sensitivity = SHARED[shared] == RowSensitivities.KPI ? u.kpi() : u.floor();
                parts[2 * n + shared] += shift(i, SHARED[shared], unknown) * slope * sensitivity;
            }
        }
        return Budget.ofInputs(parts, i -> name(i, n));
    }

    /** Returns how an unknown moves with one row. */
    private double shift(int i, RowSensitivities row, int unknown) {
        double camber = camberBy(i, row);
        double toe = row == RowSensitivities.STEER ? -readings.side().sign() : 0;
        double byCaster = cosToe[i] * cos[i] * toe - sinToe[i] * sin[i] * camber;
        double byKpi = -sinToe[i] * cos[i] * toe - cosToe[i] * sin[i] * camber;
        double right = -cos[i] * camber;
        if (!solvesKpi) {
            right -= byKpi * tanKpi + (row == RowSensitivities.KPI ? cosToe[i] * cos[i] * (1 + tanKpi * tanKpi) : 0);
        }
        return leastSquares.shift(solution, i, row(byCaster, byKpi, 0), right)[unknown];
    }

    private double camberBy(int i, RowSensitivities row) {
        Floor.CorrectedCamber camber = cambers[i];
        return switch (row) {
            case CAMBER -> camber.byReading();
            case STEER -> -readings.side().sign() * camber.byToe();
            case PITCH -> camber.byPitch();
            case ROLL -> camber.byRoll();
            case KPI -> 0;
        };
    }

    private static String name(int part, int n) {
        if (part < 2 * n) {
            return part < n ? SweepPlaces.camber(part) : SweepPlaces.steer(part - n);
        }
        return switch (SHARED[part - 2 * n]) {
            case PITCH -> "floorPitch";
            case ROLL -> "floorRoll";
            default -> "kpi";
        };
    }
}
