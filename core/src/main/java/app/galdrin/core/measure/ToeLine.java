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
import java.util.random.RandomGenerator;

/**
 * Toe of one wheel against a straight line: string, laser or straightedge (record kind {@code toe.line}).
 *
 * <p>toe = asin(difference / baseline) − β, difference = front − rear for a line outboard of the wheel and rear − front
 * for one inboard. The same skew β (front end farther outboard) counts on both sides.
 */
public final class ToeLine implements RecordKind {

    public static final String NAME = "toe.line";

    private static final Map<String, LineSide> SIDES =
            Map.of("outboard", LineSide.OUTBOARD, "inboard", LineSide.INBOARD);

    /** Where the line runs, seen from the wheel. */
    public enum LineSide {
        OUTBOARD(1),
        INBOARD(-1);

        private final int sign;

        LineSide(int sign) {
            this.sign = sign;
        }
    }

    /** Readings of one wheel; {@code lineSkew} in rad, positive where the line's front end stands farther outboard. */
    public record Readings(RimGaps gaps, LineSide side, double lineSkew) {}

    /** {@code lengthDifference} mm and {@code toe} rad, toe-in positive; {@code baseline} mm. */
    public record Result(double lengthDifference, Estimate toe, double baseline) {}

    /**
     * Works the readings.
     *
     * @param uGap standard uncertainty of each gap, mm
     * @param uSkew standard uncertainty of the line's skew, rad
     */
    public static Outcome<Result> evaluate(Readings r, double uGap, double uSkew) {
        var propagation = Propagation.of(3);
        var front = propagation.reading(r.gaps().frontGap(), uGap);
        var rear = propagation.reading(r.gaps().rearGap(), uGap);
        var skew = propagation.reading(r.lineSkew(), uSkew);
        var difference = front.subtract(rear).multiply(r.side().sign);
        double baseline = r.gaps().baseline();
        if (!(Math.abs(difference.getValue()) < baseline)) {
            return Outcome.fault(FaultCode.OUT_OF_RANGE, "baseline");
        }
        var toe = difference.divide(baseline).asin().subtract(skew);
        return Outcome.of(new Result(difference.getValue(), propagation.estimate(toe), baseline));
    }

    /**
     * The forward model: the gaps of a wheel with the given toe.
     *
     * @param toe rad
     * @param gapAtHub mm, square to the line, large enough that both gaps are positive
     */
    public static Readings forward(
            double toe,
            double gapAtHub,
            double baseline,
            LineSide side,
            double lineSkew,
            Instrument rule,
            RandomGenerator noise) {
        double half = side.sign * baseline / 2 * Math.sin(toe + lineSkew);
        return new Readings(
                new RimGaps(rule.read(gapAtHub + half, noise), rule.read(gapAtHub - half, noise), baseline),
                side,
                lineSkew);
    }

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public Outcome<Figures> evaluate(Fields in) {
        in.only("frontGap", "rearGap", "baseline", "lineSide", "lineSkew", "u");
        var gaps = new RimGaps(
                in.number("frontGap", Range.GAP), in.number("rearGap", Range.GAP), in.number("baseline", Range.LENGTH));
        var side = in.word("lineSide", SIDES);
        double skew = in.optionalAngle("lineSkew", Range.TOE).orElse(0);
        var u = in.uncertainties("gap", "skew");
        return in.then(() -> evaluate(new Readings(gaps, side, skew), u.length("gap"), u.angle("skew")))
                .map(result -> new Figures()
                        .number("lengthDifference", result.lengthDifference())
                        .angle("toe", result.toe().value())
                        .number("baseline", result.baseline())
                        .uncertainties(u, f -> f.angle("toe", result.toe().standardUncertainty())));
    }
}
