package app.galdrin.core.record;

import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.uncertainty.Estimate;
import java.util.Map;
import java.util.OptionalDouble;

/** Record kind {@code judge}: a value against limits, with its doubt. The figures are taken as they are, in any one unit. */
public final class JudgeKind implements RecordKind {

    private static final Map<String, DecisionRule> RULES =
            Map.of(DecisionRule.SIMPLE.key(), DecisionRule.SIMPLE, DecisionRule.GUARDED.key(), DecisionRule.GUARDED);

    @Override
    public String name() {
        return "judge";
    }

    @Override
    public Outcome<Figures> evaluate(Fields in) {
        in.only("value", "min", "max", "nominal", "u", "k", "rule");
        double value = in.number("value", Range.NUMBER);
        OptionalDouble min = in.optionalNumber("min", Range.NUMBER);
        OptionalDouble max = in.optionalNumber("max", Range.NUMBER);
        OptionalDouble nominal = in.optionalNumber("nominal", Range.NUMBER);
        double u = in.optionalNumber("u", Range.closed(0, 1e9)).orElse(0);
        double k = in.optionalNumber("k", Range.openBelow(0, 1e9)).orElse(Judgement.K);
        DecisionRule rule = in.word("rule", RULES, DecisionRule.SIMPLE);
        return in.then(() -> limits(min, max, nominal))
                .map(limits -> figures(Judgement.of(new Estimate(value, u), limits, k, rule)));
    }

    private static Outcome<Limits> limits(OptionalDouble min, OptionalDouble max, OptionalDouble nominal) {
        if (min.isEmpty() && max.isEmpty()) {
            return Outcome.fault(FaultCode.MISSING, "min");
        }
        double lowest = min.orElse(Double.NEGATIVE_INFINITY);
        double highest = max.orElse(Double.POSITIVE_INFINITY);
        if (lowest > highest) {
            return Outcome.fault(FaultCode.INCONSISTENT, "max");
        }
        if (nominal.isPresent() && (nominal.getAsDouble() < lowest || nominal.getAsDouble() > highest)) {
            return Outcome.fault(FaultCode.INCONSISTENT, "nominal");
        }
        return Outcome.of(new Limits(min, nominal, max));
    }

    private static Figures figures(Judgement judgement) {
        var out = new Figures()
                .text("zone", judgement.zone().key())
                .number("excess", judgement.excess())
                .flag("accepted", judgement.accepted());
        judgement.deviation().ifPresent(d -> out.number("deviation", d));
        return out;
    }
}
