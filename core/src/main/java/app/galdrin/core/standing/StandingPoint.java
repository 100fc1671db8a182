package app.galdrin.core.standing;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.form.FormAnswers;
import app.galdrin.core.form.FormPoint;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.task.Line;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Steering;
import java.util.List;

/** Points of standing a vehicle right, in the order in which they are done. */
public enum StandingPoint implements FormPoint {
    ROLLED_IN("rolledIn", false),
    UNDER_WHEELS("underWheels", false, "plates", "slipSheets", "blocks", "bareFloor"),
    /** Loose greased plates slip away under a driven wheel: they are fitted by jacking. */
    ONTO_PLATES("ontoPlates", false, "jacked", "driven") {
        @Override
        public Line line() {
            return super.line().unless(UNDER_WHEELS.key(), "bareFloor");
        }

        @Override
        public List<String> right(FormAnswers given) {
            return given.isAt(UNDER_WHEELS, "slipSheets") ? List.of("driven", "jacked") : List.of("jacked");
        }

        @Override
        public String remark(FormAnswers given) {
            return "platesSlip";
        }
    },
    CHOCKED("chocked", true),
    SETTLED("settled", false),
    STEERING("steeringHeld", false, "clamped", "squared", "free") {
        @Override
        public List<String> right(FormAnswers given) {
            boolean squared = given.assignment()
                    .practical()
                    .of(Measure.class)
                    .anyMatch(measure -> measure.steering() == Steering.SQUARED);
            return List.of(squared ? "squared" : "clamped");
        }
    },
    /** Brake by how the tyres are freed: on plates it keeps the wheels from rolling off, on the floor it keeps the tyres twisted. */
    BRAKE("brake", false, "on", "off", "offInGear") {
        @Override
        public List<String> right(FormAnswers given) {
            return List.of(given.isAt(UNDER_WHEELS, "bareFloor") ? "off" : "on");
        }

        @Override
        public String remark(FormAnswers given) {
            return given.isAt(UNDER_WHEELS, "bareFloor") ? "brakeOnFloor" : "brakeOnPlates";
        }
    },
    FLOOR("floorKnown", false, "surveyed", "measured", "assumed") {
        @Override
        public List<String> right(FormAnswers given) {
            BayFloor floor = given.answers().floor().orElse(given.assignment().floor());
            boolean isSurveyed = floor.origin() == BayFloor.Origin.SURVEYED;
            return List.of(isSurveyed ? "surveyed" : "measured");
        }
    },
    LOAD("loadAsSpecified", false, "asSpecified", "other") {
        @Override
        public List<String> right(FormAnswers given) {
            return List.of("asSpecified");
        }
    };

    private final String key;
    private final boolean critical;
    private final AnswerType asks;

    StandingPoint(String key, boolean critical, String... options) {
        this.key = key;
        this.critical = critical;
        this.asks =
                options.length == 0 ? new AnswerType.Tick() : new AnswerType.Choice("form." + key, List.of(options));
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
