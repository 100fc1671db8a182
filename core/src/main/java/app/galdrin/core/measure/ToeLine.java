package app.galdrin.core.measure;

import app.galdrin.core.FaultCode;
import app.galdrin.core.Keyed;
import app.galdrin.core.Outcome;
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
import java.util.List;
import java.util.random.RandomGenerator;

/**
 * Toe of one wheel against a straight line: string, laser or straightedge (record kind {@code toe.line}).
 *
 * <pre>
 * difference d = front gap − rear gap for a line outboard of the wheel, rear − front for one inboard   mm, toe-in positive
 * toe t = asin(d / b) − β   rad, |d| &lt; baseline b
 * </pre>
 *
 * <p>Gaps are square to the line. The same skew β (front end farther outboard, rad) counts for a line on either side.
 *
 * <p>Source: [ISO8855] for toe, [PLANE] for the chord.
 */
@AutoService(RecordKind.class)
public final class ToeLine implements MeasuringMethod {

    private static final Formula TOE_FORMULA =
            Formula.of("toe.line.toe", Operation.OVER_LENGTH).worked(in -> Math.asin(in[0] / in[1]) - in[2]);

    /** Returns how the difference of the gaps is taken on a side of the line. */
    static Formula difference(LineSide side) {
        return Formula.of("toe.line.difference." + side.key(), Operation.DIFFERENCE);
    }

    public static final String NAME = "toe.line";

    /** Places on the sketch, which are the fields of the record; every method that reads gaps at a rim uses these. */
    public static final NumberField FRONT_GAP = NumberField.length("frontGap", Range.GAP);

    public static final NumberField REAR_GAP = NumberField.length("rearGap", Range.GAP);
    static final NumberField BASELINE = NumberField.length("baseline", Range.LENGTH);
    static final NumberField LENGTH_DIFFERENCE = NumberField.length("lengthDifference", Range.ALL);
    static final NumberField TOE = NumberField.angle("toe", Range.ALL).withDoubt();
    static final NumberField U_GAP =
            NumberField.length("gap", Range.UNCERTAINTY).optional();

    private static final WordField<LineSide> LINE_SIDE = WordField.of("lineSide", LineSide.values());
    private static final NumberField LINE_SKEW =
            NumberField.angle("lineSkew", Range.TOE).optional();
    private static final NumberField U_SKEW =
            NumberField.angle("skew", Range.UNCERTAINTY).optional();
    private static final NumberField USED_BASELINE = NumberField.length("baseline", Range.ALL);

    private static final Contract CONTRACT = new Contract(
            NAME,
            Shape.of(FRONT_GAP, REAR_GAP, BASELINE, LINE_SIDE, LINE_SKEW).withU(U_GAP, U_SKEW),
            Shape.of(LENGTH_DIFFERENCE, TOE, USED_BASELINE));
    private static final Sight SIGHT = Sight.of(Observables.EACH_TOE).assuming(Assumption.LINE_SKEW_KNOWN);

    /** The side of the wheel on which the line runs. */
    public enum LineSide implements Keyed {
        OUTBOARD("outboard", 1),
        INBOARD("inboard", -1);

        private final String key;
        private final int sign;

        LineSide(String key, int sign) {
            this.key = key;
            this.sign = sign;
        }

        @Override
        public String key() {
            return key;
        }
    }

    /**
     * Readings of one wheel; {@code lineSkew} in rad, positive where the line's front end stands farther outboard.
     *
     * @param lineSkew rad, the front end of the line farther outboard positive
     */
    public record Readings(RimGaps gaps, LineSide side, double lineSkew) {}

    /**
     * {@code lengthDifference} mm and {@code toe} rad, toe-in positive; {@code baseline} mm.
     *
     * @param lengthDifference mm, toe-in positive
     * @param baseline mm, positive
     */
    public record Result(double lengthDifference, Estimate toe, double baseline) {}

    /**
     * Works the readings.
     *
     * @param uGap standard uncertainty of each gap, mm
     * @param uSkew standard uncertainty of the line's skew, rad
     */
    public static Outcome<Result> evaluate(Readings r, double uGap, double uSkew) {
        var propagation = Propagation.of(3, uGap, uSkew);
        var front = propagation.reading(FRONT_GAP.name(), r.gaps().frontGap(), uGap);
        var rear = propagation.reading(REAR_GAP.name(), r.gaps().rearGap(), uGap);
        var skew = propagation.reading(LINE_SKEW.name(), r.lineSkew(), uSkew);
        var difference = front.subtract(rear).multiply(r.side().sign);
        double baseline = r.gaps().baseline();
        if (!(Math.abs(difference.value()) < baseline)) {
            return Outcome.fault(FaultCode.OUT_OF_RANGE, BASELINE.name());
        }
        var toe = difference.divide(baseline).asin().subtract(skew);
        return Outcome.of(new Result(difference.value(), propagation.estimate(toe), baseline));
    }

    /** The steps from the gaps to the toe. */
    public static List<Step> working(Readings r, Result result) {
        return List.of(
                Step.of(difference(r.side()))
                        .with(FRONT_GAP, r.gaps().frontGap())
                        .with(REAR_GAP, r.gaps().rearGap())
                        .gives(LENGTH_DIFFERENCE, result.lengthDifference()),
                Step.of(TOE_FORMULA)
                        .with(LENGTH_DIFFERENCE, result.lengthDifference())
                        .with(BASELINE, result.baseline())
                        .with(LINE_SKEW, r.lineSkew())
                        .gives(TOE, result.toe().value()));
    }

    /**
     * The forward model: the gaps of a wheel with the given toe.
     *
     * @param toe rad
     * @param gapAtHub mm, square to the line, large enough that both gaps are positive
     * @param baseline mm, positive
     * @param lineSkew rad, the front end of the line farther outboard positive
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
    public Contract contract() {
        return CONTRACT;
    }

    @Override
    public Sight sight() {
        return SIGHT;
    }

    @Override
    public Outcome<Answer> evaluate(Input in) {
        var gaps = new RimGaps(in.number(FRONT_GAP), in.number(REAR_GAP), in.number(BASELINE));
        var readings = new Readings(gaps, in.word(LINE_SIDE), in.number(LINE_SKEW, 0));
        return evaluate(readings, in.u(U_GAP), in.u(U_SKEW))
                .map(result -> new Answer(
                        new Figures()
                                .set(LENGTH_DIFFERENCE, result.lengthDifference())
                                .set(TOE, result.toe())
                                .set(USED_BASELINE, result.baseline()),
                        () -> working(readings, result)));
    }
}
