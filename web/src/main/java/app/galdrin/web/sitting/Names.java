package app.galdrin.web.sitting;

import app.galdrin.web.account.People;
import app.galdrin.web.account.Person;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.Sessions;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.words.Sentence;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Owners of sheets: corrects a name that was taken wrongly, and lets people back in to their sheets. */
@Service
public class Names {

    private static final int LONGEST_REASON = 300;

    /** An attempt that nobody has, while two sheets change hands. */
    private static final int ASIDE = 99;

    private final SittingMapper mapper;
    private final Sittings sittings;
    private final Entries entries;
    private final Decisions decisions;
    private final People people;
    private final Sessions sessions;

    Names(
            SittingMapper mapper,
            Sittings sittings,
            Entries entries,
            Decisions decisions,
            People people,
            Sessions sessions) {
        this.mapper = mapper;
        this.sittings = sittings;
        this.entries = entries;
        this.decisions = decisions;
        this.people = people;
        this.sessions = sessions;
    }

    /**
     * Gives a sheet to the person it belongs to. If that person has a sheet of the same opening, the two change hands. Both sheets say so in
     * their logs; who had joined by code joins again, under the right name.
     *
     * @return why it can't be done; empty where it is
     */
    @Transactional
    public Optional<Sentence> belongsTo(SignedIn me, Sitting sitting, UUID personId, String reason, String key) {
        Sittings.instructorOnly(me, sitting);
        UUID centre = me.centreId();
        Person right = people.person(centre, personId);
        UUID opening = sitting.openingId().orElseThrow(() -> new NotThere("opening", sitting.id(), me));
        if (right.role() != Role.APPRENTICE) {
            throw new NotThere("apprentice", personId, me);
        }
        if (reason.isBlank() || reason.length() > LONGEST_REASON) {
            return Optional.of(Sentence.of("sitting.reason", LONGEST_REASON));
        }
        if (sitting.isOf(personId) || sitting.people().size() > 1) {
            return Optional.of(
                    Sentence.of(sitting.isOf(personId) ? "names.already" : "names.pair", right.displayName()));
        }
        Sitting.PersonName wrong = sitting.people().get(0);
        Optional<Sitting> other = mapper.inOpening(centre, opening, personId).map(id -> sittings.sitting(me, id));
        if (other.filter(o -> o.people().size() > 1).isPresent()) {
            return Optional.of(Sentence.of("names.pair", right.displayName()));
        }
        boolean released = Stream.concat(Stream.of(sitting.id()), other.map(Sitting::id).stream())
                .sorted() // two who put the same names right at one instant wait for one another in one order
                .anyMatch(id -> entries.lock(centre, id).released());
        if (released) {
            return Optional.of(Sentence.of("marking.released"));
        }
        Optional<Sentence> refused = say(me, sitting, wrong.name(), right.displayName(), reason, key)
                .or(() -> other.flatMap(o -> say(me, o, right.displayName(), wrong.name(), reason, key)));
        if (refused.isEmpty()) {
            mapper.givePerson(centre, sitting.id(), personId, ASIDE);
            other.ifPresent(o -> give(centre, o, wrong.id(), o.attempt()));
            give(centre, sitting, personId, other.isPresent() ? sitting.attempt() : 1);
            joinAgain(me, opening, wrong.id(), personId, sitting.id(), other.map(Sitting::id));
        }
        return refused;
    }

    private Optional<Sentence> say(SignedIn me, Sitting sitting, String from, String to, String reason, String key) {
        return decisions.belongs(me, sitting, from + " → " + to + ": " + reason.strip(), key)
                        instanceof Entries.Outcome.Refusal no
                ? Optional.of(no.why())
                : Optional.empty();
    }

    private void give(UUID centre, Sitting sitting, UUID personId, int attempt) {
        mapper.givePerson(centre, sitting.id(), personId, attempt);
        mapper.dropPeople(centre, sitting.id());
        mapper.addPerson(centre, sitting.id(), personId);
    }

    private void joinAgain(SignedIn me, UUID opening, UUID wrong, UUID right, UUID sitting, Optional<UUID> other) {
        sessions.endJoined(wrong, opening);
        sessions.endJoined(right, opening);
        mapper.welcome(me.centreId(), sitting, me.personId());
        other.ifPresent(id -> mapper.welcome(me.centreId(), id, me.personId()));
    }

    /** Lets anyone who sits a sheet join it once more by the code, on another device, for half an hour. */
    @Transactional
    public void welcome(SignedIn me, Sitting sitting) {
        Sittings.instructorOnly(me, sitting);
        mapper.welcome(me.centreId(), sitting.id(), me.personId());
    }
}
