package app.galdrin.core.task;

import app.galdrin.core.measure.ToeMethod;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.uncertainty.Estimate;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;

/**
 * How a toe task is marked.
 *
 * @param marks whole marks by criterion; a criterion left out is not marked
 * @param mustPass criteria without which nobody is competent
 * @param reading band on |reading − reference|, rad
 * @param repeatability band on the range of the repeats' total toe, rad
 * @param slipKeepsPercent share of the working's marks kept when the wrong figure is explained by one known slip, 0 to 100
 */
public record MarkingScheme(
        Map<Criterion, Integer> marks,
        Set<Criterion> mustPass,
        Band reading,
        Band repeatability,
        int slipKeepsPercent) {

    /** Coverage factor of the default reading band. */
    private static final double K = 2;

    /** Repeatability limit over standard deviation for two results [ISO5725-6]. */
    private static final double REPEATABILITY_LIMIT = 2.8;

    public MarkingScheme {
        marks = Map.copyOf(marks);
        mustPass = Set.copyOf(mustPass);
        if (slipKeepsPercent < 0 || slipKeepsPercent > 100) {
            throw new IllegalArgumentException("slipKeepsPercent (" + slipKeepsPercent + ") must be 0 to 100");
        }
    }

    public boolean isMarked(Criterion criterion) {
        return marks.getOrDefault(criterion, 0) > 0;
    }

    public int marksFor(Criterion criterion) {
        return marks.getOrDefault(criterion, 0);
    }

    /** The method's defaults: bands from the method's own uncertainty, so that nobody loses marks to the gauge. */
    public static MarkingScheme defaults(ToeMethod method, VehicleGeometry geometry, int repeats) {
        double single = standardUncertaintyOfTotal(method, geometry);
        double mean = single / Math.sqrt(repeats);
        Band reading = Band.from(K * Math.hypot(mean, mean));
        Band repeatability = Band.from(REPEATABILITY_LIMIT * single);
        Map<Criterion, Integer> marks = new EnumMap<>(Map.of(
                Criterion.CRITICAL_STEPS, 10,
                Criterion.PREPARATION, 5,
                Criterion.READING, 20,
                Criterion.REPEATABILITY, repeats > 1 ? 10 : 0,
                Criterion.WORKING, 20,
                Criterion.VERDICT, 15,
                Criterion.PLAN, 10,
                Criterion.AS_LEFT, 10));
        return new MarkingScheme(
                marks, EnumSet.of(Criterion.CRITICAL_STEPS, Criterion.AS_LEFT), reading, repeatability, 0);
    }

    /** Of one measurement of total toe with this method on a wheel set straight, rad. */
    public static double standardUncertaintyOfTotal(ToeMethod method, VehicleGeometry geometry) {
        return oneMeasurement(method, geometry).standardUncertainty();
    }

    /** One measurement of total toe with this method on wheels set straight: its doubt, and what that comes from. */
    public static Estimate oneMeasurement(ToeMethod method, VehicleGeometry geometry) {
        Map<String, Double> straight = new HashMap<>();
        method.places().forEach(place -> straight.put(place.id(), geometry.wheelbase()));
        return method.work(straight, geometry).orElseThrow().total();
    }
}
