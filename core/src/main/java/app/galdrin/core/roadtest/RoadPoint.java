package app.galdrin.core.roadtest;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.form.FormAnswers;
import app.galdrin.core.form.FormPoint;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.task.Line;
import java.util.List;

/** Points of a road test, in the order in which they are noticed. */
public enum RoadPoint implements FormPoint {
    /** Local rules say who may drive; nobody without a licence does. */
    DRIVER("driver", true, choice("driver", "licensed", "instructor", RoadPoint.NOBODY)) {
        @Override
        public Line line() {
            return super.line().calling(RoadPoint.NOBODY);
        }

        @Override
        public List<String> right(FormAnswers given) {
            return List.of("instructor", "licensed");
        }

        @Override
        public String remark(FormAnswers given) {
            return "notDriven";
        }
    },
    DIRECTIONS("bothDirections", false, new AnswerType.Tick()),
    HANDS("handsOff", false, choice("handsOff", "asRulesAllow", "notAllowed")),
    WHEEL("wheelStands", false, choice("wheelStands", "straight", "left", "right")),
    WHEEL_ANGLE("wheelAngle", false, new AnswerType.Amount(Quantity.ANGLE, Unit.DEG, 0, RoadPoint.MOST_ANGLE)) {
        @Override
        public Line line() {
            return super.line().unless(WHEEL.key(), "straight");
        }
    },
    PULL("pulls", false, choice("pulls", RoadPoint.NONE, "left", "right")),
    CROWN("crown", false, choice("crown", "follows", "stays", "notTried")) {
        @Override
        public Line line() {
            return super.line().unless(PULL.key(), RoadPoint.NONE);
        }

        @Override
        public List<String> right(FormAnswers given) {
            return List.of("follows", "stays");
        }

        @Override
        public String remark(FormAnswers given) {
            return "tryTheCrown";
        }
    },
    SHIMMY("shimmy", false, choice("shimmy", RoadPoint.NONE, "felt")),
    SELF_RETURN("selfReturn", false, choice("selfReturn", "both", "leftOnly", "rightOnly", "neither")),
    /** Judged on the driver's own observations: a pull that only follows the crown is no fault. */
    DECISION("roadDecision", true, choice("roadDecision", "handOver", "backToRound", "callInstructor")) {
        @Override
        public Line line() {
            return super.line().calling("callInstructor");
        }

        @Override
        public List<String> right(FormAnswers given) {
            if (isUnsafe(given)) {
                return List.of("callInstructor");
            }
            return isCrooked(given) ? List.of("backToRound", "callInstructor") : List.of("handOver");
        }

        @Override
        public String remark(FormAnswers given) {
            if (isUnsafe(given)) {
                return "roadUnsafe";
            }
            return isCrooked(given) ? "roadCrooked" : "roadNoFault";
        }
    };

    private static final double MOST_ANGLE = 180;
    private static final String NONE = "none";
    private static final String NOBODY = "nobody";

    /** Degrees that a steering wheel may stand off straight and nobody notices; our working value. */
    private static final double UNNOTICED = 3;

    private final String key;
    private final boolean critical;
    private final AnswerType asks;

    RoadPoint(String key, boolean critical, AnswerType asks) {
        this.key = key;
        this.critical = critical;
        this.asks = asks;
    }

    private static AnswerType choice(String key, String... options) {
        return new AnswerType.Choice("form." + key, List.of(options));
    }

    /** A wheel that shakes or does not come back is a fault that no toe mends. */
    private static boolean isUnsafe(FormAnswers given) {
        return given.isAt(SHIMMY, "felt")
                || given.text(SELF_RETURN).filter(said -> !said.equals("both")).isPresent();
    }

    private static boolean isCrooked(FormAnswers given) {
        boolean isWheelOff =
                given.text(WHEEL).filter(said -> !said.equals("straight")).isPresent()
                        && given.value(WHEEL_ANGLE).orElse(UNNOTICED + 1) > UNNOTICED;
        boolean isPulling =
                given.text(PULL).filter(said -> !said.equals(NONE)).isPresent() && !given.isAt(CROWN, "follows");
        return isWheelOff || isPulling;
    }

    @Override
    public String key() {
        return key;
    }

    @Override
    public AnswerType asks() {
        return asks;
    }

    @Override
    public boolean isCritical() {
        return critical;
    }
}
