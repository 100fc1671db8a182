package app.galdrin.web.sketch;

import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.List;

/**
 * The tolerance rule: limits as end stops, preferred as a long tick, the reading as a leader with its expanded uncertainty
 * as a bracket. Positions are units of a drawing {@link #WIDTH} wide.
 *
 * @param value rad
 * @param limits rad
 * @param zone where the value lies, which the mark under the figure shows
 * @param below whether it lies beyond the lower limit: the notch of an outside mark stands on that side
 */
public record ToleranceRule(
        double value,
        double expanded,
        Limits limits,
        Zone zone,
        boolean below,
        double minX,
        double maxX,
        double preferredX,
        double valueX,
        double lowX,
        double highX,
        List<Double> ticks) {

    public static final double WIDTH = 240;
    private static final double MARGIN = 14;
    private static final int TICKS = 16;
    private static final double ROOM_FOR_FIGURES = 48;

    public static ToleranceRule of(Estimate value, Limits limits, Judgement judgement) {
        double expanded = Judgement.K * value.standardUncertainty();
        double min = limits.min().orElseThrow();
        double max = limits.max().orElseThrow();
        double room = 0.5 * (max - min);
        double from = Math.min(min - room, value.value() - expanded - room / 4);
        double to = Math.max(max + room, value.value() + expanded + room / 4);
        var scale = new Scale(from, to);
        List<Double> ticks = new ArrayList<>();
        for (int i = 0; i <= TICKS; i++) {
            ticks.add(scale.x(from + i * (to - from) / TICKS));
        }
        return new ToleranceRule(
                value.value(),
                expanded,
                limits,
                judgement.zone(),
                value.value() < min,
                scale.x(min),
                scale.x(max),
                scale.x(limits.target().orElse((min + max) / 2)),
                scale.x(value.value()),
                scale.x(value.value() - expanded),
                scale.x(value.value() + expanded),
                ticks);
    }

    private record Scale(double from, double to) {
        double x(double value) {
            double share = (value - from) / (to - from);
            return Math.rint(10 * (MARGIN + share * (WIDTH - 2 * MARGIN))) / 10;
        }
    }

    /** Whether the limits lie so near one another on the rule that their figures stand outward of them. */
    public boolean narrow() {
        return maxX - minX < ROOM_FOR_FIGURES;
    }

    /** The name of the judgement mark's style and words. */
    public String mark() {
        if (zone.inDoubt()) {
            return "tooClose";
        }
        return zone == Zone.INSIDE ? "inside" : "outside";
    }
}
