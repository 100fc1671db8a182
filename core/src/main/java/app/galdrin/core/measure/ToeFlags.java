package app.galdrin.core.measure;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.Outcome.Failure;
import app.galdrin.core.measure.ToeGauges.Scale;
import app.galdrin.core.record.Answer;
import app.galdrin.core.record.Contract;
import app.galdrin.core.record.FieldUnit;
import app.galdrin.core.record.Figures;
import app.galdrin.core.record.Formula;
import app.galdrin.core.record.Formula.Operation;
import app.galdrin.core.record.Input;
import app.galdrin.core.record.NumberField;
import app.galdrin.core.record.Range;
import app.galdrin.core.record.RecordKind;
import app.galdrin.core.record.Shape;
import app.galdrin.core.record.Step;
import app.galdrin.core.record.WordField;
import app.galdrin.core.uncertainty.Dual;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.core.uncertainty.Propagation;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.random.RandomGenerator;

/**
 * Toe of both front wheels from a pair of sighting gauges with flags (record kind {@code toe.flags}). Each gauge sends one sight across,
 * square to its wheel, to the front flag of the gauge opposite, and one back along its wheel to a rear flag. So a front flag shows the
 * <em>other</em> wheel, and the two together are the total; the rear flags alone tell the split.
 *
 * <pre>
 * front flags a left, a right (rad), or asin(x / b) for a scale in mm over the baseline b, |x| &lt; b   toe-in of the wheel opposite positive
 * total T = a left + a right   rad, toe-in positive
 * rear flags f (mm, outward positive), q = (f left − f right) / wheelbase = tan(toe left) − tan(toe right)
 * difference D = toe left − toe right = asin(q cos T / √(4 + q²)) + atan(q / 2)   rad
 * toe left = (T + D) / 2, toe right = (T − D) / 2   rad
 * setback angle = (D − (a right − a left)) / 2   rad, positive: the right front wheel stands back
 * </pre>
 *
 * <p>Front flags that are equal and opposite while the rear flags are equal mean a wheel that stands back, not crooked wheels.
 *
 * <p>Source: [ISO8855] for toe, [PLANE] for the sights.
 */
@AutoService(RecordKind.class)
public final class ToeFlags implements MeasuringMethod {

    private static final Formula LEFT_FORMULA = Formula.of("toe.flags.left").worked(in -> (in[0] + in[1]) / 2);
    private static final Formula RIGHT_FORMULA = Formula.of("toe.flags.right").worked(in -> (in[0] - in[1]) / 2);

    public static final String NAME = "toe.flags";

    /** Places on the sketch, which are the fields of the record; the front ones in degrees or millimetres as {@code unit} says. */
    public static final NumberField FRONT_LEFT = NumberField.number("frontLeft", Range.NUMBER);

    public static final NumberField FRONT_RIGHT = NumberField.number("frontRight", Range.NUMBER);
    public static final NumberField REAR_LEFT =
            NumberField.length("rearLeft", Range.OFFSET).optional();
    public static final NumberField REAR_RIGHT =
            NumberField.length("rearRight", Range.OFFSET).optional();

    private static final WordField<Scale> UNIT = WordField.of("unit", Scale.values());
    private static final NumberField BASELINE =
            NumberField.length("baseline", Range.LENGTH).optional();
    private static final NumberField WHEELBASE =
            NumberField.length("wheelbase", Range.LENGTH).optional();
    private static final NumberField U_FRONT =
            NumberField.number("front", Range.UNCERTAINTY).optional();
    private static final NumberField U_REAR =
            NumberField.length("rear", Range.UNCERTAINTY).optional();

    private static final NumberField TOTAL_TOE =
            NumberField.angle("totalToe", Range.ALL).withDoubt();
    private static final NumberField DIFFERENCE =
            NumberField.angle("difference", Range.ALL).optional().withDoubt();
    private static final NumberField LEFT =
            NumberField.angle("left", Range.ALL).optional().withDoubt();
    private static final NumberField RIGHT =
            NumberField.angle("right", Range.ALL).optional().withDoubt();
    private static final NumberField SETBACK_ANGLE =
            NumberField.angle("setbackAngle", Range.ALL).optional().withDoubt();

    private static final Contract CONTRACT = new Contract(
            NAME,
            Shape.of(FRONT_LEFT, FRONT_RIGHT, UNIT, BASELINE, REAR_LEFT, REAR_RIGHT, WHEELBASE)
                    .withU(U_FRONT, U_REAR),
            Shape.of(TOTAL_TOE, DIFFERENCE, LEFT, RIGHT, SETBACK_ANGLE));
    private static final Sight SIGHT = Sight.of(Observables.TOTAL_TOE, Observables.EACH_TOE, Observables.SETBACK);

