package app.galdrin.core.task;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.special.Erf;

/**
 * Returns whether a way of measuring can decide a figure: how near a limit it can't tell on which side a vehicle stands.
 *
 * @param limits of the figure, rad or mm
 * @param expanded U = k·u of the mean of the repeats, in trained hands on a vehicle as the sheet wants it, rad or mm
 * @param doubtful of vehicles that stand evenly spread between both limits, the share that comes out too close to tell, 0 to 1; empty
 *     where there is one limit alone
 */
public record CanDecide(FigureId figure, Limits limits, double expanded, OptionalDouble doubtful) {

    /** Least fall of the share that is worth saying. */
    private static final double WORTH = 0.05;

    private static final int STEPS = 400;

    /** Help that makes fewer vehicles too close to tell. */
    public sealed interface Help {
        /** The share that would come out too close to tell then, 0 to 1. */
        double doubtful();

        /**
         * More repeats; {@code doubtful} is a share without unit.
         *
         * @param doubtful share of vehicles then too close to tell, 0 to 1
         */
        record Repeats(int repeats, double doubtful) implements Help {}

        /**
         * Another instrument at the places of a tool; {@code doubtful} a share without unit.
         *
         * @param doubtful share of vehicles then too close to tell, 0 to 1
         */
        record Instrument(String tool, CatalogueInstrument with, double doubtful) implements Help {}

        /**
         * Another procedure with as many repeats; {@code doubtful} a share without unit.
         *
         * @param doubtful share of vehicles then too close to tell, 0 to 1
         */
        record Alternative(Procedure procedure, double doubtful) implements Help {}
    }

    /** Empty where the figure has no limits or the readings do not come to it. */
    public static Optional<CanDecide> of(Measure measure, FigureId figure, MeasuringContext standing) {
        Optional<Limits> limits = standing.sheet().limits(figure);
        Estimate expected = ExpectedUncertainty.asAsked(measure, standing).get(figure);
        return expected == null
                ? Optional.empty()
                : limits.map(l -> {
                    double u = expected.standardUncertainty();
                    return new CanDecide(figure, l, Judgement.K * u, doubtful(l, u));
                });
    }

    /** Returns whether a vehicle in the middle of both limits could be called inside under a rule. */
    public boolean canSayInside(DecisionRule rule) {
        if (rule == DecisionRule.SIMPLE
                || limits.min().isEmpty()
                || limits.max().isEmpty()) {
            return true;
        }
        double middle = (limits.min().getAsDouble() + limits.max().getAsDouble()) / 2;
        var best = new Estimate(middle, expanded / Judgement.K);
        return Judgement.of(best, limits, Judgement.K, rule).accepted();
    }

    /**
     * Returns the share of vehicles that come out too close to tell, 0 to 1. Results are normally distributed about the true value: the share is the
     * mean, over the tolerance, of the chance to come out within U of a limit; trapezes, {@value #STEPS} of them.
     */
    private static OptionalDouble doubtful(Limits limits, double u) {
        if (limits.min().isEmpty() || limits.max().isEmpty()) {
            return OptionalDouble.empty();
        }
        double min = limits.min().getAsDouble();
        double max = limits.max().getAsDouble();
        double sum = 0;
        for (int i = 0; i <= STEPS; i++) {
            double there = min + (max - min) * i / STEPS;
            sum += (i == 0 || i == STEPS ? 0.5 : 1) * chance(there, min, max, u);
        }
        return OptionalDouble.of(sum / STEPS);
    }

    private static double chance(double there, double min, double max, double u) {
        if (u == 0) {
            return 0;
        }
        double expanded = Judgement.K * u;
        if (min + expanded >= max - expanded) {
            return between(min - expanded, max + expanded, there, u);
        }
        return between(min - expanded, min + expanded, there, u) + between(max - expanded, max + expanded, there, u);
    }

    private static double between(double from, double to, double there, double u) {
        double scale = u * Math.sqrt(2);
        return (Erf.erf((to - there) / scale) - Erf.erf((from - there) / scale)) / 2;
    }

    /** Returns what would make fewer vehicles come out too close to tell, the best of each kind, the best first. */
    public List<Help> help(Measure measure, MeasuringContext standing) {
        if (doubtful.isEmpty()) {
            return List.of();
        }
        double now = doubtful.getAsDouble();
        List<Help> all = new ArrayList<>();
        best(repeats(measure, standing)).ifPresent(all::add);
        best(instruments(measure, standing)).ifPresent(all::add);
        best(ways(measure, standing)).ifPresent(all::add);
        return all.stream()
                .filter(h -> h.doubtful() < now - WORTH)
                .sorted(Comparator.comparing(Help::doubtful))
                .toList();
    }

    private static Optional<Help> best(List<Help> all) {
        return all.stream().min(Comparator.comparing(Help::doubtful));
    }

    /** Twice as many, or as many as there can be. */
    private List<Help> repeats(Measure measure, MeasuringContext standing) {
        int more = Math.min(2 * measure.repeats(), Practical.MOST_REPEATS);
        return share(measure.times(more), standing).stream()
                .mapToObj(s -> (Help) new Help.Repeats(more, s))
                .toList();
    }

    private List<Help> instruments(Measure measure, MeasuringContext standing) {
        Procedure procedure = measure.procedure();
        List<Help> all = new ArrayList<>();
        procedure.instruments().forEach((tool, now) -> {
            for (CatalogueInstrument other : procedure.choiceOf(tool)) {
                Map<String, CatalogueInstrument> tools = new HashMap<>(procedure.tools());
                tools.put(tool, other);
                share(by(measure, procedure.with(tools)), standing)
                        .ifPresent(s -> all.add(new Help.Instrument(tool, other, s)));
            }
        });
        return all;
    }

    private List<Help> ways(Measure measure, MeasuringContext standing) {
        List<Help> all = new ArrayList<>();
        for (Procedure other : Procedures.seeing(figure)) {
            if (!other.key().equals(measure.procedure().key())) {
                share(by(measure, other), standing).ifPresent(s -> all.add(new CanDecide.Help.Alternative(other, s)));
            }
        }
        return all;
    }

    private Measure by(Measure measure, Procedure procedure) {
        return measure.by(before -> procedure)
                .asking(List.of(figure))
                .teaching(procedure.taught().get(0));
    }

    private OptionalDouble share(Measure measure, MeasuringContext standing) {
        return of(measure, figure, standing).map(CanDecide::doubtful).orElse(OptionalDouble.empty());
    }
}
