package app.galdrin.web.task;

import app.galdrin.core.task.TaskDocument;
import app.galdrin.web.library.SheetVersion;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/** A task's row. */
record TaskRow(
        UUID id,
        UUID centreId,
        UUID seriesId,
        int version,
        UUID classId,
        String className,
        String document,
        Instant createdAt) {

    /** A vehicle of a task. */
    record VehicleRow(UUID vehicleId, UUID sheetId) {}

    TaskVersion toVersion(List<SheetVersion> sheets) {
        return new TaskVersion(
                id, centreId, seriesId, version, TaskDocument.stored(document), sheets, classId, className, createdAt);
    }
}
