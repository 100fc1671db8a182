package app.galdrin.core.uncertainty;

import java.util.Arrays;

/**
 * Signed parts of a doubt while they are added up, by their sources and in the order in which these came. Every figure
 * of every sheet is put together so; over boxed numbers in a map it took a fifth of marking.
 */
final class Parts {

    /** So many are looked through one by one; most have no more. */
    private static final int FEW = 6;

    private static final int[] NO_SLOTS = {};

    private DoubtSource[] names;
    private double[] parts;
    private int size;

    /** By hash, the place in the list and 1; 0 where nothing is. Twice as many as places at least, or none while there are few. */
    private int[] slots;

    /** For so many sources; for more it grows. */
    Parts(int sources) {
        names = new DoubtSource[Math.max(1, sources)];
        parts = new double[names.length];
        slots = slotsFor(names.length);
    }

    private static int[] slotsFor(int sources) {
        return sources <= FEW ? NO_SLOTS : new int[4 * Integer.highestOneBit(sources)];
    }

    /** Adds to what a source contributes, in the figure's unit. */
    void add(DoubtSource source, double part) {
        int at = place(source); // for which the parts may have to grow
        parts[at] += part;
    }

    int size() {
        return size;
    }

    /** Where a source is in the list, counted from 0; at its end, with nothing, if it was not there. */
    int place(DoubtSource source) {
        int at = indexOf(source);
        if (at >= 0) {
            return at;
        }
        if (size == names.length) {
            grow();
        }
        names[size] = source;
        size++;
        if (slots.length > 0) {
            slots[slot(source)] = size;
        }
        return size - 1;
    }

    /** Where a source is in the list; −1 where it is not. */
    private int indexOf(DoubtSource source) {
        if (slots.length > 0) {
            return slots[slot(source)] - 1;
        }
        int at = size - 1;
        while (at >= 0 && !names[at].equals(source)) {
            at--;
        }
        return at;
    }

    /** Where a source is among the slots, or where it would be. */
    private int slot(DoubtSource source) {
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
        slots = slotsFor(names.length);
        for (int i = 0; i < size && slots.length > 0; i++) {
            slots[slot(names[i])] = i + 1;
        }
    }

    /** What they come to. */
    Budget budget() {
        DoubtSource[] sources = Arrays.copyOf(names, size);
        return Budget.of(Arrays.copyOf(parts, size), i -> sources[i]);
    }

    /** What other parts of these sources come to, in their order; those that are nothing left away. */
    Budget budget(double[] others) {
        int count = 0;
        for (double other : others) {
            count += other == 0 ? 0 : 1;
        }
        DoubtSource[] sources = new DoubtSource[count];
        double[] kept = new double[count];
        for (int i = 0, at = 0; at < count; i++) {
            if (others[i] != 0) {
                sources[at] = names[i];
                kept[at++] = others[i];
            }
        }
        return Budget.of(kept, i -> sources[i]);
    }
}
