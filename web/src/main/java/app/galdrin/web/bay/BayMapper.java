package app.galdrin.web.bay;

import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** Bays and the surveys of their floors. */
@Mapper
interface BayMapper {
    /** Returns the bays by number, up to the highest allowed. */
    List<Row> bays(UUID centreId);

    record Row(int number, String name) {}

    /** The newest survey of every bay. */
    List<Survey> newest(UUID centreId);

    /** All surveys of a bay, the newest first. */
    List<Survey> history(UUID centreId, int bay, int most);

    /** None where there is one of that number. */
    int add(UUID centreId, int number, String name);

    int rename(UUID centreId, int number, String name);

    void survey(UUID id, UUID centreId, @Param("s") NewSurvey survey, UUID personId);
}
