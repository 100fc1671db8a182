package app.galdrin.web.question;

import app.galdrin.core.draft.ReasonsText;
import app.galdrin.core.question.Question;
import app.galdrin.core.question.QuestionEditor;
import app.galdrin.core.task.Step;
import app.galdrin.web.task.AskedView;
import app.galdrin.web.task.BenchDraft;
import app.galdrin.web.task.StepBench;
import org.springframework.stereotype.Component;

/** A question on the bench. */
@Component
class QuestionBench implements StepBench {

    /**
     * A question as it is edited.
     *
     * @param why its reasons as they are typed
     */
    public record QuestionRow(AskedView asked, String why) {}

    @Override
    public String kind() {
        return Question.KIND;
    }

    @Override
    public Object view(Step step, BenchDraft draft) {
        var question = (Question) step;
        return new QuestionRow(AskedView.of(question.asks(), QuestionEditor.ASKED), ReasonsText.write(question.why()));
    }
}
