package app.galdrin.core.condition;

import app.galdrin.core.Keyed;
import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.form.FormAnswers;
import app.galdrin.core.form.FormPoint;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.task.Line;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** One joint of one side. A joint with play calls the instructor, and nothing is adjusted until the call is answered. */
public record JointPoint(Joint joint, Side side) implements FormPoint {

    static final String TIGHT = "tight";
    public static final String PLAY = "play";

    /** Returns every joint on both sides. */
    public static List<JointPoint> all() {
        return Stream.of(Joint.values())
                .flatMap(joint -> Stream.of(Side.values()).map(side -> new JointPoint(joint, side)))
                .toList();
    }

    /** Returns the joint of a key such as {@code rodEnd.left}. */
    public static Optional<JointPoint> named(String key) {
        return Keyed.find(all(), key);
    }

    @Override
    public String key() {
        return joint.key() + "." + side.key();
    }

    @Override
    public AnswerType asks() {
        return new AnswerType.Choice("form.joint", List.of(TIGHT, PLAY));
    }

    @Override
    public Line line() {
        return Line.of(key(), asks()).calling(PLAY);
    }

    @Override
    public List<String> right(FormAnswers given) {
        return List.of(((TrainingVehicle) given.form()).hasPlay(key()) ? PLAY : TIGHT);
    }

    @Override
    public String remark(FormAnswers given) {
        return ((TrainingVehicle) given.form()).hasPlay(key()) ? "playMissed" : "playImagined";
    }
}
