package app.galdrin.web.sitting;

import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.layout.Said;
import app.galdrin.web.sitting.internal.EntryRow;
import app.galdrin.web.sitting.internal.LockedRow;
import app.galdrin.web.sitting.internal.SittingMapper;
import app.galdrin.web.sitting.internal.SittingRow;
import app.galdrin.web.task.Opening;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Begins sittings and writes their entries. Whoever asks is checked here: an apprentice sees his own sittings only, a
 * session that came in by code the one sitting of its opening, everybody else those of the centre.
 */
@Service
public class Sittings {

    private static final int MOST = 200;

    /** More entries than any sitting has; a sheet that reaches it is closed to writing. */
    private static final int MOST_ENTRIES = 5000;

    private final SittingMapper mapper;
    private final Tasks tasks;

    Sittings(SittingMapper mapper, Tasks tasks) {
        this.mapper = mapper;
        this.tasks = tasks;
    }

    /** What came of an attempt to write. */
    public sealed interface Outcome {
        /** It stands; the same key or the same text sent again changes nothing. */
        record Stands(Entry entry) implements Outcome {}

        /** It was struck out. */
        record Struck(Entry entry) implements Outcome {}

        /** It was not written, and why. */
        record Refused(Said why) implements Outcome {}
    }

    /** What is to be written: the text as typed, under a key made where it was typed. */
    public record Line(Slot slot, String text, boolean strike, String key, String device) {
        public Line {
            text = text.strip();
        }
    }

    /** The person's sitting in this opening, begun if it is the first time. */
    @Transactional
    public UUID begin(Opening opening, UUID personId, @Nullable Integer bay) {
        mapper.begin(Ids.next(), opening.centreId(), opening.taskId(), opening.id(), personId, bay);
        return mapper.inOpening(opening.centreId(), opening.id(), personId);
    }

    /** Who has already begun in an opening. */
    public List<UUID> peopleIn(Opening opening) {
        return mapper.peopleIn(opening.centreId(), opening.id(), MOST);
    }

    /** The instructor's own readings of a task's vehicle as found; one set a task. */
    @Transactional
    public UUID referenceAsFound(SignedIn me, TaskVersion task) {
        mapper.beginReference(
                Ids.next(), me.centreId(), task.id(), me.personId(), Purpose.REFERENCE_AS_FOUND.key(), null);
        return mapper.referenceAsFound(me.centreId(), task.id()).orElseThrow();
    }

    /** The instructor's own readings of the vehicle as an apprentice left it. */
    @Transactional
    public UUID referenceAsLeft(SignedIn me, Sitting sitting) {
        mapper.beginReference(
                Ids.next(),
                me.centreId(),
                sitting.task().id(),
                me.personId(),
                Purpose.REFERENCE_AS_LEFT.key(),
                sitting.id());
        return mapper.referenceAsLeft(me.centreId(), sitting.id()).orElseThrow();
    }

    public Optional<UUID> findReferenceAsFound(UUID centreId, UUID taskId) {
        return mapper.referenceAsFound(centreId, taskId);
    }

    public Optional<UUID> findReferenceAsLeft(UUID centreId, UUID sittingId) {
        return mapper.referenceAsLeft(centreId, sittingId);
    }

    /** A sitting that this person may see. */
    public Sitting sitting(SignedIn me, UUID sittingId) {
        SittingRow row = mapper.sitting(me.centreId(), sittingId);
        if (row == null || !maySee(me, row)) {
            throw new NotThere("sitting");
        }
        return row.toSitting(tasks.task(me.centreId(), row.taskId()));
    }

    private static boolean maySee(SignedIn me, SittingRow row) {
        if (me.is(Role.APPRENTICE)) {
            boolean own = row.personId().equals(me.personId()) && row.purpose().equals(Purpose.PRACTICAL.key());
            return own && (me.opening().isEmpty() || me.opening().get().equals(row.openingId()));
        }
        return me.is(Role.INSTRUCTOR) || me.is(Role.VERIFIER);
    }

    /** All entries of a sitting. */
    public Log log(UUID centreId, UUID sittingId) {
        return new Log(mapper.entries(centreId, sittingId, MOST_ENTRIES).stream()
                .map(EntryRow::toEntry)
                .toList());
    }

