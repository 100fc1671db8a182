package app.galdrin.core.steering;

import app.galdrin.core.Outcome;
import app.galdrin.core.measure.Instrument;
import app.galdrin.core.measure.MeasuringMethod;
import app.galdrin.core.measure.Observables;
import app.galdrin.core.measure.Sight;
import app.galdrin.core.record.Answer;
import app.galdrin.core.record.Contract;
import app.galdrin.core.record.FieldUnit;
import app.galdrin.core.record.Figures;
import app.galdrin.core.record.Input;
import app.galdrin.core.record.NumberField;
import app.galdrin.core.record.Range;
import app.galdrin.core.record.RecordKind;
import app.galdrin.core.record.Shape;
import app.galdrin.core.record.Step;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.random.RandomGenerator;

/**
 * Turn-out: how much farther the inner wheel turns than the outer, against the ideal for which all wheels roll about one point
 * (record kind {@code steer.turnOut}). Inner δi, outer δo, kingpin track w, wheelbase l:
 *
 * <pre>
 * toe-out on turn = δi − δo   rad
 * ideal outer = acot(cot δi + w / l)   rad
 * Ackermann = 100 (δi − δo) / (δi − ideal outer)   %
 * turn radius of the outer front wheel = l / sin δo   mm
 * </pre>
 *
 * <p>The ideal difference is taken as atan(k / (1 + x (x + k))), x = cot δi, k = w / l, which keeps its digits where it is small.
 *
 * <p>Source: [JAZAR].
 */
@AutoService(RecordKind.class)
public final class SteerTurnOut implements MeasuringMethod {

    public static final String NAME = "steer.turnOut";

    private static final Range TURNED = Range.closed(0.1, 80);

    /** Places on the sketch, which are the fields of the record. */
    public static final NumberField INNER = NumberField.angle("inner", TURNED);

    public static final NumberField OUTER = NumberField.angle("outer", TURNED);
    private static final NumberField KINGPIN_TRACK = NumberField.length("kingpinTrack", Range.LENGTH);
    private static final NumberField WHEELBASE = NumberField.length("wheelbase", Range.LENGTH);
    private static final NumberField TOE_OUT_ON_TURN = NumberField.angle("toeOutOnTurn", Range.ALL);
    private static final NumberField IDEAL_OUTER = NumberField.angle("idealOuter", Range.ALL);
    private static final NumberField ACKERMANN = NumberField.of("ackermann", FieldUnit.PERCENT, Range.ALL);
    private static final NumberField TURN_RADIUS = NumberField.length("turnRadius", Range.ALL);

    private static final Contract CONTRACT = new Contract(
            NAME,
            Shape.of(INNER, OUTER, KINGPIN_TRACK, WHEELBASE),
            Shape.of(TOE_OUT_ON_TURN, IDEAL_OUTER, ACKERMANN, TURN_RADIUS));
    private static final Sight SIGHT = Sight.of(Observables.TURN_OUT);

    /**
     * Readings at a lock: turn of the wheels, rad, 0.1° to 80°; lengths mm, positive.
     *
     * @param inner rad, 0.1° to 80°
     * @param outer rad, 0.1° to 80°
     * @param kingpinTrack mm, positive
     * @param wheelbase mm, positive
     */
    public record Readings(double inner, double outer, double kingpinTrack, double wheelbase) {}

    /**
     * Angles rad, {@code ackermann} percent, {@code turnRadius} mm.
     *
     * @param toeOutOnTurn rad, inner less outer
     * @param idealOuter rad
     * @param ackermann percent
     * @param turnRadius mm
     */
    public record Result(double toeOutOnTurn, double idealOuter, double ackermann, double turnRadius) {}

    /** Works the readings. */
    public static Result evaluate(Readings r) {
        double toeOut = r.inner() - r.outer();
        double ideal = idealDifference(r.inner(), r.kingpinTrack() / r.wheelbase());
        return new Result(
                toeOut,
                idealOuter(r.inner(), r.kingpinTrack() / r.wheelbase()),
                100 * toeOut / ideal,
                r.wheelbase() / Math.sin(r.outer()));
    }

    private static double idealOuter(double inner, double trackOverWheelbase) {
        return Math.atan2(1, cot(inner) + trackOverWheelbase);
    }

    private static double idealDifference(double inner, double trackOverWheelbase) {
        double x = cot(inner);
        return Math.atan(trackOverWheelbase / (1 + x * (x + trackOverWheelbase)));
    }

    private static double cot(double angle) {
        return 1 / Math.tan(angle);
    }

    /**
     * The forward model: the plates of a vehicle with this share of Ackermann (percent), its inner wheel turned so far (rad).
     *
     * @param inner rad, positive
     * @param ackermann percent
     * @param kingpinTrack mm, positive
     * @param wheelbase mm, positive
     */
    public static Readings forward(
            double inner,
            double ackermann,
            double kingpinTrack,
            double wheelbase,
            Instrument turnPlate,
            RandomGenerator noise) {
        double outer = inner - ackermann / 100 * idealDifference(inner, kingpinTrack / wheelbase);
        return new Readings(turnPlate.read(inner, noise), turnPlate.read(outer, noise), kingpinTrack, wheelbase);
    }

    private static List<Step> working(Readings r, Result result) {
        return List.of(
                Step.of("steer.turnOut.toeOut")
                        .with(INNER, r.inner())
                        .with(OUTER, r.outer())
                        .gives(TOE_OUT_ON_TURN, result.toeOutOnTurn()),
                Step.of("steer.turnOut.ideal")
                        .with(INNER, r.inner())
                        .with(KINGPIN_TRACK, r.kingpinTrack())
                        .with(WHEELBASE, r.wheelbase())
                        .gives(IDEAL_OUTER, result.idealOuter()),
                Step.of("steer.turnOut.ackermann")
                        .with(TOE_OUT_ON_TURN, result.toeOutOnTurn())
                        .with(INNER, r.inner())
                        .with(IDEAL_OUTER, result.idealOuter())
                        .gives(ACKERMANN, result.ackermann()),
                Step.of("steer.turnOut.radius")
                        .with(WHEELBASE, r.wheelbase())
                        .with(OUTER, r.outer())
                        .gives(TURN_RADIUS, result.turnRadius()));
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
        var readings = new Readings(in.number(INNER), in.number(OUTER), in.number(KINGPIN_TRACK), in.number(WHEELBASE));
        Result result = evaluate(readings);
        return Outcome.of(new Answer(
                new Figures()
                        .set(TOE_OUT_ON_TURN, result.toeOutOnTurn())
                        .set(IDEAL_OUTER, result.idealOuter())
                        .set(ACKERMANN, result.ackermann())
                        .set(TURN_RADIUS, result.turnRadius()),
                () -> working(readings, result)));
    }
}
