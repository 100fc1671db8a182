package app.galdrin.web.sitting;

import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The bays of a centre with their floors as surveyed. */
@Service
public class Bays {

    private final BayMapper mapper;

    Bays(BayMapper mapper) {
        this.mapper = mapper;
    }

    /** Notes a survey: pitch and roll in deg, front and left side higher positive; its standard uncertainty in deg. */
    @Transactional
    public void survey(UUID centreId, int number, double pitch, double roll, double doubt) {
        mapper.put(centreId, number, pitch, roll, doubt);
    }
}
