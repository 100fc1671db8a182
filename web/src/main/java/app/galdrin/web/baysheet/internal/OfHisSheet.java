package app.galdrin.web.baysheet.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.uncertainty.Estimate;
import java.util.Optional;

/** Which figures a sheet shows to whoever judges and plans on it. */
final class OfHisSheet {

    private OfHisSheet() {}

    /**
     * A figure, rad or mm, as it is judged before a step.
     *
     * @param speaks whether the sheet may say what the readings come to; else it shows his own alone
     */
    static Optional<Estimate> standing(OwnFigures own, FigureId figure, String beforeStep, boolean speaks) {
        Optional<Estimate> thrust = own.thrustLine(beforeStep)
                .filter(t ->
                        speaks || own.ofHisOwn(OwnFigures.THRUST, beforeStep).isPresent());
        Optional<Estimate> value = speaks ? own.goesBy(figure, beforeStep) : own.ofHisOwn(figure, beforeStep);
        return value.map(v -> OwnFigures.countedFrom(thrust, figure, v));
    }
}
