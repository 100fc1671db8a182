package app.galdrin.core.measure;

import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.record.Fields;
import app.galdrin.core.record.Figures;
import app.galdrin.core.record.Range;
import app.galdrin.core.record.RecordKind;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.core.uncertainty.Propagation;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.random.RandomGenerator;
import org.hipparchus.analysis.differentiation.Gradient;

/**
 * Toe of both wheels of an axle from a pair of gauges that sight each other (record kind {@code toe.gauges}). A scale in
 * millimetres counts over its baseline: toe = asin(reading / baseline).
 */
public final class ToeGauges implements RecordKind {

    public static final String NAME = "toe.gauges";

    private static final Map<String, Scale> SCALES = Map.of("deg", Scale.ANGLE, "mm", Scale.LENGTH);
    private static final double GREATEST_TOE = Math.toRadians(30);

    /** What the gauges show. */
    public enum Scale {
        ANGLE,
        LENGTH
    }

    /** Readings toe-in positive: rad, or mm with the baseline in mm. */
    public record Readings(double left, double right, Scale scale, OptionalDouble baseline) {}

    /** All rad, toe-in positive; imbalance = left − right. */
    public record Result(double left, double right, Estimate totalToe, Estimate imbalance) {}

    /**
     * Works the readings.
     *
     * @param uReading standard uncertainty of each reading, in the scale's unit
     */
    public static Outcome<Result> evaluate(Readings r, double uReading) {
        var fault = r.scale() == Scale.LENGTH ? faultOfLengths(r) : faultOfAngles(r);
        if (fault instanceof Outcome.Failed<Readings> failed) {
            return new Outcome.Failed<>(failed.fault());
        }
        var propagation = Propagation.of(2);
        var left = toe(propagation.reading(r.left(), uReading), r);
        var right = toe(propagation.reading(r.right(), uReading), r);
        return Outcome.of(new Result(
                left.getValue(),
                right.getValue(),
                propagation.estimate(left.add(right)),
                propagation.estimate(left.subtract(right))));
    }

    private static Outcome<Readings> faultOfLengths(Readings r) {
        if (r.baseline().isEmpty()) {
            return Outcome.fault(FaultCode.MISSING, "baseline");
        }
        double baseline = r.baseline().getAsDouble();
        boolean reaches = Math.abs(r.left()) < baseline && Math.abs(r.right()) < baseline;
        return reaches ? Outcome.of(r) : Outcome.fault(FaultCode.OUT_OF_RANGE, "baseline");
    }

    private static Outcome<Readings> faultOfAngles(Readings r) {
        if (Math.abs(r.left()) > GREATEST_TOE) {
            return Outcome.fault(FaultCode.OUT_OF_RANGE, "left");
        }
        if (Math.abs(r.right()) > GREATEST_TOE) {
            return Outcome.fault(FaultCode.OUT_OF_RANGE, "right");
        }
        return Outcome.of(r);
    }

    private static Gradient toe(Gradient reading, Readings r) {
        return r.scale() == Scale.ANGLE
                ? reading
                : reading.divide(r.baseline().getAsDouble()).asin();
    }

    /** The forward model: what gauges with the given scale show on wheels with these toes (rad). */
    public static Readings forward(
            double left, double right, Scale scale, double baseline, Instrument gauge, RandomGenerator noise) {
        double shownLeft = scale == Scale.ANGLE ? left : baseline * Math.sin(left);
        double shownRight = scale == Scale.ANGLE ? right : baseline * Math.sin(right);
        return new Readings(
                gauge.read(shownLeft, noise), gauge.read(shownRight, noise), scale, OptionalDouble.of(baseline));
    }

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public Outcome<Figures> evaluate(Fields in) {
        in.only("left", "right", "unit", "baseline", "u");
        double left = in.number("left", Range.NUMBER);
        double right = in.number("right", Range.NUMBER);
        var scale = in.word("unit", SCALES);
        var baseline = in.optionalNumber("baseline", Range.LENGTH);
        var u = in.uncertainties("reading");
        boolean angles = scale == Scale.ANGLE;
        var readings = new Readings(
                angles ? Math.toRadians(left) : left, angles ? Math.toRadians(right) : right, scale, baseline);
        return in.then(() -> evaluate(readings, angles ? u.angle("reading") : u.length("reading")))
                .map(result -> new Figures()
                        .angle("left", result.left())
                        .angle("right", result.right())
                        .angle("totalToe", result.totalToe().value())
                        .angle("imbalance", result.imbalance().value())
                        .uncertainties(
                                u,
                                f -> f.angle("totalToe", result.totalToe().standardUncertainty())
                                        .angle("imbalance", result.imbalance().standardUncertainty())));
    }
}
