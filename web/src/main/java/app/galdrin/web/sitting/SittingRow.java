package app.galdrin.web.sitting;

import app.galdrin.core.equipment.Kit;
import app.galdrin.web.bay.Facing;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.task.TaskVersion;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * A sitting's row, with what is known of it and who sits it.
 *
 * @param personIds of the people who sit it, in the order of their names
 * @param equipment the revisions of what it is read with, one of a kind
 */
record SittingRow(
        UUID id,
        UUID centreId,
        UUID taskId,
        UUID sheetId,
        UUID markedByTask,
        UUID markedOnSheet,
        UUID stateId,
        UUID settingId,
        int readsRound,
        @Nullable UUID ofSittingId,
        @Nullable UUID openingId,
        UUID personId,
        Purpose purpose,
        int attempt,
        Instant begunAt,
        List<String> personIds,
        List<String> personNames,
        SittingState state,
        @Nullable Facing facing,
        @Nullable FloorRow floor,
        List<String> equipment) {

    /** Returns the revisions of the equipment it is read with. */
    List<UUID> revisions() {
        return equipment.stream().map(UUID::fromString).toList();
    }

    Sitting toSitting(TaskVersion task, SheetVersion sheet, TaskVersion markedBy, SheetVersion markedOn, Kit kit) {
        return new Sitting(
                id,
                centreId,
                task,
                sheet,
                markedBy,
                markedOn,
                stateId,
                settingId,
                readsRound,
                Optional.ofNullable(ofSittingId),
                people(),
                purpose,
                Optional.ofNullable(openingId),
                attempt,
                begunAt,
                state,
                Optional.ofNullable(facing),
                Optional.ofNullable(floor).flatMap(FloorRow::floor),
                revisions(),
                kit);
    }

    private List<Sitting.PersonName> people() {
        return IntStream.range(0, personIds.size())
                .mapToObj(i -> new Sitting.PersonName(UUID.fromString(personIds.get(i)), personNames.get(i)))
                .toList();
    }
}
