package app.galdrin.core.measure;

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
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.random.RandomGenerator;

/**
 * Setback: the distance by which one front wheel stands behind the other, from the wheelbase of each side (record kind {@code axle.setback}).
 *
 * <pre>
 * setback = wheelbase left − wheelbase right   mm, positive: the right front wheel stands back
 * angle = atan(setback / track)   rad
 * </pre>
 *
 * <p>Source: [PLANE].
 */
@AutoService(RecordKind.class)
public final class AxleSetback implements MeasuringMethod {

    public static final String NAME = "axle.setback";

    /** Places on the sketch, which are the fields of the record. */
    public static final NumberField WHEELBASE_LEFT = NumberField.length("wheelbaseLeft", Range.LENGTH);

    public static final NumberField WHEELBASE_RIGHT = NumberField.length("wheelbaseRight", Range.LENGTH);
    private static final NumberField TRACK = NumberField.length("track", Range.LENGTH);
    private static final NumberField SETBACK = NumberField.length("setback", Range.ALL);
    private static final NumberField ANGLE = NumberField.angle("angle", Range.ALL);

    private static final Contract CONTRACT =
            new Contract(NAME, Shape.of(WHEELBASE_LEFT, WHEELBASE_RIGHT, TRACK), Shape.of(SETBACK, ANGLE));
    private static final Sight SIGHT = Sight.of(Observables.SETBACK);

    /**
     * All mm, positive.
     *
     * @param wheelbaseLeft mm, positive
     * @param wheelbaseRight mm, positive
     * @param track mm, positive
     */
    public record Readings(double wheelbaseLeft, double wheelbaseRight, double track) {}

    /**
     * {@code setback} mm, {@code angle} rad.
     *
     * @param setback mm, the right wheel standing back positive
     * @param angle rad, likewise
     */
    public record Result(double setback, double angle) {}

    public static Result evaluate(Readings r) {
        double setback = r.wheelbaseLeft() - r.wheelbaseRight();
        return new Result(setback, Math.atan(setback / r.track()));
    }

    /**
     * The forward model.
     *
     * @param angle of the front axle, rad, positive where the right wheel stands back
     * @param wheelbase at the middle, mm
     * @param track mm, positive
     */
    public static Readings forward(
            double angle, double wheelbase, double track, Instrument tape, RandomGenerator noise) {
        double half = track * Math.tan(angle) / 2;
        return new Readings(tape.read(wheelbase + half, noise), tape.read(wheelbase - half, noise), track);
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
        var readings = new Readings(in.number(WHEELBASE_LEFT), in.number(WHEELBASE_RIGHT), in.number(TRACK));
        Result result = evaluate(readings);
        return Outcome.of(new Answer(
                new Figures().set(SETBACK, result.setback()).set(ANGLE, result.angle()),
                () -> List.of(
                        Step.of("axle.setback.setback")
                                .with(WHEELBASE_LEFT, readings.wheelbaseLeft())
                                .with(WHEELBASE_RIGHT, readings.wheelbaseRight())
                                .gives(SETBACK, result.setback()),
                        Step.of("axle.setback.angle")
                                .with(SETBACK, result.setback())
                                .with(TRACK, readings.track())
                                .gives(ANGLE, result.angle()))));
    }
}
