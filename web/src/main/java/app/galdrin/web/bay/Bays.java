package app.galdrin.web.bay;

import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The bays of a centre and the surveys of their floors. Surveys are added, never changed: a sitting keeps the one it was made with. */
@Service
public class Bays {

    private static final int MOST_SURVEYS = 50;

    private final BayMapper mapper;

    Bays(BayMapper mapper) {
        this.mapper = mapper;
    }

    /** All of a centre by number. */
    public List<Bay> all(UUID centreId) {
        Map<Integer, Survey> surveys =
                mapper.newest(centreId).stream().collect(Collectors.toMap(Survey::bay, Function.identity()));
        return mapper.bays(centreId).stream()
                .map(row -> new Bay(row.number(), row.name(), Optional.ofNullable(surveys.get(row.number()))))
                .toList();
    }

    /** A bay of this person's centre. */
    public Bay bay(SignedIn me, int number) {
        return all(me.centreId()).stream()
                .filter(bay -> bay.number() == number)
                .findFirst()
                .orElseThrow(() -> new NotThere("bay", number, me));
    }

    public boolean exists(UUID centreId, int number) {
        return mapper.bays(centreId).stream().anyMatch(row -> row.number() == number);
    }

    /** All surveys of a bay, the newest first. */
    public List<Survey> history(UUID centreId, int number) {
        return mapper.history(centreId, number, MOST_SURVEYS);
    }

    /** Adds a bay, its number 1 to {@value Bay#HIGHEST}; false where there is one of that number. */
    @Transactional
    public boolean add(UUID centreId, int number, String name) {
        return mapper.add(centreId, number, name) > 0;
    }

    @Transactional
    public void rename(SignedIn me, int number, String name) {
        if (mapper.rename(me.centreId(), number, name) == 0) {
            throw new NotThere("bay", number, me);
        }
    }

    /** Writes a survey down beside those there are; sittings that begin from now on are worked with it. */
    @Transactional
    public void survey(UUID centreId, UUID personId, NewSurvey survey) {
        mapper.survey(Ids.next(), centreId, survey, personId);
    }
}
