package app.galdrin.web.marking.internal;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Answers to questions asked once more after release; only ever added to. */
@Mapper
interface SecondTryMapper {

    /** Answer to a second try; {@code honest} in the unit it was asked in. */
    record TryRow(String figure, String written, BigDecimal honest, boolean isRight, Instant triedAt) {}

    List<TryRow> of(UUID centreId, UUID sittingId, UUID personId, int most);

    /** 0 where there is an answer already: there is one try. */
    int insert(
            UUID centreId,
            UUID sittingId,
            UUID personId,
            String figure,
            String written,
            @Nullable BigDecimal value,
            BigDecimal honest,
            boolean right);
}
