package app.galdrin.core.task;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.geometry.Axle;

/** The position of the steering while a figure is read that the front wheels share. It is part of the set-up, because each wheel's share depends on it. */
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

    /** Returns whether a figure means anything with the steering so. */
    public boolean leaves(FigureId figure) {
        boolean steered = figure.axle().filter(Axle.FRONT::equals).isPresent();
        return this == CLAMPED || !steered || !figure.measurand().isSharedBySteering();
    }
}
