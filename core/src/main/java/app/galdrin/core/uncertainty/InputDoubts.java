package app.galdrin.core.uncertainty;

import java.util.Arrays;
import java.util.function.ObjDoubleConsumer;

/**
 * What moves the inputs of a calculation: sources of doubt, of which one may move several inputs, and one input be moved by several. Their
 * names are looked up once, however many figures the calculation has.
 */
public final class InputDoubts {

    /** Most inputs are moved by one source or two. */
    private static final int USUAL = 2;

    private final Parts sources;

    /** Where the entries of each input begin; those of the last end where there is no more. */
    private final int[] from;

    /** Of every entry the place of its source among the sources. */
    private int[] source;

    /** Of every entry by how much, in its input's unit. */
    private double[] part;

    private int size;

    /** Lists the sources that move an input. */
    @FunctionalInterface
    public interface Movers {
        /**
         * Of one input.
         *
         * @param input counted from 0
         * @param each is told every source and what one standard uncertainty of it moves the input by: signed, in the input's unit
         */
        void of(int input, ObjDoubleConsumer<DoubtSource> each);
    }

    /** Of so many inputs. */
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

    /** Of an input, counted from 0, in its unit, 0 or more; sources of one input are independent. */
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
        return sources.budget(sums);
    }
}
