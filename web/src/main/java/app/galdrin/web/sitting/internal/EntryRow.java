package app.galdrin.web.sitting.internal;

import app.galdrin.web.layout.Keys;
import app.galdrin.web.sitting.Entry;
import app.galdrin.web.sitting.Slot;
import app.galdrin.web.sitting.Stage;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** An entry's row. */
public record EntryRow(
        UUID id,
        int seq,
        String stage,
        String place,
        int repeatNo,
        String written,
        @Nullable Double value,
        @Nullable Double step,
        @Nullable UUID strikes,
        boolean isStrike,
        UUID personId,
        String device,
        Instant at) {

    public Entry toEntry() {
        var slot = new Slot(Keys.of(Stage.values(), Stage::key, stage), place, repeatNo);
        return new Entry(id, seq, slot, written, value, step, strikes, isStrike, personId, device, at);
    }
}
