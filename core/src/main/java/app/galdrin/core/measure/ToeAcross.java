package app.galdrin.core.measure;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.record.Fields;
import app.galdrin.core.record.Figures;
import app.galdrin.core.record.Range;
import app.galdrin.core.record.RecordKind;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.core.uncertainty.Propagation;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.random.RandomGenerator;

/**
 * Total toe from two distances across the axle, ahead of and behind the hubs: tape on the tread, plates with two tapes,
 * rigid frames, long bars or a rigid jig (record kind {@code toe.across}). Which wheel points where can't be seen.
 *
 * <p>total toe = 2 asin(difference / (2 baseline)), difference = rear − front for spans and front − rear for the gap
 * outside a jig.
 */
public final class ToeAcross implements RecordKind {

    public static final String NAME = "toe.across";

    /** Places on the sketch, which are the names in the record. */
    public static final String FRONT_DISTANCE = "frontDistance";

    public static final String REAR_DISTANCE = "rearDistance";

    private static final Map<String, Reading> READINGS =
            Map.of("span", Reading.SPAN, "outsideGap", Reading.OUTSIDE_GAP);

    /** What was read across the axle. */
    public enum Reading {
        /** The tape runs from wheel to wheel. */
        SPAN,
        /** A jig hooked behind the far wheel leaves a gap at the near wheel's outer face. */
        OUTSIDE_GAP
    }

    /**
     * The readings of one measurement, mm.
     *
     * @param frontDistance 0 or more; a span is more than 0
     * @param rearDistance as the front distance
     * @param baseline between the front and rear point on one wheel, at hub height
     * @param tyreRadius instead of a baseline, for points on a tyre
     * @param heightOffset of those points above (positive) or below the hub
     */
    public record Readings(
            double frontDistance,
            double rearDistance,
            OptionalDouble baseline,
            OptionalDouble tyreRadius,
            OptionalDouble heightOffset,
            Reading reading) {

        /** Spans between points a known distance apart on each wheel. */
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
     * What follows from the readings.
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
            return new Outcome.Failed<>(broken.get());
        }
        double baseline = baselineOf(r);
        var propagation = Propagation.of(2);
        var front = propagation.reading(r.frontDistance(), uDistance);
        var rear = propagation.reading(r.rearDistance(), uDistance);
        var difference = r.reading() == Reading.SPAN ? rear.subtract(front) : front.subtract(rear);
        if (!(Math.abs(difference.getValue()) < 2 * baseline)) {
            return Outcome.fault(FaultCode.OUT_OF_RANGE, r.baseline().isPresent() ? "baseline" : "tyreRadius");
        }
        var toe = difference.divide(2 * baseline).asin().multiply(2);
        return Outcome.of(new Result(difference.getValue(), propagation.estimate(toe), baseline));
    }

    private static Optional<Fault> brokenRule(Readings r) {
        if (r.baseline().isPresent()
                && (r.tyreRadius().isPresent() || r.heightOffset().isPresent())) {
            return Optional.of(Fault.at(FaultCode.INCONSISTENT, "baseline"));
        }
        if (r.baseline().isEmpty() && r.tyreRadius().isEmpty()) {
            return Optional.of(Fault.at(FaultCode.MISSING, "baseline"));
        }
        if (r.baseline().isEmpty()
                && Math.abs(r.heightOffset().orElse(0)) >= r.tyreRadius().getAsDouble()) {
            return Optional.of(Fault.at(FaultCode.OUT_OF_RANGE, "heightOffset"));
        }
        if (r.reading() == Reading.SPAN && r.frontDistance() == 0) {
            return Optional.of(Fault.at(FaultCode.OUT_OF_RANGE, FRONT_DISTANCE));
        }
        if (r.reading() == Reading.SPAN && r.rearDistance() == 0) {
            return Optional.of(Fault.at(FaultCode.OUT_OF_RANGE, REAR_DISTANCE));
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

    /**
     * The forward model: what the tapes read on an axle with the given toes when the two points of each wheel lie
     * {@code baseline} apart. The spans are those of two equal toes with the same total, which is all this method sees.
     *
     * @param totalToe rad
     * @param distanceAtHubs mm between the wheels at the middle of the baseline; for a jig the gap there
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
    public String name() {
        return NAME;
    }

    @Override
    public Outcome<Figures> evaluate(Fields in) {
        in.only(FRONT_DISTANCE, REAR_DISTANCE, "baseline", "tyreRadius", "heightOffset", "reading", "u");
        var readings = new Readings(
                in.number(FRONT_DISTANCE, Range.GAP),
                in.number(REAR_DISTANCE, Range.GAP),
                in.optionalNumber("baseline", Range.LENGTH),
                in.optionalNumber("tyreRadius", Range.LENGTH),
                in.optionalNumber("heightOffset", Range.OFFSET),
                in.word("reading", READINGS, Reading.SPAN));
        var u = in.uncertainties("distance");
        return in.then(() -> evaluate(readings, u.length("distance")))
                .map(result -> new Figures()
                        .number("lengthDifference", result.lengthDifference())
                        .angle("totalToe", result.totalToe().value())
                        .number("baseline", result.baseline())
                        .uncertainties(
                                u, f -> f.angle("totalToe", result.totalToe().standardUncertainty())));
    }
}
