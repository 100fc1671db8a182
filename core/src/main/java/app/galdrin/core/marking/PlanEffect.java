package app.galdrin.core.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand.Form;
import app.galdrin.core.figure.Tolerance;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.Part;
import app.galdrin.core.spec.PartMoves;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/**
 * The value at which planned moves would leave one figure.
 *
 * @param now what the apprentice goes by, rad or mm
 * @param zone where that lies
 * @param moves of every part that moves it, signed, in its unit
 * @param mirrored what was planned for the same part on the other side, likewise
 * @param toThePreferred whether the task asks for more than being inside
 */
record PlanEffect(
        FigureId figure,
        Estimate now,
        Limits limits,
        Zone zone,
        Map<Adjuster, Double> moves,
        Map<Adjuster, Double> mirrored,
        boolean toThePreferred) {

    /** The share of the tolerance around the preferred value that counts as preferred. */
    private static final double NEAR = 0.25;

    private static final double NOTHING = 1e-12;

    static final String LEFT_RIGHT_SWAPPED = "leftRightSwapped";

    Evidence evidence(boolean splitAssumed, Optional<ThrustLine> line) {
        double after = after(moves);
        double credit = credit(after);
        List<PlannedMove> said = moves.entrySet().stream()
                .map(m -> new PlannedMove(
                        m.getKey().id(),
                        m.getKey().unit().key(),
                        m.getKey().part().way((int) Math.signum(m.getValue())),
                        Math.abs(m.getValue())))
                .toList();
        return new Evidence.Effect(
                figure,
                ReadingMarker.figureOf(now),
                zone,
                after,
                limits,
                said,
                splitAssumed,
                credit,
                credit < 1 ? slips() : List.of(),
                line);
    }

    private double after(Map<Adjuster, Double> made) {
        return now.value() + PartMoves.change(made, figure);
    }

    private double credit(double after) {
        boolean moved = Math.abs(after - now.value()) > NOTHING;
        if (!moved) {
            return left();
        }
        if (isNear(after) || noOtherStepLandsNearer(after)) {
            return 1;
        }
        return isInside(after) ? 0.5 : 0;
    }

    /**
     * Left alone: all where it is as good as preferred, or certainly inside and that is enough; half where it is inside and the task asks for
     * more, and in doubt; nothing outside.
     */
    private double left() {
        if (zone == Zone.OUTSIDE) {
            return 0;
        }
        boolean all = isNear(now.value())
                || zone == Zone.INSIDE && !(toThePreferred && limits.target().isPresent());
        return all ? 1 : 0.5;
    }

    private boolean isInside(double value) {
        return Tolerance.ROUNDING.atLeast(value, limits.min().orElse(value))
                && Tolerance.ROUNDING.atMost(value, limits.max().orElse(value));
    }

    private boolean isNear(double value) {
        return limits.target().isPresent()
                && limits.min().isPresent()
                && limits.max().isPresent()
                && Math.abs(value - limits.target().getAsDouble())
                        <= NEAR * (limits.max().getAsDouble() - limits.min().getAsDouble()) + Tolerance.ROUNDING.size();
    }

    /** Parts move by whole smallest steps: where the best of them is far off, the best is right. */
    private boolean noOtherStepLandsNearer(double after) {
        if (limits.target().isEmpty()) {
            return false;
        }
        double off = after - limits.target().getAsDouble();
        return moves.keySet().stream().allMatch(adjuster -> {
            double step = Math.abs(adjuster.changePerUnit(figure)) * adjuster.smallestStep();
            return Math.abs(off) <= step / 2 + Tolerance.ROUNDING.size();
        });
    }

    // ---- slips

    /** Returns which slips, undone, would have made it right; those that fit equally are all there. */
    private List<Set<String>> slips() {
        List<Set<String>> slips = new ArrayList<>();
        if (!figure.ofBothWheels() && isRight(mirrored)) {
            slips.add(Set.of(LEFT_RIGHT_SWAPPED));
        }
        if (isRightWith(any -> true, amount -> -amount)) {
            slips.add(Set.of(PlanSlip.WRONG_WAY.key()));
        }
        if (isRightWith(PlanEffect::isOfTheLinkage, amount -> -amount)) {
            slips.add(Set.of(PlanSlip.WRONG_LINKAGE.key()));
        }
        if (figure.measurand().form() == Form.SUM) {
            if (isRightWith(this::isFinest, amount -> amount / 2)) {
                slips.add(Set.of(PlanSlip.WHOLE_ON_EACH_SIDE.key()));
            }
        } else if (isRightWith(any -> true, amount -> amount / 2)) {
            slips.add(Set.of(PlanSlip.MOVED_TWICE.key()));
        }
        return slips;
    }

    /** Returns whether the direction to turn depends on the linkage lying ahead of the axle or behind it. */
    private static boolean isOfTheLinkage(Adjuster adjuster) {
        return adjuster.part() == Part.ROD || adjuster.part() == Part.SLEEVE;
    }

    /** The part that this figure is set with at the end: none of those moved for it moves less else. */
    private boolean isFinest(Adjuster adjuster) {
        return moves.keySet().stream()
                .allMatch(other -> adjuster.effects().size() <= other.effects().size());
    }

    private boolean isRightWith(Predicate<Adjuster> which, UnaryOperator<Double> undo) {
        Map<Adjuster, Double> undone = new HashMap<>(moves);
        undone.replaceAll((adjuster, amount) -> which.test(adjuster) ? undo.apply(amount) : amount);
        return !undone.equals(moves) && isRight(undone);
    }

    private boolean isRight(Map<Adjuster, Double> otherwise) {
        double after = after(otherwise);
        return Math.abs(after - now.value()) > NOTHING && isNear(after);
    }
}
