package app.galdrin.core.measure;

import java.util.stream.IntStream;

/** Names the places of a caster sweep, which are the fields of its record: {@code readings.0.steer} and so on. */
public final class SweepPlaces {

    /** The number of readings whose place names are prepared in advance; few sweeps have more. */
    private static final int USUAL_READINGS = 8;

    private static final String[] STEERS = prepared("steer");
    private static final String[] CAMBERS = prepared("camber");

    private SweepPlaces() {}

    private static String[] prepared(String field) {
        return IntStream.range(0, USUAL_READINGS).mapToObj(i -> place(i, field)).toArray(String[]::new);
    }

    private static String place(int reading, String field) {
        return "readings." + reading + "." + field;
    }

    /** Returns the place of the steer angle of a reading, counted from 0. */
    public static String steer(int reading) {
        return reading < USUAL_READINGS ? STEERS[reading] : place(reading, "steer");
    }

    /** Returns the place of the camber of a reading, counted from 0. */
    public static String camber(int reading) {
        return reading < USUAL_READINGS ? CAMBERS[reading] : place(reading, "camber");
    }
}
