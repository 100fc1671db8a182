package app.galdrin.web.baysheet.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.sitting.ThrustReference;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.web.words.Words;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Figures that a sheet shows to the person who judges and plans on it. */
final class OfHisSheet {

    private OfHisSheet() {}

    /**
     * A figure, rad or mm, as the apprentice judges it and plans on it before a step: the worked figure with the uncertainty of its readings, else
     * the one that is given, counted from the thrust line where that counts. While an assessment can still be written on, nothing is shown that tells
     * what is asked of the apprentice.
     *
     * @param speaks whether the sheet may say what the readings come to; else it shows the apprentice's own alone
     */
    private static Optional<Estimate> standing(OwnFigures own, FigureId figure, String beforeStep, boolean speaks) {
        Optional<Estimate> thrust = own.thrustLine(beforeStep)
                .filter(t -> speaks
                        || own.ofHisOwn(ThrustReference.FIGURE, beforeStep).isPresent());
        Optional<Estimate> value = speaks ? own.goesBy(figure, beforeStep) : own.ofHisOwn(figure, beforeStep);
        return value.map(v -> ThrustReference.countedFrom(thrust, figure, v));
    }

    /** All of these that there are, rad or mm, as they are printed beside one another; a written figure stands as it was written. */
    static Map<FigureId, Estimate> standing(
            OwnFigures own, List<FigureId> figures, String beforeStep, boolean speaks, Words words) {
        Map<FigureId, Estimate> found = new LinkedHashMap<>();
        figures.forEach(
                figure -> standing(own, figure, beforeStep, speaks).ifPresent(value -> found.put(figure, value)));
        Map<FigureId, Estimate> printed = words.printed(found);
        printed.replaceAll((figure, value) -> own.isAsked(figure, beforeStep) ? found.get(figure) : value);
        return printed;
    }
}
