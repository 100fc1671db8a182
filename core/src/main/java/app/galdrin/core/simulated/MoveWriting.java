package app.galdrin.core.simulated;

import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.sitting.MoveLines;
import app.galdrin.core.spec.Adjuster;

/** Writes how parts are moved. */
record MoveWriting(Pen pen) {

    /** Writes a move of a part, signed and in its unit, rounded to its steps. */
    void write(String step, int round, Adjuster adjuster, double units) {
        double rounded = Math.rint(units / adjuster.smallestStep()) * adjuster.smallestStep();
        int sign = Math.abs(rounded) < adjuster.smallestStep() ? 0 : (int) Math.signum(rounded);
        pen.write(
                MoveLines.way(step, adjuster, round), adjuster.part().way(sign).key());
        if (sign != 0 && adjuster.amountKnown()) {
            pen.write(
                    MoveLines.amount(step, adjuster, round),
                    QuantityFormat.decimal(Math.min(adjuster.most(), Math.abs(rounded)), 2, false));
        }
    }
}
