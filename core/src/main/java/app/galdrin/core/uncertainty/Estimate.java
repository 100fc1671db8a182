package app.galdrin.core.uncertainty;

import java.util.Arrays;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.function.Predicate;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** A figure and how well it is known. */
public final class Estimate {

    private final double value;
    private final Supplier<Doubt> asked;

    /** Put together when somebody asks; two who ask at once put together the same. */
    private @Nullable Doubt doubt;

    private record Doubt(double standardUncertainty, Budget budget) {
        static Doubt of(Budget budget) {
            return new Doubt(budget.standardUncertainty(), budget);
        }
    }

    private Estimate(double value, Supplier<Doubt> asked) {
        this.value = value;
        this.asked = asked;
    }

    /**
     * A figure whose doubt is known as a whole only; both in the figure's unit.
     *
     * @param value in the unit of the figure, rad or mm
     * @param standardUncertainty in the unit of the figure, 0 or more
     */
    public Estimate(double value, double standardUncertainty) {
        this(value, () -> new Doubt(standardUncertainty, Budget.NONE));
    }

    /**
     * A figure in its unit, whose doubt is the sum of its budget.
     *
     * @param value in the unit of the figure, rad or mm
     */
    public Estimate(double value, Budget budget) {
        this(value, () -> Doubt.of(budget));
    }

    /**
     * The same, likewise in its unit, of a budget that is put together when somebody asks: most figures that follow from others are asked
     * for by nobody.
     *
     * @param value in the unit of the figure, rad or mm
     */
    public static Estimate lazily(double value, Supplier<Budget> budget) {
        return new Estimate(value, () -> Doubt.of(budget.get()));
    }

    private Doubt doubt() {
        Doubt known = doubt;
        if (known == null) {
            known = asked.get();
            doubt = known;
        }
        return known;
    }

    /** Returns the value in the figure's unit. */
    public double value() {
        return value;
    }

    /** Returns the standard uncertainty in the figure's unit, 0 or more; 0 if none was given. */
    public double standardUncertainty() {
        return doubt().standardUncertainty();
    }

    /** Returns which source contributes how much of the uncertainty, with its sign; none where it is known as a whole only. */
    public Budget budget() {
        return doubt().budget();
    }

    /** The same figure in the same unit, some sources of doubt left out. */
    public Estimate without(Predicate<DoubtSource> such) {
        return lazily(value, () -> budget().without(such));
    }

    /**
     * A figure without doubt, in its unit.
     *
     * @param value in the unit of the figure, rad or mm
     */
    public static Estimate exact(double value) {
        return new Estimate(value, 0);
    }

    /** Returns the sum of this and another figure of its unit, both with budgets; what they share is added with its sign. */
    public Estimate plus(Estimate other) {
        return combined(new double[] {1, 1}, List.of(this, other));
    }

    /** Returns this figure less another of its unit, both with budgets; what they share falls out with its sign. */
    public Estimate minus(Estimate other) {
        return combined(new double[] {1, -1}, List.of(this, other));
    }

    /**
     * Multiplies by a factor without unit and uncertainty.
     *
     * @param factor without unit, of any sign
     */
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
        List<Estimate> all = List.copyOf(repeats);
        var values = new DoubleSummaryStatistics();
        all.forEach(repeat -> values.accept(repeat.value()));
        return lazily(values.getAverage(), () -> budget(factors, all));
    }

    private static Estimate combined(double[] factors, List<Estimate> figures) {
        double value = 0;
        for (int i = 0; i < factors.length; i++) {
            value += factors[i] * figures.get(i).value();
        }
        return lazily(value, () -> budget(factors, figures));
    }

    /** Returns the figure, in its unit, as it is where everything was set up and read a second time: its doubts come from sources of their own. */
    public Estimate readAgain() {
        return new Estimate(value, () -> new Doubt(standardUncertainty(), budget().mapped(DoubtSource::readAgain)));
    }

    /** Returns the figure, in its unit, as one of several read it: what is his alone comes from sources of his own. */
    public Estimate readBy(String reader) {
        return new Estimate(
                value, () -> new Doubt(standardUncertainty(), budget().mapped(source -> source.readBy(reader))));
    }

    /**
     * The same doubt about the value as it is printed, in the figure's unit.
     *
     * @param printed in the unit of the figure, rad or mm
     */
    public Estimate printedAs(double printed) {
        return new Estimate(printed, this::doubt);
    }

    /**
     * The same value with one source of doubt more; {@code part} in its unit, with the sign of what the source does to it.
     *
     * @param part in the unit of the figure, rad or mm, with its sign
     */
    public Estimate with(DoubtSource source, double part) {
        return lazily(value, () -> budget().with(source, part));
    }

    /**
     * The budget of Σ fᵢ · figureᵢ: parts of one source are added with their signs.
     *
     * @param factors as many as figures
     */
    private static Budget budget(double[] factors, List<Estimate> figures) {
        int most = 0;
        for (Estimate figure : figures) {
            most += figure.budget().size();
        }
        var sums = new Parts(most);
        for (int i = 0; i < factors.length; i++) {
            double factor = factors[i];
            figures.get(i).budget().forEach((source, part) -> sums.add(source, factor * part));
        }
        DoubtSource[] sources = sums.sources();
        return Budget.of(sums.parts(), i -> sources[i]);
    }
}
