package app.galdrin.core.marking;

import app.galdrin.core.measure.Asked;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.QuantityLimits;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.steering.TrackRod;
import app.galdrin.core.task.ToeTask;
import java.util.List;
import java.util.Optional;

/** Marks the plan: which rod, which way, how many turns, against what the apprentice's own worked figures ask for. */
final class PlanMarker {

    /** A plan's turns may be off by this share of the turns needed, and by a quarter turn at least. */
    private static final double TURNS_SHARE = 0.25;

    private static final double LEAST_ALLOWANCE = 0.25;

    private final ToeTask task;
    private final SittingWork work;
    private final OwnFigures own;

    PlanMarker(ToeTask task, SittingWork work, OwnFigures own) {
        this.task = task;
        this.work = work;
        this.own = own;
    }

    List<Evidence> evidence() {
        if (work.plan().isEmpty()) {
            return Marker.missing("plan");
        }
        Optional<SittingWork.Plan> needed = needed();
        if (needed.isEmpty()) {
            return Marker.missing("working.total");
        }
        SittingWork.Plan planned = work.plan().get();
        boolean swapped = right(planned.left(), needed.get().right())
                && right(planned.right(), needed.get().left());
        return List.of(
                rod(true, planned.left(), needed.get().left(), swapped),
                rod(false, planned.right(), needed.get().right(), swapped));
    }

    private boolean right(RodMove planned, RodMove needed) {
        return planned.direction() == needed.direction()
                && Math.abs(planned.turns() - needed.turns()) <= allowance(needed);
    }

    private Evidence rod(boolean left, RodMove planned, RodMove needed, boolean swapped) {
        double credit = planCredit(planned, needed);
        boolean leavingIsRight = planned.direction() == 0 && acceptedAsFound();
        Optional<Slip> slip = credit < 1 && swapped ? Optional.of(Slip.LEFT_RIGHT_SWAPPED) : Optional.empty();
        return new Evidence.Rod(
                left, planned, needed, allowance(needed), splitAssumed(), leavingIsRight ? 1 : credit, slip);
    }

    /** Half the credit for part and direction, half for the amount. */
    private static double planCredit(RodMove planned, RodMove needed) {
        boolean amount = Math.abs(planned.turns() - needed.turns()) <= allowance(needed);
        boolean nearlyNothing = needed.direction() == 0 || planned.direction() == 0;
        if (planned.direction() != needed.direction()) {
            return nearlyNothing && amount ? 1 : 0;
        }
        return amount ? 1 : 0.5;
    }

    private static double allowance(RodMove needed) {
        return Math.max(LEAST_ALLOWANCE, TURNS_SHARE * Math.abs(needed.turns()));
    }

    /** Whether the apprentice's own total needs no adjusting at all: then leaving the rods is right too. */
    private boolean acceptedAsFound() {
        return task.asked().figures().stream().allMatch(asked -> {
            Optional<QuantityLimits> limits = own.limits(asked);
            return limits.isEmpty()
                    || own.worked(asked)
                            .map(v -> Judgement.of(v, limits.get().limits(), Judgement.K, task.rule()))
                            .filter(j -> j.zone() == Zone.INSIDE)
                            .isPresent();
        });
    }

    private boolean splitAssumed() {
        return !task.method().answers().contains(Asked.LEFT)
                || own.worked(Asked.LEFT).isEmpty();
    }

    /** The moves that the apprentice's own worked figures ask for; an equal split where only the total is known. */
    private Optional<SittingWork.Plan> needed() {
        TrackRod rod = TrackRod.of(task.sheet().geometry());
        if (splitAssumed() || own.worked(Asked.RIGHT).isEmpty()) {
            Optional<Double> target = target(Asked.TOTAL);
            return own.worked(Asked.TOTAL)
                    .flatMap(total -> target.map(t -> {
                        RodMove each = new RodMove(rod.turns(total.value() / 2, t / 2));
                        return new SittingWork.Plan(each, each);
                    }));
        }
        return target(Asked.LEFT)
                .map(target -> new SittingWork.Plan(
                        new RodMove(
                                rod.turns(own.worked(Asked.LEFT).orElseThrow().value(), target)),
                        new RodMove(
                                rod.turns(own.worked(Asked.RIGHT).orElseThrow().value(), target))));
    }

    private Optional<Double> target(Asked asked) {
        return own.limits(asked)
                .map(QuantityLimits::limits)
                .map(Limits::target)
                .filter(t -> t.isPresent())
                .map(t -> t.getAsDouble());
    }
}
