package app.galdrin.core.question;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.AnswerKind;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Line;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Reason;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.StepKind;
import app.galdrin.core.task.TaskFaultCode;
import app.galdrin.core.task.TaskFaults;
import com.google.auto.service.AutoService;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.core.JsonGenerator;

/**
 * A question, with the answer that is right.
 *
 * @param words the question, 1 to {@value #LONGEST} characters
 * @param asks the answer that is written: a number, one of several or a short text
 * @param right the right number in the unit asked, or the right one of several; empty of a text
 * @param allowance how far a number may be off, in the unit asked, 0 or more
 * @param why reasons asked for: of a text they are the answer, else they are written on a line of their own
 */
public record Question(String id, String words, AnswerType asks, String right, double allowance, List<Reason> why)
        implements Step {

    public static final String KIND = "question";

    /** Line of the answer. */
    public static final String ANSWER = "answer";

    /** Line of the reasons. */
    public static final String WHY = "why";

    public static final int LONGEST = 300;

    private static final int MARKS = 5;
    private static final double ROUNDING = 1e-9;

    public Question {
        why = List.copyOf(why);
    }

    /** Returns whether the reasons are the answer. */
    public boolean isText() {
        return asks instanceof AnswerType.ShortText;
    }

    /**
     * Returns whether a number is near enough to the right one.
     *
     * @param written in the unit of documents
     */
    public boolean isRight(double written) {
        var number = (AnswerType.Amount) asks;
        double factor = number.defaultUnit().factor();
        return Math.abs(written / factor - Double.parseDouble(right)) <= allowance + ROUNDING;
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public List<Line> lines(SpecificationSheet sheet) {
        Line answer = Line.of(ANSWER, asks);
        return why.isEmpty() || isText()
                ? List.of(answer)
                : List.of(answer, Line.of(WHY, new AnswerType.ShortText(Reason.LONGEST_ANSWER)));
    }

    @Override
    public Set<Aspect> aspects() {
        return EnumSet.of(Aspect.ANSWER);
    }

    @Override
    public Criterion usualCriterion(Aspect aspect, Assignment assignment) {
        return new Criterion(new Criterion.Id(id, aspect), MARKS, false, Map.of());
    }

    @Override
    public void check(Practical practical, String at, TaskFaults faults) {
        if (words.isEmpty()) {
            faults.add(at + ".words", TaskFaultCode.MISSING, "");
        }
        if (asks instanceof AnswerType.Choice choice && !choice.options().contains(right)) {
            faults.add(at + ".right", TaskFaultCode.MISSING, right);
        }
        if (isText() && why.isEmpty()) {
            faults.add(at + ".why", TaskFaultCode.MISSING, "");
        }
    }

    @Override
    public void write(JsonGenerator json) {
        if (!words.isEmpty()) {
            json.writeStringProperty("words", words);
        }
        AnswerKind.write(json, asks);
        if (asks instanceof AnswerType.Amount) {
            json.writeNumberProperty("right", Double.parseDouble(right));
            json.writeNumberProperty("within", allowance);
        } else if (!right.isEmpty()) {
            json.writeStringProperty("right", right);
        }
        if (!why.isEmpty()) {
            Reason.write(json, why);
        }
    }

    private static Question read(String id, JsonObject json, TaskFaults faults) {
        faults.only(json, Set.of("id", "kind", "words", "asks", "right", "within", "why"));
        AnswerType asks = AnswerKind.read(json, faults);
        boolean number = asks instanceof AnswerType.Amount;
        if (asks instanceof AnswerType.Tick) {
            faults.unknown("asks", AnswerKind.TICK.key());
        }
        String right = number
                ? number(faults.between(json, "right", -AnswerKind.GREATEST, AnswerKind.GREATEST)
                        .orElse(0))
                : json.has("right") ? faults.text(json, "right", AnswerType.LONGEST) : "";
        return new Question(
                id,
                json.has("words") ? faults.text(json, "words", LONGEST) : "",
                asks,
                right,
                number ? faults.between(json, "within", 0, AnswerKind.GREATEST).orElse(0) : 0,
                json.has("why") ? Reason.read(json, faults) : List.of());
    }

    /**
     * Returns a number as it stands in {@link #right}.
     *
     * @param value in the unit asked
     */
    static String number(double value) {
        return BigDecimal.valueOf(value)
                .setScale(2, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }

    /** Kind in documents. */
    @AutoService(StepKind.class)
    public static final class Kind extends StepKind {
        public Kind() {
            super(KIND, Question::read);
        }
    }
}
