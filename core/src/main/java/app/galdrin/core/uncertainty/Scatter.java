package app.galdrin.core.uncertainty;

import java.util.List;

/** Scatter of the repeats of a figure, beside what their budgets explain. */
public final class Scatter {

    /** The source of doubt that unexplained scatter is. */
    private static final DoubtSource SOURCE = DoubtSource.input("scatter");

    /** The share of honest sets of repeats that their budgets explain. */
    private static final double OFTEN = 0.95;

    private Scatter() {}

    /** Highest less lowest, in the figure's unit; 0 of one alone. */
    public static double range(List<Estimate> repeats) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (Estimate repeat : repeats) {
            least = Math.min(least, repeat.value());
            most = Math.max(most, repeat.value());
        }
        return repeats.isEmpty() ? 0 : most - least;
    }

    /** The greatest range that is explained in nineteen of twenty cases, in the figure's unit; 0 for fewer than two repeats. */
    public static double explained(List<Estimate> repeats) {
        return repeats.size() < 2 ? 0 : NormalRange.quantile(repeats.size(), OFTEN) * once(repeats);
    }

    /** Returns whether repeats, in the figure's unit, lie farther apart than that. */
    public static boolean isUnexplained(List<Estimate> repeats) {
        return repeats.size() > 1 && range(repeats) > explained(repeats);
    }

    /** The mean of repeats, in the figure's unit, with the scatter that its budget does not explain as a source of doubt of its own: s² / n − u² / n. */
    public static Estimate mean(List<Estimate> repeats) {
        Estimate mean = Estimate.mean(repeats);
        if (!isUnexplained(repeats)) {
            return mean;
        }
        double squares = 0;
        for (Estimate repeat : repeats) {
            squares += Math.pow(repeat.value() - mean.value(), 2);
        }
        double variance = squares / (repeats.size() - 1) - Math.pow(once(repeats), 2);
        return variance > 0 ? mean.with(SOURCE, Math.sqrt(variance / repeats.size())) : mean;
    }

    /** The standard uncertainty of one repeat without what all share, in the figure's unit. */
    private static double once(List<Estimate> repeats) {
        return repeats.get(0).minus(repeats.get(1)).standardUncertainty() / Math.sqrt(2);
    }
}
