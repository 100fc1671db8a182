package app.galdrin.core.measure;

import app.galdrin.core.record.RecordKind;

/**
 * A way of measuring: a kind of record that also says what it can see and what it takes for granted. Its class holds the
 * evaluation of the readings and, beside it, the forward model that makes readings from a true state.
 */
public interface MeasuringMethod extends RecordKind {

    /** Returns what it sees of a vehicle. */
    Sight sight();
}
