package app.galdrin.web.task.internal;

import app.galdrin.core.task.Criterion;
import app.galdrin.web.task.TaskSummary;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.jspecify.annotations.Nullable;

/** Tasks. */
@Mapper
public interface TaskMapper {

    @Nullable
    TaskRow task(UUID centreId, UUID taskId);

    List<TaskRow.CriterionRow> criteria(UUID centreId, UUID taskId);

    List<TaskSummary> list(UUID centreId, int most);

    void insert(UUID id, UUID centreId, UUID personId, @Param("t") TaskRow task);

    void insertCriterion(UUID centreId, UUID taskId, Criterion criterion, int marks, boolean mustPass);

    @Nullable
    UUID lock(UUID centreId, UUID taskId);
}
