package app.galdrin.core.spec.written;

import app.galdrin.core.Keyed;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityParser;
import app.galdrin.core.quantity.QuantityText;
import app.galdrin.core.quantity.TextFault;
import app.galdrin.core.quantity.Unit;
import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;

/** Reads the cells of one row and collects what is wrong with them. An empty cell is no fault unless it is needed. */
final class Cells {

    private static final Pattern NUMBER = Pattern.compile("[0-9]{1,6}([.,][0-9]{1,6})?");
    private static final List<String> YES_NO = List.of("yes", "no");

    private final SheetDraft.Row row;
    private final List<SheetFault> faults;

    Cells(SheetDraft.Row row, List<SheetFault> faults) {
        this.row = row;
        this.faults = faults;
    }

    String text(Cell cell) {
        return row.text(cell);
    }

    boolean has(Cell cell) {
        return !text(cell).isEmpty();
    }

    void fault(Cell cell, SheetFaultCode reason, String... more) {
        faults.add(new SheetFault(row.at(), Optional.of(cell), reason, text(cell), List.of(more)));
    }

    /** A text that has to be there. */
    String needed(Cell cell) {
        if (!has(cell)) {
            fault(cell, SheetFaultCode.MISSING);
        }
        return text(cell);
    }

    /** One of these words. */
    <T extends Keyed> Optional<T> word(Cell cell, T[] words) {
        Optional<T> known = Keyed.find(words, text(cell));
        if (has(cell) && known.isEmpty()) {
            fault(cell, SheetFaultCode.UNKNOWN);
        }
        return known;
    }

    /** One of these words, which has to be there. */
    <T extends Keyed> Optional<T> neededWord(Cell cell, T[] words) {
        needed(cell);
        return word(cell, words);
    }

    /** Yes or no; otherwise where nothing is written. */
    boolean yes(Cell cell, boolean otherwise) {
        if (!has(cell)) {
            return otherwise;
        }
        String word = text(cell).toLowerCase(Locale.ROOT);
        if (!YES_NO.contains(word)) {
            fault(cell, SheetFaultCode.UNKNOWN);
        }
        return word.equals("yes");
    }

    /** A quantity as it is typed, mm or degrees or a count; empty with its fault where it is none. */
    OptionalDouble quantity(Cell cell, Unit unit, double least, double most) {
        if (!has(cell)) {
            return OptionalDouble.empty();
        }
        QuantityText read = QuantityParser.parse(text(cell), unit.quantity(), unit);
        if (read instanceof QuantityText.ParsedQuantity r) {
            return inRange(cell, r.value(), least, most, unit.key());
        }
        malformed(cell, ((QuantityText.Rejection) read).reason());
        return OptionalDouble.empty();
    }

    void malformed(Cell cell, TextFault reason) {
        fault(cell, SheetFaultCode.MALFORMED, reason.key());
    }

    OptionalDouble inRange(Cell cell, double value, double least, double most, String unit) {
        if (value >= least && value <= most) {
            return OptionalDouble.of(value);
        }
        fault(cell, SheetFaultCode.OUT_OF_RANGE, plain(least), plain(most), unit);
        return OptionalDouble.empty();
    }

    static String plain(double value) {
        return BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
    }

    /** A length that has to be there, mm; not a number where it is none, which no one reads since there is a fault. */
    double neededLength(Cell cell, double least, double most) {
        needed(cell);
        return quantity(cell, Unit.MM, least, most).orElse(Double.NaN);
    }

    /** A bare number above 0. */
    OptionalDouble number(Cell cell, double least, double most) {
        if (!has(cell)) {
            return OptionalDouble.empty();
        }
        if (!NUMBER.matcher(text(cell)).matches()) {
            malformed(cell, TextFault.NOT_A_FIGURE);
            return OptionalDouble.empty();
        }
        return inRange(cell, Double.parseDouble(text(cell).replace(',', '.')), least, most, "");
    }

    /** A torque in any unit of the trade, N·m to a hundredth. */
    OptionalDouble torque(Cell cell, double most) {
        if (!has(cell)) {
            return OptionalDouble.empty();
        }
        QuantityText read = QuantityParser.parse(text(cell), Quantity.TORQUE, Unit.NEWTON_METRE);
        if (read instanceof QuantityText.ParsedQuantity r) {
            return inRange(cell, Math.rint(100 * r.value()) / 100, 0.1, most, Unit.NEWTON_METRE.key());
        }
        malformed(cell, ((QuantityText.Rejection) read).reason());
        return OptionalDouble.empty();
    }
}
