package app.galdrin.web.layout;

import app.galdrin.core.quantity.LengthDisplay;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.task.AnswerUnit;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
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

    private final MessageSource messages;

    Words(MessageSource messages) {
        this.messages = messages;
    }

    public String text(String key, Object... args) {
        return messages.getMessage(key, args, Locale.ENGLISH);
    }

    public String text(Said said) {
        return text(said.key(), said.args().toArray());
    }

    /** What somebody typed, short enough to stand in a sentence. */
    public static String quote(String typed) {
        String one = typed.strip().replaceAll("\\s+", " ");
        return one.length() <= LONGEST_QUOTE ? one : one.substring(0, LONGEST_QUOTE - 1) + "…";
    }

    /** A length as the reader's centre wants it shown. */
    public String length(double millimetres) {
        return lengths().show(millimetres);
    }

    private static LengthDisplay lengths() {
        var session = SecurityContextHolder.getContext().getAuthentication();
        return session != null && session.getPrincipal() instanceof Reader reader
                ? reader.lengths()
                : LengthDisplay.MILLIMETRES;
    }

    /** A toe in rad, in degrees to two places. */
    public String angle(double radians) {
        return QuantityFormat.decimal(Math.toDegrees(radians), 2, true) + "°";
    }

    /** A band or an uncertainty in rad: no sign, three places. */
    public String doubt(double radians) {
        return QuantityFormat.decimal(Math.toDegrees(radians), 3, false) + "°";
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

    /** Turns of a rod to hundredths, without a sign: the direction is said in words. */
    public String turns(double turns) {
        return QuantityFormat.decimal(Math.abs(turns), 2, false);
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
