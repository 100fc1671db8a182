package app.galdrin.core.procedure;

import app.galdrin.core.record.Figures;
import app.galdrin.core.record.InputForm;
import app.galdrin.core.uncertainty.Budget;
import app.galdrin.core.uncertainty.DoubtSource;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.core.uncertainty.InputDoubts;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** Inputs of one run of an evaluation: readings on a vehicle where it stands, and what of their uncertainty goes into each figure. */
final class EvaluationInputs {

    /** The slope below which a move is binary rounding. */
    private static final double LEAST_SLOPE = 1e-6;

    private final EvaluationPlan plan;
    private final Map<String, Double> readings;
    private final MeasuringContext standing;
    private final Function<Place, DoubtSource> ofReading;

    /** Every figure asks for them, from several threads; two who ask at once put together the same. */
    private volatile @Nullable InputDoubts doubts;

    /**
     * Creates the inputs of one repeat.
     *
     * @param readings mm or deg by place, with their signs
     * @param ofReading the name of a place's reading as a source of doubt
     */
    EvaluationInputs(
            EvaluationPlan plan,
            Map<String, Double> readings,
            MeasuringContext standing,
            Function<Place, DoubtSource> ofReading) {
        this.plan = plan;
        this.readings = readings;
        this.standing = standing;
        this.ofReading = ofReading;
    }

    MeasuringContext standing() {
        return standing;
    }

    /** The input of the kind, without doubts. */
    InputForm form() {
        InputForm form = plan.form();
        for (EvaluationPlan.InputField field : plan.fields()) {
            valueOf(field).ifPresent(value -> form.put(field.blank(), value));
        }
        return form;
    }

    private Optional<Object> valueOf(EvaluationPlan.InputField field) {
        return field.source().value(readings, standing);
    }

    private InputDoubts doubts() {
        InputDoubts known = doubts;
        if (known == null) {
            known = new InputDoubts(
                    plan.fields().size(),
                    (index, each) -> plan.fields().get(index).source().parts(readings, ofReading, standing, each));
            doubts = known;
        }
        return known;
    }

    /** Returns what is given beside the fields. */
    Budget doubtOf(Source.KnownBeforehand given) {
        return new InputDoubts(1, (only, each) -> given.parts(readings, ofReading, standing, each))
                .through(new double[] {1});
    }

    /** A figure of a result, rad or mm; {@code value} is in the record's unit. */
    Estimate estimate(EvaluationPlan.ResultField result, double value, Figures found) {
        return result.at().in(found.doubts()) instanceof Figures.Doubt known
                ? Estimate.lazily(
                        known.estimate().value(),
                        () -> bySlopes(result, value, known.estimate().budget()))
                : Estimate.lazily(result.unit().toCore(value), () -> byMoving(result, value));
    }

    /** Returns the budget of a kind that reports its sensitivity coefficients: of readings; what it has of the equipment is moved. */
    private Budget bySlopes(EvaluationPlan.ResultField result, double now, Budget slopes) {
        double[] byField = new double[plan.fields().size()];
        slopes.forEach((input, slope) ->
                plan.field(input.name()).ifPresent(field -> byField[field.index()] = slope / field.inCore()));
        for (EvaluationPlan.InputField field : plan.fields()) {
            if (field.source() instanceof Source.ToolDatum) {
                byField[field.index()] = byMoving(result, field, now);
            }
        }
        return doubts().through(byField);
    }

    /** Returns the budget of a kind without uncertainty by moving every field by its own, both ways. */
    private Budget byMoving(EvaluationPlan.ResultField result, double now) {
        double[] byField = new double[plan.fields().size()];
        for (EvaluationPlan.InputField field : plan.fields()) {
            byField[field.index()] = byMoving(result, field, now);
        }
        return doubts().through(byField);
    }

    /** Returns the slope of a result by one field, moved by its own uncertainty; 0 where it has none or can't be moved. */
    private double byMoving(EvaluationPlan.ResultField result, EvaluationPlan.InputField field, double now) {
        double u = doubts().standardUncertainty(field.index());
        if (u > 0 && valueOf(field).orElse("") instanceof Double value) {
            double step = u / field.inCore();
            Optional<Double> up = moved(result, field, value + step);
            Optional<Double> down = moved(result, field, value - step);
            if (up.isPresent() && down.isPresent()) {
                return result.unit().toCore(slope(down.get(), now, up.get())) / u;
            }
        }
        return 0;
    }

    /** Half of what the figure moves by, both ways together; no run-out at all grows as much either way, and is no less in doubt for that. */
    private static double slope(double down, double now, double up) {
        boolean growsAlike = Math.abs(up - down) < LEAST_SLOPE * Math.abs(up - now);
        return growsAlike ? up - now : (up - down) / 2;
    }

    private Optional<Double> moved(EvaluationPlan.ResultField result, EvaluationPlan.InputField moved, double value) {
        return form().put(moved.blank(), value)
                .input()
                .flatMap(plan::work)
                .flatMap(answer -> result.at().numberIn(answer.figures().values()));
    }
}
