package app.galdrin.web.words;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.FigurePosition;
import app.galdrin.core.procedure.paper.PrintedFigures;
import app.galdrin.core.quantity.AngleDisplay;
import app.galdrin.core.quantity.LengthDisplay;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.spec.AdjusterUnit;
import app.galdrin.core.uncertainty.Estimate;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.context.MessageSource;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/** Words and figures as people read them; templates reach it as {@code @words}. */
@Component("words")
public class Words {

    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);
    private static final DateTimeFormatter DAY_TIME = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);
    private static final int LONGEST_QUOTE = 40;
    private static final MathContext SIX_DIGITS = new MathContext(6, RoundingMode.HALF_UP);

    private final MessageSource messages;

    Words(MessageSource messages) {
        this.messages = messages;
    }

    /** Returns whether there is such a sentence. */
    public boolean has(String key) {
        return !Objects.requireNonNullElse(messages.getMessage(key, null, "", Locale.ENGLISH), "")
                .isEmpty();
    }

    /** A sentence; a {@link Word} among what stands in it is put into words. */
    public String text(String key, Object... args) {
        Object[] said = Arrays.stream(args)
                .map(arg -> arg instanceof Word word ? text(word.key()) : arg)
                .toArray();
        return messages.getMessage(key, said, Locale.ENGLISH);
    }

    /** The words of a key, or of another where it has none. */
    public String textOr(String key, String otherwise, Object... args) {
        return has(key) ? text(key, args) : text(otherwise, args);
    }

    /** Returns the name of something that is done or asked: by its key, with its place where the key has one, or in the words of its own that it has. */
    public String item(String key) {
        String item = "item." + key;
        int dot = key.indexOf('.');
        if (has(item) || dot < 0) {
            return textOr(item, "item.own", key);
        }
        String place = key.substring(dot + 1);
        String where = has("where." + place) ? "where." + place : "side." + place;
        String part = "item." + key.substring(0, dot);
        return has(part) && has(where) ? text(part, text(where)) : text("item.own", key);
    }

    /** A figure in the unit of its measurand, rad or mm: degrees to two places, or a length. */
    public String figure(double value, FigureId figure) {
        return figure.measurand().quantity() == Quantity.LENGTH ? length(value) : angle(value);
    }

    /** Returns what {@link #figure} prints of a value, both rad or mm. */
    public double printed(double value, FigureId figure) {
        return figure.measurand().quantity() == Quantity.LENGTH
                ? lengths().rounded(value)
                : Math.toRadians(angles().rounded(Math.toDegrees(value)));
    }

    /** Figures that stand on one page, rad or mm, as they are printed there: a total adds up from its printed wheels. */
    public Map<FigureId, Estimate> printed(Map<FigureId, Estimate> figures) {
        return PrintedFigures.ofEstimates(figures, this::printed);
    }

    /** A band or an uncertainty of a figure, rad or mm: no sign, three places. */
    public String doubt(double value, FigureId figure) {
        return figure.measurand().quantity() == Quantity.LENGTH
                ? QuantityFormat.decimal(value, 2, false) + "\u00a0mm"
                : doubt(value);
    }

    /** The name of a figure: what, where and in which position. */
    public String name(FigureId figure) {
        FigurePosition.Kind position = figure.at().kind();
        String at = position == FigurePosition.Kind.AHEAD
                ? ""
                : " " + text("at." + position.key(), figure.at().amount());
        String where = figure.where().key();
        return text("measurand." + figure.measurand().key())
                + (where.isEmpty() ? "" : ", " + text("where." + where))
                + at;
    }

    /** The name of something that is known beforehand: a figure of the sheet, or a dimension. */
    public String datum(String key) {
        return FigureId.parse(key).map(this::name).orElseGet(() -> textOr("given." + key, "geometry." + key));
    }

    public String text(Sentence said) {
        return text(said.key(), said.args().toArray());
    }

    /** Returns what somebody typed, short enough to stand in a sentence. */
    public static String quote(String typed) {
        String one = typed.strip().replaceAll("\\s+", " ");
        return one.length() <= LONGEST_QUOTE ? one : one.substring(0, LONGEST_QUOTE - 1) + "…";
    }

    /** A length as the reader's centre wants it shown. */
    public String length(double millimetres) {
        return lengths().show(millimetres);
    }

    /** Display of figures that a reader's centre wants: besides its key and what stands in it, all that a sentence follows from. */
    public record Displays(LengthDisplay lengths, AngleDisplay angles) {}

    /** Returns how the current reader's centre shows figures. */
    public static Displays displays() {
        return reader().map(r -> new Displays(r.lengths(), r.angles()))
                .orElseGet(() -> new Displays(LengthDisplay.MILLIMETRES, AngleDisplay.DEGREES));
    }

    private static LengthDisplay lengths() {
        return displays().lengths();
    }

    private static AngleDisplay angles() {
        return displays().angles();
    }

    private static Optional<Reader> reader() {
        var session = SecurityContextHolder.getContext().getAuthentication();
        return session != null && session.getPrincipal() instanceof Reader reader
                ? Optional.of(reader)
                : Optional.empty();
    }

    /** An angle in rad as the reader's centre wants it shown, with its sign. */
    public String angle(double radians) {
        return angles().show(Math.toDegrees(radians), true);
    }

    /** An angle in rad whose way is said beside it: no sign. */
    public String angleSize(double radians) {
        return angles().show(Math.toDegrees(Math.abs(radians)), false);
    }

    /** A reading of an angle, deg, 0 or more, with every place that was written, so that nobody thinks a digit was lost. */
    public String angleRead(double degrees) {
        return angles().reading(degrees);
    }

    /** A band or an uncertainty in rad: no sign. */
    public String doubt(double radians) {
        return angles().doubt(Math.toDegrees(radians));
    }

    /** An answer (deg or mm) in the unit that was asked for. */
    public String answer(double value, AnswerUnit unit) {
        if (unit.quantity() == Quantity.LENGTH) {
            return QuantityFormat.decimal(value, 1, true) + "\u00a0mm";
        }
        return unit == AnswerUnit.DEGREES_MINUTES
                ? QuantityFormat.degreesMinutes(value, true)
                : QuantityFormat.decimal(value, 2, true) + "°";
    }

    /** The doubt of an answer (deg or mm) in the unit that was asked for: no sign, one place more. */
    public String answerDoubt(double value, AnswerUnit unit) {
        if (unit.quantity() == Quantity.LENGTH) {
            return QuantityFormat.decimal(value, 2, false) + "\u00a0mm";
        }
        return unit == AnswerUnit.DEGREES_MINUTES
                ? QuantityFormat.decimal(value / Unit.ARCMIN.factor(), 1, false) + "\u2032"
                : QuantityFormat.decimal(value, 3, false) + "°";
    }

    /** Returns what a calculator shows of a number: six digits that count, no zeros at its end. */
    public static String calculated(BigDecimal value) {
        BigDecimal shown = value.round(SIX_DIGITS).stripTrailingZeros();
        return shown.toPlainString().replace('-', '\u2212');
    }

    /** A whole number without anything between its digits. */
    public String whole(long number) {
        return Long.toString(number);
    }

    /** Turns of a rod to hundredths, without a sign: the direction is said in words. */
    public String turns(double turns) {
        return QuantityFormat.decimal(Math.abs(turns), 2, false);
    }

    /** An amount of a part, in its unit, without a sign: turns in eighths, as they are counted, where they come to whole ones. */
    public String amount(double units, AdjusterUnit unit) {
        double eighths = 8 * Math.abs(units);
        if (unit != AdjusterUnit.TURN || eighths != Math.rint(eighths)) {
            return turns(units);
        }
        long whole = (long) eighths / 8;
        long rest = (long) eighths % 8;
        int shared = rest % 4 == 0 ? 4 : rest % 2 == 0 ? 2 : 1;
        String fraction = rest == 0 ? "" : rest / shared + "/" + 8 / shared;
        return whole == 0 && rest > 0 ? fraction : (whole + " " + fraction).strip();
    }

    public String time(Instant at, ZoneId zone) {
        return TIME.format(at.atZone(zone));
    }

    public String day(Instant at, ZoneId zone) {
        return DAY.format(at.atZone(zone));
    }

    public String dayTime(Instant at, ZoneId zone) {
        return DAY_TIME.format(at.atZone(zone));
    }
}
