package app.galdrin.core.draft;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.quantity.QuantityParser;
import app.galdrin.core.quantity.QuantityText;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.task.AnswerKind;
import java.util.List;
import java.util.stream.Stream;

/** Edits the answer that a task asks for in its own words, by the fields {@code asks}, {@code unit}, {@code least}, {@code most} and {@code options}. */
public final class AskedAnswer {

    private AskedAnswer() {}

    /** Returns the answer with a field changed; a field of another name changes nothing. */
    public static AnswerType written(AnswerType asks, String field, String typed) throws FieldRefusal {
        return switch (field) {
            case "asks" ->
                AnswerKind.of(asks).key().equals(typed)
                        ? asks
                        : FieldText.word(AnswerKind.values(), typed).usual();
            case "unit" -> inUnit(number(asks), typed);
            case "least" -> between(number(asks), figure(typed), AnswerKind.most(number(asks)), typed);
            case "most" -> between(number(asks), AnswerKind.least(number(asks)), figure(typed), typed);
            case "options" -> AnswerKind.choice(options(typed));
            default -> asks;
        };
    }

    private static AnswerType.Amount number(AnswerType asks) {
        return asks instanceof AnswerType.Amount number ? number : (AnswerType.Amount) AnswerKind.NUMBER.usual();
    }

    private static AnswerType inUnit(AnswerType.Amount number, String typed) throws FieldRefusal {
        Unit unit = FieldText.word(AnswerKind.UNITS.toArray(Unit[]::new), typed);
        return AnswerKind.number(unit, AnswerKind.least(number), AnswerKind.most(number));
    }

    /** Returns the number with another range, in the unit that is asked. */
    private static AnswerType between(AnswerType.Amount number, double least, double most, String typed)
            throws FieldRefusal {
        if (least >= most) {
            throw new FieldRefusal("bench.range.fault", typed);
        }
        return AnswerKind.number(number.defaultUnit(), least, most);
    }

    /** Reads a number in the unit that is asked, to two decimals. */
    public static double figure(String typed) throws FieldRefusal {
        String text = typed.replace(',', '.').replace('\u2212', '-');
        if (text.matches("-?[0-9]{1,6}(\\.[0-9]{1,2})?") && Math.abs(Double.parseDouble(text)) <= AnswerKind.GREATEST) {
            return Double.parseDouble(text);
        }
        throw new FieldRefusal("bench.number.fault", typed);
    }

    /**
     * Reads an amount.
     *
     * @param unit of a figure without one
     * @param least smallest that can be right, in the unit of documents
     * @param most greatest that can be right, in the unit of documents
     * @return in the unit of documents
     */
    public static double amount(String typed, Unit unit, double least, double most) throws FieldRefusal {
        if (QuantityParser.parse(typed, unit.quantity(), unit) instanceof QuantityText.ParsedQuantity read
                && read.value() >= least
                && read.value() <= most) {
            return read.value();
        }
        throw new FieldRefusal(
                "bench.amount.fault",
                typed,
                QuantityFormat.length(least / unit.factor()),
                QuantityFormat.length(most / unit.factor()),
                unit.key());
    }

    /** Texts as they are typed, parted by commas. */
    private static List<String> options(String typed) throws FieldRefusal {
        List<String> options =
                Stream.of(typed.split(",", -1)).map(String::strip).distinct().toList();
        boolean fit = options.stream().allMatch(o -> !o.isEmpty() && o.length() <= AnswerType.LONGEST);
        if (!fit || options.size() < 2 || options.size() > AnswerKind.MOST_OPTIONS) {
            throw new FieldRefusal("bench.options.fault", typed, AnswerKind.MOST_OPTIONS, AnswerType.LONGEST);
        }
        return options;
    }
}
