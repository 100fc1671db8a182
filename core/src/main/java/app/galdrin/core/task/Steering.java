package app.galdrin.core.task;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.geometry.Axle;

/** Where the steering stands while a figure is read that the front wheels share: a part of the set-up, because each one's share hangs on it. */
public enum Steering implements Keyed {
    /** The steering wheel straight and clamped: each front wheel's share means something. */
    CLAMPED("clamped"),
    /** One front wheel squared by hand to the line and all read in the other: the total alone means something. */
    SQUARED("squared");

    private final String key;

    Steering(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }

    /** Whether a figure means anything with the steering so. */
    public boolean leaves(FigureId figure) {
        boolean steered = figure.axle().filter(Axle.FRONT::equals).isPresent();
        return this == CLAMPED || !steered || !figure.measurand().isSharedBySteering();
    }
}
