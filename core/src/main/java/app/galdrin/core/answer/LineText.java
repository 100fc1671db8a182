package app.galdrin.core.answer;

import app.galdrin.core.Keyed;
import app.galdrin.core.answer.AnswerType.Amount;
import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.quantity.QuantityParser;
import app.galdrin.core.quantity.QuantityText;
import app.galdrin.core.quantity.QuantityText.ParsedQuantity;
import app.galdrin.core.quantity.TextFault;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.spec.VehicleIdentification;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;

/** A text as it was read on its line. */
public sealed interface LineText {

    /** Puts a size and its sense together, as they stand on a line. */
    static String withSense(String size, String sense) {
        return size + ", " + sense;
    }

    /**
     * A text that was understood.
     *
     * @param written as it stands on the sheet
     * @param value mm, degrees or a count, with its sign; absent for ticks, choices and texts
     * @param step one unit of the last place as written, likewise
     * @param unit as written, or the line's default
     */
    record ParsedText(String written, OptionalDouble value, OptionalDouble step, Optional<Unit> unit)
            implements LineText {
        static ParsedText text(String written) {
            return new ParsedText(written, OptionalDouble.empty(), OptionalDouble.empty(), Optional.empty());
        }
    }

    /**
     * A text that was not; the reason says why, the type what would have done; a figure that was read is in mm, degrees or a count.
     *
     * @param read what was read, mm, deg or a count; empty where it is no number
     */
    record Refusal(String typed, TextFault reason, OptionalDouble read, AnswerType type) implements LineText {}

    /** Reads a text for a line of this type. */
    static LineText read(String text, AnswerType type) {
        String typed = text.strip();
        if (type instanceof AnswerType.ShortText t) {
            return typed.isEmpty() ? refused(typed, TextFault.EMPTY, type) : shortText(typed, t);
        }
        if (typed.length() > AnswerType.LONGEST) {
            return refused(typed, TextFault.LONG, type);
        }
        if (type instanceof AnswerType.VehicleNumber) {
            return vehicleNumber(typed, type);
        }
        if (type instanceof Amount amount) {
            return amount(typed, amount, type);
        }
        if (type instanceof SizeAndSense sized) {
            return sized(typed, sized);
        }
        boolean known = type instanceof AnswerType.Choice choice
                ? choice.options().contains(typed)
                : typed.equals(AnswerType.Tick.DONE);
        return known ? ParsedText.text(typed) : refused(typed, TextFault.NOT_A_CHOICE, type);
    }

    private static LineText shortText(String typed, AnswerType.ShortText type) {
        return typed.length() > type.longest() ? refused(typed, TextFault.LONG, type) : ParsedText.text(typed);
    }

    /** Reads a number in capitals and without blanks, as it is stamped. */
    private static LineText vehicleNumber(String typed, AnswerType type) {
        String number = typed.replaceAll("\\s", "").toUpperCase(Locale.ROOT);
        if (number.length() != AnswerType.VehicleNumber.LENGTH) {
            return refused(typed, TextFault.NOT_SEVENTEEN, type);
        }
        return VehicleIdentification.wellFormed(number)
                ? ParsedText.text(number)
                : refused(typed, TextFault.NOT_IN_NUMBER, type);
    }

    private static LineText refused(String typed, TextFault reason, AnswerType type) {
        return new Refusal(typed, reason, OptionalDouble.empty(), type);
    }

    private static LineText amount(String typed, Amount amount, AnswerType type) {
        QuantityText parsed = QuantityParser.parse(typed, amount.quantity(), amount.defaultUnit());
        if (parsed instanceof QuantityText.Rejection rejected) {
            return refused(typed, rejected.reason(), type);
        }
        var read = (ParsedQuantity) parsed;
        Optional<TextFault> beyond = beyond(read.value(), amount, type);
        if (beyond.isPresent()) {
            return new Refusal(typed, beyond.get(), OptionalDouble.of(read.value()), type);
        }
        return new ParsedText(
                typed, OptionalDouble.of(read.value()), OptionalDouble.of(read.step()), Optional.of(read.unit()));
    }

    private static Optional<TextFault> beyond(double value, Amount amount, AnswerType type) {
        if (value < 0 && amount.least() >= 0) {
            return Optional.of(type instanceof SizeAndSense ? TextFault.SIGN_AND_SENSE : TextFault.NEGATIVE);
        }
        if (value > amount.most()) {
            return Optional.of(TextFault.TOO_GREAT);
        }
        return value < amount.least() ? Optional.of(TextFault.TOO_SMALL) : Optional.empty();
    }

    /** The sense stands behind the last comma; the size is read first, so that its fault is what is said. */
    private static LineText sized(String typed, SizeAndSense type) {
        int comma = typed.lastIndexOf(',');
        Optional<Sense> sense = comma < 0
                ? Optional.empty()
                : Keyed.find(type.senses(), typed.substring(comma + 1).strip());
        String size = sense.isPresent() ? typed.substring(0, comma).strip() : typed;
        LineText read = amount(size, type.size(), type);
        if (read instanceof Refusal refused) {
            return new Refusal(typed, refused.reason(), refused.read(), type);
        }
        var u = (ParsedText) read;
        if (sense.isEmpty()) {
            return new Refusal(typed, TextFault.NO_SENSE, u.value(), type);
        }
        double signed = sense.get().sign(type.side()) * u.value().orElseThrow();
        return new ParsedText(
                withSense(size, sense.get().key()), OptionalDouble.of(signed == 0 ? 0.0 : signed), u.step(), u.unit());
    }

    /** The size of a text with a sense, as typed; the whole of any other text. */
    static String sizeOf(String written) {
        return senseOf(written).isPresent()
                ? written.substring(0, written.lastIndexOf(',')).strip()
                : written;
    }

    /** The sense of a text that has one. */
    static Optional<Sense> senseOf(String written) {
        int comma = written.lastIndexOf(',');
        return comma < 0
                ? Optional.empty()
                : Keyed.find(Sense.values(), written.substring(comma + 1).strip());
    }
}
