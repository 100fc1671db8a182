package app.galdrin.core.uncertainty;

import java.util.Arrays;
import java.util.function.ObjDoubleConsumer;

/**
 * Uncertainties of the inputs of a calculation: one source may move several inputs, and several sources one input. Their
 * names are looked up once, however many figures the calculation has.
 */
public final class InputDoubts {

    /** Usual number of sources of an input. */
    private static final int USUAL = 2;

    private final Parts sources;

    /** The first entry of each input, and the end of the last. */
    private final int[] from;

    /** The position of each entry's source among the sources. */
    private int[] source;

    /** Shift of the input by each entry, in the input's unit. */
    private double[] part;

    private int size;

    /** Lists the sources that move an input. */
    @FunctionalInterface
    public interface Movers {
        /**
         * Passes on the sources of one input.
         *
         * @param input counted from 0
         * @param each is told every source and what one standard uncertainty of it moves the input by: signed, in the input's unit
         */
        void of(int input, ObjDoubleConsumer<DoubtSource> each);
    }

    /** Collects what moves the inputs of a calculation. */
    public InputDoubts(int inputs, Movers movers) {
        from = new int[inputs + 1];
        sources = new Parts(USUAL * inputs);
        source = new int[USUAL * inputs];
        part = new double[USUAL * inputs];
        for (int input = 0; input < inputs; input++) {
            movers.of(input, this::add);
            from[input + 1] = size;
        }
    }

    private void add(DoubtSource mover, double moved) {
        if (size == source.length) {
            source = Arrays.copyOf(source, 2 * size + 1);
            part = Arrays.copyOf(part, 2 * size + 1);
        }
        source[size] = sources.place(mover);
        part[size++] = moved;
    }

    /** Returns the standard uncertainty of an input, counted from 0, in its unit, 0 or more; its sources are independent. */
    public double standardUncertainty(int input) {
        double sum = 0;
        for (int i = from[input]; i < from[input + 1]; i++) {
            sum += part[i] * part[i];
        }
        return Math.sqrt(sum);
    }

    /**
     * The budget of a figure: what each source comes to by way of all inputs. Without sources that come to nothing.
     *
     * @param slopes of the figure by every input, in the figure's unit for one of the input's
     */
    public Budget through(double[] slopes) {
        double[] sums = new double[sources.size()];
        for (int input = 0; input < slopes.length; input++) {
            double slope = slopes[input];
            if (slope != 0) {
                for (int i = from[input]; i < from[input + 1]; i++) {
                    sums[source[i]] += slope * part[i];
                }
            }
        }
        int count = 0;
        for (double sum : sums) {
            count += sum == 0 ? 0 : 1;
        }
        DoubtSource[] all = sources.sources();
        var kept = new DoubtSource[count];
        var parts = new double[count];
        for (int i = 0, at = 0; at < count; i++) {
            if (sums[i] != 0) {
                kept[at] = all[i];
                parts[at++] = sums[i];
            }
        }
        return Budget.of(parts, i -> kept[i]);
    }
}
