package app.galdrin.web.baysheet;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.answer.AnswerType.Amount;
import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.answer.LineText;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.spec.VehicleIdentification;
import app.galdrin.core.task.Line;
import app.galdrin.web.sitting.Entry;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.words.Words;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The fields of a sheet, with what stands in them and what was typed and refused. */
public final class Fields {

    private final Sheet sheet;
    private final Log log;
    private final Words words;
    private final Map<LineKey, Refusal> refused;

    /** Text that could not be read, and the sentence why. */
    public record Refusal(String typed, String why) {}

    public Fields(Sheet sheet, Log log, Words words, Map<LineKey, Refusal> refused) {
        this.sheet = sheet;
        this.log = log;
        this.words = words;
        this.refused = refused;
    }

    /** Returns whether something that was typed could not be read. */
    public boolean anyRefused() {
        return !refused.isEmpty();
    }

    /**
     * Returns the field of a line.
     *
     * @throws IllegalStateException where the sheet has no such line
     */
    public FieldView at(LineKey key) {
        Line line = sheet.line(key).orElseThrow(() -> new IllegalStateException("no line " + key.key()));
        List<Entry> standing = log.allAt(key);
        Optional<Entry> entry = log.at(key);
        Refusal bad = refused.get(key);
        return new FieldView(
                key,
                line.answer(),
                bad == null ? entry.map(Entry::written).orElse("") : bad.typed(),
                entry.map(e -> echo(e, line, Optional.empty(), words)).orElse(""),
                entry.map(Entry::value).orElse(null),
                bad == null ? null : bad.why(),
                standing.stream().map(Entry::key).toList(),
                standing.size() > 1 ? standing.stream().map(this::said).toList() : List.of(),
                line.critical(),
                line.witnessed(),
                line.needless()
                        .map(n -> new FieldView.NeedlessBy(
                                new LineKey(key.step(), n.line(), 0, key.round()).key(), n.answer())),
                line.optional());
    }

    /** The field of a worked figure, which is echoed in the unit it was asked in. */
    public FieldView worked(LineKey key, AnswerUnit unit) {
        FieldView field = at(key);
        String echo = log.at(key)
                .map(e -> echo(e, sheet.line(key).orElseThrow(), Optional.of(unit), words))
                .orElse("");
        return new FieldView(
                key,
                field.answer(),
                field.value(),
                echo,
                field.number(),
                field.error(),
                field.saw(),
                field.disputed(),
                field.critical(),
                field.witnessed(),
                field.needless(),
                field.optional());
    }

    /** An entry as it was written, with words for what was chosen. */
    public String said(Entry entry) {
        String written = entry.written();
        AnswerType answer = sheet.line(entry.line())
                .map(Line::answer)
                .orElseGet(() -> new AnswerType.ShortText(AnswerType.LONGEST));
        if (answer instanceof SizeAndSense) {
            return LineText.senseOf(written)
                    .map(sense -> LineText.sizeOf(written) + ", " + words.text("sense." + sense.key()))
                    .orElse(written);
        }
        return chosen(written, answer, words);
    }

    /** The word of what was chosen or ticked; a text is its own. */
    private static String chosen(String written, AnswerType answer, Words words) {
        if (answer instanceof AnswerType.Choice choice) {
            return words.textOr(choice.words() + "." + written, "item.own", written);
        }
        return answer instanceof AnswerType.Tick ? words.textOr("tick." + written, "item.own", written) : written;
    }

    /** An entry as it was understood; a text is what it is, and not said twice. */
    public static String echo(Entry entry, Line line, Optional<AnswerUnit> unit, Words words) {
        AnswerType answer = line.answer();
        if (answer instanceof AnswerType.ShortText) {
            return "";
        }
        if (answer instanceof AnswerType.VehicleNumber) {
            boolean matches = VehicleIdentification.checkDigitMatches(entry.written());
            return words.text(matches ? "vehicleNumber.matches" : "vehicleNumber.differs", entry.written());
        }
        if (entry.value() == null) {
            return chosen(entry.written(), answer, words);
        }
        double value = entry.value().doubleValue();
        if (answer instanceof SizeAndSense) {
            String way = LineText.senseOf(entry.written())
                    .map(s -> words.text("sense." + s.key()))
                    .orElse("");
            return amount(Math.abs(value), ((SizeAndSense) answer).size(), words) + ", " + way;
        }
        if (unit.isPresent()) {
            return figure(value, unit.get(), words);
        }
        return amount(value, (Amount) answer, words);
    }

    private static String amount(double value, Amount amount, Words words) {
        if (amount.quantity() == Quantity.LENGTH) {
            return words.length(value);
        }
        if (amount.defaultUnit() == Unit.TIMES) {
            return QuantityFormat.length(value);
        }
        return amount.quantity() == Quantity.ANGLE
                ? words.angleRead(value)
                : QuantityFormat.length(value / amount.defaultUnit().factor()) + " "
                        + words.text("unit." + amount.defaultUnit().key());
    }

    /** Writes degrees with every place that was typed, so that no digit seems lost. */
    private static String degrees(double value, boolean signed) {
        return QuantityFormat.decimal(value, 3, signed).replaceFirst("0$", "") + "°";
    }

    private static String figure(double value, AnswerUnit unit, Words words) {
        boolean plain = unit == AnswerUnit.DEGREES;
        return plain ? degrees(value, true) : words.answer(value, unit);
    }
}
