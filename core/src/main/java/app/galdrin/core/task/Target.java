package app.galdrin.core.task;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.TargetReading;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.SpecificationSheet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Target of figures: the readings at which they are as the sheet prefers.
 *
 * @param from id of the measure whose readings show where the instruments stand
 * @param procedure of that measure
 * @param figures wanted; those that nothing on the vehicle moves are left out
 */
public record Target(String from, Procedure procedure, List<FigureId> figures) {

    private static final String LINE = "target.";

    public Target {
        figures = List.copyOf(figures);
    }

    /**
     * Returns the target readings, from readings (mm or deg by place) and the figures they came to (rad or mm).
     *
     * @param readings mm or deg by place
     * @param own rad or mm by figure
     */
    public List<TargetReading> of(Map<String, Double> readings, Map<FigureId, Double> own, MeasuringContext standing) {
        return TargetReading.of(procedure, standing, readings, own, preferred(standing.sheet()));
    }

    /** Returns what there is to read on a vehicle, whatever was read; the values are those of one that stands as the sheet prefers. */
    public List<TargetReading> on(SpecificationSheet sheet) {
        MeasuringContext standing = procedure.asUsual(new MeasuringContext(sheet, BayFloor.LEVEL));
        Map<String, Double> readings = procedure.readings(ExpectedUncertainty.asTheSheetWants(sheet), standing);
        readings.keySet()
                .retainAll(procedure.places(figures).stream().map(Place::id).toList());
        return of(readings, Map.of(), standing);
    }

    List<Line> lines(SpecificationSheet sheet) {
        return on(sheet).stream().map(t -> Line.of(line(t), t.answer())).toList();
    }

    /** The id of the line it is written on. */
    public String line(TargetReading reading) {
        return LINE + from + "." + reading.place().id();
    }

    private Map<FigureId, Double> preferred(SpecificationSheet sheet) {
        Map<FigureId, Double> preferred = new LinkedHashMap<>();
        for (FigureId figure : figures) {
            if (sheet.adjustable(figure.adjustment()) != Adjustable.NO) {
                sheet.limits(figure)
                        .map(Limits::target)
                        .ifPresent(target -> target.ifPresent(t -> preferred.put(figure, t)));
            }
        }
        return preferred;
    }
}
