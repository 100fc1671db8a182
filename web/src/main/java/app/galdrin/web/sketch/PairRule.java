package app.galdrin.web.sketch;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.uncertainty.Estimate;
import java.util.Optional;
import java.util.stream.DoubleStream;
import org.jspecify.annotations.Nullable;

/**
 * One figure by two procedures on one rule, a leader and a bracket each, one above the line and one below, with the limits where there
 * are any. Positions are units of a drawing {@link ToleranceRule#WIDTH} wide.
 */
public record PairRule(
        FigureId figure,
        Limb first,
        Limb second,
        @Nullable Double minX,
        @Nullable Double maxX) {

    /** The position of a value and the reach of its uncertainty. */
    public record Limb(double valueX, double lowX, double highX) {}

    private static final double MARGIN = 14;

    /** Values in rad or mm. */
    public static PairRule of(FigureId figure, Estimate first, Estimate second, Optional<Limits> limits) {
        DoubleStream ends = DoubleStream.concat(ends(first), ends(second));
        DoubleStream stops = limits.map(l -> DoubleStream.concat(l.min().stream(), l.max().stream()))
                .orElse(DoubleStream.empty());
        var all = DoubleStream.concat(ends, stops).summaryStatistics();
        double span = Math.max(all.getMax() - all.getMin(), 1e-9);
        double from = all.getMin() - span / 10;
        double scale = (ToleranceRule.WIDTH - 2 * MARGIN) / (1.2 * span);
        return new PairRule(
                figure,
                limb(first, from, scale),
                limb(second, from, scale),
                limits.filter(l -> l.min().isPresent())
                        .map(l -> x(l.min().getAsDouble(), from, scale))
                        .orElse(null),
                limits.filter(l -> l.max().isPresent())
                        .map(l -> x(l.max().getAsDouble(), from, scale))
                        .orElse(null));
    }

    private static DoubleStream ends(Estimate value) {
        double expanded = Judgement.K * value.standardUncertainty();
        return DoubleStream.of(value.value() - expanded, value.value() + expanded);
    }

    private static Limb limb(Estimate value, double from, double scale) {
        double expanded = Judgement.K * value.standardUncertainty();
        return new Limb(
                x(value.value(), from, scale),
                x(value.value() - expanded, from, scale),
                x(value.value() + expanded, from, scale));
    }

    private static double x(double value, double from, double scale) {
        return Math.rint(10 * (MARGIN + (value - from) * scale)) / 10;
    }
}
