package app.galdrin.core.uncertainty;

import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntFunction;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;

/**
 * Where the doubt of a figure comes from: for every reading the part |∂f/∂x · u(x)| it contributes [GUM, 5.1.2 and H.1]. The parts
 * add up as squares to the square of the figure's standard uncertainty.
 */
public final class Budget {

    /** No reading contributes. */
    public static final Budget NONE = new Budget(new double[0], i -> "");

    private final double[] parts;
    private final IntFunction<String> readings;

    /**
     * What one reading contributes.
     *
     * @param reading its name in the record, which is its place on the sketch
     * @param part in the figure's unit, positive
     * @param share of the variance, above 0 and up to 1
     */
    public record Contribution(String reading, double part, double share) {}

    private Budget(double[] parts, IntFunction<String> readings) {
        this.parts = parts;
        this.readings = readings;
    }

    /**
     * A budget by reading.
     *
     * @param parts |∂f/∂x · u(x)| of every reading, in the figure's unit
     * @param readings the name of each, asked for when someone looks
     */
    public static Budget of(double[] parts, IntFunction<String> readings) {
        return new Budget(parts, readings);
    }

    /** The square root of the sum of the squared parts. */
    public double standardUncertainty() {
        return Math.sqrt(variance());
    }

    private double variance() {
        double sum = 0;
        for (double part : parts) {
            sum += part * part;
        }
        return sum;
    }

    /** The readings that contribute, those with the largest parts first. */
    public List<Contribution> contributions() {
        double variance = variance();
        return IntStream.range(0, parts.length)
                .filter(i -> parts[i] != 0)
                .mapToObj(i -> new Contribution(readings.apply(i), Math.abs(parts[i]), parts[i] * parts[i] / variance))
                .sorted(Comparator.comparingDouble(Contribution::part).reversed())
                .toList();
    }

    /** The shares of readings taken together, as this names them; those with the largest share first. */
    public Map<String, Double> sharesBy(UnaryOperator<String> group) {
        Map<String, Double> shares = new HashMap<>();
        contributions().forEach(c -> shares.merge(group.apply(c.reading()), c.share(), Double::sum));
        Map<String, Double> sorted = new LinkedHashMap<>();
        shares.entrySet().stream()
                .sorted(Map.Entry.<String, Double>comparingByValue().reversed())
                .forEach(e -> sorted.put(e.getKey(), e.getValue()));
        return sorted;
    }

    /** The budget of the mean of independent figures, reading by reading. */
    public static Budget ofMean(List<Budget> budgets) {
        Map<String, Double> squares = new HashMap<>();
        for (Budget budget : budgets) {
            budget.contributions().forEach(c -> squares.merge(c.reading(), c.part() * c.part(), Double::sum));
        }
        List<String> names = squares.keySet().stream().sorted().toList();
        double[] parts = names.stream()
                .mapToDouble(name -> Math.sqrt(squares.getOrDefault(name, 0.0)) / budgets.size())
                .toArray();
        return of(parts, names::get);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Budget b
                && Arrays.equals(parts, b.parts)
                && contributions().equals(b.contributions());
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(parts);
    }

    @Override
    public String toString() {
        return contributions().toString();
    }
}
