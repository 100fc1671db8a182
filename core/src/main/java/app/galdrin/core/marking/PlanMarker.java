package app.galdrin.core.marking;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand.Form;
import app.galdrin.core.procedure.Derivation;
import app.galdrin.core.sitting.MoveLines;
import app.galdrin.core.sitting.ThrustReference;
import app.galdrin.core.sitting.WrittenValue;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.Direction;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Plan.Instead;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Step;
import app.galdrin.core.uncertainty.Estimate;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/** Marks the plan by its effect: where the moves would leave each figure, by the apprentice's own figures. */
@AutoService(AspectMarker.class)
public final class PlanMarker implements AspectMarker {

    @Override
    public String kind() {
        return Plan.KIND;
    }

    @Override
    public Aspect aspect() {
        return Aspect.PLAN;
    }

    @Override
    public List<Evidence> evidence(Case sitting, Step step, Criterion criterion) {
        return new OnePlan(sitting, (Plan) step).evidence();
    }

    private static final class OnePlan {
        private final Case sitting;
        private final Plan plan;

        /** The planned moves by adjuster: positive in the part's first direction; ±1 where only the direction is asked. */
        private final Map<Adjuster, Double> planned = new LinkedHashMap<>();

        /** The figures of the plan, and how far their sides may differ. */
        private final List<FigureId> figures;

        private final List<FigureId.Adjustment> adjustments;
        private final Optional<Estimate> thrust;

        OnePlan(Case sitting, Plan plan) {
            this.sitting = sitting;
            this.plan = plan;
            this.figures = sitting.assignment().sheet().withDifferences(plan.figures());
            this.adjustments = Practical.adjustments(plan.figures());
            this.thrust = sitting.own().thrustLine(plan.id());
        }

        List<Evidence> evidence() {
            List<Evidence> evidence = new ArrayList<>();
            for (FigureId.Adjustment adjustment : adjustments) {
                List<Adjuster> adjusters = sitting.assignment().adjusters(adjustment);
                if (adjusters.isEmpty()) {
                    evidence.add(instead(adjustment));
                }
                for (Adjuster adjuster : adjusters) {
                    Optional<Double> move = planned(adjuster);
                    if (move.isPresent()) {
                        planned.put(adjuster, move.get());
                    } else if (isFirstOf(adjuster, adjustment)) {
                        evidence.add(new Evidence.MissingEntry(Lack.PLAN, adjuster.id()));
                    }
                }
            }
            List<Evidence> effects = effective().stream()
                    .flatMap(figure -> effect(figure).stream())
                    .toList();
            effects.forEach(effect -> evidence.add(onBothSides(effect, effects)));
            return evidence;
        }

        /** Left and right are taken for one another on both sides or not at all. */
        private static Evidence onBothSides(Evidence evidence, List<Evidence> all) {
            return evidence instanceof Evidence.Effect one
                            && isSwapped(one)
                            && all.stream()
                                    .noneMatch(e -> e instanceof Evidence.Effect other
                                            && isSwapped(other)
                                            && other.figure()
                                                    .equals(one.figure().otherSide()))
                    ? one.without(PlanEffect.LEFT_RIGHT_SWAPPED)
                    : evidence;
        }

        private static boolean isSwapped(Evidence.Effect effect) {
            return effect.slips().stream().anyMatch(slip -> slip.contains(PlanEffect.LEFT_RIGHT_SWAPPED));
        }

        // ---- what can't be adjusted

        private Evidence instead(FigureId.Adjustment adjustment) {
            Optional<Instead> said =
                    sitting.answers().text(MoveLines.instead(plan, adjustment)).flatMap(Plan::instead);
            if (said.isEmpty()) {
                return new Evidence.MissingEntry(Lack.PLAN, adjustment.key());
            }
            Set<Instead> right = EnumSet.noneOf(Instead.class);
            List<Zone> zones = zones(adjustment);
            boolean outside = zones.stream().anyMatch(z -> z == Zone.OUTSIDE);
            if (outside || zones.stream().anyMatch(Zone::inDoubt)) {
                right.add(Instead.LOOK_FOR_THE_PART);
            }
            if (!outside) {
                right.add(Instead.NOTHING);
            }
            return new Evidence.NoMove(adjustment.key(), said.get(), right);
        }

