package app.galdrin.core.marking;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand.Form;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.Written;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.Way;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Plan.Instead;
import app.galdrin.core.task.Practical;
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

/** Marks the plan: which part, which way, how far, against what the apprentice's own figures ask for. */
@AutoService(AspectMarker.class)
public final class PlanMarker implements AspectMarker {

    /** An amount may be off by this share of what is needed, and by two of the part's smallest steps at least. */
    private static final double SHARE = 0.25;

    private static final double LEAST_STEPS = 2;

    /** So much of the tolerance about what is preferred needs no adjusting. */
    private static final double NEAR = 0.25;

    private static final String SWAPPED = "leftRightSwapped";

    @Override
    public Aspect aspect() {
        return Aspect.PLAN;
    }

    @Override
    public List<Evidence> evidence(Case of, Step step, Criterion criterion) {
        return new OnePlan(of, (Plan) step).evidence();
    }

    /** A signed amount in the part's unit: positive the part's first way; absent where only the way is known. */
    private record Amount(int sign, Optional<Double> size) {
        static Amount of(double signed, double smallest) {
            return new Amount(Math.abs(signed) < smallest ? 0 : (int) Math.signum(signed), Optional.of(signed));
        }

        double signed() {
            return size.orElse((double) sign);
        }
    }

    /** What a part is needed to do. */
    private record Need(Amount amount, boolean splitAssumed) {}

    private static final class OnePlan {
        private final Case of;
        private final Plan plan;
        private final Map<Adjuster, Amount> planned = new LinkedHashMap<>();
        private final Map<Adjuster, Need> needed = new LinkedHashMap<>();

        OnePlan(Case of, Plan plan) {
            this.of = of;
            this.plan = plan;
        }

        List<Evidence> evidence() {
            List<Evidence> evidence = new ArrayList<>();
            for (FigureId.Adjustment adjustment : Practical.adjustments(plan.figures())) {
                List<Adjuster> adjusters = of.assignment().sheet().adjusters(adjustment);
                if (adjusters.isEmpty()) {
                    evidence.add(instead(adjustment));
                } else {
                    evidence.addAll(moves(adjustment, adjusters));
                }
            }
            return evidence;
        }

        private Evidence instead(FigureId.Adjustment adjustment) {
            Optional<Instead> said = of.answers()
                    .text(LineKey.of(plan.id(), Plan.PART + adjustment.key()))
                    .flatMap(Plan::instead);
            if (said.isEmpty()) {
                return new Evidence.Missing(Evidence.Lack.PLAN, adjustment.key());
            }
            Set<Instead> right = EnumSet.noneOf(Instead.class);
            boolean outside = zones(adjustment).stream().anyMatch(z -> z == Zone.OUTSIDE);
            boolean doubt = zones(adjustment).stream().anyMatch(Zone::inDoubt);
            if (outside || doubt) {
                right.add(Instead.LOOK_FOR_THE_PART);
            }
            if (!outside) {
                right.add(Instead.NOTHING);
            }
            return new Evidence.NoMove(adjustment.key(), said.get(), right);
        }

        private List<Zone> zones(FigureId.Adjustment adjustment) {
            return of(adjustment).stream()
                    .flatMap(f -> of.standing(f, plan.id()).flatMap(v -> of.judged(f, v)).stream())
                    .map(j -> j.zone())
                    .toList();
        }

        private List<FigureId> of(FigureId.Adjustment adjustment) {
            return plan.figures().stream().filter(adjustment::contains).toList();
        }

