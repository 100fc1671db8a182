package app.galdrin.core.marking;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.SheetScale;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Judge.Verdict;
import app.galdrin.core.uncertainty.Estimate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.DoubleStream;

/** A mistake in reading a sheet's limits: where a figure lies for someone who makes it. */
interface LimitSlip extends Keyed {

    List<LimitSlip> ALL = List.of(new MinMaxSwapped(), new SignLost());

    /** Returns the zone of a figure, rad or mm, under this slip; empty if these limits cannot be misread so. */
    Optional<Zone> seen(FigureId figure, Estimate value, Limits limits, SheetScale scale);

    /** Returns what someone who makes it says of a figure. */
    default Set<Verdict> said(Case sitting, Evidence.JudgedFigure judged) {
        var value = new Estimate(judged.own().value(), judged.own().doubt());
        return seen(
                        judged.figure(),
                        value,
                        judged.limits(),
                        sitting.assignment().scale(judged.figure()))
                .map(zone -> Judge.right(zone, judged.rule()))
                .orElse(judged.right());
    }

    /** The least taken for the most: whatever lies between them lies beyond both. */
    record MinMaxSwapped() implements LimitSlip {
        @Override
        public String key() {
            return "limitsSwapped";
        }

        @Override
        public Optional<Zone> seen(FigureId figure, Estimate value, Limits limits, SheetScale scale) {
            return limits.min().isPresent() && limits.max().isPresent() ? Optional.of(Zone.OUTSIDE) : Optional.empty();
        }
    }

    /** A limit below zero read as if it were above it. */
    record SignLost() implements LimitSlip {
        @Override
        public String key() {
            return "limitSignLost";
        }

        @Override
        public Optional<Zone> seen(FigureId figure, Estimate value, Limits limits, SheetScale scale) {
            double[] bare = DoubleStream.concat(limits.min().stream(), limits.max().stream())
                    .map(Math::abs)
                    .sorted()
                    .toArray();
            boolean any = limits.min().orElse(0) < 0 || limits.max().orElse(0) < 0;
            if (!any || bare.length < 2) {
                return Optional.empty();
            }
            var misread = new Limits(OptionalDouble.of(bare[0]), OptionalDouble.empty(), OptionalDouble.of(bare[1]));
            return Optional.of(
                    scale.judge(figure, value, misread, DecisionRule.SIMPLE).zone());
        }
    }
}
