package app.galdrin.core.procedure;

import app.galdrin.core.quantity.Quantity;
import java.util.HashMap;
import java.util.Map;

/** Readings that instruments show: given in the units of the core, kept in those of readings. */
public final class ShownReadings {

    private final Map<String, Double> byPlace = new HashMap<>();

    /**
     * Adds a length.
     *
     * @param place id of the place
     * @param shown mm, with its sign
     */
    public void length(String place, double shown) {
        byPlace.put(place, Quantity.LENGTH.toDocument(shown));
    }

    /**
     * Adds an angle.
     *
     * @param place id of the place
     * @param shown rad, with its sign
     */
    public void angle(String place, double shown) {
        byPlace.put(place, Quantity.ANGLE.toDocument(shown));
    }

    /**
     * Adds a lean as a gauge shows it that reads {@value Source.FromPlumb#UPRIGHT} at plumb, with the way of the lean as its sign.
     *
     * @param place id of the place
     * @param lean rad, with its sign
     */
    public void fromPlumb(String place, double lean) {
        double shown = Source.FromPlumb.UPRIGHT - Math.abs(Quantity.ANGLE.toDocument(lean));
        byPlace.put(place, lean < 0 ? -shown : shown);
    }

    /** Returns mm or deg by place. */
    public Map<String, Double> byPlace() {
        return byPlace;
    }
}
