package app.galdrin.core.measure;

import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.record.Answer;
import app.galdrin.core.record.Contract;
import app.galdrin.core.record.FieldUnit;
import app.galdrin.core.record.Figures;
import app.galdrin.core.record.FlagField;
import app.galdrin.core.record.Input;
import app.galdrin.core.record.ListField;
import app.galdrin.core.record.NumberField;
import app.galdrin.core.record.Range;
import app.galdrin.core.record.RecordKind;
import app.galdrin.core.record.Shape;
import app.galdrin.core.record.Step;
import app.galdrin.core.uncertainty.Budget;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.core.uncertainty.LeastSquares;
import com.google.auto.service.AutoService;
import java.util.Arrays;
import java.util.List;
import java.util.random.RandomGenerator;

/**
 * One angle read as the wheel is rolled round, to take a bent rim or a badly seated clamp out of it (record kind
 * {@code wheel.runout}).
 *
 * <pre>
 * three or more distinct rotations φ: angle = mean + a cos φ + b sin φ by least squares, every reading a row;
 *   run-out = 2 √(a² + b²)
 * two, opposite one another: mean = the average of the two positions; run-out = their difference, which is the least it can be
 * </pre>
 *
 * <p>Rotations and angles rad; u(mean) by [GUM, 5.1.2] from every angle.
 *
 * <p>Source: [PLANE] for a wheel that wobbles about a fixed axis, [HIGHAM], [GUM].
 */
@AutoService(RecordKind.class)
public final class WheelRunout implements MeasuringMethod {

    public static final String NAME = "wheel.runout";

    private static final NumberField ROTATION = NumberField.angle("rotation", Range.closed(-1e6, 1e6));
    private static final NumberField ANGLE = NumberField.angle("angle", Range.closed(-90, 90));

    /** Places on the sketch, which are the fields of the record: {@code positions.0.angle} and so on. */
    private static final ListField POSITIONS = ListField.of("positions", ROTATION, ANGLE);

    private static final NumberField U_ANGLE =
            NumberField.angle("angle", Range.UNCERTAINTY).optional();
    private static final NumberField MEAN = NumberField.angle("mean", Range.ALL).withDoubt();
    private static final NumberField RUNOUT = NumberField.angle("runout", Range.ALL);
    private static final FlagField LOWER_BOUND = FlagField.of("runoutIsLowerBound");

    private static final Contract CONTRACT =
            new Contract(NAME, Shape.of(POSITIONS).withU(U_ANGLE), Shape.of(MEAN, RUNOUT, LOWER_BOUND));
    private static final Sight SIGHT = Sight.of(Observables.RUN_OUT);

    private static final int ENOUGH_FOR_A_FIT = 3;
    private static final double WORST_CONDITION = 50;

    /**
     * One reading, rad.
     *
     * @param rotation rad
     * @param angle rad
     */
    public record Position(double rotation, double angle) {}

    /**
     * All rad; {@code lowerBound}: two positions can't show the whole run-out.
     *
     * @param runout from the least to the greatest angle, rad, 0 or more
     */
    public record Result(Estimate mean, double runout, boolean lowerBound) {}

    /**
     * Works the readings; {@code insufficient} where they do not go round far enough.
     *
     * @param uAngle standard uncertainty of every angle, rad
     */
    public static Outcome<Result> evaluate(List<Position> positions, double uAngle) {
        if (positions.size() < 2) {
            return insufficient();
        }
        var around =
                Rotations.of(positions.stream().mapToDouble(Position::rotation).toArray());
        if (around.distinct() >= ENOUGH_FOR_A_FIT) {
            return fit(positions, uAngle);
        }
        return around.twoOpposite() ? Outcome.of(ofTwo(positions, around, uAngle)) : insufficient();
    }

    private static Outcome<Result> insufficient() {
        return Outcome.fault(FaultCode.INSUFFICIENT, POSITIONS.name());
    }

