package app.galdrin.core.uncertainty;

import java.util.Arrays;
import java.util.function.ObjDoubleConsumer;

/**
 * Signed parts of a doubt while they are added up, by the names of their sources and in the order in which the names came. Every figure
 * of every sheet is put together so; over boxed numbers in a map it took a fifth of marking.
 */
public final class Parts {

    private static final int FEW = 8;

    private String[] names = new String[FEW];
    private double[] parts = new double[FEW];
    private int size;

    /** By hash, the place in the list and 1; 0 where nothing is. Twice as many as places at least. */
    private int[] slots = new int[4 * FEW];

    /** Adds to what a source contributes, in the figure's unit. */
    public void add(String source, double part) {
        int slot = slot(source);
        if (slots[slot] > 0) {
            parts[slots[slot] - 1] += part;
            return;
        }
        if (size == names.length) {
            grow();
            slot = slot(source);
        }
        names[size] = source;
        parts[size] = part;
        slots[slot] = ++size;
    }

    /** Adds all of another, by a factor that may turn its unit into this one's. */
    public void addAll(Parts other, double factor) {
        other.forEach((source, part) -> add(source, factor * part));
    }

    /** Every source with its part. */
    public void forEach(ObjDoubleConsumer<String> each) {
        for (int i = 0; i < size; i++) {
            each.accept(names[i], parts[i]);
        }
    }

    /** Where a source is, or where it would be. */
    private int slot(String source) {
        int hash = source.hashCode();
        int slot = (hash ^ hash >>> 16) & slots.length - 1;
        while (slots[slot] > 0 && !names[slots[slot] - 1].equals(source)) {
            slot = slot + 1 & slots.length - 1;
        }
        return slot;
    }

    private void grow() {
        names = Arrays.copyOf(names, 2 * size);
        parts = Arrays.copyOf(parts, 2 * size);
        slots = new int[2 * slots.length];
        for (int i = 0; i < size; i++) {
            slots[slot(names[i])] = i + 1;
        }
    }

    /** What they come to. */
    public Budget budget() {
        String[] sources = Arrays.copyOf(names, size);
        return Budget.of(Arrays.copyOf(parts, size), i -> sources[i]);
    }
}
