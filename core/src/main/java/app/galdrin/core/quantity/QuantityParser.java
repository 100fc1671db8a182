package app.galdrin.core.quantity;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Reads one quantity as people write it: {@code 12,5}, {@code 1 3/16"}, {@code 1-3/16 in}, {@code 5' 1/2"},
 * {@code -0° 24'}, {@code 1°12'30"}, {@code 3 flats}, {@code 70 lbf ft}, {@code 2.4 bar}. The grammar of lengths and angles is that of {@code quantity.parse} in the record format: a sign for the
 * whole text, then one figure with or without a unit, or several figures with signs in falling order, none left out.
 */
public final class QuantityParser {

    /** Greatest size of a quantity that is accepted, in the unit of documents. */
    public static final double LARGEST = 1e6;

    private static final double FLATS_A_TURN = 6;

    /** Counted units, by their words. */
    private static final Map<String, Unit> COUNTED = Map.of(
            "turn", Unit.TURNS,
            "turns", Unit.TURNS,
            "flat", Unit.FLATS,
            "flats", Unit.FLATS,
            "mark", Unit.CAM_MARKS,
            "marks", Unit.CAM_MARKS,
            "spline", Unit.SPLINES,
            "splines", Unit.SPLINES);

    /** Units of torque by their letters; a workshop writes the two factors either way round, and often without the force. */
    private static final Map<String, Unit> TWISTED = Map.ofEntries(
            Map.entry("nm", Unit.NEWTON_METRE),
            Map.entry("lbfft", Unit.POUND_FOOT),
            Map.entry("ftlbf", Unit.POUND_FOOT),
            Map.entry("lbft", Unit.POUND_FOOT),
            Map.entry("ftlb", Unit.POUND_FOOT),
            Map.entry("ftlbs", Unit.POUND_FOOT),
            Map.entry("lbfin", Unit.POUND_INCH),
            Map.entry("inlbf", Unit.POUND_INCH),
            Map.entry("lbin", Unit.POUND_INCH),
            Map.entry("inlb", Unit.POUND_INCH),
            Map.entry("inlbs", Unit.POUND_INCH),
            Map.entry("kgfm", Unit.KILOPOND_METRE),
            Map.entry("mkgf", Unit.KILOPOND_METRE),
            Map.entry("kgm", Unit.KILOPOND_METRE));

    private static final Map<String, Unit> PRESSED = Map.of(
            "bar", Unit.BAR,
            "kpa", Unit.KILOPASCAL,
            "psi", Unit.PSI);

    private static final Set<Unit> NO_WORDS = Set.of(Unit.FT, Unit.ARCSEC, Unit.TIMES);

    private final Scanner scan;
    private final Quantity quantity;
    private final Unit defaultUnit;

    private QuantityParser(String text, Quantity quantity, Unit defaultUnit) {
        this.scan = new Scanner(text);
        this.quantity = quantity;
        this.defaultUnit = defaultUnit;
    }

    /**
     * Reads a text.
     *
     * @param defaultUnit the unit of a figure without one; must be of the quantity
     * @throws IllegalArgumentException if the default unit is of another quantity
     */
    public static QuantityText parse(String text, Quantity quantity, Unit defaultUnit) {
        if (defaultUnit.quantity() != quantity) {
            throw new IllegalArgumentException("defaultUnit " + defaultUnit + " is not a unit of " + quantity);
        }
        return new QuantityParser(text, quantity, defaultUnit).parse();
    }

    private QuantityText parse() {
        scan.spaces();
        if (scan.atEnd()) {
            return new QuantityText.Rejection(TextFault.EMPTY);
        }
        double sign = scan.take("-−") ? -1 : 1;
        if (sign > 0) {
            scan.take("+");
        }
        scan.spaces();
        Figure figure = Figure.scan(scan);
        if (figure.fault().isPresent()) {
            return new QuantityText.Rejection(figure.fault().get());
        }
        scan.spaces();
        QuantityText read = scan.atLetter() ? withWord(figure) : withSigns(figure);
        if (!(read instanceof QuantityText.ParsedQuantity r)) {
            return read;
        }
        return Math.abs(r.value()) <= LARGEST
                ? new QuantityText.ParsedQuantity(sign * r.value(), r.unit(), r.step())
                : new QuantityText.Rejection(TextFault.TOO_LARGE);
    }

    private QuantityText withWord(Figure figure) {
        Optional<Unit> unit = unitOfWord(quantity == Quantity.TORQUE ? product() : scan.word());
        scan.spaces();
        if (unit.isEmpty()) {
            return new QuantityText.Rejection(TextFault.LEFT_OVER);
        }
        if (unit.get().quantity() != quantity) {
            return new QuantityText.Rejection(TextFault.WRONG_UNIT);
        }
        if (!scan.atEnd()) {
            return new QuantityText.Rejection(TextFault.LEFT_OVER);
        }
        return quantity == Quantity.COUNT ? counted(figure, unit.get()) : read(figure, unit.get());
    }

    /** Counts turns in the unit that was asked; a flat of a hexagon is a sixth of a turn. */
    private QuantityText counted(Figure figure, Unit unit) {
        double each = unit == defaultUnit
                ? 1
                : unit == Unit.FLATS && defaultUnit == Unit.TURNS
                        ? 1 / FLATS_A_TURN
                        : unit == Unit.TURNS && defaultUnit == Unit.FLATS ? FLATS_A_TURN : 0;
        return each == 0
                ? new QuantityText.Rejection(TextFault.WRONG_UNIT)
                : new QuantityText.ParsedQuantity(figure.value() * each, unit, figure.step() * each);
    }

    /** Returns the letters of a product of two units, whatever parts them: {@code lbf·ft}, {@code ft-lb}, {@code N m}. */
    private String product() {
        StringBuilder letters = new StringBuilder(scan.word());
        int afterFirst = scan.position();
        scan.spaces();
        scan.take("\u00b7\u22c5.*-");
        scan.spaces();
        if (scan.atLetter()) {
            return letters.append(scan.word()).toString();
        }
        scan.back(afterFirst);
        return letters.toString();
    }

    /** The words of the grammar; feet and seconds of arc have signs only. */
    private static Optional<Unit> unitOfWord(String word) {
        return Stream.of(COUNTED, TWISTED, PRESSED)
                .filter(words -> words.containsKey(word))
                .map(words -> words.get(word))
                .findFirst()
                .or(() -> Unit.ofKey(word).filter(u -> !NO_WORDS.contains(u)));
    }

    private QuantityText withSigns(Figure figure) {
        if (scan.atEnd()) {
            return read(figure, defaultUnit);
        }
        Optional<Unit> sign = takeSign();
        if (sign.isEmpty()) {
            boolean degrees = quantity != Quantity.ANGLE && scan.at('°');
            return new QuantityText.Rejection(degrees ? TextFault.WRONG_UNIT : TextFault.LEFT_OVER);
        }
        Unit first = sign.get();
        if (first == Unit.ARCSEC) {
            return new QuantityText.Rejection(TextFault.WRONG_UNIT);
        }
        double value = figure.value() * first.factor();
        Figure last = figure;
        Unit unit = first;
        scan.spaces();
        while (!scan.atEnd()) {
            Figure next = Figure.scan(scan);
            if (next.fault().isPresent()) {
                return new QuantityText.Rejection(next.fault().get());
            }
            scan.spaces();
            Optional<Unit> nextSign = takeSign();
            if (!last.plain() || nextSign.isEmpty() || smaller(unit) != nextSign.get()) {
                return new QuantityText.Rejection(TextFault.LEFT_OVER);
            }
            if (next.value() >= (nextSign.get() == Unit.IN ? 12 : 60)) {
                return new QuantityText.Rejection(TextFault.SIXTY_OR_MORE);
            }
            unit = nextSign.get();
            value += next.value() * unit.factor();
            last = next;
            scan.spaces();
        }
        return new QuantityText.ParsedQuantity(value, first, last.step() * unit.factor());
    }

    private static QuantityText.ParsedQuantity read(Figure figure, Unit unit) {
        return new QuantityText.ParsedQuantity(figure.value() * unit.factor(), unit, figure.step() * unit.factor());
    }

    private Optional<Unit> takeSign() {
        if (quantity != Quantity.LENGTH && quantity != Quantity.ANGLE) {
            return Optional.empty();
        }
        boolean length = quantity == Quantity.LENGTH;
        if (!length && scan.take("°")) {
            return Optional.of(Unit.DEG);
        }
        if (scan.take("'′’")) {
            return Optional.of(length ? Unit.FT : Unit.ARCMIN);
        }
        if (scan.take("\"″”")) {
            return Optional.of(length ? Unit.IN : Unit.ARCSEC);
        }
        return Optional.empty();
    }

    private static Unit smaller(Unit unit) {
        return switch (unit) {
            case FT -> Unit.IN;
            case DEG -> Unit.ARCMIN;
            case ARCMIN -> Unit.ARCSEC;
            // nothing is smaller: the answer is a unit that no sign of the same quantity gives after it
            default -> Unit.MM;
        };
    }
}
