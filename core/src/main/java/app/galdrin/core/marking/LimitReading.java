package app.galdrin.core.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.SheetScale;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.uncertainty.Estimate;
import java.util.Optional;

/** Where a figure lies for somebody who misreads a sheet's limits. */
public final class LimitReading {

    private LimitReading() {}

    /** By the key of the slip; the figure and its limits are rad or mm. Empty where there is no such slip or it can't be made here. */
    public static Optional<Zone> by(String slip, FigureId figure, Estimate value, Limits limits, SheetScale scale) {
        return LimitSlip.ALL.stream()
                .filter(s -> s.key().equals(slip))
                .findFirst()
                .flatMap(s -> s.seen(figure, value, limits, scale));
    }
}
