package app.galdrin.core.measure;

import app.galdrin.core.Outcome;
import app.galdrin.core.geometry.Side;
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
 * KPI of a beam axle from a protractor on the knuckle, or the pad beside it, read across the axle (record kind {@code kpi.protractor}).
 *
 * <pre>
 * KPI σ = reading − s · cross slope   rad, top leaning inward positive; s = +1 on the left, −1 on the right
 * cross slope of frame or floor   rad, the left side higher positive
 * </pre>
 *
 * <p>One school takes no cross slope off: it leaves the field out.
 *
 * <p>Source: [ISO8855] for KPI, [PLANE].
 */
@AutoService(RecordKind.class)
public final class KpiProtractor implements MeasuringMethod {

    public static final String NAME = "kpi.protractor";

    private static final WordField<Side> SIDE = WordField.of("side", Side.values());

    /** Place on the sketch, which is the field of the record. */
    public static final NumberField READING = NumberField.angle("reading", Range.AXIS);

    private static final NumberField CROSS_SLOPE =
            NumberField.angle("crossSlope", Range.FLOOR).optional();
    private static final NumberField U_ANGLE =
            NumberField.angle("angle", Range.UNCERTAINTY).optional();
    private static final NumberField U_FLOOR =
            NumberField.angle("floor", Range.UNCERTAINTY).optional();
    private static final NumberField KPI = NumberField.angle("kpi", Range.ALL).withDoubt();

    private static final Contract CONTRACT =
            new Contract(NAME, Shape.of(SIDE, READING, CROSS_SLOPE).withU(U_ANGLE, U_FLOOR), Shape.of(KPI));
    private static final Sight SIGHT = Sight.of(Observables.KPI);

    /**
     * {@code reading} rad, top inward positive; {@code crossSlope} rad, left side higher positive.
     *
     * @param reading rad
     * @param crossSlope rad, the left side of the bay higher positive
     */
    public record Readings(Side side, double reading, double crossSlope) {}

    /**
     * KPI, rad, top inward positive.
     *
     * @param uAngle standard uncertainty of the reading, rad
     * @param uFloor standard uncertainty of the cross slope, rad
     */
    public static Estimate evaluate(Readings r, double uAngle, double uFloor) {
        var propagation = Propagation.of(2, uAngle, uFloor);
        var reading = propagation.reading(READING.name(), r.reading(), uAngle);
        var slope = propagation.reading(CROSS_SLOPE.name(), r.crossSlope(), uFloor);
        return propagation.estimate(reading.subtract(slope.multiply(r.side().sign())));
    }

    /** The step from the reading to KPI, rad. */
    public static List<Step> working(Readings r, Estimate kpi) {
        return List.of(Step.of(Formula.of("kpi.protractor.kpi." + r.side().key(), Operation.FRAME))
                .with(READING, r.reading())
                .with(CROSS_SLOPE, r.crossSlope())
                .gives(KPI, kpi.value()));
    }

    /**
     * The forward model: what a protractor shows of an axis of this KPI on a frame of this cross slope, both rad.
     *
     * @param kpi rad, leaning inward positive
     * @param crossSlope rad, the left side of the bay higher positive
     */
    public static Readings forward(
            double kpi, Side side, double crossSlope, Instrument protractor, Instrument level, RandomGenerator noise) {
        return new Readings(
                side, protractor.read(kpi + side.sign() * crossSlope, noise), level.read(crossSlope, noise));
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
        var readings = new Readings(in.word(SIDE), in.number(READING), in.number(CROSS_SLOPE, 0));
        Estimate kpi = evaluate(readings, in.u(U_ANGLE), in.u(U_FLOOR));
        return Outcome.of(new Answer(new Figures().set(KPI, kpi), () -> working(readings, kpi)));
    }
}
