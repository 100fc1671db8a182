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
 * Caster of a beam axle from a protractor on the spring pad and on the knuckle, with the frame's slope taken off (record kind
 * {@code caster.protractor}).
 *
 * <pre>
 * caster = reading − frame angle   rad, rearward lean positive; a frame that drops toward the rear is positive
 * disagreement = knuckle − pad   rad
 * </pre>
 *
 * <p>Source: [ISO8855] for caster, [PLANE].
 */
@AutoService(RecordKind.class)
public final class CasterProtractor implements MeasuringMethod {

    public static final String NAME = "caster.protractor";

    /** Places on the sketch, which are the fields of the record. */
    public static final NumberField PAD = NumberField.angle("pad", Range.AXIS).optional();

    public static final NumberField KNUCKLE =
            NumberField.angle("knuckle", Range.AXIS).optional();
    public static final NumberField FRAME_ANGLE = NumberField.angle("frameAngle", Range.AXIS);
    private static final NumberField U_ANGLE =
            NumberField.angle("angle", Range.UNCERTAINTY).optional();
    private static final NumberField CASTER_PAD =
            NumberField.angle("casterPad", Range.ALL).optional().withDoubt();
    private static final NumberField CASTER_KNUCKLE =
            NumberField.angle("casterKnuckle", Range.ALL).optional().withDoubt();
    private static final NumberField DISAGREEMENT =
            NumberField.angle("disagreement", Range.ALL).optional().withDoubt();

    private static final Contract CONTRACT = new Contract(
            NAME,
            Shape.of(PAD, KNUCKLE, FRAME_ANGLE).withU(U_ANGLE),
            Shape.of(CASTER_PAD, CASTER_KNUCKLE, DISAGREEMENT));
    private static final Sight SIGHT = Sight.of(Observables.CASTER);

    /**
     * All rad; at least one of pad and knuckle.
     *
     * @param pad rad
     * @param knuckle rad
     * @param frameAngle rad, dropping toward the rear positive
     */
    public record Readings(OptionalDouble pad, OptionalDouble knuckle, double frameAngle) {}

    /** All rad; each where its reading is given. */
    public record Result(
            Optional<Estimate> casterPad, Optional<Estimate> casterKnuckle, Optional<Estimate> disagreement) {}

    /**
     * Works the readings.
     *
     * @param uAngle standard uncertainty of each of the three, rad
     */
    public static Outcome<Result> evaluate(Readings r, double uAngle) {
        if (r.pad().isEmpty() && r.knuckle().isEmpty()) {
            return Outcome.fault(FaultCode.MISSING, PAD.name());
        }
        var propagation = Propagation.of(3, uAngle);
        var frame = propagation.reading(FRAME_ANGLE.name(), r.frameAngle(), uAngle);
        Optional<Dual> pad = reading(propagation, PAD, r.pad(), uAngle);
        Optional<Dual> knuckle = reading(propagation, KNUCKLE, r.knuckle(), uAngle);
        return Outcome.of(new Result(
                pad.map(p -> propagation.estimate(p.subtract(frame))),
                knuckle.map(k -> propagation.estimate(k.subtract(frame))),
                knuckle.flatMap(k -> pad.map(k::subtract)).map(propagation::estimate)));
    }

    private static Optional<Dual> reading(
            Propagation propagation, NumberField place, OptionalDouble angle, double uAngle) {
        return angle.isPresent()
                ? Optional.of(propagation.reading(place.name(), angle.getAsDouble(), uAngle))
                : Optional.empty();
    }

    /** The steps from the readings to both casters and how far they disagree. */
    public static List<Step> working(Readings r, Result result) {
        List<Step> steps = new ArrayList<>();
        result.casterPad()
                .ifPresent(caster -> steps.add(Step.of(Formula.of("caster.protractor.caster", Operation.FRAME))
                        .with(PAD, r.pad().orElseThrow())
                        .with(FRAME_ANGLE, r.frameAngle())
                        .gives(CASTER_PAD, caster.value())));
        result.casterKnuckle()
                .ifPresent(caster -> steps.add(Step.of(Formula.of("caster.protractor.caster", Operation.FRAME))
                        .with(KNUCKLE, r.knuckle().orElseThrow())
                        .with(FRAME_ANGLE, r.frameAngle())
                        .gives(CASTER_KNUCKLE, caster.value())));
        result.disagreement()
                .ifPresent(d -> steps.add(Step.of("caster.protractor.disagreement")
                        .with(KNUCKLE, r.knuckle().orElseThrow())
                        .with(PAD, r.pad().orElseThrow())
                        .gives(DISAGREEMENT, d.value())));
        return steps;
    }

    /**
     * The forward model: what the protractor shows on an axle of the given caster, the knuckle twisted against the pad, rad.
     *
     * @param caster rad, leaning rearward positive
     * @param twist what the knuckle shows more than the pad, rad
     * @param frameAngle rad, dropping toward the rear positive
     */
    public static Readings forward(
            double caster, double twist, double frameAngle, Instrument protractor, RandomGenerator noise) {
        return new Readings(
                OptionalDouble.of(protractor.read(caster + frameAngle, noise)),
                OptionalDouble.of(protractor.read(caster + twist + frameAngle, noise)),
                protractor.read(frameAngle, noise));
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
        var readings = new Readings(in.optional(PAD), in.optional(KNUCKLE), in.number(FRAME_ANGLE));
        return evaluate(readings, in.u(U_ANGLE))
                .map(result -> new Answer(
                        new Figures()
                                .set(CASTER_PAD, result.casterPad())
                                .set(CASTER_KNUCKLE, result.casterKnuckle())
                                .set(DISAGREEMENT, result.disagreement()),
                        () -> working(readings, result)));
    }
}
