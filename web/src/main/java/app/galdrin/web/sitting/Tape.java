package app.galdrin.web.sitting;

import app.galdrin.core.sitting.LineKey;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;

/**
 * The tape of the calculator that stands beside the figures of a step: each line that was worked is an entry of its own. It is no answer and
 * earns no mark; it shows how somebody came to a figure.
 */
public final class Tape {

    /** Lines of one step. */
    static final int LONGEST = 200;

    private static final String STEP = "_tape";

    /** Beginning of the keys of its lines. */
    public static final String LINES = STEP + "/";

    private static final int PLACES = 9;

    /**
     * A line of the tape.
     *
     * @param typed as it was typed
     * @param value what it came to
     */
    public record Line(String typed, BigDecimal value) {}

    private Tape() {}

    /** Returns the line of a step's tape. */
    public static LineKey of(String step) {
        return LineKey.of(STEP, step);
    }

    public static boolean isTape(LineKey line) {
        return line.step().equals(STEP);
    }

    /** Returns what was calculated beside a step, in its order. */
    public static List<Line> of(Log log, String step) {
        return log.allAt(of(step)).stream()
                .filter(entry -> entry.value() != null)
                .map(entry -> new Line(entry.written(), entry.value()))
                .toList();
    }

    static BigDecimal rounded(double value) {
        return BigDecimal.valueOf(value).setScale(PLACES, RoundingMode.HALF_UP).stripTrailingZeros();
    }
}
