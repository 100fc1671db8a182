package app.galdrin.core.steering;

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

/**
 * Offset of the steering wheel on the road, from the toes with it clamped straight (record kind {@code steer.wheelOffset}): the front wheels share
 * their total toe equally about the thrust line.
 *
 * <pre>
 * road wheel = thrust angle − (front left − front right) / 2   rad
 * steering wheel = ratio · road wheel   rad, positive: sits turned to the right
 * </pre>
 *
 * <p>Source: [PLANE].
 */
@AutoService(RecordKind.class)
public final class SteerWheelOffset implements RecordKind {

    private static final NumberField FRONT_LEFT = NumberField.angle("frontLeft", Range.TOE);
    private static final NumberField FRONT_RIGHT = NumberField.angle("frontRight", Range.TOE);
    private static final NumberField THRUST_ANGLE =
            NumberField.angle("thrustAngle", Range.TOE).optional();
    private static final NumberField STEERING_RATIO = NumberField.number("steeringRatio", Range.openBelow(0, 100));
    private static final NumberField ROAD_WHEEL = NumberField.angle("roadWheel", Range.ALL);
    private static final NumberField STEERING_WHEEL = NumberField.angle("steeringWheel", Range.ALL);

    private static final Contract CONTRACT = new Contract(
            "steer.wheelOffset",
            Shape.of(FRONT_LEFT, FRONT_RIGHT, THRUST_ANGLE, STEERING_RATIO),
            Shape.of(ROAD_WHEEL, STEERING_WHEEL));

    /**
     * Toes (toe-in positive) and thrust angle (to the right positive), rad; steering-wheel over road-wheel angle.
     *
     * @param frontLeft toe, rad, toe-in positive
     * @param frontRight toe, rad, toe-in positive
     * @param thrustAngle rad, to the right positive
     * @param steeringRatio without unit, positive
     */
    public record Readings(double frontLeft, double frontRight, double thrustAngle, double steeringRatio) {}

    /**
     * Offsets of the wheels and the steering wheel, both rad, positive to the right.
     *
     * @param roadWheel rad, to the right positive
     * @param steeringWheel rad, to the right positive
     */
    public record Result(double roadWheel, double steeringWheel) {}

    /** Works the readings. */
    public static Result evaluate(Readings r) {
        double roadWheel = r.thrustAngle() - (r.frontLeft() - r.frontRight()) / 2;
        return new Result(roadWheel, r.steeringRatio() * roadWheel);
    }

    /**
     * The forward model: the toes (rad) of a vehicle whose steering wheel sits {@code steeringWheel} to the right.
     *
     * @param steeringWheel rad, to the right positive
     * @param totalToe rad, toe-in positive
     * @param thrustAngle rad, to the right positive
     * @param steeringRatio without unit, positive
     */
    public static Readings forward(double steeringWheel, double totalToe, double thrustAngle, double steeringRatio) {
        double half = thrustAngle - steeringWheel / steeringRatio;
        return new Readings(totalToe / 2 + half, totalToe / 2 - half, thrustAngle, steeringRatio);
    }

    @Override
    public Contract contract() {
        return CONTRACT;
    }

    @Override
    public Outcome<Answer> evaluate(Input in) {
        var r = new Readings(
                in.number(FRONT_LEFT), in.number(FRONT_RIGHT), in.number(THRUST_ANGLE, 0), in.number(STEERING_RATIO));
        Result result = evaluate(r);
        return Outcome.of(new Answer(
                new Figures().set(ROAD_WHEEL, result.roadWheel()).set(STEERING_WHEEL, result.steeringWheel()),
                () -> List.of(
                        Step.of("steer.wheelOffset.roadWheel")
                                .with(THRUST_ANGLE, r.thrustAngle())
                                .with(FRONT_LEFT, r.frontLeft())
                                .with(FRONT_RIGHT, r.frontRight())
                                .gives(ROAD_WHEEL, result.roadWheel()),
                        Step.of("steer.wheelOffset.steeringWheel")
                                .with(STEERING_RATIO, r.steeringRatio())
                                .with(ROAD_WHEEL, result.roadWheel())
                                .gives(STEERING_WHEEL, result.steeringWheel()))));
    }
}
