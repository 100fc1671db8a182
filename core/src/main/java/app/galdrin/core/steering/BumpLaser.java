package app.galdrin.core.steering;

import app.galdrin.core.FaultCode;
import app.galdrin.core.Keyed;
import app.galdrin.core.Outcome;
import app.galdrin.core.measure.Assumption;
import app.galdrin.core.measure.Instrument;
import app.galdrin.core.measure.MeasuringMethod;
import app.galdrin.core.measure.Observables;
import app.galdrin.core.measure.Sight;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.record.Answer;
import app.galdrin.core.record.Contract;
import app.galdrin.core.record.FieldUnit;
import app.galdrin.core.record.Figures;
import app.galdrin.core.record.Input;
import app.galdrin.core.record.ListField;
import app.galdrin.core.record.NumberField;
import app.galdrin.core.record.Range;
import app.galdrin.core.record.RecordKind;
import app.galdrin.core.record.Shape;
import app.galdrin.core.record.Step;
import app.galdrin.core.record.WordField;
import app.galdrin.core.uncertainty.Budget;
import app.galdrin.core.uncertainty.Estimate;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import java.util.random.RandomGenerator;

/**
 * Bump steer from a laser whose beam a mirror on the wheel throws back to a target (record kind {@code bump.laser}).
 *
 * <pre>
 * toe change = atan((spot − spot at travel 0) / (2 mirror distance))   rad
 * slope = Σ travel · toe change / Σ travel²   rad a mm of travel: the least-squares slope through travel 0
 * magnification = 2 mirror distance / wheel radius
 * </pre>
 *
 * <p>Spots at travel 0 are averaged. The target is taken to stay parallel to the mirror; one that turns with the wheel makes a
 * change δ read too large by 1.5 δ².
 *
 * <p>Source: [PLANE] for the reflected beam, [GUM].
 */
@AutoService(RecordKind.class)
public final class BumpLaser implements MeasuringMethod {

    private static final NumberField MIRROR_DISTANCE = NumberField.length("mirrorDistance", Range.LENGTH);
    private static final NumberField TRAVEL = NumberField.length("travel", Range.OFFSET);
    private static final NumberField SPOT = NumberField.length("spot", Range.OFFSET);

    /** Places on the sketch, which are the fields of the record: {@code readings.0.spot} and so on. */
    private static final ListField READINGS = ListField.of("readings", TRAVEL, SPOT);

    private static final NumberField WHEEL_RADIUS =
            NumberField.length("wheelRadius", Range.LENGTH).optional();
    private static final NumberField U_SPOT =
            NumberField.length("spot", Range.UNCERTAINTY).optional();
    private static final NumberField MAGNIFICATION =
            NumberField.number("magnification", Range.ALL).optional();
    private static final NumberField CURVE_TRAVEL = NumberField.length("travel", Range.ALL);
    private static final NumberField TOE_CHANGE = NumberField.angle("toeChange", Range.ALL);
    private static final ListField CURVE = ListField.of("curve", CURVE_TRAVEL, TOE_CHANGE);
    private static final NumberField SLOPE =
            NumberField.of("slope", FieldUnit.ANGLE_PER_LENGTH, Range.ALL).withDoubt();
    private static final WordField<Tendency> TENDENCY = WordField.of("tendency", Tendency.values());

    private static final Contract CONTRACT = new Contract(
            "bump.laser",
            Shape.of(MIRROR_DISTANCE, READINGS, WHEEL_RADIUS).withU(U_SPOT),
            Shape.of(MAGNIFICATION, CURVE, SLOPE, TENDENCY));
    private static final Sight SIGHT = Sight.of(Observables.BUMP_STEER).assuming(Assumption.TARGET_PARALLEL);

    /** Orders points by travel; −0 and 0 are the same and keep their order. */
    private static final Comparator<Point> BY_TRAVEL = (a, b) -> (int) Math.signum(a.travel() - b.travel());