    private static Outcome<Result> fit(List<Position> positions, double uAngle) {
        double[][] rows = new double[positions.size()][];
        double[] angles = new double[rows.length];
        for (int i = 0; i < rows.length; i++) {
            double rotation = positions.get(i).rotation();
            rows[i] = new double[] {1, Math.cos(rotation), Math.sin(rotation)};
            angles[i] = positions.get(i).angle();
        }
        var leastSquares = LeastSquares.of(rows, angles);
        if (leastSquares.isConditionAbove(WORST_CONDITION)) {
            return insufficient();
        }
        double[] x = leastSquares.solution();
        double[] parts = new double[uAngle == 0 ? 0 : rows.length];
        for (int i = 0; i < parts.length; i++) {
            parts[i] = uAngle * leastSquares.shift(x, i, new double[x.length], 1)[0];
        }
        return Outcome.of(new Result(mean(x[0], parts), 2 * Math.hypot(x[1], x[2]), false));
    }

    /** The mean of two positions, each the average of its own readings. */
    private static Result ofTwo(List<Position> positions, Rotations around, double uAngle) {
        double[] sums = new double[2];
        int[] counts = new int[2];
        for (int i = 0; i < positions.size(); i++) {
            sums[around.groupOf(i)] += positions.get(i).angle();
            counts[around.groupOf(i)]++;
        }
        double first = sums[0] / counts[0];
        double second = sums[1] / counts[1];
        double[] parts = new double[uAngle == 0 ? 0 : positions.size()];
        for (int i = 0; i < parts.length; i++) {
            parts[i] = uAngle / (2 * counts[around.groupOf(i)]);
        }
        return new Result(mean((first + second) / 2, parts), Math.abs(first - second), true);
    }

    private static Estimate mean(double value, double[] parts) {
        return new Estimate(value, Budget.ofInputs(parts, WheelRunout::anglePlace));
    }

    private static String anglePlace(int index) {
        return POSITIONS.name() + "." + index + "." + ANGLE.name();
    }

    /** The steps from the angles to their mean and the run-out. */
    public static List<Step> working(List<Position> positions, Result result) {
        String way = result.lowerBound() ? "two" : "fit";
        return List.of(
                angles("wheel.runout.mean." + way, positions)
                        .gives(MEAN, result.mean().value()),
                angles("wheel.runout.runout." + way, positions).gives(RUNOUT, result.runout()));
    }

    private static Step.Builder angles(String formula, List<Position> positions) {
        var step = Step.of(formula);
        for (int i = 0; i < positions.size(); i++) {
            step.with(
                            POSITIONS.name() + "." + i + "." + ROTATION.name(),
                            FieldUnit.ANGLE,
                            positions.get(i).rotation())
                    .with(anglePlace(i), FieldUnit.ANGLE, positions.get(i).angle());
        }
        return step;
    }

    /**
     * The forward model, all rad.
     *
     * @param mean rad
     * @param runout from the least to the greatest angle in one turn
     * @param greatestAt rotation at which the angle is greatest, rad
     * @param rotations rad, an element a position
     */
    public static List<Position> forward(
            double mean,
            double runout,
            double greatestAt,
            double[] rotations,
            Instrument gauge,
            RandomGenerator noise) {
        return Arrays.stream(rotations)
                .mapToObj(rotation ->
                        new Position(rotation, gauge.read(mean + runout / 2 * Math.cos(rotation - greatestAt), noise)))
                .toList();
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
        List<Position> positions =
                in.list(POSITIONS).stream().map(WheelRunout::position).toList();
        return evaluate(positions, in.u(U_ANGLE))
                .map(result -> new Answer(
                        new Figures()
                                .set(MEAN, result.mean())
                                .set(RUNOUT, result.runout())
                                .set(LOWER_BOUND, result.lowerBound()),
                        () -> working(positions, result)));
    }

    /** Whole turns are taken off in degrees, where that is exact. */
    private static Position position(Input in) {
        return new Position(Quantity.ANGLE.toCore(in.asWritten(ROTATION) % 360), in.number(ANGLE));
    }
}
