package app.galdrin.core.measure;

import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.record.Step;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.uncertainty.Estimate;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A way of measuring front toe that a task can set: the places it reads in the order they are walked to, with what it is read,
 * and how its readings are worked. Readings are mm by place; a place is named as in the record format.
 */
public interface ToeMethod extends MeasuringMethod {

    /** The name in the database and the end of message keys. */
    String key();

    /** The places in walking order. */
    List<Place> places();

    /** Between the two points on a wheel that are compared, mm. */
    double baseline(VehicleGeometry geometry);

    /** What its readings are taken with. */
    CatalogueInstrument instrument();

    /** What they are taken from: metal, unless a method reads at the tread. */
    default CatalogueInstrument.Surface surface() {
        return CatalogueInstrument.Surface.RIM;
    }

    /** Works readings of which none is missing. */
    Outcome<ToeFigures> workComplete(Map<String, Double> readings, VehicleGeometry geometry);

    /** The steps from readings of which none is missing to a figure this method can tell; they must have been worked. */
    List<Step> working(Map<String, Double> readings, VehicleGeometry geometry, Asked asked);

    /** The figures this method can tell; the rest it is blind to. */
    default Set<Asked> answers() {
        Set<Asked> answers = EnumSet.noneOf(Asked.class);
        Arrays.stream(Asked.values())
                .filter(asked -> sight().sees().contains(asked.needs()))
                .forEach(answers::add);
        return answers;
    }

    /** Standard uncertainty of one reading in trained hands, mm. */
    default double standardUncertainty() {
        return instrument().standardUncertainty(surface());
    }

    /** The reading classes that a figure's doubt comes from, with their shares of the variance, the largest first. */
    default Map<String, Double> doubtByClass(Estimate figure) {
        Map<String, String> classes = new HashMap<>();
        places().forEach(place -> classes.put(place.id(), place.readingClass()));
        return figure.budget().sharesBy(reading -> classes.getOrDefault(reading, reading));
    }

    /**
     * Works one set of readings.
     *
     * @return {@code missing} at the first place in walking order that has no reading
     */
    default Outcome<ToeFigures> work(Map<String, Double> readings, VehicleGeometry geometry) {
        for (Place place : places()) {
            if (!readings.containsKey(place.id())) {
                return Outcome.fault(FaultCode.MISSING, place.id());
            }
        }
        return workComplete(readings, geometry);
    }

    /**
     * A reading that must be there.
     *
     * @throws IllegalStateException naming the place
     */
    static double at(Map<String, Double> readings, String place) {
        Double reading = readings.get(place);
        if (reading == null) {
            throw new IllegalStateException("no reading at " + place);
        }
        return reading;
    }
}
