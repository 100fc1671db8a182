package app.galdrin.core.measure;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import app.galdrin.core.Keyed;
import app.galdrin.core.Outcome;
import app.galdrin.core.Outcome.Failure;
import app.galdrin.core.quantity.Quantity;
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
 * Toe of both wheels of an axle from a pair of gauges that each read their own wheel, such as wheel heads (record kind {@code
 * toe.gauges}). Gauges that sight one another are {@link ToeFlags}.
 *
 * <pre>
 * toe t of a wheel as shown (rad), or t = asin(x / b) for a scale in mm over the baseline b, |x| &lt; b
 * total = t left + t right, imbalance = t left − t right   rad, toe-in positive
 * </pre>
 *
 * <p>Source: [ISO8855] for toe, [PLANE] for the scale.
 */
@AutoService(RecordKind.class)
public final class ToeGauges implements MeasuringMethod {

    public static final String NAME = "toe.gauges";

    /** Places on the sketch, which are the fields of the record; in degrees or millimetres as {@code unit} says. */
    public static final NumberField LEFT = NumberField.number("left", Range.NUMBER);

    public static final NumberField RIGHT = NumberField.number("right", Range.NUMBER);
    private static final WordField<Scale> UNIT = WordField.of("unit", Scale.values());
    private static final NumberField BASELINE =
            NumberField.length("baseline", Range.LENGTH).optional();
    private static final NumberField U_READING =
            NumberField.number("reading", Range.UNCERTAINTY).optional();

    private static final NumberField LEFT_TOE = NumberField.angle("left", Range.ALL);
    private static final NumberField RIGHT_TOE = NumberField.angle("right", Range.ALL);
    private static final NumberField TOTAL_TOE =
            NumberField.angle("totalToe", Range.ALL).withDoubt();
    private static final NumberField IMBALANCE =
            NumberField.angle("imbalance", Range.ALL).withDoubt();

    private static final Contract CONTRACT = new Contract(
            NAME,
            Shape.of(LEFT, RIGHT, UNIT, BASELINE).withU(U_READING),
            Shape.of(LEFT_TOE, RIGHT_TOE, TOTAL_TOE, IMBALANCE));
    private static final Sight SIGHT = Sight.of(Observables.TOTAL_TOE, Observables.EACH_TOE);

    /** Degrees, beyond which no gauge reading is a toe. */
    private static final double GREATEST_DEGREES = 30;

    /** Readings of the gauges. */
    public enum Scale implements Keyed {
        ANGLE("deg"),
        LENGTH("mm");

        private final String key;

        Scale(String key) {
            this.key = key;
        }

        @Override
        public String key() {
            return key;
        }

        /** Returns what is wrong with two readings, mm: a scale in mm needs a baseline, mm, that reaches beyond both; of angles nothing is. */
        Optional<Fault> fault(double left, double right, OptionalDouble baseline) {
            if (this == ANGLE) {
                return Optional.empty();
            }
            if (baseline.isEmpty()) {
                return Optional.of(Fault.at(FaultCode.MISSING, BASELINE.name()));
            }
            double reach = baseline.getAsDouble();
            boolean reaches = Math.abs(left) < reach && Math.abs(right) < reach;
            return reaches ? Optional.empty() : Optional.of(Fault.at(FaultCode.OUT_OF_RANGE, BASELINE.name()));
        }

        /** A reading (rad, or mm over the baseline in mm) as an angle, rad. */
        Dual angle(Dual reading, OptionalDouble baseline) {
            return this == ANGLE
                    ? reading
                    : reading.divide(baseline.getAsDouble()).asin();
        }

        /** A bare number of the record in the core's unit. */
        double toCore(double shown) {
            return this == ANGLE ? Quantity.ANGLE.toCore(shown) : shown;
        }
    }

    /**
     * Readings toe-in positive: rad, or mm with the baseline in mm.
     *
     * @param left rad or mm, as the scale has it, toe-in positive
     * @param right rad or mm, as the scale has it, toe-in positive
     * @param baseline mm, positive
     */
    public record Readings(double left, double right, Scale scale, OptionalDouble baseline) {}

