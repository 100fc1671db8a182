package app.galdrin.core.task;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.Where;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Standing;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** How well a measuring step tells its figures when it is done as the task asks, on a vehicle that stands as its sheet wants. */
public final class Expected {

    private Expected() {}

    /** One measurement of every figure the step tells, rad or mm. */
    public static Map<FigureId, Estimate> once(Measure measure, Standing standing) {
        return worked(measure, standing, 1);
    }

    /** The mean of the repeats it asks for, rad or mm. */
    public static Map<FigureId, Estimate> asAsked(Measure measure, Standing standing) {
        return worked(measure, standing, measure.repeats());
    }

    private static Map<FigureId, Estimate> worked(Measure measure, Standing bay, int repeats) {
        Map<FigureId, List<Estimate>> all = new LinkedHashMap<>();
        Standing standing = measure.procedure().asUsual(bay);
        Map<String, Double> readings = measure.procedure().readings(asTheSheetWants(standing.sheet()), standing);
        for (int i = 1; i <= repeats; i++) {
            var repeat = new Procedure.Repeat(measure.id(), 0, i);
            measure.procedure()
                    .work(readings, standing, repeat, measure.taught())
                    .figures()
                    .forEach((figure, estimate) ->
                            all.computeIfAbsent(figure, f -> new ArrayList<>()).add(estimate));
        }
        Map<FigureId, Estimate> means = new LinkedHashMap<>();
        all.forEach((figure, estimates) -> means.put(figure, Estimate.mean(estimates)));
        return means;
    }

    /** Every wheel at what its sheet prefers. */
    public static Truth asTheSheetWants(SpecificationSheet sheet) {
        Map<FigureId, Double> figures = new HashMap<>();
        for (Wheel wheel : Wheel.values()) {
            for (Measurand measurand : Measurand.values()) {
                if (measurand.extent() == Where.Extent.WHEEL) {
                    FigureId figure = FigureId.of(measurand, wheel);
                    sheet.limits(figure)
                            .map(Limits::target)
                            .ifPresent(target -> target.ifPresent(t -> figures.put(figure, t)));
                }
            }
        }
        return new Truth(figures);
    }
}
