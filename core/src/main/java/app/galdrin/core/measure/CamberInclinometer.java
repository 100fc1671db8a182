package app.galdrin.core.measure;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import app.galdrin.core.Keyed;
import app.galdrin.core.Outcome;
import app.galdrin.core.Outcome.Failure;
import app.galdrin.core.geometry.Floor;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.SteeringAxis;
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
import app.galdrin.core.uncertainty.Budget;
import app.galdrin.core.uncertainty.Estimate;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.random.RandomGenerator;

/**
 * Camber from a level or inclinometer on a straightedge across the rim (record kind {@code camber.inclinometer}), with the
 * slope of the floor taken off.
 *
 * <pre>
 * γ_read = the reading; for a gauge that shows 90 at plumb ±|90° − reading|, + where the top leans out
 * A = sin p sin t + s sin r cos t,  t = −s ψ,  u_z = √(1 − sin²p − sin²r)
 * camber γ = asin(sin γ_read / √(A² + u_z²)) + atan2(A, u_z)   rad, top outward positive
 * </pre>
 *
 * <p>A gauge zeroed across the floor has the roll in its zero, so that r = 0; meant for a wheel standing straight.
 *
 * <p>Source: [ISO8855] for camber, [PLANE] for the floor.
 */
@AutoService(RecordKind.class)
public final class CamberInclinometer implements MeasuringMethod {

    public static final String NAME = "camber.inclinometer";

    private static final WordField<Side> SIDE = WordField.of("side", Side.values());

    /** Place on the sketch, which is the field of the record. */
    public static final NumberField READING = NumberField.angle("reading", Range.NUMBER);

    private static final WordField<Reference> REFERENCE = WordField.of("reference", Reference.values());
    private static final WordField<Lean> LEAN =
            WordField.of("lean", Lean.values()).optional();
    private static final NumberField FLOOR_ROLL =
            NumberField.angle("floorRoll", Range.FLOOR).optional();
    private static final NumberField STEER =
            NumberField.angle("steer", Range.STEER).optional();
    private static final NumberField FLOOR_PITCH =
            NumberField.angle("floorPitch", Range.FLOOR).optional();
    private static final NumberField U_ANGLE =
            NumberField.angle("angle", Range.UNCERTAINTY).optional();
    private static final NumberField U_FLOOR =
            NumberField.angle("floor", Range.UNCERTAINTY).optional();
    private static final NumberField CAMBER =
            NumberField.angle("camber", Range.ALL).withDoubt();

    private static final Contract CONTRACT = new Contract(
            NAME,
            Shape.of(SIDE, READING, REFERENCE, LEAN, FLOOR_ROLL, STEER, FLOOR_PITCH)
                    .withU(U_ANGLE, U_FLOOR),
            Shape.of(CAMBER));
    private static final Sight SIGHT = Sight.of(Observables.CAMBER).assuming(Assumption.RUN_OUT_REMOVED);

    private static final List<String> PLACES = List.of(READING.name(), FLOOR_PITCH.name(), FLOOR_ROLL.name());

    private static final double RIGHT_ANGLE = Math.PI / 2;

    /** Zero that the gauge counts from. */
    public enum Reference implements Keyed {
        /** 0 at plumb, top outward positive. */
        GRAVITY("gravity", -20, 20),
        /** 90 at plumb, the same on both sides: which way the top leans must be said. */
        PLUMB_90("plumb90", 70, 110),
        /** Zeroed across the bay floor. */
        FLOOR("floor", -20, 20);

        private final String key;
        private final Range readings;

        Reference(String key, double least, double most) {
            this.key = key;
            this.readings = Range.closed(least, most);
        }

        @Override
        public String key() {
            return key;
        }
    }

    /** Direction in which the top of the wheel leans. */
    public enum Lean implements Keyed {
        IN("in", -1),
        OUT("out", 1);

        private final String key;
        private final int sign;

        Lean(String key, int sign) {
            this.key = key;
            this.sign = sign;
        }

        @Override
        public String key() {
            return key;
        }
    }

    /**
     * One reading, all angles rad.
     *
     * @param reading rad, as the gauge shows it
     * @param lean needed for {@link Reference#PLUMB_90}, else without use
     * @param floor its roll is 0 for {@link Reference#FLOOR}
     * @param steer rad, to the left positive
     */
    public record Readings(
            Side side, double reading, Reference reference, Optional<Lean> lean, Floor floor, double steer) {}

    /** The camber, rad. */
    public record Result(Estimate camber) {}

