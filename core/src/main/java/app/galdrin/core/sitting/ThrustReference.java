package app.galdrin.core.sitting;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.uncertainty.Estimate;
import java.util.Optional;

/** Counts the toe of steered wheels from a thrust line. */
public final class ThrustReference {

    /** The thrust angle of the rear axle. */
    public static final FigureId FIGURE = FigureId.of(Measurand.THRUST, Axle.REAR);

    private ThrustReference() {}

    /** A figure, rad or mm, counted from a thrust line, rad, if it is a front wheel's toe; else as it is. */
    public static Estimate countedFrom(Optional<Estimate> thrust, FigureId figure, Estimate value) {
        return isSteered(figure)
                ? thrust.map(t -> value.plus(
                                t.times(-figure.wheel().orElseThrow().side().sign())))
                        .orElse(value)
                : value;
    }

    /** Returns whether a figure is a front wheel's share of what the steering divides, which a thrust line matters to. */
    public static boolean isSteered(FigureId figure) {
        return figure.measurand().isSharedBySteering()
                && figure.wheel().filter(Wheel::front).isPresent();
    }
}
