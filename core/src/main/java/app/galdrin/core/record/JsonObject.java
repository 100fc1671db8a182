package app.galdrin.core.record;

import java.util.Arrays;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * A JSON object in the order of its line. Values are {@link JsonObject}, {@link java.util.List}, text, double, boolean or
 * null. A name may stand in it twice; the last one counts. Small and without hashing, because records have few names and
 * there are many records.
 */
public final class JsonObject {

    private String[] names = new String[8];
    private @Nullable Object[] values = new Object[8];
    private int size;

    public void add(String name, @Nullable Object value) {
        if (size == names.length) {
            names = Arrays.copyOf(names, 2 * size);
            values = Arrays.copyOf(values, 2 * size);
        }
        names[size] = name;
        values[size++] = value;
    }

    public int size() {
        return size;
    }

    public String name(int index) {
        return names[index];
    }

    public @Nullable Object value(int index) {
        return values[index];
    }

    public boolean has(String name) {
        return indexOf(name) >= 0;
    }

    /** The value of a name; null where it is null or not there. */
    public @Nullable Object get(String name) {
        int index = indexOf(name);
        return index < 0 ? null : values[index];
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof JsonObject o
                && Arrays.equals(names, 0, size, o.names, 0, o.size)
                && Arrays.equals(values, 0, size, o.values, 0, o.size);
    }

    @Override
    public int hashCode() {
        int hash = 0;
        for (int i = 0; i < size; i++) {
            hash = 31 * (31 * hash + names[i].hashCode()) + Objects.hashCode(values[i]);
        }
        return hash;
    }

    private int indexOf(String name) {
        int index = size - 1;
        while (index >= 0 && !names[index].equals(name)) {
            index--;
        }
        return index;
    }
}
