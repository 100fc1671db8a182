package app.galdrin.web.sitting;

import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.task.TaskVersion;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A sitting's row. */
record SittingRow(
        UUID id,
        UUID centreId,
        UUID taskId,
        UUID sheetId,
        UUID stateId,
        int stateRound,
        @Nullable UUID ofSittingId,
        @Nullable UUID openingId,
        UUID personId,
        Purpose purpose,
        int attempt,
        Instant begunAt) {

    Sitting toSitting(TaskVersion task, SheetVersion sheet, List<Sitting.PersonName> people, SittingState state) {
        return new Sitting(
                id,
                centreId,
                task,
                sheet,
                stateId,
                stateRound,
                Optional.ofNullable(ofSittingId),
                people,
                purpose,
                Optional.ofNullable(openingId),
                attempt,
                begunAt,
                state);
    }
}
