package app.galdrin.web.task.internal;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.FrontDatum;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.OutcomeSchool;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Round;
import app.galdrin.web.layout.KeyOf;
import app.galdrin.web.layout.Sentence;
import app.galdrin.web.layout.WholeNumberWithin;
import app.galdrin.web.layout.Words;
import jakarta.validation.ConstraintViolation;
import jakarta.validation.Path;
import jakarta.validation.Validator;
import jakarta.validation.constraints.Size;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.util.MultiValueMap;

/**
 * The task bench's form as it was typed: what each field may hold by itself. Whether all of it makes a practical is for
 * {@link Practical#faults()}, and the width of a band for its figure. A field left empty takes the default; those of a step or a
 * criterion are named by what they are and its id, {@code repeats.camber}.
 */
record BenchFields(
        @Size(max = Practical.LONGEST_TITLE, message = "bench.title.long")
        String title,

        @KeyOf(TaskStart.class) String start,
        @KeyOf(OrderSchool.class) String school,
        @KeyOf(DecisionRule.class) String rule,
        @KeyOf(Mode.class) String mode,
        @KeyOf(OutcomeSchool.class) String outcome,
        @KeyOf(FrontDatum.class) String frontsTo,
        @KeyOf(AnswerUnit.class) String unit,

        @WholeNumberWithin(least = 1, most = Practical.MOST_MINUTES)
        String minutes,

        @WholeNumberWithin(least = 0, most = 100) String slipKeeps,
        String grades,
        Map<String, @WholeNumberWithin(least = 1, most = Practical.MOST_REPEATS) String> repeats,
        Map<String, @WholeNumberWithin(least = 1, most = Practical.MOST_ROUNDS) String> most,
        Map<String, @WholeNumberWithin(least = Round.LEAST_AIM, most = Round.INSIDE) String> aim,
        Map<String, @WholeNumberWithin(least = 0, most = Criterion.MOST_MARKS) String> marks,
        Map<String, String> band) {

    static BenchFields of(MultiValueMap<String, String> typed) {
        return new BenchFields(
                text(typed, "title"),
                text(typed, "start"),
                text(typed, "school"),
                text(typed, "rule"),
                text(typed, "mode"),
                text(typed, "outcome"),
                text(typed, "frontsTo"),
                text(typed, "unit"),
                text(typed, "minutes"),
                text(typed, "slipKeeps"),
                text(typed, "grades"),
                under(typed, "repeats."),
                under(typed, "most."),
                under(typed, "aim."),
                under(typed, "marks."),
                under(typed, "band."));
    }

    static String text(MultiValueMap<String, String> typed, String field) {
        String value = typed.getFirst(field);
        return value == null ? "" : value.strip();
    }

    private static Map<String, String> under(MultiValueMap<String, String> typed, String prefix) {
        Map<String, String> fields = new LinkedHashMap<>();
        typed.keySet().stream()
                .filter(field -> field.startsWith(prefix))
                .forEach(field -> fields.put(field.substring(prefix.length()), text(typed, field)));
        return fields;
    }

    /** What no field may hold, by the name of the field. */
    Map<String, Sentence> faults(Validator validator) {
        Map<String, Sentence> faults = new LinkedHashMap<>();
        validator.validate(this).forEach(violation -> faults.put(field(violation.getPropertyPath()), said(violation)));
        return faults;
    }

    private static String field(Path path) {
        String name = "";
        for (Path.Node node : path) {
            name = node.getKey() == null ? name.isEmpty() ? node.getName() : name : name + "." + node.getKey();
        }
        return name;
    }

    private static Sentence said(ConstraintViolation<BenchFields> violation) {
        Map<String, Object> limits = violation.getConstraintDescriptor().getAttributes();
        return Sentence.of(
                violation.getMessageTemplate(),
                Words.quote(String.valueOf(violation.getInvalidValue())),
                limits.getOrDefault("least", 0),
                limits.getOrDefault("most", limits.getOrDefault("max", 0)));
    }
}
