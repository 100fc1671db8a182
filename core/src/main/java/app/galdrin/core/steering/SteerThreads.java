package app.galdrin.core.steering;

import app.galdrin.core.Keyed;
import app.galdrin.core.Outcome;
import app.galdrin.core.figure.Tolerance;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.measure.Assumption;
import app.galdrin.core.measure.Instrument;
import app.galdrin.core.measure.MeasuringMethod;
import app.galdrin.core.measure.Observables;
import app.galdrin.core.measure.Sight;
import app.galdrin.core.record.Answer;
import app.galdrin.core.record.Contract;
import app.galdrin.core.record.FieldUnit;
import app.galdrin.core.record.Figures;
import app.galdrin.core.record.FlagField;
import app.galdrin.core.record.Input;
import app.galdrin.core.record.NumberField;
import app.galdrin.core.record.Range;
import app.galdrin.core.record.RecordKind;
import app.galdrin.core.record.Shape;
import app.galdrin.core.record.Step;
import app.galdrin.core.record.WordField;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.random.RandomGenerator;

/**
 * Exposed track-rod threads with the road wheels straight: the rods are even when both show the same (record kind
 * {@code steer.threads}).
 *
 * <pre>
 * difference = left − right   mm; move each = |difference| / 2   mm; turns each = move each / pitch
 * a part is suspect where |difference| &gt; limit
 * </pre>
 *
 * <p>The side with more thread showing stands longer now and is made shorter, the other longer by as much.
 *
 * <p>Source: [PLANE].
 */
@AutoService(RecordKind.class)
public final class SteerThreads implements MeasuringMethod {

    /** Places on the sketch, which are the fields of the record. */
    public static final NumberField LEFT = NumberField.length("left", Range.GAP);

    public static final NumberField RIGHT = NumberField.length("right", Range.GAP);
    private static final NumberField PITCH =
            NumberField.length("pitch", Range.LENGTH).optional();
    private static final NumberField LIMIT =
            NumberField.length("limit", Range.GAP).optional();
    private static final NumberField DIFFERENCE = NumberField.length("difference", Range.ALL);
    private static final NumberField MOVE_EACH = NumberField.length("moveEach", Range.ALL);
    private static final WordField<Move> LONGER = WordField.of("longer", Move.values());
    private static final WordField<Move> SHORTER = WordField.of("shorter", Move.values());
    private static final NumberField TURNS_EACH =
            NumberField.of("turnsEach", FieldUnit.TURNS, Range.ALL).optional();
    private static final FlagField SUSPECT_PART = FlagField.of("suspectPart").optional();

    private static final Contract CONTRACT = new Contract(
            "steer.threads",
            Shape.of(LEFT, RIGHT, PITCH, LIMIT),
            Shape.of(DIFFERENCE, MOVE_EACH, LONGER, SHORTER, TURNS_EACH, SUSPECT_PART));
    private static final Sight SIGHT = Sight.of(Observables.RACK_POSITION).assuming(Assumption.WHEELS_STRAIGHT);

    /** A side to move, or none. */
    private enum Move implements Keyed {
        LEFT("left"),
        RIGHT("right"),
        NONE("none");

        private final String key;

        Move(String key) {
            this.key = key;
        }

        @Override
        public String key() {
            return key;
        }

        static Move of(Optional<Side> side) {
            return side.map(s -> s == Side.LEFT ? LEFT : RIGHT).orElse(NONE);
        }
    }

    /**
     * All mm.
     *
     * @param left exposed thread, mm
     * @param right exposed thread, mm
     * @param pitch mm, positive
     * @param limit mm, 0 or more
     */
    public record Readings(double left, double right, OptionalDouble pitch, OptionalDouble limit) {}

    /**
     * Move that follows from the threads.
     *
     * @param difference left − right, mm
     * @param moveEach what each rod is moved, mm, 0 or more
     * @param longerNow the side whose rod stands longer; empty where both are even
     * @param turnsEach turns, 0 or more; empty where the pitch is not known
     */
    public record Result(
            double difference,
            double moveEach,
            Optional<Side> longerNow,
            OptionalDouble turnsEach,
            Optional<Boolean> suspectPart) {}

    /** Works the readings. */
    public static Result evaluate(Readings r) {
        double difference = r.left() - r.right();
        double size = Math.abs(difference);
        return new Result(
                difference,
                size / 2,
                Tolerance.ROUNDING.atMost(size, 0)
                        ? Optional.empty()
                        : Optional.of(difference > 0 ? Side.LEFT : Side.RIGHT),
                r.pitch().isPresent() ? OptionalDouble.of(size / 2 / r.pitch().getAsDouble()) : OptionalDouble.empty(),
                r.limit().isPresent()
                        ? Optional.of(!Tolerance.ROUNDING.atMost(size, r.limit().getAsDouble()))
                        : Optional.empty());
    }

    /**
     * The forward model: the threads (mm) of rods that show {@code mean} when even and are off by {@code difference}.
     *
     * @param difference left less right, mm
     * @param mean what both show when even, mm
     * @param pitch mm, positive
     * @param limit mm, 0 or more
     */
    public static Readings forward(
            double difference, double mean, double pitch, double limit, Instrument calliper, RandomGenerator noise) {
        return new Readings(
                calliper.read(mean + difference / 2, noise),
                calliper.read(mean - difference / 2, noise),
                OptionalDouble.of(pitch),
                OptionalDouble.of(limit));
    }

    private static List<Step> working(Readings r, Result result) {
        List<Step> steps = new ArrayList<>();
        steps.add(Step.of("steer.threads.difference")
                .with(LEFT, r.left())
                .with(RIGHT, r.right())
                .gives(DIFFERENCE, result.difference()));
        steps.add(Step.of("steer.threads.moveEach")
                .with(DIFFERENCE, result.difference())
                .gives(MOVE_EACH, result.moveEach()));
        result.turnsEach()
                .ifPresent(turns -> steps.add(Step.of("steer.threads.turnsEach")
                        .with(MOVE_EACH, result.moveEach())
                        .with(PITCH, r.pitch().orElseThrow())
                        .gives(TURNS_EACH, turns)));
        return steps;
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
        var readings = new Readings(in.number(LEFT), in.number(RIGHT), in.optional(PITCH), in.optional(LIMIT));
        Result result = evaluate(readings);
        var figures = new Figures()
                .set(DIFFERENCE, result.difference())
                .set(MOVE_EACH, result.moveEach())
                .set(LONGER, Move.of(result.longerNow().map(Side::other)))
                .set(SHORTER, Move.of(result.longerNow()))
                .set(TURNS_EACH, result.turnsEach());
        result.suspectPart().ifPresent(suspect -> figures.set(SUSPECT_PART, suspect));
        return Outcome.of(new Answer(figures, () -> working(readings, result)));
    }
}
