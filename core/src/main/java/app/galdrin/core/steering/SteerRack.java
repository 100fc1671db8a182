package app.galdrin.core.steering;

import app.galdrin.core.FaultCode;
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
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.random.RandomGenerator;

/**
 * Distance of a steering rack from its centre (record kind {@code steer.rack}).
 *
 * <pre>
 * offset = (left − right) / 2   mm, positive: the rack stands to the left
 * steering-wheel turns to centre it = |offset| / travel a turn
 * lock imbalance = (locks left − locks right) / 2; lock to lock = their sum   turns
 * </pre>
 *
 * <p>Source: [PLANE].
 */
@AutoService(RecordKind.class)
public final class SteerRack implements MeasuringMethod {

    /** Places on the sketch, which are the fields of the record. */
    public static final NumberField LEFT = NumberField.length("left", Range.GAP);

    public static final NumberField RIGHT = NumberField.length("right", Range.GAP);
    private static final NumberField TRAVEL_PER_TURN =
            NumberField.length("travelPerTurn", Range.LENGTH).optional();
    private static final NumberField LOCKS_LEFT = locks("locksLeft");
    private static final NumberField LOCKS_RIGHT = locks("locksRight");
    private static final NumberField OFFSET = NumberField.length("offset", Range.ALL);
    private static final NumberField WHEEL_TURNS = turns("wheelTurns");
    private static final NumberField LOCK_IMBALANCE = turns("lockImbalance");
    private static final NumberField LOCK_TO_LOCK = turns("lockToLock");

    private static final Contract CONTRACT = new Contract(
            "steer.rack",
            Shape.of(LEFT, RIGHT, TRAVEL_PER_TURN, LOCKS_LEFT, LOCKS_RIGHT),
            Shape.of(OFFSET, WHEEL_TURNS, LOCK_IMBALANCE, LOCK_TO_LOCK));
    private static final Sight SIGHT = Sight.of(Observables.RACK_POSITION);

    private static NumberField locks(String name) {
        return NumberField.of(name, FieldUnit.TURNS, Range.closed(0, 100)).optional();
    }

    private static NumberField turns(String name) {
        return NumberField.of(name, FieldUnit.TURNS, Range.ALL).optional();
    }

    /**
     * Steering-wheel turns from centre to each lock.
     *
     * @param left turns of the steering wheel from the centre, positive
     * @param right turns of the steering wheel from the centre, positive
     */
    public record Locks(double left, double right) {

        double imbalance() {
            return (left - right) / 2;
        }

        double lockToLock() {
            return left + right;
        }
    }

    /**
     * Distances from the housing face to the inner joint, mm; travel of the rack in one turn of the steering wheel, mm.
     *
     * @param left from the housing face to the inner joint, mm
     * @param right from the housing face to the inner joint, mm
     * @param travelPerTurn travel of the rack in one turn of the steering wheel, mm, positive
     */
    public record Readings(double left, double right, OptionalDouble travelPerTurn, Optional<Locks> locks) {}

    /**
     * {@code offset} mm, the others turns of the steering wheel.
     *
     * @param offset mm, the rack standing to the left positive
     * @param wheelTurns turns of the steering wheel that centre it, 0 or more
     * @param lockImbalance half of the turns to the left lock less those to the right
     * @param lockToLock turns
     */
    public record Result(
            double offset, OptionalDouble wheelTurns, OptionalDouble lockImbalance, OptionalDouble lockToLock) {}

    /** Works the readings. */
    public static Result evaluate(Readings r) {
        double offset = (r.left() - r.right()) / 2;
        return new Result(
                offset,
                r.travelPerTurn().isPresent()
                        ? OptionalDouble.of(Math.abs(offset) / r.travelPerTurn().getAsDouble())
                        : OptionalDouble.empty(),
                r.locks().isPresent() ? OptionalDouble.of(r.locks().get().imbalance()) : OptionalDouble.empty(),
                r.locks().isPresent() ? OptionalDouble.of(r.locks().get().lockToLock()) : OptionalDouble.empty());
    }

    /**
     * The forward model: what a rack that stands {@code offset} mm to the left shows, {@code mean} mm where it is centred.
     *
     * @param offset mm, the rack standing to the left positive
     * @param mean what both sides show where it is centred, mm
     * @param travelPerTurn mm, positive
     */
    public static Readings forward(
            double offset, double mean, double travelPerTurn, Locks locks, Instrument calliper, RandomGenerator noise) {
        return new Readings(
                calliper.read(mean + offset, noise),
                calliper.read(mean - offset, noise),
                OptionalDouble.of(travelPerTurn),
                Optional.of(locks));
    }

    private static List<Step> working(Readings r, Result result) {
        List<Step> steps = new ArrayList<>();
        steps.add(Step.of("steer.rack.offset")
                .with(LEFT, r.left())
                .with(RIGHT, r.right())
                .gives(OFFSET, result.offset()));
        result.wheelTurns()
                .ifPresent(turns -> steps.add(Step.of("steer.rack.wheelTurns")
                        .with(OFFSET, result.offset())
                        .with(TRAVEL_PER_TURN, r.travelPerTurn().orElseThrow())
                        .gives(WHEEL_TURNS, turns)));
        r.locks().ifPresent(locks -> {
            steps.add(ofLocks("steer.rack.lockImbalance", locks)
                    .gives(LOCK_IMBALANCE, result.lockImbalance().orElseThrow()));
            steps.add(ofLocks("steer.rack.lockToLock", locks)
                    .gives(LOCK_TO_LOCK, result.lockToLock().orElseThrow()));
        });
        return steps;
    }

    private static Step.Builder ofLocks(String formula, Locks locks) {
        return Step.of(formula).with(LOCKS_LEFT, locks.left()).with(LOCKS_RIGHT, locks.right());
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
        if (in.has(LOCKS_LEFT) != in.has(LOCKS_RIGHT)) {
            return Outcome.fault(FaultCode.MISSING, (in.has(LOCKS_LEFT) ? LOCKS_RIGHT : LOCKS_LEFT).name());
        }
        Optional<Locks> locks = in.has(LOCKS_LEFT)
                ? Optional.of(new Locks(in.number(LOCKS_LEFT), in.number(LOCKS_RIGHT)))
                : Optional.empty();
        var readings = new Readings(in.number(LEFT), in.number(RIGHT), in.optional(TRAVEL_PER_TURN), locks);
        Result result = evaluate(readings);
        return Outcome.of(new Answer(
                new Figures()
                        .set(OFFSET, result.offset())
                        .set(WHEEL_TURNS, result.wheelTurns())
                        .set(LOCK_IMBALANCE, result.lockImbalance())
                        .set(LOCK_TO_LOCK, result.lockToLock()),
                () -> working(readings, result)));
    }
}
