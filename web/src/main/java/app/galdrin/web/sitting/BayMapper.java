package app.galdrin.web.sitting;

import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Bays and their floors. */
@Mapper
interface BayMapper {
    @Nullable
    BayRow bay(UUID centreId, int number);

    void put(UUID centreId, int number, double pitch, double roll, double doubt);
}
