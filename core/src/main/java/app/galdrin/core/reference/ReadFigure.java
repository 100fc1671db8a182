package app.galdrin.core.reference;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.spec.Stance;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Steering;

/**
 * Figure as one procedure gives it. Readings of it by several people can be compared: what the procedure cannot see is the same for all of them.
 *
 * @param procedure key of the procedure
 * @param steering where the steering stands meanwhile
 * @param stance how the vehicle stands on its springs meanwhile
 */
public record ReadFigure(String procedure, Steering steering, Stance stance, FigureId figure) {

    /** Returns the figure as a measuring step reads it. */
    public static ReadFigure of(Measure measure, FigureId figure) {
        return new ReadFigure(measure.procedure().key(), measure.steering(), measure.stance(), figure);
    }
}
