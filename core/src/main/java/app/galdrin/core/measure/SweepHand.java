package app.galdrin.core.measure;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.record.JsonObject;
import java.util.List;
import java.util.Set;

/**
 * What the trade works on paper for a caster sweep: camber out less camber in, times a factor, less the floor's pitch. The factor is
 * 1 / (2 sin θ) with θ half the angle really turned between the two, or the 1.5 of the textbooks, which is right near 20° alone.
 */
public enum SweepHand {
    FACTOR("factor"),
    ONE_AND_A_HALF("oneAndAHalf");

    /** The round figure that is taught for two times 20°. */
    public static final double TAUGHT = 1.5;

    private final String taught;

    SweepHand(String taught) {
        this.taught = taught;
    }

    /** The formulas for one wheel, the usual one first. */
    public static List<HandFormula> of(FigureId caster) {
        return List.of(FACTOR.formula(caster), ONE_AND_A_HALF.formula(caster));
    }

    private HandFormula formula(FigureId caster) {
        return new Formula(this, caster);
    }

    private record Formula(SweepHand by, FigureId figure) implements HandFormula {
        @Override
        public String taught() {
            return by.taught;
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
        public double work(JsonObject input, JsonObject result) {
            double shortcut = number(result, "shortcut", 0);
            if (by == FACTOR) {
                return Math.toRadians(shortcut);
            }
            double pitch = number(input, "floorPitch", 0);
            double difference = (shortcut + pitch) / number(result, "factor", 1);
            return Math.toRadians(TAUGHT * difference - pitch);
        }

        private static double number(JsonObject object, String name, double otherwise) {
            return object.get(name) instanceof Double number ? number : otherwise;
        }
    }
}