    /**
     * All rad, toe-in positive; imbalance = left − right.
     *
     * @param left rad, toe-in positive
     * @param right rad, toe-in positive
     */
    public record Result(double left, double right, Estimate totalToe, Estimate imbalance) {}

    /**
     * Works the readings.
     *
     * @param uReading standard uncertainty of each reading, in the scale's unit
     */
    public static Outcome<Result> evaluate(Readings r, double uReading) {
        Optional<Fault> broken = r.scale().fault(r.left(), r.right(), r.baseline());
        if (broken.isPresent()) {
            return new Failure<>(broken.get());
        }
        var propagation = Propagation.of(2, uReading);
        var left = r.scale().angle(propagation.reading(LEFT.name(), r.left(), uReading), r.baseline());
        var right = r.scale().angle(propagation.reading(RIGHT.name(), r.right(), uReading), r.baseline());
        return Outcome.of(new Result(
                left.value(),
                right.value(),
                propagation.estimate(left.add(right)),
                propagation.estimate(left.subtract(right))));
    }

    /** The steps from what the gauges show to the total and the imbalance. */
    public static List<Step> working(Readings r, Result result) {
        List<Step> steps = new ArrayList<>();
        if (r.scale() == Scale.LENGTH) {
            double baseline = r.baseline().orElseThrow();
            steps.add(ofLength(LEFT, r.left(), baseline, LEFT_TOE, result.left()));
            steps.add(ofLength(RIGHT, r.right(), baseline, RIGHT_TOE, result.right()));
        }
        steps.add(ofBoth(Formula.of("toe.total", Operation.TOTAL), result)
                .gives(TOTAL_TOE, result.totalToe().value()));
        steps.add(ofBoth(Formula.of("toe.gauges.imbalance"), result)
                .gives(IMBALANCE, result.imbalance().value()));
        return steps;
    }

    private static Step ofLength(NumberField shown, double reading, double baseline, NumberField toe, double value) {
        return Step.of(Formula.of("toe.gauges.toe", Operation.OVER_LENGTH))
                .with(shown.name(), FieldUnit.LENGTH, reading)
                .with(BASELINE, baseline)
                .gives(toe, value);
    }

    private static Step.Builder ofBoth(Formula formula, Result result) {
        return Step.of(formula).with(LEFT_TOE, result.left()).with(RIGHT_TOE, result.right());
    }

    /**
     * The forward model: what gauges with the given scale show on wheels with these toes (rad).
     *
     * @param left rad, toe-in positive
     * @param right rad, toe-in positive
     * @param baseline mm, positive
     */
    public static Readings forward(
            double left, double right, Scale scale, double baseline, Instrument gauge, RandomGenerator noise) {
        double shownLeft = scale == Scale.ANGLE ? left : baseline * Math.sin(left);
        double shownRight = scale == Scale.ANGLE ? right : baseline * Math.sin(right);
        return new Readings(
                gauge.read(shownLeft, noise), gauge.read(shownRight, noise), scale, OptionalDouble.of(baseline));
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
        for (NumberField shown : List.of(LEFT, RIGHT)) {
            if (scale == Scale.ANGLE && Math.abs(in.number(shown)) > GREATEST_DEGREES) {
                return Outcome.fault(FaultCode.OUT_OF_RANGE, shown.name());
            }
        }
        var readings = new Readings(
                scale.toCore(in.number(LEFT)), scale.toCore(in.number(RIGHT)), scale, in.optional(BASELINE));
        return evaluate(readings, scale.toCore(in.u(U_READING)))
                .map(result -> new Answer(
                        new Figures()
                                .set(LEFT_TOE, result.left())
                                .set(RIGHT_TOE, result.right())
                                .set(TOTAL_TOE, result.totalToe())
                                .set(IMBALANCE, result.imbalance()),
                        () -> working(readings, result)));
    }
}
