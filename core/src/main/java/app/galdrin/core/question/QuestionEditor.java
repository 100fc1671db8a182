package app.galdrin.core.question;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.draft.AskedAnswer;
import app.galdrin.core.draft.DraftSetting;
import app.galdrin.core.draft.FieldRefusal;
import app.galdrin.core.draft.ReasonsText;
import app.galdrin.core.draft.StepEditor;
import app.galdrin.core.task.AnswerKind;
import app.galdrin.core.task.Step;
import com.google.auto.service.AutoService;
import java.util.List;

/** Edits questions. */
@AutoService(StepEditor.class)
public final class QuestionEditor implements StepEditor {

    /** Answers that a question can ask for. */
    public static final List<AnswerKind> ASKED = List.of(AnswerKind.NUMBER, AnswerKind.CHOICE, AnswerKind.TEXT);

    private static final int AFTER_PREPARATION = 5;

    @Override
    public String kind() {
        return Question.KIND;
    }

    @Override
    public List<Addition> additions() {
        return List.of(new Addition(Question.KIND, Question.KIND, "step.question.title"));
    }

    @Override
    public Step made(Addition addition, String id) {
        return new Question(id, "", AnswerKind.TEXT.usual(), "", 0, List.of());
    }

    @Override
    public int turn(Step step) {
        return AFTER_PREPARATION;
    }

    @Override
    public Step written(Step step, String field, String part, String typed, DraftSetting setting) throws FieldRefusal {
        var q = (Question) step;
        return switch (field) {
            case "words" -> new Question(q.id(), words(typed), q.asks(), q.right(), q.allowance(), q.why());
            case "right" -> new Question(q.id(), q.words(), q.asks(), right(q, typed), q.allowance(), q.why());
            case "within" -> new Question(q.id(), q.words(), q.asks(), q.right(), within(typed), q.why());
            case "why" -> new Question(q.id(), q.words(), q.asks(), q.right(), q.allowance(), ReasonsText.typed(typed));
            case "asks" -> asking(q, asked(q.asks(), typed));
            default -> asking(q, AskedAnswer.written(q.asks(), field, typed));
        };
    }

    private static AnswerType asked(AnswerType now, String typed) throws FieldRefusal {
        AnswerType asks = AskedAnswer.written(now, "asks", typed);
        if (!ASKED.contains(AnswerKind.of(asks))) {
            throw new FieldRefusal("field.noChoice", typed);
        }
        return asks;
    }

    /** Returns the question with another answer; what is right stays where it still can be. */
    private static Question asking(Question q, AnswerType asks) {
        boolean sameKind = AnswerKind.of(asks) == AnswerKind.of(q.asks());
        String right = q.right();
        if (asks instanceof AnswerType.Amount) {
            right = sameKind ? right : Question.number(0);
        } else if (asks instanceof AnswerType.Choice choice) {
            right = choice.options().contains(right) ? right : choice.options().get(0);
        } else {
            right = "";
        }
        return new Question(q.id(), q.words(), asks, right, sameKind ? q.allowance() : 0, q.why());
    }

    private static String words(String typed) throws FieldRefusal {
        if (typed.length() > Question.LONGEST) {
            throw new FieldRefusal("bench.own.fault", typed, Question.LONGEST);
        }
        return typed;
    }

    private static String right(Question q, String typed) throws FieldRefusal {
        if (q.asks() instanceof AnswerType.Amount) {
            return Question.number(AskedAnswer.figure(typed));
        }
        if (q.asks() instanceof AnswerType.Choice choice && choice.options().contains(typed)) {
            return typed;
        }
        throw new FieldRefusal("field.noChoice", typed);
    }

    private static double within(String typed) throws FieldRefusal {
        double within = AskedAnswer.figure(typed);
        if (within < 0) {
            throw new FieldRefusal("question.within.fault", typed);
        }
        return within;
    }
}