    /** Travels nearer to ride height than this say nothing of the slope, mm. */
    private static final double LEAST_TRAVEL = 1e-6;

    /** Movement of the wheel as it rises. */
    public enum Tendency implements Keyed {
        STEERS_IN("steersInOnBump"),
        STEERS_OUT("steersOutOnBump"),
        NONE("none");

        /** Degrees a mm, below which the curve is flat. */
        private static final double FLAT = 1e-12;

        private final String key;

        Tendency(String key) {
            this.key = key;
        }

        @Override
        public String key() {
            return key;
        }

        private static Tendency of(double slope) {
            if (Math.abs(Quantity.ANGLE.toDocument(slope)) < FLAT) {
                return NONE;
            }
            return slope > 0 ? STEERS_IN : STEERS_OUT;
        }
    }

    /**
     * One reading, mm: {@code travel} bump positive, {@code spot} toe-in positive.
     *
     * @param travel mm, bump positive
     * @param spot mm, toe-in positive
     */
    public record Reading(double travel, double spot) {}

    /**
     * The readings of one wheel; distances mm.
     *
     * @param mirrorDistance from the mirror to the target, mm, positive
     * @param wheelRadius from the axis to the rim, mm, positive
     */
    public record Readings(double mirrorDistance, List<Reading> readings, OptionalDouble wheelRadius) {}

    /**
     * A point of the curve: travel mm, toe change against ride height rad.
     *
     * @param travel mm, bump positive
     * @param toeChange against ride height, rad, toe-in positive
     */
    public record Point(double travel, double toeChange) {}

    /**
     * {@code curve} in order of travel; {@code slope} rad a mm.
     *
     * @param magnification how many times the spot moves farther than the rim, without unit
     */
    public record Result(OptionalDouble magnification, List<Point> curve, Estimate slope, Tendency tendency) {}

    /**
     * Works the readings; {@code insufficient} without a reading at travel 0 or without one away from it.
     *
     * @param uSpot standard uncertainty of every spot, mm
     */
    public static Outcome<Result> evaluate(Readings r, double uSpot) {
        double zero = atRideHeight(r);
        double farthest = 0;
        for (Reading reading : r.readings()) {
            farthest = Math.max(farthest, Math.abs(reading.travel()));
        }
        if (Double.isNaN(zero) || farthest <= LEAST_TRAVEL) {
            return Outcome.fault(FaultCode.INSUFFICIENT, READINGS.name());
        }
        double beam = 2 * r.mirrorDistance();
        List<Point> curve = new ArrayList<>(r.readings().size());
        for (Reading reading : r.readings()) {
            curve.add(new Point(reading.travel(), Math.atan((reading.spot() - zero) / beam)));
        }
        Estimate slope = slope(r, curve, zero, uSpot);
        curve.sort(BY_TRAVEL);
        return Outcome.of(new Result(
                r.wheelRadius().isPresent()
                        ? OptionalDouble.of(beam / r.wheelRadius().getAsDouble())
                        : OptionalDouble.empty(),
                curve,
                slope,
                Tendency.of(slope.value())));
    }

    /** The mean spot at travel 0; not a number where there is none. */
    private static double atRideHeight(Readings r) {
        double sum = 0;
        int count = 0;
        for (Reading reading : r.readings()) {
            if (reading.travel() == 0) {
                sum += reading.spot();
                count++;
            }
        }
        return sum / count;
    }

    private static Estimate slope(Readings r, List<Point> curve, double zero, double uSpot) {
        double squares = 0;
        double products = 0;
        for (Point point : curve) {
            squares += point.travel() * point.travel();
            products += point.travel() * point.toeChange();
        }
        double value = products / squares;
        return uSpot == 0
                ? new Estimate(value, 0)
                : new Estimate(value, Budget.ofInputs(slopeParts(r, zero, squares, uSpot), BumpLaser::spotPlace));
    }