    /**
     * Works the reading.
     *
     * @param uAngle standard uncertainty of the reading, rad
     * @param uFloor standard uncertainty of pitch and of roll, rad
     */
    public static Result evaluate(Readings r, double uAngle, double uFloor) {
        var corrected = r.floor().camber(againstPlumb(r), SteeringAxis.toe(r.steer(), r.side()), r.side());
        if (uAngle == 0 && uFloor == 0) {
            return new Result(new Estimate(corrected.camber(), 0));
        }
        // |90° − reading| has the slope 1 either way, and by convention at 90° too
        double[] parts = {
            corrected.byReading() * slope(r) * uAngle, corrected.byPitch() * uFloor, corrected.byRoll() * uFloor
        };
        return new Result(new Estimate(corrected.camber(), Budget.ofInputs(parts, PLACES::get)));
    }

    /** Returns the sign of the slope of a reading against plumb. */
    private static int slope(Readings r) {
        return r.reference() == Reference.PLUMB_90
                ? (r.reading() > RIGHT_ANGLE ? 1 : -1) * r.lean().orElseThrow().sign
                : 1;
    }

    private static double againstPlumb(Readings r) {
        return r.reference() == Reference.PLUMB_90
                ? Math.abs(RIGHT_ANGLE - r.reading()) * r.lean().orElseThrow().sign
                : r.reading();
    }

    /** The steps from the reading to the camber. */
    public static List<Step> working(Readings r, Result result) {
        List<Step> steps = new ArrayList<>();
        if (r.reference() == Reference.PLUMB_90) {
            steps.add(Step.of(Formula.of(
                            "camber.inclinometer.plumb90."
                                    + r.lean().orElseThrow().key(),
                            Operation.DIFFERENCE,
                            Operation.PLUMB))
                    .with(READING, r.reading())
                    .gives("againstPlumb", READING.unit(), againstPlumb(r)));
        }
        steps.add(Step.of(Formula.of("camber.inclinometer.camber", Operation.FLOOR)
                        .movingWithFirst())
                .with("againstPlumb", READING.unit(), againstPlumb(r))
                .with(FLOOR_ROLL, r.floor().roll())
                .with(STEER, r.steer())
                .with(FLOOR_PITCH, r.floor().pitch())
                .gives(CAMBER, result.camber().value()));
        return steps;
    }

    /**
     * The forward model: what the gauge shows on a wheel of the given camber (rad).
     *
     * @param camber rad, top outward positive
     * @param reference for {@link Reference#FLOOR} the floor is taken as level across
     * @param steer rad, to the left positive
     */
    public static Readings forward(
            double camber,
            Side side,
            Reference reference,
            Floor floor,
            double steer,
            Instrument gauge,
            RandomGenerator noise) {
        Floor seen = reference == Reference.FLOOR ? new Floor(floor.pitch(), 0) : floor;
        double reading = seen.inclinometerReading(camber, SteeringAxis.toe(steer, side), side);
        if (reference != Reference.PLUMB_90) {
            return new Readings(side, gauge.read(reading, noise), reference, Optional.empty(), seen, steer);
        }
        Lean lean = reading < 0 ? Lean.IN : Lean.OUT;
        double shown = gauge.read(RIGHT_ANGLE - Math.abs(reading), noise);
        return new Readings(side, shown, reference, Optional.of(lean), seen, steer);
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
        Optional<Fault> broken = brokenRule(in);
        if (broken.isPresent()) {
            return new Failure<>(broken.get());
        }
        var readings = new Readings(
                in.word(SIDE),
                in.number(READING),
                in.word(REFERENCE),
                in.optional(LEAN),
                new Floor(in.number(FLOOR_PITCH, 0), in.number(FLOOR_ROLL, 0)),
                in.number(STEER, 0));
        Result result = evaluate(readings, in.u(U_ANGLE), in.u(U_FLOOR));
        return Outcome.of(new Answer(new Figures().set(CAMBER, result.camber()), () -> working(readings, result)));
    }

    private static Optional<Fault> brokenRule(Input in) {
        Reference reference = in.word(REFERENCE);
        if (reference == Reference.PLUMB_90 && !in.has(LEAN)) {
            return Optional.of(Fault.at(FaultCode.MISSING, LEAN.name()));
        }
        if (reference == Reference.FLOOR && in.has(FLOOR_ROLL)) {
            return Optional.of(Fault.at(FaultCode.INCONSISTENT, FLOOR_ROLL.name()));
        }
        return reference.readings.contains(in.asWritten(READING))
                ? Optional.empty()
                : Optional.of(Fault.at(FaultCode.OUT_OF_RANGE, READING.name()));
    }
}
