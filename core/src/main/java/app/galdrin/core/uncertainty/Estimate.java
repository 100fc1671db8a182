package app.galdrin.core.uncertainty;

import java.util.Arrays;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.function.Predicate;

/**
 * A figure and how well it is known.
 *
 * @param value in the figure's unit
 * @param standardUncertainty in the same unit, 0 or more; 0 where nothing was said of it
 * @param budget which source contributes how much of it, with its sign
 */
public record Estimate(double value, double standardUncertainty, Budget budget) {

    /** A figure whose doubt is known as a whole only. */
    public Estimate(double value, double standardUncertainty) {
        this(value, standardUncertainty, Budget.NONE);
    }

    /** A figure whose doubt is the sum of its budget. */
    public Estimate(double value, Budget budget) {
        this(value, budget.standardUncertainty(), budget);
    }

    /** A figure without doubt, in its unit. */
    public static Estimate exact(double value) {
        return new Estimate(value, 0);
    }

    /** This and another figure of its unit together, both with budgets; what they share is added with its sign. */
    public Estimate plus(Estimate other) {
        return combined(new double[] {1, 1}, List.of(this, other));
    }

    /** This figure less another of its unit, both with budgets; what they share falls out with its sign. */
    public Estimate minus(Estimate other) {
        return combined(new double[] {1, -1}, List.of(this, other));
    }

    /** By a factor without unit and doubt. */
    public Estimate times(double factor) {
        return combined(new double[] {factor}, List.of(this));
    }

    /**
     * The mean of repeats; readings of each repeat have names of their own, so that they average, and what is common does not.
     *
     * @param repeats one or more, in one unit
     */
    public static Estimate mean(List<Estimate> repeats) {
        double[] factors = new double[repeats.size()];
        Arrays.fill(factors, 1.0 / repeats.size());
        var values = new DoubleSummaryStatistics();
        repeats.forEach(repeat -> values.accept(repeat.value()));
        return new Estimate(values.getAverage(), Budget.combined(factors, repeats));
    }

    private static Estimate combined(double[] factors, List<Estimate> figures) {
        double value = 0;
        for (int i = 0; i < factors.length; i++) {
            value += factors[i] * figures.get(i).value();
        }
        return new Estimate(value, Budget.combined(factors, figures));
    }

    /** The same figure in the same unit, told another time: its sources that are made anew each time are none of the others' any more. */
    public Estimate anew(Predicate<String> each) {
        return new Estimate(value, standardUncertainty, budget.named(s -> each.test(s) ? "again/" + s : s));
    }

    /** The same value with one source of doubt more; {@code part} in its unit, with the sign of what the source does to it. */
    public Estimate with(String source, double part) {
        return new Estimate(value, budget.with(source, part));
    }
}