    /** Degrees, beyond which no flag's reading is a toe. */
    private static final double GREATEST_DEGREES = 30;

    /**
     * The front flags.
     *
     * @param left at the flag on the left side: toe-in of the right wheel and what the axle stands askew; rad, or mm with the baseline
     * @param right rad or mm, as the scale has it, toe-in positive
     * @param baseline mm; needed for a scale in mm
     */
    public record Front(double left, double right, Scale scale, OptionalDouble baseline) {}

    /**
     * The rear flags, mm, outward positive; {@code wheelbase} from the front wheels to the flags, mm.
     *
     * @param left mm, outward positive
     * @param right mm, outward positive
     * @param wheelbase from the front wheels to the flags, mm, positive
     */
    public record Rear(double left, double right, double wheelbase) {}

    /** Readings of the flags; without rear flags they tell the total alone. */
    public record Readings(Front front, Optional<Rear> rear) {}

    /** Division of the total, all rad: {@code difference} = left − right, toe-in positive. */
    public record Split(Estimate difference, Estimate left, Estimate right, Estimate setbackAngle) {}

    /** {@code totalToe} rad, toe-in positive. */
    public record Result(Estimate totalToe, Optional<Split> split) {}

    /**
     * Works the readings.
     *
     * @param uFront standard uncertainty of each front flag, in the scale's unit
     * @param uRear standard uncertainty of each rear flag, mm
     */
    public static Outcome<Result> evaluate(Readings r, double uFront, double uRear) {
        Front front = r.front();
        Optional<Fault> broken = front.scale().fault(front.left(), front.right(), front.baseline());
        if (broken.isPresent()) {
            return new Failure<>(broken.get());
        }
        var propagation = Propagation.of(4, uFront, uRear);
        Dual left = front.scale().angle(propagation.reading(FRONT_LEFT.name(), front.left(), uFront), front.baseline());
        Dual right =
                front.scale().angle(propagation.reading(FRONT_RIGHT.name(), front.right(), uFront), front.baseline());
        Dual total = left.add(right);
        Optional<Split> split =
                r.rear().map(rear -> split(propagation, total, right.subtract(left), flags(propagation, rear, uRear)));
        return Outcome.of(new Result(propagation.estimate(total), split));
    }

    /** q, without unit. */
    private static Dual flags(Propagation propagation, Rear rear, double uRear) {
        Dual left = propagation.reading(REAR_LEFT.name(), rear.left(), uRear);
        Dual right = propagation.reading(REAR_RIGHT.name(), rear.right(), uRear);
        return left.subtract(right).divide(rear.wheelbase());
    }

    /** {@code sights}: a right less a left. With q / 2 = tan h, q / √(4 + q²) is sin h. */
    private static Split split(Propagation propagation, Dual total, Dual sights, Dual q) {
        Dual h = q.divide(2).atan();
        Dual difference = h.sin().multiply(total.cos()).asin().add(h);
        return new Split(
                propagation.estimate(difference),
                propagation.estimate(total.add(difference).divide(2)),
                propagation.estimate(total.subtract(difference).divide(2)),
                propagation.estimate(difference.subtract(sights).divide(2)));
    }

    /** The steps from the flags to both toes. */
    public static List<Step> working(Readings r, Result result) {
        Front front = r.front();
        List<Step> steps = new ArrayList<>();
        double left = toAngle(front, FRONT_LEFT, front.left(), A_LEFT, steps);
        double right = toAngle(front, FRONT_RIGHT, front.right(), A_RIGHT, steps);
        double total = result.totalToe().value();
        steps.add(Step.of(Formula.of("toe.flags.total", Operation.TOTAL))
                .with(A_LEFT, FieldUnit.ANGLE, left)
                .with(A_RIGHT, FieldUnit.ANGLE, right)
                .gives(TOTAL_TOE, total));
        result.split().ifPresent(split -> {
            Rear rear = r.rear().orElseThrow();
            double difference = split.difference().value();
            steps.add(Step.of("toe.flags.difference")
                    .with(REAR_LEFT, rear.left())
                    .with(REAR_RIGHT, rear.right())
                    .with(WHEELBASE, rear.wheelbase())
                    .with(TOTAL_TOE, total)
                    .gives(DIFFERENCE, difference));
            steps.add(half(LEFT_FORMULA, total, difference)
                    .gives(LEFT, split.left().value()));
            steps.add(half(RIGHT_FORMULA, total, difference)
                    .gives(RIGHT, split.right().value()));
            steps.add(Step.of("toe.flags.setback")
                    .with(DIFFERENCE, difference)
                    .with(A_RIGHT, FieldUnit.ANGLE, right)
                    .with(A_LEFT, FieldUnit.ANGLE, left)
                    .gives(SETBACK_ANGLE, split.setbackAngle().value()));
        });
        return steps;
    }

