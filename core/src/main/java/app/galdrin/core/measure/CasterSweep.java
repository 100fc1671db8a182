package app.galdrin.core.measure;

import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.geometry.Floor;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.SteeringAxis;
import app.galdrin.core.record.Answer;
import app.galdrin.core.record.Contract;
import app.galdrin.core.record.FieldUnit;
import app.galdrin.core.record.Figures;
import app.galdrin.core.record.FlagField;
import app.galdrin.core.record.Formula;
import app.galdrin.core.record.Formula.Operation;
import app.galdrin.core.record.Input;
import app.galdrin.core.record.ListField;
import app.galdrin.core.record.NumberField;
import app.galdrin.core.record.Range;
import app.galdrin.core.record.RecordKind;
import app.galdrin.core.record.Shape;
import app.galdrin.core.record.Step;
import app.galdrin.core.record.WordField;
import app.galdrin.core.uncertainty.Estimate;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.random.RandomGenerator;

/**
 * Caster, and with three or more steer angles KPI, from the camber of a wheel that is steered (record kind
 * {@code caster.sweep}). Every camber γ is first corrected for the floor as in {@link Floor#camber}; then every reading is a
 * row of
 *
 * <pre>
 * sin t cos γ · tan τ + cos t cos γ · tan σ − K = −sin γ,   t = −s ψ
 * </pre>
 *
 * <p>solved for tan τ, tan σ and K by least squares ({@link SweepFit}), or with σ given for tan τ and K. Beside it stands the
 * workshop's shortcut: caster ≈ (camber out − camber in) / (2 sin θ) − pitch, with θ half the steer between the two farthest
 * readings; the factor 1/(2 sin θ) is 1.46 at 20° and 1 at 30°. Angles rad.
 *
 * <p>Source: [ISO8855] for caster and KPI, [PLANE] for the invariant a·k, [HIGHAM] for the solution, [GUM] for its doubt.
 */
@AutoService(RecordKind.class)
public final class CasterSweep implements MeasuringMethod {

    private static final Formula SHORTCUT_FORMULA = Formula.of(
                    "caster.sweep.shortcut", Operation.FLOOR, Operation.PLUMB, Operation.CAMBERS)
            .worked(in -> (in[0] - in[1]) * in[2] - in[3]);

    public static final String NAME = "caster.sweep";

    private static final WordField<Side> SIDE = WordField.of("side", Side.values());
    private static final NumberField STEER = NumberField.angle("steer", Range.STEER);
    private static final NumberField CAMBER = NumberField.angle("camber", Range.CAMBER);

    private static final ListField READINGS = ListField.of("readings", STEER, CAMBER);

    static final NumberField FLOOR_PITCH =
            NumberField.angle("floorPitch", Range.FLOOR).optional();
    private static final NumberField FLOOR_ROLL =
            NumberField.angle("floorRoll", Range.FLOOR).optional();
    private static final NumberField KPI = NumberField.angle("kpi", Range.AXIS).optional();
    private static final NumberField U_ANGLE =
            NumberField.angle("angle", Range.UNCERTAINTY).optional();
    private static final NumberField U_STEER =
            NumberField.angle("steer", Range.UNCERTAINTY).optional();
    private static final NumberField U_FLOOR =
            NumberField.angle("floor", Range.UNCERTAINTY).optional();
    private static final NumberField U_KPI =
            NumberField.angle("kpi", Range.UNCERTAINTY).optional();

    private static final NumberField CASTER =
            NumberField.angle("caster", Range.ALL).withDoubt();
    private static final NumberField SOLVED_KPI =
            NumberField.angle("kpi", Range.ALL).optional().withDoubt();
    private static final FlagField KPI_SOLVED = FlagField.of("kpiSolved");
    private static final NumberField SHORTCUT = NumberField.angle("shortcut", Range.ALL);
    private static final NumberField FACTOR = NumberField.number("factor", Range.ALL);

    private static final Contract CONTRACT = new Contract(
            NAME,
            Shape.of(SIDE, READINGS, FLOOR_PITCH, FLOOR_ROLL, KPI).withU(U_ANGLE, U_STEER, U_FLOOR, U_KPI),
            Shape.of(CASTER, SOLVED_KPI, KPI_SOLVED, SHORTCUT, FACTOR));
    private static final Sight SIGHT = Sight.of(Observables.CASTER, Observables.KPI)
            .assuming(Assumption.WHEELS_HELD, Assumption.KPI_KNOWN, Assumption.RUN_OUT_REMOVED);

