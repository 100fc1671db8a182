package app.galdrin.core.condition;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.form.FormAnswers;
import app.galdrin.core.form.FormPoint;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.spec.Stance;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Points of the condition of a vehicle besides its joints, in the order in which they are looked at. */
public enum ConditionPoint implements FormPoint {
    /** Joints shaken one by one; a vehicle says which it has. */
    JOINTS("joints", new AnswerType.Tick()),
    LOCK_OFF("lockOff", new AnswerType.Tick()),
    TYRE_SIZES("tyreSizes", new AnswerType.Choice("form.tyreSizes", List.of("same", "different"))),
    FRONT_LEFT_PRESSURE("pressure.front.left", Axle.FRONT),
    FRONT_RIGHT_PRESSURE("pressure.front.right", Axle.FRONT),
    REAR_LEFT_PRESSURE("pressure.rear.left", Axle.REAR),
    REAR_RIGHT_PRESSURE("pressure.rear.right", Axle.REAR),
    WEAR_LEFT("wear.left", wear()),
    WEAR_RIGHT("wear.right", wear()),
    FRONT_LEFT_HEIGHT("height.front.left", height()),
    FRONT_RIGHT_HEIGHT("height.front.right", height()),
    REAR_LEFT_HEIGHT("height.rear.left", height()),
    REAR_RIGHT_HEIGHT("height.rear.right", height()),
    BENT("bent", new AnswerType.ShortText(200)) {
        @Override
        public boolean isOptional() {
            return true;
        }
    };

    /** Wear patterns of a tread that can be told by eye and by hand. */
    public static final List<String> PATTERNS =
            List.of("even", "outerEdge", "innerEdge", "bothEdges", "middle", "feathered", "cupped");

    /** kPa: more than any tyre of a road vehicle holds. */
    private static final double MOST_PRESSURE = 1000;

    /** kPa by which a pressure may be off the plate: a gauge of the workshop reads to a tenth of a bar. */
    private static final double PRESSURE_WITHIN = 10;

    private static final double A_HAIR = 1e-9;

    private final String key;
    private final AnswerType asks;
    private final Optional<Axle> pressureOf;

    ConditionPoint(String key, AnswerType asks) {
        this.key = key;
        this.asks = asks;
        this.pressureOf = Optional.empty();
    }

    ConditionPoint(String key, Axle axle) {
        this.key = key;
        this.asks = new AnswerType.Amount(Quantity.PRESSURE, Unit.BAR, 0, ConditionPoint.MOST_PRESSURE);
        this.pressureOf = Optional.of(axle);
    }

    private static AnswerType wear() {
        return new AnswerType.Choice(
                "form.wear", List.of("even", "outerEdge", "innerEdge", "bothEdges", "middle", "feathered", "cupped"));
    }

    private static AnswerType height() {
        return new AnswerType.Amount(Quantity.LENGTH, Unit.MM, Stance.LEAST_HEIGHT, Stance.MOST_HEIGHT);
    }

    @Override
    public String key() {
        return key;
    }

    @Override
    public AnswerType asks() {
        return asks;
    }

    /** A pressure is right as the plate of the vehicle has it, where the task says what that is. */
    @Override
    public Evidence evidence(FormAnswers given) {
        OptionalDouble plate = plate(given);
        if (plate.isEmpty()) {
            return FormPoint.super.evidence(given);
        }
        OptionalDouble read = given.value(this);
        boolean met =
                read.isPresent() && Math.abs(read.getAsDouble() - plate.getAsDouble()) <= PRESSURE_WITHIN + A_HAIR;
        return new Evidence.Answer(key, "", given.text(this), inBar(plate.getAsDouble()), "", met ? 1 : 0)
                .remarking("pressureOff");
    }

    @Override
    public String honest(FormAnswers given) {
        OptionalDouble plate = plate(given);
        return plate.isPresent() ? inBar(plate.getAsDouble()) : FormPoint.super.honest(given);
    }

    private OptionalDouble plate(FormAnswers given) {
        return pressureOf.map(((TrainingVehicle) given.form())::plate).orElse(OptionalDouble.empty());
    }

    private static String inBar(double kilopascals) {
        return QuantityFormat.length(Unit.KILOPASCAL.convert(kilopascals, Unit.BAR)) + Unit.BAR.symbol();
    }
}