        private List<Evidence> moves(FigureId.Adjustment adjustment, List<Adjuster> adjusters) {
            List<Adjuster> mine = adjusters.stream()
                    .filter(a -> primary(a).equals(adjustment))
                    .toList();
            if (mine.isEmpty()) {
                return List.of();
            }
            for (Adjuster adjuster : mine) {
                Optional<Amount> move = planned(adjuster);
                if (move.isEmpty()) {
                    return List.of(new Evidence.Missing(Evidence.Lack.PLAN, ""));
                }
                planned.put(adjuster, move.get());
            }
            for (Adjuster adjuster : mine) {
                Optional<Need> need = need(adjuster, adjustment);
                if (need.isEmpty()) {
                    return List.of(new Evidence.Missing(Evidence.Lack.WORKING, adjustment.key()));
                }
                needed.put(adjuster, need.get());
            }
            boolean swapped = isSwapped(mine);
            return mine.stream()
                    .<Evidence>map(a -> move(a, swapped, leaving(a, adjustment)))
                    .toList();
        }

        /** A part that moves several figures is planned for the first of them that the plan asks for. */
        private FigureId.Adjustment primary(Adjuster adjuster) {
            return Practical.adjustments(plan.figures()).stream()
                    .filter(adjuster::moves)
                    .findFirst()
                    .orElseThrow();
        }

        private Optional<Amount> planned(Adjuster adjuster) {
            Optional<Way> way = of.answers()
                    .text(LineKey.of(plan.id(), adjuster.id() + Plan.WAY))
                    .flatMap(text -> Keyed.find(Way.values(), text));
            if (way.isEmpty()) {
                return Optional.empty();
            }
            int sign = adjuster.part().sign(way.get());
            boolean amountAsked = sign != 0
                    && adjuster.effects().values().stream()
                            .anyMatch(e -> e.perUnit().isPresent());
            if (!amountAsked) {
                return Optional.of(new Amount(sign, sign == 0 ? Optional.of(0.0) : Optional.empty()));
            }
            return of.answers()
                    .at(LineKey.of(plan.id(), adjuster.id() + Plan.AMOUNT))
                    .map(Written::value)
                    .filter(v -> v.isPresent())
                    .map(v -> Amount.of(sign * v.getAsDouble(), adjuster.smallestStep()));
        }

        /** What the apprentice's own figures ask of a part; an equal split where only the total is known. */
        private Optional<Need> need(Adjuster adjuster, FigureId.Adjustment adjustment) {
            FigureId figure = adjuster.effects().keySet().stream()
                    .filter(adjustment::contains)
                    .sorted()
                    .findFirst()
                    .orElseThrow();
            Adjuster.Effect effect = adjuster.effectOn(figure).orElseThrow();
            Optional<Double> wanted = wanted(figure);
            if (wanted.isPresent()) {
                return wanted.map(change -> new Need(amount(adjuster, effect, change), false));
            }
            return plan.figures().stream()
                    .filter(f -> f.measurand().form() == Form.SUM && adjustment.contains(f))
                    .findFirst()
                    .flatMap(this::wanted)
                    .map(change -> new Need(amount(adjuster, effect, change / 2), true));
        }

        /** By how much a figure is to change; empty where it, or that of the other wheel, was not worked. */
        private Optional<Double> wanted(FigureId figure) {
            boolean wheelsKnown = of.standing(figure, plan.id()).isPresent()
                    && of.standing(figure.otherSide(), plan.id()).isPresent();
            return wheelsKnown && plan.figures().contains(figure) ? change(figure) : Optional.empty();
        }

        private Optional<Double> change(FigureId figure) {
            Optional<Double> target = of.assignment()
                    .sheet()
                    .limits(figure)
                    .map(Limits::target)
                    .filter(t -> t.isPresent())
                    .map(t -> t.getAsDouble());
            return of.standing(figure, plan.id()).flatMap(now -> target.map(t -> t - now.value()));
        }

        private static Amount amount(Adjuster adjuster, Adjuster.Effect effect, double change) {
            if (effect.perUnit().isPresent()) {
                return Amount.of(change / effect.perUnit().getAsDouble(), adjuster.smallestStep());
            }
            return new Amount((int) Math.signum(change) * effect.sign(), Optional.empty());
        }

