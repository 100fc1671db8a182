package app.galdrin.core.form;

import app.galdrin.core.Keyed;
import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.task.AnswerKind;
import app.galdrin.core.task.Line;
import java.util.List;
import java.util.Optional;

/** Point of a form. Its key is the id of its line and the end of its message keys. */
public interface FormPoint extends Keyed {

    /** Returns what is written there. */
    AnswerType asks();

    /** Returns whether somebody can be hurt without it. */
    default boolean isCritical() {
        return false;
    }

    /** Returns whether it may be left empty; it earns no marks then. */
    default boolean isOptional() {
        return false;
    }

    /** Returns its line. */
    default Line line() {
        Line line = Line.of(key(), asks()).guarding(isCritical(), false);
        return isOptional() ? line.optionally() : line;
    }

    /** Returns the answers that are right by what else is known, the usual one first; empty where whatever is written counts as done. */
    default List<String> right(FormAnswers given) {
        return List.of();
    }

    /** Returns the key of what there is to say of a wrong answer; empty where nothing is. */
    default String remark(FormAnswers given) {
        return "";
    }

    /** Returns what its marks rest on. */
    default Evidence evidence(FormAnswers given) {
        Optional<String> written = given.text(this);
        List<String> right = right(given);
        if (right.isEmpty()) {
            return new Evidence.Item(key(), written.isPresent(), Optional.empty());
        }
        String family = asks() instanceof AnswerType.Choice choice ? choice.words() : "";
        return Evidence.Answer.chosen(key(), family, written, right).remarking(remark(given));
    }

    /** Returns an answer of somebody who knows. */
    default String honest(FormAnswers given) {
        List<String> right = right(given);
        if (!right.isEmpty()) {
            return right.get(0);
        }
        return asks() instanceof AnswerType.Choice choice ? choice.options().get(0) : AnswerKind.example(asks());
    }
}
