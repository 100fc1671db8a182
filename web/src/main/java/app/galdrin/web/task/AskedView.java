package app.galdrin.web.task;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.task.AnswerKind;
import java.util.List;

/**
 * Answer that a task asks for in its own words, as the bench edits it; its fragment is {@code asks} in {@code task/parts.html}.
 *
 * @param kind key of what is asked
 * @param kinds keys of all that can be asked
 * @param unit key of the unit of a number; empty of anything else
 * @param least smallest number that can be right, likewise
 * @param most greatest number that can be right, likewise
 * @param options answers to choose from, as they are typed; empty of anything else
 */
public record AskedView(String kind, List<String> kinds, String unit, String least, String most, List<String> options) {

    /** Makes the view of an answer among those that can be asked. */
    public static AskedView of(AnswerType asks, List<AnswerKind> kinds) {
        List<String> keys = kinds.stream().map(AnswerKind::key).toList();
        String kind = AnswerKind.of(asks).key();
        if (asks instanceof AnswerType.Amount number) {
            return new AskedView(
                    kind,
                    keys,
                    number.defaultUnit().key(),
                    figure(AnswerKind.least(number)),
                    figure(AnswerKind.most(number)),
                    List.of());
        }
        return new AskedView(
                kind, keys, "", "", "", asks instanceof AnswerType.Choice choice ? choice.options() : List.of());
    }

    /** Returns the units that a number can be asked in. */
    public List<String> units() {
        return AnswerKind.UNITS.stream().map(Unit::key).toList();
    }

    /** Returns the answers to choose from as they are typed. */
    public String typedOptions() {
        return String.join(", ", options);
    }

    private static String figure(double value) {
        return QuantityFormat.decimal(value, 2, false).replaceFirst("\\.?0+$", "");
    }
}
