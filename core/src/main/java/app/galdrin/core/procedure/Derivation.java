package app.galdrin.core.procedure;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Location;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.Measurand.Form;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.record.Formula;
import app.galdrin.core.record.Formula.Operation;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Figures that follow from other figures: sums and differences of both wheels, and the included angle camber + KPI. What both have
 * in common is added with its sign.
 */
public final class Derivation {

    private Derivation() {}

    /** Returns how a figure follows from others; empty where it is read by itself. */
    public static Optional<Combination> of(FigureId figure) {
        Optional<Combination> known = MADE.get(figure); // without the lock that computing takes
        return known == null ? MADE.computeIfAbsent(figure, Derivation::made) : known;
    }

    /** Holds no more entries than there are figures. */
    private static final Map<FigureId, Optional<Combination>> MADE = new ConcurrentHashMap<>();

    private static Optional<Combination> made(FigureId figure) {
        Measurand measurand = figure.measurand();
        if (figure.ofBothWheels()) {
            Axle axle = figure.axle().orElseThrow();
            List<FigureId> wheels =
                    List.of(figure.part(Wheel.of(axle, Side.LEFT)), figure.part(Wheel.of(axle, Side.RIGHT)));
            return Optional.of(new Combination(
                    ofBothWheels(measurand.form()), wheels, 1, measurand.form().rightFactor()));
        }
        if (measurand == Measurand.INCLUDED_ANGLE) {
            var camber = new FigureId(Measurand.CAMBER, figure.where(), figure.at());
            var kpi = new FigureId(Measurand.KPI, figure.where(), figure.at());
            return Optional.of(new Combination(formula(measurand.key()), List.of(camber, kpi), 1, 1));
        }
        return figure.equals(THRUST)
                ? Optional.of(new Combination(formula(THRUST.measurand().key()), REAR_TOES, 0.5, -0.5))
                : Optional.empty();
    }

    private static Formula ofBothWheels(Form form) {
        return form == Form.SUM
                ? formula("sum", Operation.TOTAL)
                : formula(form.name().toLowerCase(Locale.ROOT));
    }

    private static Formula formula(String name, Operation... operations) {
        return Formula.of("figure." + name, operations);
    }

    private static final FigureId THRUST = FigureId.of(Measurand.THRUST, Axle.REAR);
    private static final List<FigureId> REAR_TOES =
            List.of(FigureId.of(Measurand.TOE, Wheel.REAR_LEFT), FigureId.of(Measurand.TOE, Wheel.REAR_RIGHT));

    /** Returns what a figure is made of; empty where it is read by itself. */
    public static List<FigureId> parts(FigureId figure) {
        return of(figure).map(Combination::parts).orElse(List.of());
    }

    /** The figures that it all comes from in the end, each read by itself: its own alone where it is one of those. */
    public static Set<FigureId> roots(FigureId figure) {
        Set<FigureId> roots = new TreeSet<>();
        for (FigureId part : parts(figure)) {
            roots.addAll(roots(part));
        }
        return roots.isEmpty() ? Set.of(figure) : roots;
    }

    /** Figures that follow from the sets that procedures tell; there are as many sets as ways to leave evaluations out. */
    private static final Map<Set<FigureId>, Set<FigureId>> REACHABLE = new ConcurrentHashMap<>();

    /** All that can follow from these. */
    static Set<FigureId> reachable(Set<FigureId> figures) {
        Set<FigureId> known = REACHABLE.get(figures);
        return known == null
                ? REACHABLE.computeIfAbsent(Set.copyOf(figures), all -> follows(new TreeSet<>(all)))
                : known;
    }

    private static Set<FigureId> follows(Set<FigureId> figures) {
        Set<FigureId> reached = new LinkedHashSet<>();
        for (FigureId figure : figures) {
            candidates(figure).stream()
                    .filter(c -> figures.containsAll(parts(c)))
                    .forEach(reached::add);
        }
        return reached;
    }

    private static List<FigureId> candidates(FigureId figure) {
        List<FigureId> all = new ArrayList<>(ofBothWheels(figure));
        if (figure.measurand() == Measurand.CAMBER) {
            all.add(new FigureId(Measurand.INCLUDED_ANGLE, figure.where(), figure.at()));
        }
        if (REAR_TOES.contains(figure)) {
            all.add(THRUST);
        }
        return all;
    }

    private static List<FigureId> ofBothWheels(FigureId figure) {
        return figure.wheel()
                .map(wheel -> figure.measurand().madeOfIt().stream()
                        .map(m -> new FigureId(m, Location.of(wheel.axle()), figure.at()))
                        .toList())
                .orElse(List.of());
    }

    /**
     * Adds what follows from the figures and is not among them already, and what the taught working makes of it, where at least one part
     * was worked by a formula of its own.
     *
     * @param figures as solved, mm or rad
     * @param byHand as worked on paper, mm or rad
     */
    static <V> void derive(Map<FigureId, V> figures, Map<FigureId, Double> byHand, Arithmetic<V> arithmetic) {
        for (FigureId figure : reachable(figures.keySet())) {
            Combination made = of(figure).orElseThrow();
            FigureId first = made.parts().get(0);
            FigureId second = made.parts().get(1);
            V one = figures.get(first);
            V other = figures.get(second);
            if (one == null || other == null) {
                continue;
            }
            figures.computeIfAbsent(figure, f -> arithmetic.combined(made, one, other));
            if (byHand.containsKey(first) || byHand.containsKey(second)) {
                byHand.put(
                        figure,
                        made.of(
                                byHand.getOrDefault(first, arithmetic.value(one)),
                                byHand.getOrDefault(second, arithmetic.value(other))));
            }
        }
    }
}
