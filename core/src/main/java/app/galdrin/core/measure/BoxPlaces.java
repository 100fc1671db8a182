package app.galdrin.core.measure;

import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.record.NumberField;
import app.galdrin.core.record.Range;
import java.util.Arrays;

/** Names the places of a box of two strings, which are the fields of its record. */
public final class BoxPlaces {

    public static final NumberField SPACING_FRONT = NumberField.length("stringSpacingFront", Range.LENGTH);
    public static final NumberField SPACING_REAR = NumberField.length("stringSpacingRear", Range.LENGTH);
    public static final NumberField STATION_DISTANCE = NumberField.length("stationDistance", Range.LENGTH);

    private static final String[] HUB_GAPS = places("hubGap.", "");
    private static final String[] FRONT_GAPS = places("wheels.", ".frontGap");
    private static final String[] REAR_GAPS = places("wheels.", ".rearGap");

    private BoxPlaces() {}

    private static String[] places(String head, String tail) {
        return Arrays.stream(Wheel.values()).map(w -> head + w.key() + tail).toArray(String[]::new);
    }

    /** Returns the place of the gap from the string to a wheel's hub. */
    public static String hubGap(Wheel wheel) {
        return HUB_GAPS[wheel.ordinal()];
    }

    /** Returns the place of the gap from the string to the front edge of a wheel's rim. */
    public static String frontGap(Wheel wheel) {
        return FRONT_GAPS[wheel.ordinal()];
    }

    /** Returns the place of the gap from the string to the rear edge of a wheel's rim. */
    public static String rearGap(Wheel wheel) {
        return REAR_GAPS[wheel.ordinal()];
    }
}
