package app.galdrin.core.steering;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import app.galdrin.core.Keyed;
import app.galdrin.core.Outcome;
import app.galdrin.core.Outcome.Failure;
import app.galdrin.core.record.Answer;
import app.galdrin.core.record.Contract;
import app.galdrin.core.record.Field;
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
import app.galdrin.core.spec.Linkage;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;

/**
 * Turns of a track rod, from its thread and the steering arm or from what an earlier turn did (record kind
 * {@code adjust.turns}); the forward model is {@link TrackRod#toeAfter}.
 *
 * <pre>
 * lead = pitch, or 2 pitch for a sleeve with opposite threads   mm a turn
 * rate = + atan(lead / arm) with the linkage behind the axle, − ahead; learned: (after − before) / turns   rad of toe-in a turn
 * turns = (target − current) / rate   positive: lengthen
 * </pre>
 *
 * <p>Source: [PLANE].
 */
@AutoService(RecordKind.class)
public final class AdjustTurns implements RecordKind {

    private static final NumberField CURRENT = NumberField.angle("current", Range.TOE);
    private static final NumberField TARGET = NumberField.angle("target", Range.TOE);
    private static final NumberField PITCH =
            NumberField.length("pitch", Range.LENGTH).optional();
    private static final NumberField ARM_LENGTH =
            NumberField.length("armLength", Range.LENGTH).optional();
    private static final FlagField DOUBLE_THREAD = FlagField.of("doubleThread").optional();
    private static final WordField<Linkage> LINKAGE =
            WordField.of("linkage", Linkage.values()).optional();
    private static final NumberField BEFORE =
            NumberField.angle("before", Range.TOE).optional();
    private static final NumberField AFTER =
            NumberField.angle("after", Range.TOE).optional();
    private static final NumberField LEARNED_TURNS =
            NumberField.of("turns", FieldUnit.TURNS, Range.sized(1e-6, 1000)).optional();

    private static final NumberField RATE = NumberField.of("ratePerTurn", FieldUnit.ANGLE_PER_TURN, Range.ALL);
    private static final NumberField TURNS = NumberField.of("turns", FieldUnit.TURNS, Range.ALL);
    private static final WordField<Action> ACTION = WordField.of("action", Action.values());

    private static final Contract CONTRACT = new Contract(
            "adjust.turns",
            Shape.of(CURRENT, TARGET, PITCH, ARM_LENGTH, DOUBLE_THREAD, LINKAGE, BEFORE, AFTER, LEARNED_TURNS),
            Shape.of(RATE, TURNS, ACTION));

    private static final List<Field> THREAD_WAY = List.of(PITCH, ARM_LENGTH, DOUBLE_THREAD, LINKAGE);
    private static final List<Field> THREAD_WAY_NEEDS = List.of(PITCH, ARM_LENGTH, LINKAGE);
    private static final List<Field> LEARNED_WAY = List.of(BEFORE, AFTER, LEARNED_TURNS);

    /** Turns smaller than this are none. */
    private static final double NONE = 1e-9;

    /** Move of the rod. */
    public enum Action implements Keyed {
        LENGTHEN("lengthen"),
        SHORTEN("shorten"),
        NONE("none");

        private final String key;

        Action(String key) {
            this.key = key;
        }

        @Override
        public String key() {
            return key;
        }

        /**
         * Returns the move of turns that lengthen where positive.
         *
         * @param turns turns, positive where they lengthen
         */
        public static Action of(double turns) {
            if (Math.abs(turns) < AdjustTurns.NONE) {
                return NONE;
            }
            return turns > 0 ? LENGTHEN : SHORTEN;
        }
    }

    @Override
    public Contract contract() {
        return CONTRACT;
    }

    @Override
    public Outcome<Answer> evaluate(Input in) {
        Optional<Fault> broken = brokenRule(in);
        if (broken.isPresent()) {
            return new Failure<>(broken.get());
        }
        TrackRod rod = rod(in);
        double turns = rod.turns(less(in, TARGET, CURRENT));
        return Outcome.of(new Answer(
                new Figures().set(RATE, rod.ratePerTurn()).set(TURNS, turns).set(ACTION, Action.of(turns)),
                () -> working(in, rod, turns)));
    }

    private static Optional<Fault> brokenRule(Input in) {
        Optional<Field> learned = first(LEARNED_WAY, in, true);
        if (learned.isPresent() && first(THREAD_WAY, in, true).isPresent()) {
            return Optional.of(Fault.at(FaultCode.INCONSISTENT, learned.get().name()));
        }
        Optional<Field> lacking = first(learned.isPresent() ? LEARNED_WAY : THREAD_WAY_NEEDS, in, false);
        if (lacking.isPresent()) {
            return Optional.of(Fault.at(FaultCode.MISSING, lacking.get().name()));
        }
        return learned.isPresent() && in.asWritten(BEFORE) == in.asWritten(AFTER)
                ? Optional.of(Fault.at(FaultCode.INSUFFICIENT, AFTER.name()))
                : Optional.empty();
    }

    /** The first of these fields that is there, or the first that is not. */
    private static Optional<Field> first(List<Field> fields, Input in, boolean there) {
        for (Field field : fields) {
            if (in.has(field) == there) {
                return Optional.of(field);
            }
        }
        return Optional.empty();
    }

    private static TrackRod rod(Input in) {
        return in.has(PITCH)
                ? TrackRod.of(lead(in), in.number(ARM_LENGTH), in.word(LINKAGE))
                : TrackRod.learned(less(in, AFTER, BEFORE), in.number(LEARNED_TURNS));
    }

    /** One toe less another, rad. Subtracted as written: nearly equal ones would lose their digits on the way to radians. */
    private static double less(Input in, NumberField toe, NumberField other) {
        return toe.unit().toCore(in.asWritten(toe) - in.asWritten(other));
    }

    private static double lead(Input in) {
        return in.number(PITCH) * (in.flag(DOUBLE_THREAD, false) ? 2 : 1);
    }

    private static List<Step> working(Input in, TrackRod rod, double turns) {
        Step rate = in.has(PITCH)
                ? Step.of("adjust.turns.rate." + in.word(LINKAGE).key())
                        .with("lead", FieldUnit.LENGTH, lead(in))
                        .with(ARM_LENGTH, in.number(ARM_LENGTH))
                        .gives(RATE, rod.ratePerTurn())
                : Step.of("adjust.turns.rate.learned")
                        .with(BEFORE, in.number(BEFORE))
                        .with(AFTER, in.number(AFTER))
                        .with(LEARNED_TURNS, in.number(LEARNED_TURNS))
                        .gives(RATE, rod.ratePerTurn());
        return List.of(
                rate,
                Step.of("adjust.turns.turns")
                        .with(CURRENT, in.number(CURRENT))
                        .with(TARGET, in.number(TARGET))
                        .with(RATE, rod.ratePerTurn())
                        .gives(TURNS, turns));
    }
}
