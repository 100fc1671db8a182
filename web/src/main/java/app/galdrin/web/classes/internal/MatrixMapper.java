package app.galdrin.web.classes.internal;

import app.galdrin.core.task.Aspect;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** The mark sheets of a task, read for a whole class at once. */
@Mapper
interface MatrixMapper {

    /** Someone who has handed in, with the sheet that was signed last; without one nobody has signed yet. */
    record Person(
            UUID personId,
            UUID sittingId,
            String name,
            @Nullable BigDecimal percent,
            @Nullable Boolean competent,
            boolean released) {}

    /** One line of one person's sheet. */
    record Cell(
            UUID personId,
            String step,
            Aspect aspect,
            BigDecimal marks,
            int available,
            boolean given,
            boolean waiting,
            BigDecimal credit) {}

    /** A slip that stands alone behind something wrong, and how many people made it. */
    record SlipCount(String slip, int people) {}

    /** A sheet that was released, as it was signed last. */
    record Result(
            UUID taskId,
            String name,
            String signIn,
            int attempt,
            Instant releasedAt,
            BigDecimal percent,
            boolean competent) {}

    List<Result> results(UUID centreId, UUID classId, int most);

    List<Person> people(UUID centreId, UUID taskId, int most);

    /** Returns everything that was handed in of a task, each attempt by itself. */
    List<UUID> sittings(UUID centreId, UUID taskId, int most);

    List<Cell> cells(UUID centreId, UUID taskId, int most);

    List<SlipCount> slips(UUID centreId, UUID taskId, int most);
}
