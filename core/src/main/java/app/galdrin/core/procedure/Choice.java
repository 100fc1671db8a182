package app.galdrin.core.procedure;

import java.util.List;
import java.util.Optional;

/**
 * Choice that the working depends on, made before anything is read, such as the side of a wheel that a beam runs on.
 *
 * @param id its line on the sheet, unlike any place of its procedure, and the family of its options' words
 * @param options keys, the usual one first
 */
public record Choice(String id, List<String> options) {

    public Choice {
        options = List.copyOf(options);
    }

    /** Returns the option that is usual. */
    public String usual() {
        return options.get(0);
    }

    /** Returns what was chosen; empty where nothing is yet. */
    public Optional<String> in(MeasuringContext standing) {
        return Optional.ofNullable(standing.chosen().get(id));
    }
}
