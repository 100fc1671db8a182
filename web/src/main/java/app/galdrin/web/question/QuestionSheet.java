package app.galdrin.web.question;

import app.galdrin.core.question.Question;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Step;
import app.galdrin.web.baysheet.FieldView;
import app.galdrin.web.baysheet.StepSheet;
import app.galdrin.web.baysheet.StepView;
import app.galdrin.web.baysheet.WrittenSheet;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** A question on the sheet. */
@Component
class QuestionSheet implements StepSheet {

    /** A question with the fields of its answer and of its reasons. */
    public record QuestionView(Head head, String words, FieldView answer, Optional<FieldView> why)
            implements StepView {}

    @Override
    public String kind() {
        return Question.KIND;
    }

    @Override
    public boolean speaksAtOnce() {
        return true;
    }

    @Override
    public StepView view(Step step, StepView.Head head, WrittenSheet written) {
        var question = (Question) step;
        boolean isWhyAsked = !question.isText() && !question.why().isEmpty();
        return new QuestionView(
                head,
                question.words(),
                written.fields().at(LineKey.of(step.id(), Question.ANSWER)),
                isWhyAsked ? Optional.of(written.fields().at(LineKey.of(step.id(), Question.WHY))) : Optional.empty());
    }
}
