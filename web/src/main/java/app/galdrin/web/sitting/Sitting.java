package app.galdrin.web.sitting;

import app.galdrin.web.task.TaskVersion;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/** A sitting, without its entries. */
public record Sitting(
        UUID id,
        UUID centreId,
        TaskVersion task,
        UUID personId,
        String personName,
        Purpose purpose,
        Optional<UUID> ofSittingId,
        Optional<Integer> bay,
        Instant begunAt,
        int lastSeq) {

    public boolean isReference() {
        return purpose != Purpose.PRACTICAL;
    }
}
