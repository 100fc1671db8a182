package app.galdrin.core.task;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Location;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.Tolerance;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Repeat;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.core.uncertainty.NormalRange;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** Uncertainty of a measuring step's figures when it is done as the task asks, on a vehicle that stands as its sheet wants. */
public final class ExpectedUncertainty {

    private static final double OFTEN = 0.97;

    private ExpectedUncertainty() {}

    /** One measurement of every figure the step tells, rad or mm. */
    public static Map<FigureId, Estimate> once(Measure measure, MeasuringContext standing) {
        return worked(measure, standing, 1);
    }

    /** The mean of the repeats it asks for, rad or mm. */
    public static Map<FigureId, Estimate> asAsked(Measure measure, MeasuringContext standing) {
        return worked(measure, standing, measure.repeats());
    }

    private static Map<FigureId, Estimate> worked(Measure measure, MeasuringContext bay, int repeats) {
        Map<FigureId, Estimate> means = new LinkedHashMap<>();
        repeated(measure, bay, repeats).forEach((figure, each) -> means.put(figure, Estimate.mean(each)));
        return means;
    }

    /** Every figure of so many repeats, rad or mm; what they share has the same sources in each. */
    private static Map<FigureId, List<Estimate>> repeated(Measure measure, MeasuringContext bay, int repeats) {
        Map<FigureId, List<Estimate>> all = new LinkedHashMap<>();
        MeasuringContext standing = measure.procedure().asUsual(bay);
        Map<String, Double> readings = readings(measure, standing);
        for (int i = 1; i <= repeats; i++) {
            figures(measure, standing, readings, i)
                    .forEach((figure, estimate) ->
                            all.computeIfAbsent(figure, f -> new ArrayList<>()).add(estimate));
        }
        return all;
    }

    private static Map<String, Double> readings(Measure measure, MeasuringContext standing) {
        return measure.procedure().readings(asTheSheetWants(standing.sheet()), standing);
    }

    private static Map<FigureId, Estimate> figures(
            Measure measure, MeasuringContext standing, Map<String, Double> readings, int repeat) {
        return measure.procedure()
                .work(readings, standing, new Repeat(measure.id(), 0, repeat), measure.taught())
                .figures();
    }

    /**
     * Returns how far the repeats of honest hands lie apart, by figure, rad or mm: the limits that the ranges of as many repeats as the step asks
     * for all keep in 97 of 100 sittings, without what all repeats share, and rounded up to whole marks of the instrument. Hands that scatter
     * a little more than is counted with still keep them in 95.
     *
     * @param among how many figures are compared in the whole sitting, 1 or more
     */
    public static Map<FigureId, Double> apart(Measure measure, MeasuringContext bay, List<FigureId> judged, int among) {
        MeasuringContext standing = measure.procedure().asUsual(bay);
        double within = Math.pow(OFTEN, 1.0 / Math.max(1, among));
        double ranges = NormalRange.quantile(measure.repeats(), within);
        Map<FigureId, Double> limits = new LinkedHashMap<>();
        Map<FigureId, List<Estimate>> twice = repeated(measure, bay, 2);
        for (FigureId figure : judged) {
            List<Estimate> two = twice.get(figure);
            if (two != null) {
                double once = two.get(0).minus(two.get(1)).standardUncertainty() / Math.sqrt(2);
                double mark = mark(measure, standing, figure);
                double limit = ranges * once;
                limits.put(figure, mark == 0 ? limit : mark * Math.ceil(limit / mark - Tolerance.ROUNDING.size()));
            }
        }
        return limits;
    }

    /** Returns what one mark of an instrument does to a figure, rad or mm: the least of its places; 0 where nothing of it is read in marks. */
    private static double mark(Measure measure, MeasuringContext standing, FigureId figure) {
        Map<String, Double> readings = readings(measure, standing);
        Estimate here =
                Objects.requireNonNull(figures(measure, standing, readings, 1).get(figure));
        return measure.procedure().places(List.of(figure)).stream()
                .filter(place -> place.eachRepeat() && readings.containsKey(place.id()))
                .flatMapToDouble(place -> {
                    double resolution = standing.kit().resolution(place.instrument());
                    Map<String, Double> moved = new HashMap<>(readings);
                    double step = place.amount().quantity().toDocument(resolution);
                    moved.merge(place.id(), step, Double::sum);
                    return Optional.ofNullable(
                                    figures(measure, standing, moved, 1).get(figure))
                            .stream()
                            .mapToDouble(there -> Math.abs(there.value() - here.value()));
                })
                .filter(difference -> difference > Tolerance.ROUNDING.size())
                .min()
                .orElse(0);
    }

    /** Every wheel at what its sheet prefers. */
    public static Truth asTheSheetWants(SpecificationSheet sheet) {
        Map<FigureId, Double> figures = new HashMap<>();
        for (Wheel wheel : Wheel.values()) {
            for (Measurand measurand : Measurand.values()) {
                if (measurand.extent() == Location.Extent.WHEEL) {
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
