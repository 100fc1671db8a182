package app.galdrin.core.proof;

import app.galdrin.core.reference.RobustMean;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.uncertainty.Budget;
import app.galdrin.core.uncertainty.DoubtSource;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.Function;

/** Ways of combining a few results with uncertainties of their own, of which some are slips. */
public final class MeanTrial {

    private static final double SLIPS = 0.1;
    private static final int ITERATIONS = 50;

    private MeanTrial() {}

    /** Ways of combining. */
    public enum Method {
        /** Algorithm A of [ISO13528, C.3], which knows no uncertainties of the results. */
        ALGORITHM_A(MeanTrial::algorithmA),
        /** Weights 1/(u² + τ²) with the variance τ² between results of Paule and Mandel. */
        PAULE_MANDEL(MeanTrial::pauleMandel),
        /** {@link RobustMean}. */
        OWN_UNCERTAINTIES(MeanTrial::robust);

        private final Function<List<Result>, Result> combine;

        Method(Function<List<Result>, Result> combine) {
            this.combine = combine;
        }
    }

    private record Result(double value, double u) {}

    /**
     * Outcome of a way.
     *
     * @param off root mean square of the differences from the truth over the smallest uncertainty of a result, without unit
     * @param covered share whose U covers the truth, 0 to 1
     * @param far share that is off by more than three of the smallest uncertainties, 0 to 1
     */
    public record Outcome(double off, double covered, double far) {}

    /** Returns what comes of combining so many results, of which each is a slip with probability 0.1, in so many trials. */
    public static Outcome of(Method method, int results, int trials, long seed) {
        var random = new SplittableRandom(seed);
        double squares = 0;
        int covered = 0;
        int far = 0;
        for (int t = 0; t < trials; t++) {
            List<Result> all = new ArrayList<>();
            for (int i = 0; i < results; i++) {
                double u = 1 + random.nextDouble();
                double slip = random.nextDouble() < SLIPS ? 30 * (random.nextDouble() - 0.5) : 0;
                all.add(new Result(u * random.nextGaussian() + slip, u));
            }
            Result mean = method.combine.apply(all);
            squares += mean.value() * mean.value();
            covered += Math.abs(mean.value()) <= Judgement.K * mean.u() ? 1 : 0;
            far += Math.abs(mean.value()) > 3 ? 1 : 0;
        }
        return new Outcome(Math.sqrt(squares / trials), (double) covered / trials, (double) far / trials);
    }

    private static Result robust(List<Result> results) {
        List<Estimate> estimates = new ArrayList<>();
        for (Result result : results) {
            estimates.add(new Estimate(result.value(), Budget.NONE)
                    .with(DoubtSource.input("result " + estimates.size()), result.u()));
        }
        Estimate mean = new RobustMean(estimates).estimate();
        return new Result(mean.value(), mean.standardUncertainty());
    }

    private static Result algorithmA(List<Result> results) {
        double[] values = results.stream().mapToDouble(Result::value).toArray();
        double mean = median(values);
        double middle = mean;
        double s = 1.483
                * median(Arrays.stream(values).map(v -> Math.abs(v - middle)).toArray());
        for (int i = 0; i < ITERATIONS; i++) {
            double low = mean - 1.5 * s;
            double high = mean + 1.5 * s;
            double[] cut = Arrays.stream(values)
                    .map(v -> Math.max(low, Math.min(v, high)))
                    .toArray();
            double now = Arrays.stream(cut).average().orElse(0);
            mean = now;
            s = 1.134
                    * Math.sqrt(
                            Arrays.stream(cut).map(v -> (v - now) * (v - now)).sum() / (cut.length - 1));
        }
        return new Result(mean, 1.25 * s / Math.sqrt(values.length));
    }

    private static double median(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return (sorted[(sorted.length - 1) / 2] + sorted[sorted.length / 2]) / 2;
    }

    private static Result pauleMandel(List<Result> results) {
        double low = 0;
        double high = 1e4;
        for (int i = 0; i < ITERATIONS; i++) {
            double between = (low + high) / 2;
            double mean = weighted(results, between).value();
            double sum = results.stream()
                    .mapToDouble(r -> (r.value() - mean) * (r.value() - mean) / (r.u() * r.u() + between))
                    .sum();
            if (sum > results.size() - 1) {
                low = between;
            } else {
                high = between;
            }
        }
        return weighted(results, high < 1e-6 ? 0 : high);
    }

    private static Result weighted(List<Result> results, double between) {
        double weights = 0;
        double sum = 0;
        for (Result result : results) {
            double weight = 1 / (result.u() * result.u() + between);
            weights += weight;
            sum += weight * result.value();
        }
        return new Result(sum / weights, 1 / Math.sqrt(weights));
    }
}
