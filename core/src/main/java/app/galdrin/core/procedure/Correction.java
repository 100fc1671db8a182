package app.galdrin.core.procedure;

import app.galdrin.core.record.Formula;
import app.galdrin.core.record.Step;
import app.galdrin.core.uncertainty.Estimate;

/**
 * Correction added to a figure as the last step of the working.
 *
 * @param path of the figure in the result
 * @param formula key of the step
 * @param given what is added, an angle in degrees; it keeps its name as a source of doubt
 * @param factor +1, or −1 where it is taken off
 */
public record Correction(String path, String formula, Source.KnownBeforehand given, int factor) {

    /** The name of the corrected figure among the steps. */
    String corrected() {
        return path + "Corrected";
    }

    /** Returns what is added, with its sign, and its doubt. */
    Estimate added(EvaluationInputs taken) {
        return Estimate.lazily(inCore(taken.standing()), () -> taken.doubtOf(given))
                .times(factor);
    }

    /** Returns what is added with its sign, mm or rad. */
    double added(MeasuringContext standing) {
        return factor * inCore(standing);
    }

    private double inCore(MeasuringContext standing) {
        return given.unit().toCore(given.known(standing).orElse(0.0));
    }

    Step step(double before, MeasuringContext standing) {
        double added = inCore(standing);
        return Step.of(Formula.of(formula, Formula.Operation.FLOOR).worked(in -> in[0] + factor * in[1]))
                .with(path, given.unit(), before)
                .with(given.key(), given.unit(), added)
                .gives(corrected(), given.unit(), before + factor * added);
    }
}
