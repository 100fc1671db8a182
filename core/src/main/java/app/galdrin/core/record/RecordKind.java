package app.galdrin.core.record;

import app.galdrin.core.Outcome;

/**
 * One kind of measurement record. A class that says {@code @AutoService(RecordKind.class)} is a kind; nothing else lists
 * the kinds.
 */
public interface RecordKind {

    Contract contract();

    /**
     * Works an input whose fields are legal each by itself.
     *
     * @return the answer, or the first broken rule among those that tie fields together, in the format's order
     */
    Outcome<Answer> evaluate(Input input);

    /** Checks and works an input as it came; the first thing wrong with it is the fault. */
    default Outcome<Answer> evaluate(JsonObject input) {
        return contract().input().read(input).flatMap(this::evaluateWithDoubt);
    }

    private Outcome<Answer> evaluateWithDoubt(Input input) {
        Outcome<Answer> outcome = evaluate(input);
        if (outcome instanceof Outcome.Value<Answer> value && contract().hasU()) {
            value.value().figures().withDoubt(input.wantsDoubt());
        }
        return outcome;
    }
}
