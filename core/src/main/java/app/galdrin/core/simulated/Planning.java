package app.galdrin.core.simulated;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand.Form;
import app.galdrin.core.sitting.MoveLines;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.PartMoves;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Practical;
import app.galdrin.core.uncertainty.Estimate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** Plans the adjustment that somebody's own figures ask for, and writes it. */
final class Planning {

    private final Apprentice apprentice;
    private final Assignment assignment;

    Planning(Apprentice apprentice) {
        this.apprentice = apprentice;
        this.assignment = apprentice.assignment();
    }

    void write(Plan plan, Optional<String> slip) {
        OwnFigures own = apprentice.own();
        for (FigureId.Adjustment adjustment : Practical.adjustments(plan.figures())) {
            if (assignment.adjusters(adjustment).isEmpty()) {
                boolean outside = plan.figures().stream()
                        .filter(adjustment::contains)
                        .anyMatch(f -> isOutside(own, f, plan.id()));
                apprentice
                        .pen()
                        .write(
                                MoveLines.instead(plan, adjustment),
                                (outside ? Plan.Instead.LOOK_FOR_THE_PART : Plan.Instead.NOTHING).key());
            }
        }
        moves(plan, own)
                .forEach((adjuster, units) -> new MoveWriting(apprentice.pen())
                        .write(plan.id(), 0, adjuster, slipping(adjuster, units, slip)));
    }

    /** The key names what {@code PlanEffect} would call it. */
    private static double slipping(Adjuster part, double units, Optional<String> slip) {
        boolean ofTheLinkage = Adjuster.isThreaded(part.part());
        return switch (slip.orElse("")) {
            case "wrongWay" -> -units;
            case "wrongLinkage" -> ofTheLinkage ? -units : units;
            case "movedTwice" -> 2 * units;
            case "wholeOnEachSide" -> ofTheLinkage ? 2 * units : units;
            default -> units;
        };
    }

    private boolean isOutside(OwnFigures own, FigureId figure, String step) {
        return own.goesBy(figure, step)
                .flatMap(v -> assignment
                        .sheet()
                        .limits(figure)
                        .map(l -> assignment
                                .scale(figure)
                                .judge(figure, v, l, assignment.practical().rule())
                                .zone()))
                .filter(zone -> zone == Zone.OUTSIDE)
                .isPresent();
    }

    /** Each figure with the part that moves least else, what the parts before it do to it taken into account; the others are left. */
    private Map<Adjuster, Double> moves(Plan plan, OwnFigures own) {
        Map<Adjuster, Double> moves = new LinkedHashMap<>();
        for (FigureId.Adjustment adjustment : Practical.adjustments(plan.figures())) {
            List<Adjuster> adjusters = assignment.adjusters(adjustment);
            adjusters.forEach(a -> moves.putIfAbsent(a, 0.0));
            for (FigureId figure : plan.figures()) {
                adjusters.stream()
                        .filter(a -> adjustment.contains(figure)
                                && a.effectOn(figure).isPresent())
                        .min(Comparator.comparing(a -> a.effects().size()))
                        .ifPresent(a -> moves.put(a, units(figure, a, moves, own, plan)));
            }
        }
        return moves;
    }

    private double units(FigureId figure, Adjuster part, Map<Adjuster, Double> moves, OwnFigures own, Plan plan) {
        var effect = part.effectOn(figure).orElseThrow();
        double target =
                assignment.sheet().limits(figure).map(l -> l.target().orElse(0)).orElse(0.0);
        Optional<Estimate> stands = own.goesBy(figure, plan.id());
        if (stands.isEmpty()) {
            return share(figure, part, moves, own, plan);
        }
        double now = stands.get().value();
        now += PartMoves.knownChange(moves, figure);
        return effect.perUnit().isPresent()
                ? (target - now) / effect.perUnit().getAsDouble()
                : Math.signum(target - now) * effect.sign();
    }

    /** Returns the share of a wheel that was not worked: half of what the sum asks for; nothing if the sum is unknown too. */
    private double share(FigureId wheel, Adjuster part, Map<Adjuster, Double> moves, OwnFigures own, Plan plan) {
        for (FigureId sum : plan.figures()) {
            Optional<Estimate> now = own.goesBy(sum, plan.id());
            OptionalDouble each =
                    part.effectOn(wheel).map(Adjuster.Effect::perUnit).orElse(OptionalDouble.empty());
            if (sum.measurand().form() == Form.SUM
                    && sum.adjustment().equals(wheel.adjustment())
                    && now.isPresent()
                    && each.isPresent()) {
                double target = assignment
                        .sheet()
                        .limits(sum)
                        .map(l -> l.target().orElse(0))
                        .orElse(0.0);
                return ((target - now.get().value()) / 2 - PartMoves.knownChange(moves, wheel)) / each.getAsDouble();
            }
        }
        return 0;
    }
}
