package app.galdrin.core.form;

import app.galdrin.core.Keyed;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.WrittenValue;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Line;
import app.galdrin.core.task.Step;
import java.util.Optional;
import java.util.OptionalDouble;

/** Answers of a form, on its vehicle, while they are marked; a point is named by its key. */
public record FormAnswers(Step form, Assignment assignment, Answers answers) {

    /** Returns what stands at a point, as written. */
    public Optional<String> text(Keyed point) {
        return answers.text(LineKey.of(form.id(), point.key()));
    }

    /** Returns whether an answer stands at a point. */
    public boolean isAt(Keyed point, String answer) {
        return text(point).filter(answer::equals).isPresent();
    }

    /** Returns the number that stands at a point, in the unit of documents; empty where none does. */
    public OptionalDouble value(Keyed point) {
        return answers.at(LineKey.of(form.id(), point.key()))
                .map(WrittenValue::value)
                .orElse(OptionalDouble.empty());
    }

    /** Returns whether another answer leaves nothing to write on a line. */
    boolean isNeedless(Line line) {
        Optional<Line.Needless> needless = line.needless();
        return needless.isPresent()
                && answers.text(LineKey.of(form.id(), needless.get().line()))
                        .filter(needless.get().answer()::equals)
                        .isPresent();
    }
}
