package app.galdrin.web.task;

import app.galdrin.core.task.Mode;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Practicals as they were set, their bays and the states their vehicles were put in. */
@Mapper
interface TaskMapper {
    @Nullable
    TaskRow task(UUID centreId, UUID taskId);

    List<UUID> sheets(UUID centreId, UUID taskId);

    /** The newest version of each practical that is, or is not, retired. */
    List<TaskSummary> list(UUID centreId, boolean retired, int most, int mostCounted);

    /** Items of checklists in words of their own, as a list of a document has them: each once, as the newest task has it. */
    String ownItems(UUID centreId, int tasks, int most);

    /** One version among those of a practical. */
    record Version(UUID id, int version, Instant createdAt) {}

    List<Version> versions(UUID centreId, UUID seriesId, int most);

    boolean retired(UUID centreId, UUID seriesId);

    void retire(UUID centreId, UUID seriesId, UUID personId);

    void unretire(UUID centreId, UUID seriesId);

    /** Returns how many vehicles were taken over. */
    int takeVehicles(UUID centreId, UUID fromTaskId, UUID taskId);

    /** 0 where it is there already. */
    int insert(
            UUID id,
            UUID centreId,
            UUID seriesId,
            UUID personId,
            UUID classId,
            String title,
            Mode mode,
            String document,
            int documentVersion);

    void insertSheet(UUID centreId, UUID taskId, UUID sheetId, int ordinal);

    void insertFigure(UUID centreId, UUID taskId, String figure, String step);

    List<OpenTask> openByVehicle(UUID centreId, int most);

    /** The newest try-out of a task. */
    Optional<UUID> lastTryOut(UUID centreId, UUID taskId);

    /** Holds a task until the transaction ends. */
    boolean lock(UUID centreId, UUID taskId);

    List<TaskRow.VehicleRow> vehicles(UUID centreId, UUID taskId);

    void putVehicle(UUID centreId, UUID taskId, UUID vehicleId, UUID sheetId);

    void dropVehicle(UUID centreId, UUID taskId, UUID vehicleId);
}