        private List<Zone> zones(FigureId.Adjustment adjustment) {
            return figures.stream()
                    .filter(adjustment::contains)
                    .flatMap(f -> standing(f).flatMap(v -> sitting.judged(f, v)).stream())
                    .map(j -> j.zone())
                    .toList();
        }

        // ---- what is moved

        /** A part that moves several figures is asked for once. */
        private boolean isFirstOf(Adjuster adjuster, FigureId.Adjustment adjustment) {
            for (FigureId.Adjustment one : adjustments) {
                if (adjuster.moves(one)) {
                    return one.equals(adjustment);
                }
            }
            return false;
        }

        /** Empty where the way, or the amount that has to go with it, was not written. */
        private Optional<Double> planned(Adjuster adjuster) {
            Optional<Direction> way = sitting.answers()
                    .text(MoveLines.way(plan.id(), adjuster, 0))
                    .flatMap(text -> Keyed.find(Direction.values(), text));
            if (way.isEmpty()) {
                return Optional.empty();
            }
            double sign = adjuster.part().sign(way.get());
            if (sign == 0 || !adjuster.amountKnown()) {
                return Optional.of(sign);
            }
            return sitting.answers()
                    .at(MoveLines.amount(plan.id(), adjuster, 0))
                    .map(WrittenValue::value)
                    .filter(v -> v.isPresent())
                    .map(v -> sign * v.getAsDouble());
        }

        /** Returns the figure that the plan goes by: the apprentice's own, or what the readings give where neither it nor a sum with it was worked. */
        private Optional<Estimate> standing(FigureId figure) {
            Optional<Estimate> his = sitting.own().goesBy(figure, plan.id());
            return (isInKnownSum(figure) ? his : his.or(() -> sitting.standing(figure, plan.id())))
                    .map(v -> ThrustReference.countedFrom(thrust, figure, v));
        }

        private boolean isInKnownSum(FigureId figure) {
            return figure.wheel().isPresent()
                    && plan.figures().stream()
                            .anyMatch(f -> f.measurand().form() == Form.SUM
                                    && f.adjustment().equals(figure.adjustment())
                                    && sitting.own().goesBy(f, plan.id()).isPresent());
        }

        /**
         * Returns those that can be adjusted and are known: wheels, a sum where its wheels are not, each wheel's share being assumed then, and a
         * difference of the sides.
         */
        private List<FigureId> effective() {
            List<FigureId> effective = new ArrayList<>();
            for (FigureId f : figures) {
                boolean adjusted =
                        !sitting.assignment().adjusters(f.adjustment()).isEmpty();
                if (adjusted && isEffective(f)) {
                    effective.add(f);
                }
            }
            return effective;
        }

        private boolean isEffective(FigureId figure) {
            return switch (figure.measurand().form()) {
                case SUM -> !wheelsStand(figure);
                case DIFFERENCE -> wheelsStand(figure);
                case OWN -> standing(figure).isPresent() || noSumOf(figure);
            };
        }

        private boolean wheelsStand(FigureId sum) {
            int wheels = 0;
            for (FigureId f : plan.figures()) {
                boolean wheel = f.wheel().isPresent() && f.adjustment().equals(sum.adjustment());
                if (wheel
                        && standing(f).isPresent()
                        && sitting.assignment().limits(f).isPresent()) {
                    wheels++;
                }
            }
            return wheels == 2;
        }

        private boolean noSumOf(FigureId wheel) {
            return plan.figures().stream()
                    .noneMatch(f -> f.measurand().form() == Form.SUM
                            && f.adjustment().equals(wheel.adjustment())
                            && standing(f).isPresent());
        }