    /** Steer angles nearer to one another than this (1°) do not count as two. */
    private static final double DISTINCT = Math.toRadians(1);

    private static final double LEAST_SPAN = Math.toRadians(10);

    /** Allowed for binary rounding of degrees, 1e-9°. */
    private static final double ROUNDING = Math.toRadians(1e-9);

    /** Steer angles that are distinct are enough for KPI from this many on. */
    private static final int ENOUGH_FOR_KPI = 3;

    private static final double WORST_CONDITION = 1e4;

    /**
     * Result of the sweep, rad.
     *
     * @param kpi only where it is solved
     * @param shortcut what the workshop's factor gives for caster
     */
    public record Result(Estimate caster, Optional<Estimate> kpi, Shortcut shortcut) {

        /** Returns how wrong the shortcut is: shortcut − caster, rad. */
        public double shortcutError() {
            return shortcut.caster() - caster.value();
        }
    }

    /**
     * The workshop's way.
     *
     * @param out camber as read with the front of the wheel farthest out, rad
     * @param in camber with the wheel steered farthest in, rad
     * @param halfSpan θ, half the steer between the two, rad
     * @param factor 1 / (2 sin θ), without unit
     * @param caster (out − in) · factor − pitch, rad
     */
    public record Shortcut(double out, double in, double halfSpan, double factor, double caster) {}

    /** Works the readings; {@code insufficient} where they do not determine the axis. */
    public static Outcome<Result> evaluate(SweepReadings r, SweepUncertainty u) {
        double[] steers = new double[r.readings().size()];
        for (int i = 0; i < steers.length; i++) {
            steers[i] = r.readings().get(i).steer();
        }
        Arrays.sort(steers);
        if (steers.length < 2 || steers[steers.length - 1] - steers[0] < LEAST_SPAN - ROUNDING) {
            return Outcome.fault(FaultCode.INSUFFICIENT, READINGS.name());
        }
        boolean solvesKpi = distinct(steers) >= ENOUGH_FOR_KPI;
        var fit = new SweepFit(r, u, solvesKpi);
        if (fit.isConditionAbove(WORST_CONDITION)) {
            return Outcome.fault(FaultCode.INSUFFICIENT, READINGS.name());
        }
        fit.solve();
        return Outcome.of(new Result(
                fit.caster(),
                solvesKpi ? Optional.of(fit.kpi()) : Optional.empty(),
                shortcut(r, steers[0], steers[steers.length - 1])));
    }

    /** Returns how many steer angles count: going up in order, each is compared with the last one that counted. */
    private static int distinct(double[] sorted) {
        int count = 1;
        double last = sorted[0];
        for (double steer : sorted) {
            if (steer - last > DISTINCT + ROUNDING) {
                count++;
                last = steer;
            }
        }
        return count;
    }

    private static Shortcut shortcut(SweepReadings r, double rightmost, double leftmost) {
        boolean left = r.side() == Side.LEFT;
        double out = camberAt(r, left ? leftmost : rightmost);
        double in = camberAt(r, left ? rightmost : leftmost);
        double theta = (leftmost - rightmost) / 2;
        double factor = 1 / (2 * Math.sin(theta));
        return new Shortcut(
                out, in, theta, factor, (out - in) * factor - r.floor().pitch());
    }

    /** The camber as read at a steer angle; readings at exactly that angle are averaged. */
    private static double camberAt(SweepReadings r, double steer) {
        double sum = 0;
        int count = 0;
        for (SweepReading reading : r.readings()) {
            if (reading.steer() == steer) {
                sum += reading.camber();
                count++;
            }
        }
        return sum / count;
    }

