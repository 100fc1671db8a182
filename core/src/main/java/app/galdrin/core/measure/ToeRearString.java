package app.galdrin.core.measure;

import app.galdrin.core.FaultCode;
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
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.core.uncertainty.Propagation;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.random.RandomGenerator;

/**
 * Toe of a front wheel against a string drawn tight along the outer face of the rear tyre on its side and on past the front
 * wheel (record kind {@code toe.rearString}). The string leans as the rear wheel does.
 *
 * <pre>
 * difference d = front gap − rear gap   mm, toe-in positive
 * toe t = asin(d / b) + toe of the rear wheel   rad, |d| &lt; baseline b
 * </pre>
 *
 * <p>A rear toe of 0 stands for a solid axle; what the rear wheel really does goes straight into the front figure.
 *
 * <p>Source: [ISO8855] for toe, [PLANE] for the chord.
 */
@AutoService(RecordKind.class)
public final class ToeRearString implements MeasuringMethod {

    private static final Formula TOE_FORMULA =
            Formula.of("toe.rearString.toe", Operation.OVER_LENGTH).worked(in -> Math.asin(in[0] / in[1]) + in[2]);

    public static final String NAME = "toe.rearString";

    private static final NumberField REAR_TOE =
            NumberField.angle("rearToe", Range.TOE).optional();
    private static final NumberField U_REAR_TOE =
            NumberField.angle("rearToe", Range.UNCERTAINTY).optional();

    private static final Contract CONTRACT = new Contract(
            NAME,
            Shape.of(ToeLine.FRONT_GAP, ToeLine.REAR_GAP, ToeLine.BASELINE, REAR_TOE)
                    .withU(ToeLine.U_GAP, U_REAR_TOE),
            Shape.of(ToeLine.TOE, ToeLine.LENGTH_DIFFERENCE));
    private static final Sight SIGHT =
            Sight.of(Observables.TOTAL_TOE, Observables.EACH_TOE).assuming(Assumption.REAR_TOE_KNOWN);

    /**
     * Readings of one front wheel; {@code rearToe} rad, toe-in positive, 0 for a solid axle.
     *
     * @param rearToe rad, toe-in positive
     */
    public record Readings(RimGaps gaps, double rearToe) {}

    /**
     * {@code lengthDifference} mm and {@code toe} rad, toe-in positive.
     *
     * @param lengthDifference mm, toe-in positive
     */
    public record Result(double lengthDifference, Estimate toe) {}

    /**
     * Works the readings.
     *
     * @param uGap standard uncertainty of each gap, mm
     * @param uRearToe standard uncertainty of the rear wheel's toe, rad
     */
    public static Outcome<Result> evaluate(Readings r, double uGap, double uRearToe) {
        var propagation = Propagation.of(3, uGap, uRearToe);
        var front = propagation.reading(ToeLine.FRONT_GAP.name(), r.gaps().frontGap(), uGap);
        var rear = propagation.reading(ToeLine.REAR_GAP.name(), r.gaps().rearGap(), uGap);
        var rearToe = propagation.reading(REAR_TOE.name(), r.rearToe(), uRearToe);
        var difference = front.subtract(rear);
        if (!(Math.abs(difference.value()) < r.gaps().baseline())) {
            return Outcome.fault(FaultCode.OUT_OF_RANGE, ToeLine.BASELINE.name());
        }
        var toe = difference.divide(r.gaps().baseline()).asin().add(rearToe);
        return Outcome.of(new Result(difference.value(), propagation.estimate(toe)));
    }

    /** The steps from the gaps to the toe. */
    public static List<Step> working(Readings r, Result result) {
        return List.of(
                Step.of(ToeLine.difference(ToeLine.LineSide.OUTBOARD))
                        .with(ToeLine.FRONT_GAP, r.gaps().frontGap())
                        .with(ToeLine.REAR_GAP, r.gaps().rearGap())
                        .gives(ToeLine.LENGTH_DIFFERENCE, result.lengthDifference()),
                Step.of(TOE_FORMULA)
                        .with(ToeLine.LENGTH_DIFFERENCE, result.lengthDifference())
                        .with(ToeLine.BASELINE, r.gaps().baseline())
                        .with(REAR_TOE, r.rearToe())
                        .gives(ToeLine.TOE, result.toe().value()));
    }

    /**
     * The forward model: the gaps of a front wheel to a string that leans with the rear wheel.
     *
     * @param toe of the front wheel, rad
     * @param rearToe of the rear wheel the string is drawn along, rad: its front end then runs inboard by as much
     * @param gapAtHub mm, square to the string, large enough that both gaps are positive
     * @param baseline mm, positive
     */
    public static Readings forward(
            double toe, double rearToe, double gapAtHub, double baseline, Instrument rule, RandomGenerator noise) {
        var line = ToeLine.forward(toe, gapAtHub, baseline, ToeLine.LineSide.OUTBOARD, -rearToe, rule, noise);
        return new Readings(line.gaps(), rearToe);
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
        var gaps = new RimGaps(in.number(ToeLine.FRONT_GAP), in.number(ToeLine.REAR_GAP), in.number(ToeLine.BASELINE));
        var readings = new Readings(gaps, in.number(REAR_TOE, 0));
        return evaluate(readings, in.u(ToeLine.U_GAP), in.u(U_REAR_TOE))
                .map(result -> new Answer(
                        new Figures()
                                .set(ToeLine.TOE, result.toe())
                                .set(ToeLine.LENGTH_DIFFERENCE, result.lengthDifference()),
                        () -> working(readings, result)));
    }
}