    /** A spot moves its own point, and every spot at travel 0 moves all points the other way. */
    private static double[] slopeParts(Readings r, double zero, double squares, double uSpot) {
        double[] parts = new double[r.readings().size()];
        double beam = 2 * r.mirrorDistance();
        double all = 0;
        int zeros = 0;
        for (int i = 0; i < parts.length; i++) {
            Reading reading = r.readings().get(i);
            double q = (reading.spot() - zero) / beam;
            parts[i] = uSpot * reading.travel() / (beam * (1 + q * q)) / squares;
            all += parts[i];
            zeros += reading.travel() == 0 ? 1 : 0;
        }
        for (int i = 0; i < parts.length; i++) {
            if (r.readings().get(i).travel() == 0) {
                parts[i] -= all / zeros;
            }
        }
        return parts;
    }

    private static String spotPlace(int index) {
        return READINGS.name() + "." + index + "." + SPOT.name();
    }

    /** The steps from the spots to the curve and its slope. */
    public static List<Step> working(Readings r, Result result) {
        List<Step> steps = new ArrayList<>();
        r.wheelRadius()
                .ifPresent(radius -> steps.add(Step.of("bump.laser.magnification")
                        .with(MIRROR_DISTANCE, r.mirrorDistance())
                        .with(WHEEL_RADIUS, radius)
                        .gives(MAGNIFICATION, result.magnification().orElseThrow())));
        double zero = atRideHeight(r);
        var slope = Step.of("bump.laser.slope");
        for (int i = 0; i < r.readings().size(); i++) {
            Reading reading = r.readings().get(i);
            double change = Math.atan((reading.spot() - zero) / (2 * r.mirrorDistance()));
            steps.add(Step.of("bump.laser.toeChange")
                    .with(spotPlace(i), FieldUnit.LENGTH, reading.spot())
                    .with("spotAtRideHeight", FieldUnit.LENGTH, zero)
                    .with(MIRROR_DISTANCE, r.mirrorDistance())
                    .gives("toeChange." + i, FieldUnit.ANGLE, change));
            slope.with(READINGS.name() + "." + i + "." + TRAVEL.name(), FieldUnit.LENGTH, reading.travel())
                    .with("toeChange." + i, FieldUnit.ANGLE, change);
        }
        steps.add(slope.gives(SLOPE, result.slope().value()));
        return steps;
    }

    /**
     * The forward model.
     *
     * @param toeChange of the wheel at a travel (mm), rad; 0 at travel 0
     * @param rideHeightSpot where the spot lies at travel 0, mm
     * @param mirrorDistance mm, positive
     * @param travels mm, an element a reading, bump positive
     */
    public static Readings forward(
            DoubleUnaryOperator toeChange,
            double rideHeightSpot,
            double mirrorDistance,
            double[] travels,
            Instrument rule,
            RandomGenerator noise) {
        List<Reading> readings = Arrays.stream(travels)
                .mapToObj(travel -> {
                    double moved = 2 * mirrorDistance * Math.tan(toeChange.applyAsDouble(travel));
                    return new Reading(travel, rule.read(rideHeightSpot + moved, noise));
                })
                .toList();
        return new Readings(mirrorDistance, readings, OptionalDouble.empty());
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
        var readings = new Readings(
                in.number(MIRROR_DISTANCE),
                in.list(READINGS).stream()
                        .map(x -> new Reading(x.number(TRAVEL), x.number(SPOT)))
                        .toList(),
                in.optional(WHEEL_RADIUS));
        return evaluate(readings, in.u(U_SPOT))
                .map(result -> new Answer(figures(result), () -> working(readings, result)));
    }

    private static Figures figures(Result result) {
        return new Figures()
                .set(MAGNIFICATION, result.magnification())
                .set(
                        CURVE,
                        result.curve().stream()
                                .map(p -> new Figures()
                                        .set(CURVE_TRAVEL, p.travel())
                                        .set(TOE_CHANGE, p.toeChange()))
                                .toList())
                .set(SLOPE, result.slope())
                .set(TENDENCY, result.tendency());
    }
}
