package app.galdrin.core.procedure;

import java.util.Comparator;

/**
 * A place among those of all procedures.
 *
 * @param procedure key of the procedure
 * @param place its id there
 */
public record PlaceId(String procedure, String place) implements Comparable<PlaceId> {

    private static final char BETWEEN = '/';

    private static final Comparator<PlaceId> BY_KEY = Comparator.comparing(PlaceId::key);

    /** Returns its key in documents, {@code procedure/place}; {@link #parse} reads it. */
    public String key() {
        return procedure + BETWEEN + place;
    }

    /** Returns the place of a key. */
    public static PlaceId parse(String key) {
        int between = key.indexOf(BETWEEN);
        return new PlaceId(key.substring(0, between), key.substring(between + 1));
    }

    @Override
    public int compareTo(PlaceId other) {
        return BY_KEY.compare(this, other);
    }
}
