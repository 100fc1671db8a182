package app.galdrin.core.uncertainty;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntFunction;
import java.util.function.ObjDoubleConsumer;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;

/**
 * Uncertainty budget of a figure: for every source the signed part ∂f/∂x · u(x) it contributes [GUM, 5.1.2 and H.1]. The
 * parts add up as squares to the square of the figure's standard uncertainty. A source is a reading, or something that several
 * figures share; where figures are put together, the parts of one source are added with their signs before anything is squared.
 */
public final class Budget {

    /** No source contributes. */
    public static final Budget NONE = of(new double[0], i -> {
        throw new IndexOutOfBoundsException(i);
    });

    private final double[] parts;
    private final IntFunction<DoubtSource> sources;

    /**
     * Contribution of one source.
     *
     * @param source where it comes from
     * @param part in the figure's unit; negative where the figure falls as the source rises
     * @param share share of the variance, above 0 and up to 1
     */
    public record Contribution(DoubtSource source, double part, double share) {}

    private Budget(double[] parts, IntFunction<DoubtSource> sources) {
        this.parts = parts;
        this.sources = sources;
    }

    /**
     * A budget by source.
     *
     * @param parts ∂f/∂x · u(x) of every source with its sign, in the figure's unit
     * @param sources each source, none twice; asked for when someone looks
     */
    public static Budget of(double[] parts, IntFunction<DoubtSource> sources) {
        return new Budget(parts, sources);
    }

    private static Budget of(Parts sums) {
        DoubtSource[] sources = sums.sources();
        return of(sums.parts(), i -> sources[i]);
    }

    /**
     * Returns the budget of a calculation by its inputs.
     *
     * @param parts ∂f/∂x · u(x) of every input with its sign, in the figure's unit
     * @param paths the path of each input, none twice; asked for when someone looks
     */
    public static Budget ofInputs(double[] parts, IntFunction<String> paths) {
        return new Budget(parts, i -> DoubtSource.input(paths.apply(i)));
    }

    /** Returns how many sources it names. */
    public int size() {
        return parts.length;
    }

    /** The square root of the sum of the squared parts, in the figure's unit, 0 or more. */
    public double standardUncertainty() {
        return Math.sqrt(variance());
    }

    /** The same of some sources alone, in the figure's unit. */
    public double standardUncertaintyOf(Predicate<DoubtSource> such) {
        double sum = 0;
        for (int i = 0; i < parts.length; i++) {
            if (such.test(sources.apply(i))) {
                sum += parts[i] * parts[i];
            }
        }
        return Math.sqrt(sum);
    }

    /** The budget of all sources but some. */
    public Budget without(Predicate<DoubtSource> such) {
        var kept = new Parts(parts.length);
        forEach((source, part) -> {
            if (!such.test(source)) {
                kept.add(source, part);
            }
        });
        return of(kept);
    }

    private double variance() {
        double sum = 0;
        for (double part : parts) {
            sum += part * part;
        }
        return sum;
    }

    /** Returns the signed part of every source by its name, in the figure's unit. */
    public Map<String, Double> parts() {
        Map<String, Double> all = new LinkedHashMap<>();
        forEach((source, part) -> all.merge(source.name(), part, Double::sum));
        return all;
    }

    /** Returns the sources it names. */
    public Set<DoubtSource> sources() {
        Set<DoubtSource> all = new HashSet<>();
        forEach((source, part) -> all.add(source));
        return all;
    }

    /** Every source with its signed part, in the figure's unit. */
    public void forEach(ObjDoubleConsumer<DoubtSource> each) {
        for (int i = 0; i < parts.length; i++) {
            each.accept(sources.apply(i), parts[i]);
        }
    }

    /** The sources that contribute, those with the largest parts first. */
    public List<Contribution> contributions() {
        double variance = variance();
        return IntStream.range(0, parts.length)
                .filter(i -> parts[i] != 0)
                .mapToObj(i -> new Contribution(sources.apply(i), parts[i], parts[i] * parts[i] / variance))
                .sorted(Comparator.comparingDouble(c -> -Math.abs(c.part())))
                .toList();
    }

    /** The shares of the variance by {@link DoubtSource#group}, in the order in which they came. */
    private Map<String, Double> sharesInOrder() {
        double variance = variance();
        Map<String, Double> shares = new LinkedHashMap<>();
        for (int i = 0; i < parts.length; i++) {
            if (parts[i] != 0) {
                shares.merge(sources.apply(i).group(), parts[i] * parts[i] / variance, Double::sum);
            }
        }
        return shares;
    }

    /** Returns the group of sources with the largest share of the variance, and the share; empty where nothing is in doubt. */
    public Optional<Map.Entry<String, Double>> largestShare() {
        Map.Entry<String, Double> largest = null;
        for (Map.Entry<String, Double> share : sharesInOrder().entrySet()) {
            if (largest == null || share.getValue() > largest.getValue()) {
                largest = share;
            }
        }
        return Optional.ofNullable(largest);
    }

    /** Returns the shares of the variance by {@link DoubtSource#group}; those with the largest share first. */
    public Map<String, Double> shares() {
        Map<String, Double> sorted = new LinkedHashMap<>();
        sharesInOrder().entrySet().stream()
                .sorted(Map.Entry.<String, Double>comparingByValue().reversed())
                .forEach(e -> sorted.put(e.getKey(), e.getValue()));
        return sorted;
    }

    /** The same parts from other sources. */
    Budget mapped(UnaryOperator<DoubtSource> other) {
        return new Budget(parts, i -> other.apply(sources.apply(i)));
    }

    /**
     * The same budget with one source more; a source that it has is added to; {@code part} is in the unit of the figure.
     *
     * @param part in the unit of the figure, with its sign
     */
    public Budget with(DoubtSource source, double part) {
        var all = new Parts(parts.length + 1);
        forEach(all::add);
        all.add(source, part);
        return of(all);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Budget b && parts().equals(b.parts());
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(parts);
    }

    @Override
    public String toString() {
        return new ArrayList<>(contributions()).toString();
    }
}
