package app.galdrin.core.measure;

import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.record.Answer;
import app.galdrin.core.record.Contract;
import app.galdrin.core.record.Figures;
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
 * Camber from a plumb line or square outboard of the wheel (record kind {@code camber.offset}).
 *
 * <pre>
 * camber γ = asin((bottom gap − top gap) / length)   rad, top outward positive; gaps and length mm, |difference| &lt; length
 * </pre>
 *
 * <p>Source: [ISO8855] for camber, [PLANE].
 */
@AutoService(RecordKind.class)
public final class CamberOffset implements MeasuringMethod {

    /** Places on the sketch, which are the fields of the record. */
    public static final NumberField TOP_GAP = NumberField.length("topGap", Range.GAP);

    public static final NumberField BOTTOM_GAP = NumberField.length("bottomGap", Range.GAP);
    private static final NumberField LENGTH = NumberField.length("length", Range.LENGTH);
    private static final NumberField CAMBER =
            NumberField.angle("camber", Range.ALL).withDoubt();

    public static final String NAME = "camber.offset";

    private static final Contract CONTRACT =
            new Contract(NAME, Shape.of(TOP_GAP, BOTTOM_GAP, LENGTH).withU(ToeLine.U_GAP), Shape.of(CAMBER));
    private static final Sight SIGHT =
            Sight.of(Observables.CAMBER).assuming(Assumption.FLOOR_SLOPE_KNOWN, Assumption.RUN_OUT_REMOVED);

    /**
     * The gaps from the line to the rim at the top and the bottom, and the length between both points, mm.
     *
     * @param topGap mm, 0 or more
     * @param bottomGap mm, 0 or more
     * @param length between the two gaps, mm, positive
     */
    public record Readings(double topGap, double bottomGap, double length) {}

    /** The camber, rad. */
    public record Result(Estimate camber) {}

    /**
     * Works the readings.
     *
     * @param uGap standard uncertainty of each gap, mm
     */
    public static Outcome<Result> evaluate(Readings r, double uGap) {
        var propagation = Propagation.of(2, uGap);
        var top = propagation.reading(TOP_GAP.name(), r.topGap(), uGap);
        var bottom = propagation.reading(BOTTOM_GAP.name(), r.bottomGap(), uGap);
        var difference = bottom.subtract(top);
        if (!(Math.abs(difference.value()) < r.length())) {
            return Outcome.fault(FaultCode.OUT_OF_RANGE, LENGTH.name());
        }
        return Outcome.of(
                new Result(propagation.estimate(difference.divide(r.length()).asin())));
    }

    /**
     * The forward model: the gaps of a wheel with the given camber (rad), {@code gapAtHub} mm from the line at its middle.
     *
     * @param camber rad, top outward positive
     * @param gapAtHub mm, large enough that both gaps are 0 or more
     * @param length between the two gaps, mm, positive
     */
    public static Readings forward(
            double camber, double gapAtHub, double length, Instrument rule, RandomGenerator noise) {
        double half = length / 2 * Math.sin(camber);
        return new Readings(rule.read(gapAtHub - half, noise), rule.read(gapAtHub + half, noise), length);
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
        var readings = new Readings(in.number(TOP_GAP), in.number(BOTTOM_GAP), in.number(LENGTH));
        return evaluate(readings, in.u(ToeLine.U_GAP))
                .map(result -> new Answer(
                        new Figures().set(CAMBER, result.camber()),
                        () -> List.of(Step.of("camber.offset.camber")
                                .with(BOTTOM_GAP, readings.bottomGap())
                                .with(TOP_GAP, readings.topGap())
                                .with(LENGTH, readings.length())
                                .gives(CAMBER, result.camber().value()))));
    }
}
