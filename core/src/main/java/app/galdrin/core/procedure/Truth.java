package app.galdrin.core.procedure;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.Measurand.Form;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.Wheel;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The true state of a vehicle that a reading is simulated on.
 *
 * @param figures rad or mm; what is left out is 0
 */
public record Truth(Map<FigureId, Double> figures) {

    /** The way over which sideslip is told, mm. */
    public static final double METRE = 1000;

    public Truth {
        figures = Map.copyOf(figures);
    }

    /**
     * The state that figures, rad or mm, describe. Of a sum whose wheels are not among them each wheel takes half: what a procedure
     * that sees the sum alone reads does not depend on the split.
     *
     * @param figures rad or mm by figure
     */
    public static Truth describedBy(Map<FigureId, Double> figures) {
        Truth truth = new Truth(figures);
        for (Map.Entry<FigureId, Double> figure : figures.entrySet()) {
            if (figure.getKey().measurand().form() == Form.SUM) {
                truth = truth.with(figure.getKey(), figure.getValue());
            }
        }
        return truth;
    }

    /**
     * Returns this state with a figure brought to a value, rad or mm; both wheels move alike by what a sum lacks.
     *
     * @param value rad or mm, with the sign of the measurand
     */
    public Truth with(FigureId figure, double value) {
        Map<FigureId, Double> changed = new HashMap<>(figures);
        if (figure.measurand().form() == Form.SUM) {
            List<FigureId> wheels = Derivation.parts(figure);
            double lacking = value - wheels.stream().mapToDouble(this::of).sum();
            wheels.forEach(wheel -> changed.put(wheel, of(wheel) + lacking / wheels.size()));
        } else {
            changed.put(figure, value);
        }
        return new Truth(changed);
    }

    /** Rad or mm, with the sign of the measurand; 0 where nothing is said. */
    public double of(Measurand measurand, Wheel wheel) {
        return of(FigureId.of(measurand, wheel));
    }

    /** Rad or mm, with the sign of the measurand; 0 where nothing is said. */
    public double of(FigureId figure) {
        return figures.getOrDefault(figure, 0.0);
    }

    /** Rad or mm, with the sign of the measurand: of one that follows from others what they come to, else what is said of it. */
    public double figure(FigureId figure) {
        if (figures.containsKey(figure)) {
            return of(figure);
        }
        if (figure.measurand() == Measurand.SIDESLIP) {
            return sideslip(figure.wheel().orElseThrow());
        }
        return Derivation.of(figure)
                .map(made ->
                        made.of(figure(made.parts().get(0)), figure(made.parts().get(1))))
                .orElse(0.0);
    }

    /**
     * Returns the sideslip on the road: the front wheels find the steering position in which both point in alike; the rear ones stay as they are.
     * What stands there is the sine of that over the plate.
     *
     * @return mm over a metre, outward positive
     */
    public double sideslip(Wheel wheel) {
        double points = wheel.front()
                ? (of(Measurand.TOE, Wheel.of(Axle.FRONT, Side.LEFT))
                                + of(Measurand.TOE, Wheel.of(Axle.FRONT, Side.RIGHT)))
                        / 2
                : of(Measurand.TOE, wheel);
        return METRE * Math.sin(points);
    }
}
