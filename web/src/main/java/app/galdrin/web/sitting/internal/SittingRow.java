package app.galdrin.web.sitting.internal;

import app.galdrin.web.layout.Keys;
import app.galdrin.web.sitting.Purpose;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.task.TaskVersion;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A sitting's row. */
public record SittingRow(
        UUID id,
        UUID centreId,
        UUID taskId,
        @Nullable UUID openingId,
        UUID personId,
        String personName,
        String purpose,
        @Nullable UUID ofSittingId,
        @Nullable Integer bay,
        Instant begunAt,
        int lastSeq) {

    public Sitting toSitting(TaskVersion task) {
        return new Sitting(
                id,
                centreId,
                task,
                personId,
                personName,
                Keys.of(Purpose.values(), Purpose::key, purpose),
                Optional.ofNullable(ofSittingId),
                Optional.ofNullable(bay),
                begunAt,
                lastSeq);
    }
}
