package app.galdrin.core.spec.written;

import java.util.List;
import java.util.Optional;

/**
 * Fault of a written sheet.
 *
 * @param at the row, as in {@link SheetDraft.Row}; empty where the whole is at fault
 * @param cell empty where the whole row is at fault
 * @param value what was read, as written
 * @param more numbers and keys that the sentence of the reason takes
 */
public record SheetFault(String at, Optional<Cell> cell, SheetFaultCode reason, String value, List<String> more) {

    public SheetFault {
        more = List.copyOf(more);
    }
}
