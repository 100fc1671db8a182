package app.galdrin.web.baysheet.internal;

import app.galdrin.web.sitting.Slot;
import org.jspecify.annotations.Nullable;

/**
 * One field of a sheet as it is drawn.
 *
 * @param value what stands, or what was typed and could not be read
 * @param echo what stands, as understood; empty where nothing does
 * @param error the sentence beside the field, if what was typed could not be read
 * @param key the idempotency key of the next thing written here without a script
 */
public record FieldView(
        Slot slot, String value, String echo, @Nullable String error, String key) {

    /** Whether it was understood as something else than stands there letter by letter: inches, a decimal comma. */
    public boolean differs() {
        return !echo.isEmpty() && !echo.startsWith(value + "\u00a0");
    }

    public boolean chosen(String choice) {
        return value.equals(choice);
    }
}
