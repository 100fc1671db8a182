package app.galdrin.core.simulated;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.ExpectedUncertainty;
import java.util.HashMap;
import java.util.Map;
import java.util.random.RandomGenerator;

/** States that a vehicle may be found in. */
public final class FoundState {

    /** Usual tolerance where a sheet gives one limit alone, rad and mm. */
    private static final double USUAL_ANGLE = Math.toRadians(0.3);

    private static final double USUAL_LENGTH = 3;

    private FoundState() {}

    /**
     * Every wheel somewhere up to {@code tolerances}, a factor without unit, times half the tolerance about what the sheet prefers; 0 is exactly
     * that.
     *
     * @param tolerances how far off, in half tolerances, a factor of 0 or more
     */
    public static Truth about(SpecificationSheet sheet, double tolerances, RandomGenerator random) {
        Map<FigureId, Double> figures = new HashMap<>();
        ExpectedUncertainty.asTheSheetWants(sheet).figures().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(wanted -> {
                    double half = sheet.limits(wanted.getKey())
                            .map(limits -> half(wanted.getKey(), limits))
                            .orElse(0.0);
                    double off = tolerances * half * (2 * random.nextDouble() - 1);
                    figures.put(wanted.getKey(), wanted.getValue() + off);
                });
        return new Truth(figures);
    }

    private static double half(FigureId figure, Limits limits) {
        if (limits.min().isPresent() && limits.max().isPresent()) {
            return (limits.max().getAsDouble() - limits.min().getAsDouble()) / 2;
        }
        return figure.measurand().quantity() == Quantity.ANGLE ? USUAL_ANGLE : USUAL_LENGTH;
    }
}
