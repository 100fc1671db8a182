package app.galdrin.core.procedure;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Instruments as they were laid once, and hands that read them; what is read once for the set-up is read with the first repeat. */
public final class InstrumentSetup {

    private final List<Place> walk;
    private final Simulation.Laying laying;
    private final Hands hands;
    private final Map<String, Double> once = new HashMap<>();

    InstrumentSetup(List<Place> walk, Simulation.Laying laying, Hands hands) {
        this.walk = walk;
        this.laying = laying;
        this.hands = hands;
    }

    /** One repeat: mm or deg by place, with signs. */
    public Map<String, Double> read() {
        Map<String, Double> shows = laying.shows();
        Map<String, Double> read = new LinkedHashMap<>();
        for (Place place : walk) {
            double stands = shows.getOrDefault(place.id(), 0.0);
            read.put(
                    place.id(),
                    place.eachRepeat()
                            ? hands.read(place, stands)
                            : once.computeIfAbsent(place.id(), id -> hands.read(place, stands)));
        }
        return read;
    }
}
