package app.galdrin.web.sketch;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.Zone;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The tolerance rule: limits as end stops, preferred as a long tick, the reading as a leader with its expanded uncertainty
 * as a bracket. Positions are units of a drawing {@link #WIDTH} wide; a side without a limit has no stop.
 *
 * @param value rad or mm
 * @param expanded expanded uncertainty, rad or mm
 * @param zone where the value lies, which the mark under the figure shows
 * @param below whether it lies beyond the lower limit: the notch of an outside mark stands on that side
 */
public record ToleranceRule(
        FigureId figure,
        double value,
        double expanded,
        Limits limits,
        Zone zone,
        boolean below,
        @Nullable Double minX,
        @Nullable Double maxX,
        @Nullable Double preferredX,
        double valueX,
        double lowX,
        double highX,
        double bandFrom,
        double bandTo,
        List<Double> ticks) {

    public static final double WIDTH = 240;

    private static final double MARGIN = 14;
    private static final int TICKS = 16;
    private static final double ROOM_FOR_FIGURES = 48;

    /** The rule of a figure with its standard uncertainty, both rad or mm. */
    public static ToleranceRule of(FigureId figure, double value, double doubt, Limits limits, Zone zone) {
        double expanded = Judgement.K * doubt;
        double min = limits.min().orElse(Math.min(value, limits.max().orElse(value)) - 3 * expanded);
        double max = limits.max().orElse(Math.max(value, limits.min().orElse(value)) + 3 * expanded);
        double room = 0.5 * Math.max(max - min, 2 * expanded);
        double from = Math.min(min - room, value - expanded - room / 4);
        double to = Math.max(max + room, value + expanded + room / 4);
        var scale = new Scale(from, to);
        List<Double> ticks = new ArrayList<>();
        for (int i = 0; i <= TICKS; i++) {
            ticks.add(scale.x(from + i * (to - from) / TICKS));
        }
        return new ToleranceRule(
                figure,
                value,
                expanded,
                limits,
                zone,
                limits.min().isPresent() && value < min,
                limits.min().isPresent() ? scale.x(min) : null,
                limits.max().isPresent() ? scale.x(max) : null,
                limits.target().isPresent() ? scale.x(limits.target().getAsDouble()) : null,
                scale.x(value),
                scale.x(value - expanded),
                scale.x(value + expanded),
                limits.min().isPresent() ? scale.x(min) : MARGIN,
                limits.max().isPresent() ? scale.x(max) : WIDTH - MARGIN,
                ticks);
    }

    private record Scale(double from, double to) {
        double x(double value) {
            double share = to > from ? (value - from) / (to - from) : 0.5;
            return Math.rint(10 * (MARGIN + share * (WIDTH - 2 * MARGIN))) / 10;
        }
    }

    /** Returns whether the limits lie so near one another on the rule that their figures stand outward of them. */
    public boolean narrow() {
        return bandTo - bandFrom < ROOM_FOR_FIGURES;
    }

    /** The name of the judgement mark's style and words. */
    public String mark() {
        if (zone.inDoubt()) {
            return "tooClose";
        }
        return zone == Zone.INSIDE ? "inside" : "outside";
    }
}