        private boolean isSwapped(List<Adjuster> adjusters) {
            if (adjusters.size() != 2) {
                return false;
            }
            Adjuster first = adjusters.get(0);
            Adjuster second = adjusters.get(1);
            return isRight(first, moveOf(first), needOf(second).amount())
                    && isRight(second, moveOf(second), needOf(first).amount());
        }

        private static boolean isRight(Adjuster adjuster, Amount planned, Amount needed) {
            return planned.sign() == needed.sign() && isNear(adjuster, planned, needed);
        }

        private static boolean isNear(Adjuster adjuster, Amount planned, Amount needed) {
            return needed.size().isEmpty()
                    || Math.abs(planned.signed() - needed.signed()) <= allowance(adjuster, needed);
        }

        private static double allowance(Adjuster adjuster, Amount needed) {
            return Math.max(LEAST_STEPS * adjuster.smallestStep(), SHARE * Math.abs(needed.signed()));
        }

        private Amount moveOf(Adjuster adjuster) {
            return Objects.requireNonNull(planned.get(adjuster));
        }

        private Need needOf(Adjuster adjuster) {
            return Objects.requireNonNull(needed.get(adjuster));
        }

        private Evidence move(Adjuster adjuster, boolean swapped, double leaving) {
            Amount move = moveOf(adjuster);
            Amount need = needOf(adjuster).amount();
            boolean needless = need.size()
                    .filter(n -> Math.abs(n) <= adjuster.smallestStep() / 2)
                    .isPresent();
            double credit = move.sign() == 0 && !needless ? leaving : credit(adjuster, move, need);
            return new Evidence.Move(
                    adjuster.id(),
                    adjuster.part().key(),
                    adjuster.unit().key(),
                    adjuster.part().way(move.sign()),
                    Math.abs(move.size().orElse(0.0)),
                    adjuster.part().way(need.sign()),
                    need.size().map(Math::abs),
                    allowance(adjuster, need),
                    needOf(adjuster).splitAssumed(),
                    credit,
                    credit < 1 && swapped ? Optional.of(SWAPPED) : Optional.empty());
        }

        /** Half the credit for part and way, half for the amount. */
        private static double credit(Adjuster adjuster, Amount planned, Amount needed) {
            boolean amount = isNear(adjuster, planned, needed);
            if (planned.sign() != needed.sign()) {
                boolean nearlyNothing = needed.sign() == 0 || planned.sign() == 0;
                return nearlyNothing && amount && needed.size().isPresent() ? 1 : 0;
            }
            return amount ? 1 : 0.5;
        }

        /** What leaving a part alone earns, by whichever figure of its own wheel is worst off; by the sum where the wheel is not known. */
        private double leaving(Adjuster adjuster, FigureId.Adjustment adjustment) {
            List<FigureId> all = of(adjustment);
            List<FigureId> moved = all.stream()
                    .filter(f -> adjuster.effectOn(f).isPresent()
                            && of.standing(f, plan.id()).isPresent())
                    .toList();
            return (moved.isEmpty() ? all : moved)
                    .stream()
                            .flatMap(f -> of.standing(f, plan.id()).map(now -> leaving(f, now)).stream())
                            .mapToDouble(v -> v)
                            .min()
                            .orElse(1);
        }

        /** All inside or near what is preferred, half in doubt, nothing outside. */
        private double leaving(FigureId figure, Estimate now) {
            Optional<Zone> zone = of.judged(figure, now).map(j -> j.zone());
            if (zone.isEmpty() || zone.get() == Zone.INSIDE) {
                return 1;
            }
            if (zone.get() == Zone.OUTSIDE) {
                return 0;
            }
            Limits limits = of.assignment().sheet().limits(figure).orElseThrow();
            boolean near = limits.target().isPresent()
                    && limits.min().isPresent()
                    && limits.max().isPresent()
                    && Math.abs(now.value() - limits.target().getAsDouble())
                            <= NEAR * (limits.max().getAsDouble() - limits.min().getAsDouble());
            return near ? 1 : 0.5;
        }
    }
}
