package app.galdrin.core.reference;

import app.galdrin.core.uncertainty.DoubtSource;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/**
 * Robust mean of independent results with uncertainties of their own. It solves Σ ψ((xᵢ − x) / uᵢ) / uᵢ = 0 with Huber's ψ(r) = max(−1.5, min(r, 1.5)):
 * Algorithm A of [ISO13528, C.3] with each result's own uncertainty in place of one standard deviation of all. uᵢ leaves out what all results
 * share. A result that lies far off pulls with 1.5/uᵢ at most, however far it lies.
 */
public final class RobustMean {

    /** The number of its own standard uncertainties beyond which a result counts with less weight [ISO13528, C.3.1]. */
    public static final double FAR = 1.5;

    /** Turns the squares of residuals cut at {@link #FAR} into a variance [ISO13528, C.3.1]. */
    private static final double CUT = 1.134;

    /** Chi-squared quantiles at 95 % over their degrees of freedom, from 1 on. */
    private static final double[] EXPLAINED = {3.841, 2.996, 2.605, 2.372, 2.214, 2.099, 2.010, 1.938, 1.880, 1.831};

    /** A result without any doubt weighs as one that is known this well, rad or mm. */
    private static final double LEAST = 1e-9;

    /** Pulls that differ by less, over what all can pull together, are the same. */
    private static final double ROUNDING = 1e-9;

    private static final double AGREES = 0.75;

    private static final DoubtSource SPREAD = DoubtSource.input("spread");

    private final List<Estimate> results;
    private final double[] u;
    private final double value;

    /**
     * Combines results of one figure.
     *
     * @param results one or more, rad or mm, with their budgets
     */
    public RobustMean(List<Estimate> results) {
        this.results = List.copyOf(results);
        Set<DoubtSource> shared = shared(results);
        this.u = results.stream()
                .mapToDouble(r -> Math.max(LEAST, r.without(shared::contains).standardUncertainty()))
                .toArray();
        this.value = results.size() == 1 ? results.get(0).value() : solve();
    }

    private static Set<DoubtSource> shared(List<Estimate> results) {
        if (results.size() < 2) {
            return Set.of();
        }
        Set<DoubtSource> shared = new HashSet<>(results.get(0).budget().sources());
        results.forEach(r -> shared.retainAll(r.budget().sources()));
        return shared;
    }

    /** Returns the middle of all x at which the results pull equally both ways. */
    private double solve() {
        double[] corners = DoubleStream.concat(DoubleStream.of(ends(-FAR)), DoubleStream.of(ends(FAR)))
                .sorted()
                .toArray();
        return (zero(corners, 1) + zero(corners, -1)) / 2;
    }

    private double[] ends(double far) {
        double[] ends = new double[u.length];
        for (int i = 0; i < u.length; i++) {
            ends[i] = results.get(i).value() + far * u[i];
        }
        return ends;
    }

    /** Returns the end of the zeros of the pull: the lowest coming from below ({@code way} 1), or the highest coming from above (−1). */
    private double zero(double[] corners, int way) {
        int at = way > 0 ? 0 : corners.length - 1;
        double before = corners[at];
        double pullBefore = way * pull(before);
        while (pullBefore > ROUNDING) {
            at += way;
            double here = corners[at];
            double pullHere = way * pull(here);
            if (pullHere <= ROUNDING) {
                // the pull is a straight line between two corners
                return pullHere >= -ROUNDING || pullBefore == pullHere
                        ? here
                        : before + (here - before) * pullBefore / (pullBefore - pullHere);
            }
            before = here;
            pullBefore = pullHere;
        }
        return before;
    }

    /** Returns Σ ψ / u over {@code Σ 1/u}: between −1.5 and 1.5, falling as x rises. */
    private double pull(double x) {
        double pull = 0;
        double most = 0;
        for (int i = 0; i < u.length; i++) {
            pull += cut(residual(i, x)) / u[i];
            most += 1 / u[i];
        }
        return pull / most;
    }

    private static double cut(double residual) {
        return Math.max(-FAR, Math.min(residual, FAR));
    }

    private double residual(int i, double x) {
        return (results.get(i).value() - x) / u[i];
    }

    /** Returns the share of its full weight that a result has, above 0 and up to 1; less than 1 where it lies far off. */
    public double share(int i) {
        return Math.min(1, FAR / Math.max(FAR, Math.abs(residual(i, value))));
    }

    /** Returns whether a result agrees with the mean: within two of its own standard uncertainties. */
    public boolean agrees(int i) {
        return share(i) >= AGREES;
    }

    /**
     * Returns whether the results agree: more than half of them with the mean, and all of them lie no farther apart than their uncertainties explain in
     * nineteen of twenty cases.
     */
    public boolean agrees() {
        long agreeing = IntStream.range(0, u.length).filter(this::agrees).count();
        return u.length < 2
                || 2 * agreeing > u.length && spread() <= EXPLAINED[Math.min(u.length - 1, EXPLAINED.length) - 1];
    }

    /** Returns the variance of the residuals, cut where they are far off, over what the uncertainties explain: about 1. */
    private double spread() {
        double squares = 0;
        for (int i = 0; i < u.length; i++) {
            squares += Math.pow(cut(residual(i, value)), 2);
        }
        return CUT * CUT * squares / (u.length - 1);
    }

    /** Returns the mean, rad or mm, with the doubts of all results by their weights; what they share does not average out. */
    public Estimate estimate() {
        if (results.size() == 1) {
            return results.get(0);
        }
        double sum = 0;
        double[] weights = new double[u.length];
        for (int i = 0; i < u.length; i++) {
            weights[i] = share(i) / (u[i] * u[i]);
            sum += weights[i];
        }
        List<Estimate> weighted = new ArrayList<>();
        for (int i = 0; i < u.length; i++) {
            weighted.add(results.get(i).times(weights[i] / sum));
        }
        Estimate doubts = weighted.stream().reduce(Estimate::plus).orElseThrow();
        var mean = new Estimate(value, doubts.budget());
        return agrees() || spread() <= 1 ? mean : mean.with(SPREAD, Math.sqrt((spread() - 1) / sum));
    }
}
