package app.galdrin.core.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.SheetScale;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.uncertainty.Estimate;
import java.util.Optional;

/** Finds the zone of a figure for someone who misreads a sheet's limits. */
public final class LimitReading {

    private LimitReading() {}

    /** Returns the zone under a slip, by its key; the figure and its limits are rad or mm. Empty if there is no such slip or it cannot be made here. */
    public static Optional<Zone> by(String slip, FigureId figure, Estimate value, Limits limits, SheetScale scale) {
        return LimitSlip.ALL.stream()
                .filter(s -> s.key().equals(slip))
                .findFirst()
                .flatMap(s -> s.seen(figure, value, limits, scale));
    }
}
