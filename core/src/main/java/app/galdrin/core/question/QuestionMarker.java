package app.galdrin.core.question;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.marking.AspectMarker;
import app.galdrin.core.marking.Case;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.MatchedReason;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.WrittenValue;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Step;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Marks the answer to a question, and the reasons given for it. */
@AutoService(AspectMarker.class)
public final class QuestionMarker implements AspectMarker {

    @Override
    public String kind() {
        return Question.KIND;
    }

    @Override
    public Aspect aspect() {
        return Aspect.ANSWER;
    }

    @Override
    public List<Evidence> evidence(Case sitting, Step step, Criterion criterion) {
        var question = (Question) step;
        Optional<WrittenValue> answer = sitting.answers().at(LineKey.of(step.id(), Question.ANSWER));
        List<Evidence> evidence = new ArrayList<>();
        if (question.isText()) {
            evidence.add(reasons(question, answer.map(WrittenValue::text)));
            return evidence;
        }
        evidence.add(answer(question, answer));
        if (!question.why().isEmpty()) {
            evidence.add(reasons(question, sitting.answers().text(LineKey.of(step.id(), Question.WHY))));
        }
        return evidence;
    }

    private static Evidence answer(Question question, Optional<WrittenValue> answer) {
        Optional<String> written = answer.map(WrittenValue::text);
        if (!(question.asks() instanceof AnswerType.Amount number)) {
            return Evidence.Answer.chosen(question.words(), "", written, List.of(question.right()));
        }
        boolean isRight = answer.flatMap(a -> a.value().stream().boxed().findFirst())
                .filter(question::isRight)
                .isPresent();
        String right = QuantityFormat.length(Double.parseDouble(question.right()))
                + number.defaultUnit().symbol();
        return new Evidence.Answer(question.words(), "", written, right, "", isRight ? 1 : 0);
    }

    private static Evidence reasons(Question question, Optional<String> answer) {
        return new Evidence.GivenReason(
                question.words(),
                answer,
                question.why().stream()
                        .map(reason -> new MatchedReason(
                                reason.words(), answer.filter(reason::isIn).isPresent()))
                        .toList());
    }
}
