package app.galdrin.core.measure;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import app.galdrin.core.Keyed;
import app.galdrin.core.Outcome;
import app.galdrin.core.Outcome.Failure;
import app.galdrin.core.record.Answer;
import app.galdrin.core.record.Contract;
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
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.core.uncertainty.Propagation;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.random.RandomGenerator;

/**
 * Total toe from two distances across the axle, ahead of and behind the hubs: tape on the tread, plates with two tapes,
 * rigid frames, long bars or a rigid jig (record kind {@code toe.across}). It cannot see which wheel points where.
 *
 * <pre>
 * difference d = rear − front for spans, front − rear for the gap outside a jig   mm, toe-in positive
 * baseline b as given, or 2 √(R² − h²) for points on a tyre of radius R at height h from the hub   mm
 * total toe T = 2 asin(d / (2 b))   rad, |d| &lt; 2 b
 * </pre>
 *
 * <p>Plane geometry of two equal toes: each wheel's chord b leans by T/2, so that its ends differ by b sin(T/2).
 *
 * <p>Source: [ISO8855] for toe, [PLANE] for the chord.
 */
@AutoService(RecordKind.class)
public final class ToeAcross implements MeasuringMethod {

    private static final Formula TOTAL_FORMULA = Formula.of(
                    "toe.across.total", Operation.TOTAL, Operation.OVER_LENGTH, Operation.DOUBLED)
            .worked(in -> 2 * Math.asin(in[0] / (2 * in[1])));

    public static final String NAME = "toe.across";

    /** Places on the sketch, which are the fields of the record. */
    public static final NumberField FRONT_DISTANCE = NumberField.length("frontDistance", Range.GAP);

    public static final NumberField REAR_DISTANCE = NumberField.length("rearDistance", Range.GAP);

    private static final NumberField BASELINE =
            NumberField.length("baseline", Range.LENGTH).optional();
    private static final NumberField TYRE_RADIUS =
            NumberField.length("tyreRadius", Range.LENGTH).optional();
    private static final NumberField HEIGHT_OFFSET =
            NumberField.length("heightOffset", Range.OFFSET).optional();
    private static final WordField<Reading> READING =
            WordField.of("reading", Reading.values()).optional();
    private static final NumberField U_DISTANCE =
            NumberField.length("distance", Range.UNCERTAINTY).optional();

    private static final NumberField LENGTH_DIFFERENCE = NumberField.length("lengthDifference", Range.ALL);
    private static final NumberField TOTAL_TOE =
            NumberField.angle("totalToe", Range.ALL).withDoubt();
    private static final NumberField USED_BASELINE = NumberField.length("baseline", Range.ALL);

    private static final Contract CONTRACT = new Contract(
            NAME,
            Shape.of(FRONT_DISTANCE, REAR_DISTANCE, BASELINE, TYRE_RADIUS, HEIGHT_OFFSET, READING)
                    .withU(U_DISTANCE),
            Shape.of(LENGTH_DIFFERENCE, TOTAL_TOE, USED_BASELINE));
    private static final Sight SIGHT = Sight.of(Observables.TOTAL_TOE).assuming(Assumption.SAME_POINTS);

    /** Readings across the axle. */
    public enum Reading implements Keyed {
        /** The tape runs from wheel to wheel. */
        SPAN("span"),
        /** A jig hooked behind the far wheel leaves a gap at the near wheel's outer face. */
        OUTSIDE_GAP("outsideGap");

        private final String key;

        Reading(String key) {
            this.key = key;
        }

        @Override
        public String key() {
            return key;
        }
    }

    /**
     * The readings of one measurement, mm.
     *
     * @param frontDistance mm, 0 or more; a span is more than 0
     * @param rearDistance mm, 0 or more; a span is more than 0
     * @param baseline between the front and rear point on one wheel, at hub height, mm, positive
     * @param tyreRadius instead of a baseline, for points on a tyre, mm, positive
     * @param heightOffset of those points above (positive) or below the hub, mm
     */
    public record Readings(
            double frontDistance,
            double rearDistance,
            OptionalDouble baseline,
            OptionalDouble tyreRadius,
            OptionalDouble heightOffset,
            Reading reading) {

        /**
         * Spans between points a known distance apart on each wheel, mm.
         *
         * @param frontDistance mm, above 0
         * @param rearDistance mm, above 0
         * @param baseline mm, positive
         */
        public static Readings spans(double frontDistance, double rearDistance, double baseline) {
            return new Readings(
                    frontDistance,
                    rearDistance,
                    OptionalDouble.of(baseline),
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    Reading.SPAN);
        }
    }

    /**
     * Result of the readings.
     *
     * @param lengthDifference mm, toe-in positive
     * @param totalToe rad, toe-in positive
     * @param baseline mm
     */
    public record Result(double lengthDifference, Estimate totalToe, double baseline) {}