    /** Names of the front flags as angles among the steps; in degrees they are the readings themselves. */
    private static final String A_LEFT = "flagLeft";

    private static final String A_RIGHT = "flagRight";

    private static double toAngle(Front front, NumberField shown, double reading, String name, List<Step> steps) {
        if (front.scale() == Scale.ANGLE) {
            return reading;
        }
        double baseline = front.baseline().orElseThrow();
        double angle = Math.asin(reading / baseline);
        steps.add(Step.of("toe.flags.angle")
                .with(shown.name(), FieldUnit.LENGTH, reading)
                .with(BASELINE, baseline)
                .gives(name, FieldUnit.ANGLE, angle));
        return angle;
    }

    private static Step.Builder half(Formula formula, double total, double difference) {
        return Step.of(formula).with(TOTAL_TOE, total).with(DIFFERENCE, difference);
    }

    /**
     * The state of a front axle: toes (rad, toe-in positive) and how far the right wheel stands back as an angle of the axle (rad).
     *
     * @param left toe, rad, toe-in positive
     * @param right toe, rad, toe-in positive
     * @param setbackAngle rad, the right wheel standing back positive
     */
    public record Truth(double left, double right, double setbackAngle) {}

    /**
     * The forward model: what the flags show.
     *
     * @param baseline mm, for a scale in mm
     * @param wheelbase from the front wheels to the rear flags, mm
     * @param flagsOut what a rear flag shows of a straight wheel, mm
     */
    public static Readings forward(
            Truth truth,
            Scale scale,
            double baseline,
            double wheelbase,
            double flagsOut,
            Instrument front,
            Instrument rear,
            RandomGenerator noise) {
        double left = truth.right() + truth.setbackAngle();
        double right = truth.left() - truth.setbackAngle();
        boolean angle = scale == Scale.ANGLE;
        var flags = new Front(
                front.read(angle ? left : baseline * Math.sin(left), noise),
                front.read(angle ? right : baseline * Math.sin(right), noise),
                scale,
                OptionalDouble.of(baseline));
        return new Readings(
                flags,
                Optional.of(new Rear(
                        rear.read(flagsOut + wheelbase * Math.tan(truth.left()), noise),
                        rear.read(flagsOut + wheelbase * Math.tan(truth.right()), noise),
                        wheelbase)));
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
        Scale scale = in.word(UNIT);
        if (scale == Scale.LENGTH && !in.has(BASELINE)) {
            return Outcome.fault(FaultCode.MISSING, BASELINE.name());
        }
        for (NumberField shown : List.of(FRONT_LEFT, FRONT_RIGHT)) {
            if (scale == Scale.ANGLE && Math.abs(in.asWritten(shown)) > GREATEST_DEGREES) {
                return Outcome.fault(FaultCode.OUT_OF_RANGE, shown.name());
            }
        }
        Optional<NumberField> lacking = lacking(in);
        if (lacking.isPresent()) {
            return Outcome.fault(FaultCode.MISSING, lacking.get().name());
        }
        var front = new Front(
                scale.toCore(in.asWritten(FRONT_LEFT)),
                scale.toCore(in.asWritten(FRONT_RIGHT)),
                scale,
                in.optional(BASELINE));
        Optional<Rear> rear = in.has(REAR_LEFT)
                ? Optional.of(new Rear(in.number(REAR_LEFT), in.number(REAR_RIGHT), in.number(WHEELBASE)))
                : Optional.empty();
        var readings = new Readings(front, rear);
        return evaluate(readings, scale.toCore(in.u(U_FRONT)), in.u(U_REAR))
                .map(result -> new Answer(figures(result), () -> working(readings, result)));
    }

    /** Returns the first missing field of the rear flags and their wheelbase, if one of the flags is given. */
    private static Optional<NumberField> lacking(Input in) {
        boolean any = in.has(REAR_LEFT) || in.has(REAR_RIGHT);
        for (NumberField field : List.of(REAR_LEFT, REAR_RIGHT, WHEELBASE)) {
            if (any && !in.has(field)) {
                return Optional.of(field);
            }
        }
        return Optional.empty();
    }

    private static Figures figures(Result result) {
        return new Figures()
                .set(TOTAL_TOE, result.totalToe())
                .set(DIFFERENCE, result.split().map(Split::difference))
                .set(LEFT, result.split().map(Split::left))
                .set(RIGHT, result.split().map(Split::right))
                .set(SETBACK_ANGLE, result.split().map(Split::setbackAngle));
    }
}
