package app.galdrin.web.sketch;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.spec.Limits;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The tolerance rule before anything is read: its limits, and about each of them a wavy stretch as wide as it is too close to tell there.
 * Positions are units of a drawing {@link ToleranceRule#WIDTH} wide.
 *
 * @param waves paths of the wavy stretches; none where nothing is in doubt
 */
public record DoubtRule(
        FigureId figure,
        Limits limits,
        @Nullable Double minX,
        @Nullable Double maxX,
        @Nullable Double preferredX,
        double bandFrom,
        double bandTo,
        List<String> waves) {

    private static final double MARGIN = 14;
    private static final double HEIGHT = 22;
    private static final double WAVE = 6;

    /** {@code expanded} uncertainty and limits in rad or mm. */
    public static DoubtRule of(FigureId figure, Limits limits, double expanded) {
        double low = limits.min().orElse(limits.max().orElse(0) - 4 * expanded);
        double high = limits.max().orElse(limits.min().orElse(0) + 4 * expanded);
        double room = Math.max((high - low) / 3, 1.2 * expanded);
        double from = low - room;
        double scale = (ToleranceRule.WIDTH - 2 * MARGIN) / (high + room - from);
        List<String> waves = new ArrayList<>();
        double[] about = {limits.min().orElse(Double.NaN), limits.max().orElse(Double.NaN)};
        for (double limit : about) {
            if (!Double.isNaN(limit) && expanded > 0) {
                waves.add(wave(x(limit - expanded, from, scale), x(limit + expanded, from, scale)));
            }
        }
        return new DoubtRule(
                figure,
                limits,
                limits.min().isPresent() ? x(low, from, scale) : null,
                limits.max().isPresent() ? x(high, from, scale) : null,
                limits.target().isPresent() ? x(limits.target().getAsDouble(), from, scale) : null,
                limits.min().isPresent() ? x(low, from, scale) : MARGIN,
                limits.max().isPresent() ? x(high, from, scale) : ToleranceRule.WIDTH - MARGIN,
                waves);
    }

    private static double x(double value, double from, double scale) {
        return Math.rint(10 * (MARGIN + (value - from) * scale)) / 10;
    }

    private static String wave(double from, double to) {
        StringBuilder d = new StringBuilder("M" + from + " " + HEIGHT);
        double width = Math.max(to - from, 1);
        int waves = Math.max(1, (int) Math.round(width / WAVE));
        for (int i = 0; i < waves; i++) {
            double half = Math.rint(100 * width / waves / 2) / 100;
            d.append("q")
                    .append(half / 2)
                    .append(" -5 ")
                    .append(half)
                    .append(" 0t")
                    .append(half)
                    .append(" 0");
        }
        return d.toString();
    }

    /** Returns whether the limits lie so near one another that their figures stand outward of them. */
    public boolean narrow() {
        return bandTo - bandFrom < 48;
    }
}