    /**
     * Works the readings.
     *
     * @param uDistance standard uncertainty of each distance, mm
     */
    public static Outcome<Result> evaluate(Readings r, double uDistance) {
        Optional<Fault> broken = brokenRule(r);
        if (broken.isPresent()) {
            return new Failure<>(broken.get());
        }
        double baseline = baselineOf(r);
        var propagation = Propagation.of(2, uDistance);
        var front = propagation.reading(FRONT_DISTANCE.name(), r.frontDistance(), uDistance);
        var rear = propagation.reading(REAR_DISTANCE.name(), r.rearDistance(), uDistance);
        var difference = r.reading() == Reading.SPAN ? rear.subtract(front) : front.subtract(rear);
        if (!(Math.abs(difference.value()) < 2 * baseline)) {
            var dividedBy = r.baseline().isPresent() ? BASELINE : TYRE_RADIUS;
            return Outcome.fault(FaultCode.OUT_OF_RANGE, dividedBy.name());
        }
        var toe = difference.divide(2 * baseline).asin().multiply(2);
        return Outcome.of(new Result(difference.value(), propagation.estimate(toe), baseline));
    }

    private static Optional<Fault> brokenRule(Readings r) {
        boolean span = r.reading() == Reading.SPAN;
        if (r.baseline().isPresent()
                && (r.tyreRadius().isPresent() || r.heightOffset().isPresent())) {
            return Optional.of(Fault.at(FaultCode.INCONSISTENT, BASELINE.name()));
        }
        if (r.baseline().isEmpty() && r.tyreRadius().isEmpty()) {
            return Optional.of(Fault.at(FaultCode.MISSING, BASELINE.name()));
        }
        if (r.baseline().isEmpty()
                && Math.abs(r.heightOffset().orElse(0)) >= r.tyreRadius().getAsDouble()) {
            return Optional.of(Fault.at(FaultCode.OUT_OF_RANGE, HEIGHT_OFFSET.name()));
        }
        if (span && r.frontDistance() == 0) {
            return Optional.of(Fault.at(FaultCode.OUT_OF_RANGE, FRONT_DISTANCE.name()));
        }
        if (span && r.rearDistance() == 0) {
            return Optional.of(Fault.at(FaultCode.OUT_OF_RANGE, REAR_DISTANCE.name()));
        }
        return Optional.empty();
    }

    /** The chord through the tyre's points: 2 √(R² − h²), written so that a large R and h keep their digits. */
    private static double baselineOf(Readings r) {
        if (r.baseline().isPresent()) {
            return r.baseline().getAsDouble();
        }
        double radius = r.tyreRadius().getAsDouble();
        double height = r.heightOffset().orElse(0);
        return 2 * Math.sqrt((radius - height) * (radius + height));
    }

    /** The steps from the readings to the total. */
    public static List<Step> working(Readings r, Result result) {
        List<Step> steps = new ArrayList<>();
        r.tyreRadius()
                .ifPresent(radius -> steps.add(Step.of("toe.across.chord")
                        .with(TYRE_RADIUS, radius)
                        .with(HEIGHT_OFFSET, r.heightOffset().orElse(0))
                        .gives(USED_BASELINE, result.baseline())));
        steps.add(Step.of(Formula.of("toe.across.difference." + r.reading().key(), Operation.DIFFERENCE))
                .with(FRONT_DISTANCE, r.frontDistance())
                .with(REAR_DISTANCE, r.rearDistance())
                .gives(LENGTH_DIFFERENCE, result.lengthDifference()));
        steps.add(Step.of(TOTAL_FORMULA)
                .with(LENGTH_DIFFERENCE, result.lengthDifference())
                .with(USED_BASELINE, result.baseline())
                .gives(TOTAL_TOE, result.totalToe().value()));
        return steps;
    }

    /**
     * The forward model: what the tapes read on an axle with the given toes when the two points of each wheel lie
     * {@code baseline} apart. The spans are those of two equal toes with the same total, which is all this method sees.
     *
     * @param totalToe rad
     * @param distanceAtHubs mm between the wheels at the middle of the baseline; for a jig the gap there
     * @param baseline mm, positive
     */
    public static Readings forward(
            double totalToe,
            double distanceAtHubs,
            double baseline,
            Reading reading,
            Instrument tape,
            RandomGenerator noise) {
        double half = baseline * Math.sin(totalToe / 2) * (reading == Reading.SPAN ? -1 : 1);
        return new Readings(
                tape.read(distanceAtHubs + half, noise),
                tape.read(distanceAtHubs - half, noise),
                OptionalDouble.of(baseline),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                reading);
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
                in.number(FRONT_DISTANCE),
                in.number(REAR_DISTANCE),
                in.optional(BASELINE),
                in.optional(TYRE_RADIUS),
                in.optional(HEIGHT_OFFSET),
                in.optional(READING).orElse(Reading.SPAN));
        return evaluate(readings, in.u(U_DISTANCE))
                .map(result -> new Answer(
                        new Figures()
                                .set(LENGTH_DIFFERENCE, result.lengthDifference())
                                .set(TOTAL_TOE, result.totalToe())
                                .set(USED_BASELINE, result.baseline()),
                        () -> working(readings, result)));
    }
}