    /** The steps: every camber freed from the floor, the solution, and beside it the shortcut and how wrong it was. */
    public static List<Step> working(SweepReadings r, Result result) {
        List<Step> steps = new ArrayList<>();
        var fit = new SweepFit(r, SweepUncertainty.NONE, result.kpi().isPresent());
        double[] cambers = new double[r.readings().size()];
        Arrays.setAll(cambers, fit::camber);
        for (int i = 0; i < cambers.length; i++) {
            SweepReading reading = r.readings().get(i);
            steps.add(Step.of("caster.sweep.camber")
                    .with(SweepPlaces.camber(i), FieldUnit.ANGLE, reading.camber())
                    .with(SweepPlaces.steer(i), FieldUnit.ANGLE, reading.steer())
                    .with(FLOOR_PITCH, r.floor().pitch())
                    .with(FLOOR_ROLL, r.floor().roll())
                    .gives("camber." + i, FieldUnit.ANGLE, cambers[i]));
        }
        steps.add(rows(r, cambers, result.kpi().isPresent())
                .gives(CASTER, result.caster().value()));
        result.kpi().ifPresent(kpi -> steps.add(rows(r, cambers, true).gives(SOLVED_KPI, kpi.value())));
        Shortcut shortcut = result.shortcut();
        steps.add(Step.of(Formula.of("caster.sweep.factor", Operation.FACTOR))
                .with("theta", FieldUnit.ANGLE, shortcut.halfSpan())
                .gives(FACTOR, shortcut.factor()));
        steps.add(Step.of(SHORTCUT_FORMULA)
                .with("camberOut", FieldUnit.ANGLE, shortcut.out())
                .with("camberIn", FieldUnit.ANGLE, shortcut.in())
                .with(FACTOR, shortcut.factor())
                .with(FLOOR_PITCH, r.floor().pitch())
                .gives(SHORTCUT, shortcut.caster()));
        steps.add(Step.of("caster.sweep.shortcutError")
                .with(SHORTCUT, shortcut.caster())
                .with(CASTER, result.caster().value())
                .gives("shortcutError", FieldUnit.ANGLE, result.shortcutError()));
        return steps;
    }

    private static Step.Builder rows(SweepReadings r, double[] cambers, boolean solved) {
        var step = Step.of(solved ? "caster.sweep.solved" : "caster.sweep.assumed");
        for (int i = 0; i < cambers.length; i++) {
            step.with(SweepPlaces.steer(i), FieldUnit.ANGLE, r.readings().get(i).steer())
                    .with("camber." + i, FieldUnit.ANGLE, cambers[i]);
        }
        return solved ? step : step.with(KPI, r.kpi());
    }

    /**
     * The forward model: what an inclinometer shows on a wheel with this steering axis.
     *
     * @param camberAhead camber straight ahead, rad
     * @param steers ψ of every reading, rad
     */
    public static SweepReadings forward(
            SteeringAxis axis,
            double camberAhead,
            Side side,
            double[] steers,
            Floor floor,
            Instrument inclinometer,
            RandomGenerator noise) {
        List<SweepReading> readings = Arrays.stream(steers)
                .mapToObj(steer -> {
                    double camber = axis.camber(camberAhead, steer, side);
                    double shown = floor.inclinometerReading(camber, SteeringAxis.toe(steer, side), side);
                    return new SweepReading(steer, inclinometer.read(shown, noise));
                })
                .toList();
        return new SweepReadings(side, readings, floor, axis.kpi());
    }

    @Override
    public Contract contract() {
        return CONTRACT;
    }

    @Override
    public Sight sight() {
        return SIGHT;
    }

    @Override
    public Outcome<Answer> evaluate(Input in) {
        var readings = new SweepReadings(
                in.word(SIDE),
                in.list(READINGS).stream()
                        .map(r -> new SweepReading(r.number(STEER), r.number(CAMBER)))
                        .toList(),
                new Floor(in.number(FLOOR_PITCH, 0), in.number(FLOOR_ROLL, 0)),
                in.number(KPI, 0));
        return evaluate(readings, new SweepUncertainty(in.u(U_ANGLE), in.u(U_STEER), in.u(U_FLOOR), in.u(U_KPI)))
                .map(result -> new Answer(
                        new Figures()
                                .set(CASTER, result.caster())
                                .set(SOLVED_KPI, result.kpi())
                                .set(KPI_SOLVED, result.kpi().isPresent())
                                .set(SHORTCUT, result.shortcut().caster())
                                .set(FACTOR, result.shortcut().factor()),
                        () -> working(readings, result)));
    }
}
