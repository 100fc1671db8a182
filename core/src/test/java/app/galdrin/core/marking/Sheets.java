package app.galdrin.core.marking;

import app.galdrin.core.measure.Instrument;
import app.galdrin.core.measure.ToeBox;
import app.galdrin.core.measure.ToeMethods;
import app.galdrin.core.measure.Wheel;
import app.galdrin.core.spec.Axle;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.Linkage;
import app.galdrin.core.spec.QuantityLimits;
import app.galdrin.core.spec.SheetQuantity;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.task.AnswerUnit;
import app.galdrin.core.task.MarkingScheme;
import app.galdrin.core.task.ToeAsked;
import app.galdrin.core.task.ToeTask;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.random.RandomGenerator;

/** A made-up van, tasks on it, and readings of it in a known state. */
final class Sheets {

    static final SpecificationSheet VAN = new SpecificationSheet(
            new VehicleGeometry(2760, 1484, 1466, 416, 301, Linkage.BEHIND, 1.5, false, 136, 17.8),
            List.of(line(SheetQuantity.TOE, -0.11, -0.04, 0.03), line(SheetQuantity.TOTAL_TOE, -0.22, -0.08, 0.06)));

    private Sheets() {}

    private static QuantityLimits line(SheetQuantity quantity, double min, double preferred, double max) {
        var limits = Limits.of(Math.toRadians(min), Math.toRadians(preferred), Math.toRadians(max));
        return new QuantityLimits(Axle.FRONT, quantity, limits, OptionalDouble.empty(), Optional.of("trackRods"));
    }

    static ToeTask strings(AnswerUnit unit, DecisionRule rule) {
        var scheme = MarkingScheme.defaults(ToeMethods.of("strings"), VAN.geometry(), 2);
        return new ToeTask(
                VAN, ToeAsked.TOTAL_AND_EACH, ToeMethods.of("strings"), 2, unit, rule, ToeTask.PREPARATION, scheme);
    }

    static ToeTask plates() {
        var scheme = MarkingScheme.defaults(ToeMethods.of("plates"), VAN.geometry(), 2);
        return new ToeTask(
                VAN,
                ToeAsked.TOTAL,
                ToeMethods.of("plates"),
                2,
                AnswerUnit.DEGREES,
                DecisionRule.SIMPLE,
                ToeTask.PREPARATION,
                scheme);
    }

    /** Readings of a roughly set box round the van with these front toes (deg), by place. */
    static Map<String, Double> box(double left, double right, Instrument rule, RandomGenerator noise) {
        Map<Wheel, Double> toes = new EnumMap<>(Wheel.class);
        toes.put(Wheel.FRONT_LEFT, Math.toRadians(left));
        toes.put(Wheel.FRONT_RIGHT, Math.toRadians(right));
        toes.put(Wheel.REAR_LEFT, Math.toRadians(0.12));
        toes.put(Wheel.REAR_RIGHT, Math.toRadians(0.1));
        var truth = new ToeBox.Truth(2760, new ToeBox.Tracks(1484, 1466), 416, toes);
        var setUp = new ToeBox.SetUp(700, 4200, 804, 807, 809, 803);
        return ToeBox.forward(truth, setUp, rule, rule, noise).byPlace();
    }
}
