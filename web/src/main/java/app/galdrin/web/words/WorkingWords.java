package app.galdrin.web.words;

import app.galdrin.core.procedure.paper.PrintedFigures;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.record.FieldUnit;
import app.galdrin.core.record.Step;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** The steps of a working and the sources of a doubt, as sentences; templates reach it as {@code @working}. */
@Component("working")
public class WorkingWords {

    /** The share from which one class of readings is the only one worth naming. */
    private static final double NEARLY_ALL = 0.995;

    private final Words words;

    WorkingWords(Words words) {
        this.words = words;
    }

    /**
     * One step: its formula's sentence with the numbers that go in, in their order, the number that comes out, and the numbers that go in
     * without their signs.
     */
    public String step(Step step) {
        List<Object> numbers = new ArrayList<>();
        step.in().forEach(term -> numbers.add(number(term)));
        numbers.add(result(step));
        step.in().forEach(term -> numbers.add(size(term)));
        return words.text("working." + step.formula().key(), numbers.toArray());
    }

    /**
     * A step as one line of a calculation.
     *
     * @param name of what it gives
     * @param formula with the numbers in place
     * @param result with its unit
     */
    public record Line(String name, String formula, String result) {}

    /** One step as a line of a calculation; behind the numbers that go in stand the same without their signs. */
    public Line calculation(Step step) {
        List<Object> numbers = new ArrayList<>();
        step.in().forEach(term -> numbers.add(bare(term)));
        step.in().forEach(term -> numbers.add(size(term)));
        return new Line(
                words.text("calc." + step.formula().key() + ".is"),
                words.text("calc." + step.formula().key(), numbers.toArray()),
                result(step));
    }

    /** Returns what a step gives; a total is made of the wheels as they are printed beside it. */
    private String result(Step step) {
        Step.Term out = step.out();
        var printed = PrintedFigures.result(step, words::printed);
        return number(printed.isEmpty() ? out : new Step.Term(out.name(), printed.getAsDouble(), out.unit()));
    }

    /** Writes a value in a formula, where millimetres go without saying; what comes out has its unit. */
    private String bare(Step.Term term) {
        return number(term).replace("\u00a0mm", "");
    }

    /** Returns what an instrument shows that knows no sign. */
    private String size(Step.Term term) {
        return term.unit() == FieldUnit.ANGLE ? words.angleSize(Math.abs(term.value())) : bare(term);
    }

    private String number(Step.Term term) {
        return switch (term.unit()) {
            case LENGTH -> words.length(term.value());
            case ANGLE -> words.angle(term.value());
            default -> QuantityFormat.decimal(term.inRecord(), 3, false);
        };
    }

    /** Returns what most of a doubt comes from: a group of readings or a shared source, with its share of the variance. */
    public String doubt(String group, double share) {
        String readings = source(group);
        return share >= NEARLY_ALL
                ? words.text("doubt.all", readings)
                : words.text("doubt.most", readings, Math.round(100 * share));
    }

    /** The words of a source, or of what it is one of: {@code setUp.parallel.fl} is one {@code setUp.parallel}. */
    public String source(String group) {
        for (String prefix = group;
                !prefix.isEmpty();
                prefix = prefix.substring(0, Math.max(0, prefix.lastIndexOf('.')))) {
            if (words.has("doubt." + prefix)) {
                return words.text("doubt." + prefix);
            }
        }
        return words.text("doubt.other");
    }
}
