package app.galdrin.web.task;

import app.galdrin.web.library.SheetVersion;
import java.util.Optional;
import java.util.UUID;

/**
 * A bay of a practical: which vehicle stands there, and in which state it was put.
 *
 * @param bay 1 and up; 0 where nobody names bays
 */
public record TaskBay(int bay, SheetVersion sheet, UUID stateId) {

    /** Its number; empty where nobody names bays. */
    public Optional<Integer> number() {
        return Optional.of(bay).filter(b -> b > 0);
    }
}