        /** Empty where a part that moves the figure is missing, which is said by itself. */
        private Optional<Evidence> effect(FigureId figure) {
            List<Adjuster> moving = sitting.assignment().adjusters(figure.adjustment()).stream()
                    .filter(a -> a.changePerUnit(figure) != 0)
                    .toList();
            if (moving.isEmpty() || !planned.keySet().containsAll(moving)) {
                return Optional.empty();
            }
            Optional<Estimate> now = standing(figure);
            if (now.isEmpty()) {
                return Optional.of(new Evidence.MissingEntry(Lack.WORKING, figure.key()));
            }
            if (!moving.stream().allMatch(Adjuster::amountKnown)) {
                return figure.measurand().form() == Form.DIFFERENCE
                        ? Optional.empty()
                        : Optional.of(wayOnly(figure, now.get(), moving));
            }
            Map<Adjuster, Double> moves = new LinkedHashMap<>();
            planned.forEach((adjuster, amount) -> {
                if (adjuster.changePerUnit(figure) != 0) {
                    moves.put(adjuster, amount);
                }
            });
            return sitting.judged(figure, now.get())
                    .map(judged -> new PlanEffect(
                                    figure,
                                    now.get(),
                                    sitting.assignment().limits(figure).orElseThrow(),
                                    judged.zone(),
                                    moves,
                                    mirrored(moves.keySet()),
                                    toThePreferred())
                            .evidence(
                                    splitAssumed(figure),
                                    sitting.line(figure, thrust, f -> sitting.standing(f, plan.id()))))
                    .filter(effect -> figure.measurand().form() != Form.DIFFERENCE || effect.credit() < 1);
        }

        /** Returns whether the adjusting after this plan is to come nearer to what the sheet prefers than its limits. */
        private boolean toThePreferred() {
            return sitting.practical()
                    .of(Round.class)
                    .findFirst()
                    .filter(round -> round.aim() < Round.INSIDE)
                    .isPresent();
        }

        /** Returns what was planned for the same parts on the other side. */
        private Map<Adjuster, Double> mirrored(Set<Adjuster> parts) {
            Map<Adjuster, Double> mirrored = new LinkedHashMap<>();
            for (Adjuster part : parts) {
                planned.forEach((other, amount) -> {
                    if (other.part() == part.part()
                            && other.where().equals(part.where().otherSide())) {
                        mirrored.put(part, amount);
                    }
                });
            }
            return mirrored;
        }

        /** Returns whether the split between both wheels is assumed: where one wheel is known, the other's share follows. */
        private boolean splitAssumed(FigureId figure) {
            return figure.measurand().form() == Form.SUM
                    && Derivation.parts(figure).stream()
                            .noneMatch(wheel -> standing(wheel).isPresent());
        }

        /** Marks the part and the direction alone where nobody knows how far the part moves the figure. */
        private Evidence wayOnly(FigureId figure, Estimate now, List<Adjuster> moving) {
            Adjuster part = moving.get(0);
            Zone zone = sitting.judged(figure, now).map(j -> j.zone()).orElse(Zone.INSIDE);
            double wanted = sitting.assignment()
                    .limits(figure)
                    .map(l -> l.target().orElse(now.value()) - now.value())
                    .orElse(0.0);
            int needed = (int) (Math.signum(wanted) * Math.signum(part.changePerUnit(figure)));
            int sign = (int) Math.signum(Objects.requireNonNull(planned.get(part)));
            double credit = sign == needed ? 1 : sign != 0 ? 0 : zone == Zone.INSIDE ? 1 : zone.inDoubt() ? 0.5 : 0;
            return new Evidence.Move(
                    part.id(),
                    part.part().key(),
                    part.unit().key(),
                    part.part().way(sign),
                    0,
                    part.part().way(needed),
                    Optional.empty(),
                    0,
                    false,
                    credit,
                    Optional.empty());
        }
    }
}
