package app.galdrin.core.procedure;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.Where;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.uncertainty.Estimate;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Figures that follow from other figures: sums and differences of both wheels, and the included angle camber + KPI. What both have
 * in common is added with its sign.
 */
final class Derivation {

    private Derivation() {}

    /** What a figure is made of, the parts in the order left, right; empty where it is read by itself. */
    static List<FigureId> parts(FigureId figure) {
        if (figure.ofBothWheels()) {
            Axle axle = figure.axle().orElseThrow();
            return List.of(figure.part(Wheel.of(axle, Side.LEFT)), figure.part(Wheel.of(axle, Side.RIGHT)));
        }
        return figure.measurand() == Measurand.INCLUDED_ANGLE
                ? List.of(
                        new FigureId(Measurand.CAMBER, figure.where(), figure.at()),
                        new FigureId(Measurand.KPI, figure.where(), figure.at()))
                : List.of();
    }

    private static double secondFactor(FigureId figure) {
        return figure.ofBothWheels() ? figure.measurand().form().rightFactor() : 1;
    }

    /** All that can follow from these. */
    static Set<FigureId> reachable(Collection<FigureId> figures) {
        Set<FigureId> reached = new LinkedHashSet<>();
        for (FigureId figure : figures) {
            candidates(figure).stream()
                    .filter(c -> figures.containsAll(parts(c)))
                    .forEach(reached::add);
        }
        return reached;
    }

    private static List<FigureId> candidates(FigureId figure) {
        if (figure.measurand() == Measurand.CAMBER) {
            Set<FigureId> all = new LinkedHashSet<>(ofBothWheels(figure));
            all.add(new FigureId(Measurand.INCLUDED_ANGLE, figure.where(), figure.at()));
            return List.copyOf(all);
        }
        return ofBothWheels(figure);
    }

    private static List<FigureId> ofBothWheels(FigureId figure) {
        return figure.wheel()
                .map(wheel -> figure.measurand().madeOfIt().stream()
                        .map(m -> new FigureId(m, Where.of(wheel.axle()), figure.at()))
                        .toList())
                .orElse(List.of());
    }

    /** Adds what follows from the figures and is not among them already. */
    static void derive(Map<FigureId, Estimate> figures) {
        for (FigureId figure : reachable(figures.keySet())) {
            if (!figures.containsKey(figure)) {
                List<FigureId> parts = parts(figure);
                Estimate first = figures.get(parts.get(0));
                Estimate second = figures.get(parts.get(1));
                if (first != null && second != null) {
                    figures.put(figure, first.plus(second.times(secondFactor(figure))));
                }
            }
        }
    }

    /** The same for what is worked on paper, where at least one part was worked by a formula of its own. */
    static void deriveByHand(Map<FigureId, Estimate> figures, Map<FigureId, Double> byHand) {
        for (FigureId figure : reachable(figures.keySet())) {
            List<FigureId> parts = parts(figure);
            if (parts.stream().anyMatch(byHand::containsKey)) {
                double first = onPaper(figures, byHand, parts.get(0));
                double second = onPaper(figures, byHand, parts.get(1));
                byHand.put(figure, first + secondFactor(figure) * second);
            }
        }
    }

    private static double onPaper(Map<FigureId, Estimate> figures, Map<FigureId, Double> byHand, FigureId figure) {
        Estimate solved = figures.get(figure);
        return byHand.getOrDefault(figure, solved == null ? Double.NaN : solved.value());
    }
}
