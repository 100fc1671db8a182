package app.galdrin.core.uncertainty;

import java.util.Arrays;

/**
 * Signed parts of a doubt while they are added up, by their sources and in the order in which these came. Every figure
 * of every sheet is put together so; over boxed numbers in a map it took a fifth of marking.
 */
final class Parts {

    /** The number of sources up to which they are searched one by one; most have no more. */
    private static final int FEW = 6;

    private static final int[] NO_SLOTS = {};

    private DoubtSource[] names;
    private double[] parts;
    private int size;

    /** The position in the list plus 1, by hash; 0 if the slot is empty. At least twice as many slots as positions, or none while there are few. */
    private int[] slots;

    /** Makes room for so many sources; it grows for more. */
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

    /** Returns the position of a source in the list, counted from 0; appends it if it is new. */
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

    /** Returns the position of a source in the list; −1 if it is not there. */
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

    /** Returns the slot of a source, or the one it would take. */
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

    /** Returns the parts, in the order in which their sources came. */
    double[] parts() {
        return Arrays.copyOf(parts, size);
    }

    /** Returns the sources in their order. */
    DoubtSource[] sources() {
        return Arrays.copyOf(names, size);
    }
}
