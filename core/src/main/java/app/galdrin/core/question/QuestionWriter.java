package app.galdrin.core.question;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.simulated.Apprentice;
import app.galdrin.core.simulated.Habit;
import app.galdrin.core.simulated.HabitDraw;
import app.galdrin.core.simulated.StepWriter;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.AnswerKind;
import app.galdrin.core.task.Step;
import com.google.auto.service.AutoService;
import java.util.stream.Collectors;

/** Knows the answer, or gives another. */
@AutoService(StepWriter.class)
public final class QuestionWriter implements StepWriter {

    private static final String ANOTHER_TEXT = "–";

    @Override
    public String kind() {
        return Question.KIND;
    }

    @Override
    public void write(Step step, Apprentice apprentice, Habit habit, Truth found, Truth left) {
        var question = (Question) step;
        boolean knows = !habit.leftOut().contains(step.id());
        LineKey answer = LineKey.of(step.id(), Question.ANSWER);
        if (question.isText()) {
            apprentice.pen().write(answer, knows ? reasons(question) : ANOTHER_TEXT);
            return;
        }
        apprentice.pen().write(answer, knows ? question.right() : another(question));
        if (!question.why().isEmpty()) {
            apprentice.pen().write(LineKey.of(step.id(), Question.WHY), knows ? reasons(question) : ANOTHER_TEXT);
        }
    }

    private static String another(Question question) {
        if (question.asks() instanceof AnswerType.Choice choice) {
            return choice.options().stream()
                    .filter(option -> !option.equals(question.right()))
                    .findFirst()
                    .orElse(question.right());
        }
        var number = (AnswerType.Amount) question.asks();
        double least = AnswerKind.least(number);
        return Question.number(question.isRight(number.least()) ? AnswerKind.most(number) : least);
    }

    private static String reasons(Question question) {
        return question.why().stream().map(reason -> reason.words().get(0)).collect(Collectors.joining(", "));
    }

    @Override
    public void draw(Step step, HabitDraw draw) {
        draw.item(step.id(), false);
    }
}