    /** An apprentice's own sittings, newest first. */
    public List<SittingSummary> own(SignedIn me) {
        return mapper.ofPerson(me.centreId(), me.personId(), me.limitedTo(), MOST);
    }

    /** The practical sittings of a task, in the order they were begun. */
    public List<SittingSummary> ofTask(UUID centreId, UUID taskId) {
        return mapper.ofTask(centreId, taskId, MOST);
    }

    /** Sittings that were handed in, those not yet released first. */
    public List<SittingSummary> handedIn(UUID centreId) {
        return mapper.handedIn(centreId, MOST);
    }

    /** Writes what an apprentice or, on a reference, an instructor reads, works or decides. */
    @Transactional
    public Outcome write(SignedIn me, Sitting sitting, Line line) {
        if (!mayWrite(me, sitting, line.slot().stage())) {
            throw new NotThere("slot");
        }
        if (line.strike()) {
            return append(me, sitting, line, null, null);
        }
        SlotRules.Reading reading =
                SlotRules.read(sitting.task().toe(), line.slot(), line.text()).orElseThrow(() -> new NotThere("slot"));
        if (reading instanceof SlotRules.Reading.Refused refused) {
            return new Outcome.Refused(refused.why());
        }
        var understood = (SlotRules.Reading.Understood) reading;
        return append(me, sitting, line, understood.value(), understood.step());
    }

    /** Writes an instructor's mark, signature or release on a sitting; the words are checked by the marking desk. */
    @Transactional
    public Outcome writeMark(SignedIn me, Sitting sitting, Line line, @Nullable Double marks) {
        if (!me.is(Role.INSTRUCTOR) || line.slot().stage() != Stage.MARK) {
            throw new NotThere("slot");
        }
        return append(me, sitting, line, marks, null);
    }

    private static boolean mayWrite(SignedIn me, Sitting sitting, Stage stage) {
        return switch (sitting.purpose()) {
            case PRACTICAL ->
                me.is(Role.APPRENTICE) ? stage != Stage.MARK : me.is(Role.INSTRUCTOR) && stage == Stage.FLAG;
            case REFERENCE_AS_FOUND -> me.is(Role.INSTRUCTOR) && stage == Stage.AS_FOUND;
            case REFERENCE_AS_LEFT -> me.is(Role.INSTRUCTOR) && stage == Stage.AS_LEFT;
        };
    }

    private Outcome append(SignedIn me, Sitting sitting, Line line, @Nullable Double value, @Nullable Double step) {
        UUID centre = me.centreId();
        LockedRow locked = mapper.lock(centre, sitting.id());
        Optional<Entry> sentBefore =
                mapper.byKey(centre, sitting.id(), line.key()).map(EntryRow::toEntry);
        if (sentBefore.isPresent()) {
            return sentBefore.get().isStrike()
                    ? new Outcome.Struck(sentBefore.get())
                    : new Outcome.Stands(sentBefore.get());
        }
        if (locked.lastSeq() >= MOST_ENTRIES) {
            return new Outcome.Refused(Said.of("sitting.full"));
        }
        boolean byApprentice = line.slot().stage() != Stage.MARK && line.slot().stage() != Stage.FLAG;
        if (locked.handedIn() && byApprentice && !line.slot().stage().equals(Stage.HAND_IN)) {
            return new Outcome.Refused(Said.of("sitting.closed"));
        }
        Optional<Entry> standing =
                mapper.standing(centre, sitting.id(), line.slot()).map(EntryRow::toEntry);
        if (line.strike() && standing.isEmpty()) {
            return new Outcome.Refused(Said.of("sitting.nothingToStrike"));
        }
        if (!line.strike() && standing.isPresent() && standing.get().written().equals(line.text())) {
            return new Outcome.Stands(standing.get());
        }
        UUID id = Ids.next();
        UUID strikes = standing.map(Entry::id).orElse(null);
        mapper.insert(id, centre, sitting.id(), locked.lastSeq() + 1, me.personId(), line, value, step, strikes);
        Entry entry =
                mapper.byKey(centre, sitting.id(), line.key()).orElseThrow().toEntry();
        return line.strike() ? new Outcome.Struck(entry) : new Outcome.Stands(entry);
    }
}
