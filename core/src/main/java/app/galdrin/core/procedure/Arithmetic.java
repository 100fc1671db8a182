package app.galdrin.core.procedure;

import app.galdrin.core.record.Figures;
import app.galdrin.core.uncertainty.DoubtSource;
import app.galdrin.core.uncertainty.Estimate;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * Arithmetic of figures: estimates, or values alone where the uncertainty is not asked for. Marking tries thousands of slips on
 * values and works each sheet once as estimates, by the same evaluations and the same definitions of derived figures.
 *
 * @param <V> a figure, mm or rad
 */
abstract sealed class Arithmetic<V> {

    /** Figures with their doubt. */
    static final Arithmetic<Estimate> ESTIMATES = new Estimates();

    /** Figures without doubt, mm or rad. */
    static final Arithmetic<Double> VALUES = new Values();

    /** Returns whether kinds of record are asked for the doubt of their results. */
    abstract boolean asksForDoubt();

    /**
     * Returns a figure of a result.
     *
     * @param value in the record's unit
     * @param found the whole result
     */
    abstract V figure(EvaluationInputs inputs, EvaluationPlan.ResultField field, double value, Figures found);

    /** Returns a figure with a correction added. */
    abstract V corrected(V figure, Correction correction, EvaluationInputs inputs);

    /** Returns the figure that follows from two parts. */
    abstract V combined(Combination combination, V first, V second);

    /** Returns the figure's value, mm or rad. */
    abstract double value(V figure);

    /** Returns whether two figures are the same but for binary rounding. */
    abstract boolean agree(V one, @Nullable V other);

    /** Returns whether a figure is in doubt by a reading that is missing. */
    abstract boolean restsOn(V figure, MissingReadings missing, Function<Place, DoubtSource> ofReading);

    private static final class Estimates extends Arithmetic<Estimate> {
        @Override
        boolean asksForDoubt() {
            return true;
        }

        @Override
        Estimate figure(EvaluationInputs inputs, EvaluationPlan.ResultField field, double value, Figures found) {
            return inputs.estimate(field, value, found);
        }

        @Override
        Estimate corrected(Estimate figure, Correction correction, EvaluationInputs inputs) {
            return figure.plus(correction.added(inputs));
        }

        @Override
        Estimate combined(Combination combination, Estimate first, Estimate second) {
            return combination.of(first, second);
        }

        @Override
        double value(Estimate figure) {
            return figure.value();
        }

        @Override
        boolean agree(Estimate one, @Nullable Estimate other) {
            return other != null
                    && MissingReadings.agree(one.value(), other.value())
                    && MissingReadings.agree(one.standardUncertainty(), other.standardUncertainty());
        }

        @Override
        boolean restsOn(Estimate figure, MissingReadings missing, Function<Place, DoubtSource> ofReading) {
            return missing.doubt(figure, ofReading);
        }
    }

    private static final class Values extends Arithmetic<Double> {
        @Override
        boolean asksForDoubt() {
            return false;
        }

        @Override
        Double figure(EvaluationInputs inputs, EvaluationPlan.ResultField field, double value, Figures found) {
            return field.unit().toCore(value);
        }

        @Override
        Double corrected(Double figure, Correction correction, EvaluationInputs inputs) {
            return figure + correction.added(inputs.standing());
        }

        @Override
        Double combined(Combination combination, Double first, Double second) {
            return combination.of(first, second);
        }

        @Override
        double value(Double figure) {
            return figure;
        }

        @Override
        boolean agree(Double one, @Nullable Double other) {
            return other != null && MissingReadings.agree(one, other);
        }

        @Override
        boolean restsOn(Double figure, MissingReadings missing, Function<Place, DoubtSource> ofReading) {
            return false;
        }
    }
}
