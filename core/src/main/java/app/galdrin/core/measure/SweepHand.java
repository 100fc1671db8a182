package app.galdrin.core.measure;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.record.Input;
import app.galdrin.core.record.JsonObject;
import java.util.Arrays;
import java.util.List;
import java.util.Set;

/**
 * Formula that the trade works on paper for a caster sweep: camber out less camber in, times a factor, less the floor's pitch. The factor is
 * 1 / (2 sin θ) with θ half the angle really turned between the two; the 1.5 of the textbooks, which is right near 20° alone; or none,
 * "just subtract at full lock", which is right at 30° alone.
 */
public enum SweepHand {
    FACTOR("factor"),
    ONE_AND_A_HALF("oneAndAHalf"),
    SUBTRACT("subtract");

    /** The round figure that is taught for two times 20°. */
    public static final double TAUGHT = 1.5;

    private final String taught;

    SweepHand(String taught) {
        this.taught = taught;
    }

    /** Returns those of a sweep on plates, the usual one first. */
    public static List<SweepHand> forSweep() {
        return List.of(FACTOR, ONE_AND_A_HALF);
    }

    /** Returns those of a sweep from lock to lock, the usual one first. */
    public static List<SweepHand> forLocks() {
        return List.of(SUBTRACT, FACTOR);
    }

    /** The formula for one wheel's caster. */
    public HandFormula formula(FigureId caster) {
        return new Formula(this, caster);
    }

    /**
     * Returns the factor on the difference of the two cambers in the taught working, without unit.
     *
     * @param exact 1 / (2 sin θ), without unit, which any other working takes too
     */
    public static double factor(String taught, double exact) {
        return Arrays.stream(values())
                .filter(hand -> hand.taught.equals(taught))
                .findFirst()
                .orElse(FACTOR)
                .factor(exact);
    }

    /**
     * Returns the factor on the difference of the two cambers, without unit; {@code exact} is 1 / (2 sin θ).
     *
     * @param exact 1 / (2 sin θ), without unit, which any other working takes too
     */
    private double factor(double exact) {
        return switch (this) {
            case FACTOR -> exact;
            case ONE_AND_A_HALF -> TAUGHT;
            case SUBTRACT -> 1;
        };
    }

    private record Formula(SweepHand hand, FigureId figure) implements HandFormula {
        @Override
        public String taught() {
            return hand.taught;
        }

        @Override
        public Set<String> leavesOut() {
            return Set.of("floorRoll", "kpi");
        }

        @Override
        public String path() {
            return "shortcut";
        }

        @Override
        public double work(Input input, JsonObject result) {
            double shortcut = number(result, "shortcut", 0);
            double pitch = input.asWritten(CasterSweep.FLOOR_PITCH, 0);
            double exact = number(result, "factor", 1);
            return Quantity.ANGLE.toCore((shortcut + pitch) / exact * hand.factor(exact) - pitch);
        }

        private static double number(JsonObject object, String name, double otherwise) {
            return object.get(name) instanceof Double number ? number : otherwise;
        }
    }
}
