package app.galdrin.core.record;

import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.uncertainty.Estimate;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Record kind {@code judge}: a value against limits, with its doubt; the formulas are those of {@link Judgement}. The figures
 * are taken as they are, in any one unit.
 */
@AutoService(RecordKind.class)
public final class JudgeKind implements RecordKind {

    private static final NumberField VALUE = NumberField.number("value", Range.NUMBER);
    private static final NumberField MIN =
            NumberField.number("min", Range.NUMBER).optional();
    private static final NumberField MAX =
            NumberField.number("max", Range.NUMBER).optional();
    private static final NumberField NOMINAL =
            NumberField.number("nominal", Range.NUMBER).optional();
    private static final NumberField U =
            NumberField.number("u", Range.closed(0, 1e9)).optional();
    private static final NumberField K =
            NumberField.number("k", Range.openBelow(0, 1e9)).optional();
    private static final WordField<DecisionRule> RULE =
            WordField.of("rule", DecisionRule.values()).optional();
    private static final WordField<Zone> ZONE = WordField.of("zone", Zone.values());
    private static final NumberField EXCESS = NumberField.number("excess", Range.ALL);
    private static final FlagField ACCEPTED = FlagField.of("accepted");
    private static final NumberField DEVIATION =
            NumberField.number("deviation", Range.ALL).optional();

    private static final Contract CONTRACT = new Contract(
            "judge", Shape.of(VALUE, MIN, MAX, NOMINAL, U, K, RULE), Shape.of(ZONE, EXCESS, ACCEPTED, DEVIATION));

    @Override
    public Contract contract() {
        return CONTRACT;
    }

    @Override
    public Outcome<Answer> evaluate(Input in) {
        var value = new Estimate(in.number(VALUE), in.number(U, 0));
        double k = in.number(K, Judgement.K);
        DecisionRule rule = in.optional(RULE).orElse(DecisionRule.SIMPLE);
        return limits(in.optional(MIN), in.optional(MAX), in.optional(NOMINAL)).map(limits -> {
            Judgement judgement = Judgement.of(value, limits, k, rule);
            return new Answer(figures(judgement), () -> working(value, limits, k, judgement));
        });
    }

    private static Outcome<Limits> limits(OptionalDouble min, OptionalDouble max, OptionalDouble nominal) {
        if (min.isEmpty() && max.isEmpty()) {
            return Outcome.fault(FaultCode.MISSING, MIN.name());
        }
        double lowest = min.orElse(Double.NEGATIVE_INFINITY);
        double highest = max.orElse(Double.POSITIVE_INFINITY);
        if (lowest > highest) {
            return Outcome.fault(FaultCode.INCONSISTENT, MAX.name());
        }
        if (nominal.isPresent() && (nominal.getAsDouble() < lowest || nominal.getAsDouble() > highest)) {
            return Outcome.fault(FaultCode.INCONSISTENT, NOMINAL.name());
        }
        return Outcome.of(new Limits(min, nominal, max));
    }

    private static Figures figures(Judgement judgement) {
        return new Figures()
                .set(ZONE, judgement.zone())
                .set(EXCESS, judgement.excess())
                .set(ACCEPTED, judgement.accepted())
                .set(DEVIATION, judgement.deviation());
    }

    private static List<Step> working(Estimate value, Limits limits, double k, Judgement judgement) {
        List<Step> steps = new ArrayList<>();
        var excess = Step.of("judge.excess").with(VALUE, value.value());
        limits.min().ifPresent(min -> excess.with(MIN, min));
        limits.max().ifPresent(max -> excess.with(MAX, max));
        steps.add(excess.gives(EXCESS, judgement.excess()));
        steps.add(Step.of("judge.expanded")
                .with(K, k)
                .with(U, value.standardUncertainty())
                .gives("expanded", FieldUnit.NUMBER, k * value.standardUncertainty()));
        judgement
                .deviation()
                .ifPresent(deviation -> steps.add(Step.of("judge.deviation")
                        .with(VALUE, value.value())
                        .with(NOMINAL, limits.target().orElseThrow())
                        .gives(DEVIATION, deviation)));
        return steps;
    }
}
