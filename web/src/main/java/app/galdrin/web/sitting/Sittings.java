package app.galdrin.web.sitting;

import app.galdrin.core.answer.LineText;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Line;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Step;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.layout.Said;
import app.galdrin.web.library.Library;
import app.galdrin.web.task.Opening;
import app.galdrin.web.task.TaskBay;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Begins sittings and writes their entries. Whoever asks is checked here: an apprentice sees his own sittings only, a session that came in
 * by code the one sitting of its opening, everybody else those of the centre.
 */
@Service
public class Sittings {

    private static final int MOST = 200;
    /** More entries than any sitting has; a sheet that reaches it is closed to its apprentice, and staff have as many again. */
    public static final int MOST_ENTRIES = 5000;

    /** More calls for the instructor than any honest sitting has. */
    private static final int MOST_FLAGS = 100;

    private static final int MOST_ON_A_LINE = 500;
    private static final int MOST_EXTRA_MINUTES = 600;
    private static final int LONGEST_REASON = 400;

    private final SittingMapper mapper;
    private final Tasks tasks;
    private final Library library;

    Sittings(SittingMapper mapper, Tasks tasks, Library library) {
        this.mapper = mapper;
        this.tasks = tasks;
        this.library = library;
    }

    /** What came of an attempt to write. */
    public sealed interface Outcome {
        /**
         * It is on the log; the same key sent again changes nothing.
         *
         * @param disputed whether something else stands on the line as well
         */
        record Stands(Entry entry, boolean disputed) implements Outcome {}

        /** It was not written, and why. */
        record Refused(Said why) implements Outcome {}
    }

    // ---- beginning

    /** The person's newest sitting in this opening, begun if it is the first time. */
    @Transactional
    public UUID begin(Opening opening, UUID personId, @Nullable Integer bay) {
        Optional<UUID> there = mapper.inOpening(opening.centreId(), opening.id(), personId);
        return there.orElseGet(() -> begin(opening, personId, bay, 1));
    }

    private UUID begin(Opening opening, UUID personId, @Nullable Integer bay, int attempt) {
        UUID centre = opening.centreId();
        TaskBay place = bayOf(centre, opening.taskId(), bay);
        UUID id = Ids.next();
        mapper.begin(
                id,
                centre,
                opening.taskId(),
                opening.id(),
                personId,
                place.sheet().id(),
                place.stateId(),
                attempt);
        mapper.addPerson(centre, id, personId);
        mapper.beginState(centre, id, Purpose.PRACTICAL, bay);
        return mapper.inOpening(centre, opening.id(), personId).orElseThrow();
    }

    private TaskBay bayOf(UUID centre, UUID taskId, @Nullable Integer bay) {
        List<TaskBay> bays = tasks.bays(centre, taskId);
        return bays.stream()
                .filter(b -> bay != null && b.bay() == bay)
                .findFirst()
                .orElseGet(() -> bays.get(0));
    }

    /** The same practical once more for someone who has sat it, on the vehicle as it stands now. */
    @Transactional
    public UUID sitAgain(SignedIn me, Sitting sitting) {
        instructorOnly(me, sitting);
        UUID centre = me.centreId();
        tasks.open(centre, me.personId(), sitting.task().id());
        Opening opening = tasks.current(centre, sitting.task().id()).orElseThrow();
        UUID person = sitting.people().get(0).id();
        int attempt = mapper.attempts(centre, opening.id(), person) + 1;
        return begin(opening, person, sitting.state().bay(), attempt);
    }

    /** A second person on the sheet of a pair. */
    @Transactional
    public void pair(SignedIn me, Sitting sitting, UUID personId) {
        instructorOnly(me, sitting);
        mapper.addPerson(me.centreId(), sitting.id(), personId);
    }

    private static void instructorOnly(SignedIn me, Sitting sitting) {
        if (!me.is(Role.INSTRUCTOR)) {
            throw new NotThere("sitting", sitting.id(), me);
        }
    }

    /** Who has already begun in an opening. */
    public List<UUID> peopleIn(Opening opening) {
        return mapper.peopleIn(opening.centreId(), opening.id(), MOST);
    }

    /** The instructor's own readings of a task's vehicle as it stands in a bay now. */
    @Transactional
    public UUID referenceAsFound(SignedIn me, TaskVersion task, int bay) {
        TaskBay place = tasks.bays(me.centreId(), task.id()).stream()
                .filter(b -> b.bay() == bay)
                .findFirst()
                .orElseThrow(() -> new NotThere("bay", bay, me));
        return reference(me, task.id(), place.sheet().id(), place.stateId());
    }

    /** The instructor's own readings of the vehicle as an apprentice left it. */
    @Transactional
    public UUID referenceAsLeft(SignedIn me, Sitting sitting, int round) {
        UUID state = roundState(me, sitting, round);
        return reference(me, sitting.task().id(), sitting.sheet().id(), state);
    }

    private UUID reference(SignedIn me, UUID taskId, UUID sheetId, UUID stateId) {
        UUID id = Ids.next();
        mapper.beginReference(id, me.centreId(), taskId, me.personId(), sheetId, stateId);
        mapper.addPerson(me.centreId(), id, me.personId());
        mapper.beginState(me.centreId(), id, Purpose.REFERENCE, null);
        return mapper.reference(me.centreId(), taskId, stateId).orElseThrow();
    }

    private UUID roundState(SignedIn me, Sitting sitting, int round) {
        UUID centre = me.centreId();
        UUID prior = round > 1
                ? mapper.stateAfter(centre, sitting.id(), round - 1).orElse(sitting.stateId())
                : sitting.stateId();
        mapper.insertRoundState(Ids.next(), centre, prior, sitting.id(), round, me.personId());
        return mapper.stateAfter(centre, sitting.id(), round).orElseThrow();
    }

    /** The reference that was taken of a state of the vehicle. */
    public Optional<UUID> findReference(UUID centreId, UUID taskId, UUID stateId) {
        return mapper.reference(centreId, taskId, stateId);
    }

    /** The reference of the state that a round of this sitting made. */
    public Optional<UUID> findReferenceAfter(Sitting sitting, int round) {
        return mapper.stateAfter(sitting.centreId(), sitting.id(), round)
                .flatMap(state ->
                        mapper.reference(sitting.centreId(), sitting.task().id(), state));
    }

    // ---- reading

    /** A sitting that this person may see. */
    public Sitting sitting(SignedIn me, UUID sittingId) {
        SittingRow row = mapper.sitting(me.centreId(), sittingId);
        if (row == null) {
            throw new NotThere("sitting", sittingId, me);
        }
        Sitting sitting = whole(row);
        if (!maySee(me, sitting)) {
            throw new NotThere("sitting", sittingId, me);
        }
        return sitting;
    }

    /** A sitting for the house itself, whoever asks. */
    Sitting whole(UUID centreId, UUID sittingId) {
        return whole(Objects.requireNonNull(mapper.sitting(centreId, sittingId)));
    }

    private Sitting whole(SittingRow row) {
        UUID centre = row.centreId();
        return row.toSitting(
                tasks.task(centre, row.taskId()),
                library.sheet(centre, row.sheetId()),
                mapper.people(centre, row.id()),
                mapper.state(centre, row.id()));
    }

    private static boolean maySee(SignedIn me, Sitting sitting) {
        if (me.is(Role.APPRENTICE)) {
            boolean own = sitting.isOf(me.personId()) && !sitting.isReference();
            return own && (me.opening().isEmpty() || me.opening().equals(sitting.openingId()));
        }
        return me.is(Role.INSTRUCTOR) || me.is(Role.VERIFIER);
    }

    /** All entries of a sitting. */
    public Log log(UUID centreId, UUID sittingId) {
        return new Log(mapper.entries(centreId, sittingId, 2 * MOST_ENTRIES).stream()
                .map(EntryRow::toEntry)
                .toList());
    }

    /** An apprentice's own sittings, newest first. */
    public List<SittingSummary> own(SignedIn me) {
        return mapper.ofPerson(me.centreId(), me.personId(), me.limitedTo(), MOST);
    }

    /** The practical sittings of a task, those begun last first. */
    public List<SittingSummary> ofTask(UUID centreId, UUID taskId) {
        return mapper.ofTask(centreId, taskId, MOST);
    }

    /** Sittings that were handed in and wait to be released, the last handed in first. */
    public List<SittingSummary> toMark(UUID centreId) {
        return mapper.toMark(centreId, MOST);
    }

    /** Those released last. */
    public List<SittingSummary> released(UUID centreId) {
        return mapper.released(centreId, MOST / 4);
    }

    // ---- writing

    /** Writes what an apprentice or, on a reference, an instructor reads, works or decides; and what calls the instructor. */
    @Transactional
    public Outcome write(SignedIn me, Sitting sitting, NewEntry entry) {
        if (entry.line().equals(StaffLine.FLAG)) {
            return flag(me, sitting, entry);
        }
        Line line = line(sitting, entry.line());
        if (!mayWrite(me, sitting, entry.line())) {
            throw new NotThere("line", entry.line(), me);
        }
        if (entry.strike()) {
            return append(me, sitting, entry, text(entry.text()));
        }
        LineText read = LineText.read(entry.text(), line.answer());
        return read instanceof LineText.Understood understood
                ? append(me, sitting, entry, understood)
                : new Outcome.Refused(LineTextWords.why((LineText.Refused) read));
    }

    private static LineText.Understood text(String text) {
        return new LineText.Understood(text, OptionalDouble.empty(), OptionalDouble.empty(), Optional.empty());
    }

    private static Line line(Sitting sitting, LineKey key) {
        return new Sheet(Works.bare(sitting))
                .line(key)
                .orElseThrow(() -> new NotThere("line", key, "sitting " + sitting.id()));
    }

    private static boolean mayWrite(SignedIn me, Sitting sitting, LineKey key) {
        if (!sitting.isReference()) {
            return me.is(Role.APPRENTICE);
        }
        boolean reading = sitting.task().practical().measure(key.step()).isPresent();
        return me.is(Role.INSTRUCTOR) && reading && key.round() == sitting.stateRound();
    }

    private Outcome flag(SignedIn me, Sitting sitting, NewEntry entry) {
        boolean known = entry.text().equals(StaffLine.RAISED) || entry.text().equals(StaffLine.ANSWERED);
        if (!known || entry.strike() || sitting.isReference() || me.is(Role.VERIFIER)) {
            throw new NotThere("flag", entry.text(), me);
        }
        if (mapper.countOf(me.centreId(), sitting.id(), StaffLine.FLAG, me.role()) >= MOST_FLAGS) {
            return new Outcome.Refused(Said.of("sitting.flags", MOST_FLAGS));
        }
        return append(me, sitting, entry, text(entry.text()));
    }

    /** Gives a hand-in back, so that its apprentice can go on; the reason stays on the log. */
    @Transactional
    public Outcome giveBack(SignedIn me, Sitting sitting, String reason, String key) {
        instructorOnly(me, sitting);
        if (reason.isBlank() || reason.length() > LONGEST_REASON) {
            return new Outcome.Refused(Said.of("sitting.reason", LONGEST_REASON));
        }
        LineKey handIn = new Sheet(Works.bare(sitting)).handIn();
        return append(
                me,
                sitting,
                NewEntry.now(handIn, reason, standingKeys(sitting, handIn), key, "desk")
                        .asStrike(),
                text(reason));
    }

    /** Lets entries count that came after the hand-in though they were written before it. */
    @Transactional
    public Outcome admitLate(SignedIn me, Sitting sitting, String reason, String key) {
        return staff(me, sitting, StaffLine.ADMIT, reason, null, key);
    }

    /** Gives minutes beyond the limit of time. */
    @Transactional
    public Outcome giveTime(SignedIn me, Sitting sitting, int minutes, String reason, String key) {
        return minutes < 1 || minutes > MOST_EXTRA_MINUTES
                ? new Outcome.Refused(Said.of("sitting.minutes", minutes, MOST_EXTRA_MINUTES))
                : staff(me, sitting, StaffLine.EXTRA_TIME, reason, BigDecimal.valueOf(minutes), key);
    }

    /** Moves the sitting to another bay. */
    @Transactional
    public Outcome moveTo(SignedIn me, Sitting sitting, int bay, String key) {
        return bay < 1 || bay > 99
                ? new Outcome.Refused(Said.of("join.bay"))
                : staff(me, sitting, StaffLine.BAY, Integer.toString(bay), BigDecimal.valueOf(bay), key);
    }

    private Outcome staff(
            SignedIn me, Sitting sitting, LineKey line, String text, @Nullable BigDecimal value, String key) {
        instructorOnly(me, sitting);
        if (text.isBlank() || text.length() > LONGEST_REASON) {
            return new Outcome.Refused(Said.of("sitting.reason", LONGEST_REASON));
        }
        return appendMark(me, sitting, NewEntry.now(line, text, standingKeys(sitting, line), key, "desk"), value);
    }

    /** Keys of what stands on a line, for whoever has just seen it. */
    List<String> standingKeys(Sitting sitting, LineKey line) {
        return standing(sitting, line).stream().map(Entry::key).toList();
    }

    private List<Entry> standing(Sitting sitting, LineKey line) {
        List<Entry> entries = mapper.entriesOf(sitting.centreId(), sitting.id(), line, MOST_ON_A_LINE).stream()
                .map(EntryRow::toEntry)
                .toList();
        return new Log(entries).allAt(line);
    }

    private Outcome append(SignedIn me, Sitting sitting, NewEntry entry, LineText.Understood read) {
        SittingState state = mapper.lock(me.centreId(), sitting.id());
        return append(
                me,
                sitting,
                state,
                entry,
                new Content(
                        read.written(),
                        decimal(read.value()),
                        decimal(read.step()),
                        read.unit().map(u -> u.key()).orElse(null)));
    }

    /** For the marking desk, which checks the words: an instructor's mark, signature, release or decision. */
    Outcome appendMark(SignedIn me, Sitting sitting, NewEntry entry, @Nullable BigDecimal value) {
        instructorOnly(me, sitting);
        SittingState state = mapper.lock(me.centreId(), sitting.id());
        return append(me, sitting, state, entry, new Content(entry.text(), value, null, null));
    }

    /** Everything of an entry that was read from its text. */
    private record Content(
            String written,
            @Nullable BigDecimal value,
            @Nullable BigDecimal resolution,
            @Nullable String unit) {}

    private static @Nullable BigDecimal decimal(OptionalDouble value) {
        return value.isPresent() ? new BigDecimal(Double.toString(value.getAsDouble())) : null;
    }

    /** The sitting is locked; what the lock guards is asked from here on. */
    private Outcome append(SignedIn me, Sitting sitting, SittingState state, NewEntry entry, Content content) {
        UUID centre = me.centreId();
        Optional<Entry> sentBefore =
                mapper.byKey(centre, sitting.id(), entry.key()).map(EntryRow::toEntry);
        if (sentBefore.isPresent()) {
            return sameAgain(me, sentBefore.get(), entry, content);
        }
        List<Entry> standing = standing(sitting, entry.line());
        boolean late = isLate(me, state, entry);
        Optional<Said> refused = refused(me, sitting, state, entry, standing, late);
        if (refused.isPresent()) {
            return new Outcome.Refused(refused.get());
        }
        Entry written = insert(me, sitting, state, entry, content, late);
        boolean disputed = !late && standing.stream().anyMatch(e -> !entry.saw().contains(e.key()));
        return new Outcome.Stands(written, disputed && !entry.strike());
    }

    private static Outcome sameAgain(SignedIn me, Entry before, NewEntry entry, Content content) {
        boolean same = before.line().equals(entry.line())
                && before.isStrike() == entry.strike()
                && before.written().equals(content.written())
                && before.personId().equals(me.personId());
        return same ? new Outcome.Stands(before, false) : new Outcome.Refused(Said.of("sitting.keyUsed"));
    }

    /** Written before the sheet was handed in, and only arrived now. */
    private static boolean isLate(SignedIn me, SittingState state, NewEntry entry) {
        Instant handedIn = state.handedInAt();
        return handedIn != null
                && me.is(Role.APPRENTICE)
                && !StaffLine.isStaffLine(entry.line())
                && entry.corrected().isBefore(handedIn);
    }

    private Optional<Said> refused(
            SignedIn me, Sitting sitting, SittingState state, NewEntry entry, List<Entry> standing, boolean late) {
        boolean apprentice = me.is(Role.APPRENTICE);
        boolean ofTask = !StaffLine.isStaffLine(entry.line());
        if ((apprentice ? state.apprenticeEntries() : state.staffEntries()) >= MOST_ENTRIES) {
            return Optional.of(Said.of("sitting.full"));
        }
        if (state.released() && !entry.line().equals(StaffLine.FLAG)) {
            return Optional.of(Said.of(apprentice ? "sitting.closed" : "marking.released"));
        }
        boolean handsIn = entry.line().line().equals(HandIn.DONE) && isHandIn(sitting, entry.line());
        if (apprentice && handsIn && entry.strike()) {
            return Optional.of(Said.of("sitting.handInStays"));
        }
        if (apprentice && ofTask && state.handedIn() && !late && !(handsIn && !entry.strike())) {
            return Optional.of(Said.of("sitting.closed"));
        }
        if (!knowsAll(sitting, entry)) {
            return Optional.of(Said.of("sitting.otherSheet"));
        }
        if (entry.strike() && standing.stream().noneMatch(e -> entry.saw().contains(e.key()))) {
            return Optional.of(Said.of("sitting.nothingToStrike"));
        }
        return apprentice && ofTask ? stillReading(sitting, entry) : Optional.empty();
    }

    private static boolean isHandIn(Sitting sitting, LineKey line) {
        return sitting.task()
                .practical()
                .step(line.step())
                .filter(HandIn.class::isInstance)
                .isPresent();
    }

    /** Every key it names belongs to this line of this sitting. */
    private boolean knowsAll(Sitting sitting, NewEntry entry) {
        return entry.saw().stream()
                .allMatch(key -> mapper.byKey(sitting.centreId(), sitting.id(), key)
                        .map(EntryRow::toEntry)
                        .filter(e -> e.line().equals(entry.line()))
                        .isPresent());
    }

    /** Nobody adjusts a vehicle while another open sitting still reads it as it stands. */
    private Optional<Said> stillReading(Sitting sitting, NewEntry entry) {
        if (entry.line().round() == 0) {
            return Optional.empty();
        }
        for (UUID other : mapper.openOn(sitting.centreId(), sitting.stateId(), sitting.id(), MOST)) {
            Sitting reading = whole(Objects.requireNonNull(mapper.sitting(sitting.centreId(), other)));
            Log log = log(sitting.centreId(), other);
            Sheet sheet = new Sheet(Works.bare(reading));
            Optional<Step> open = reading.task().practical().steps().stream()
                    .filter(s -> s instanceof Measure
                            && !sheet.progress(s, log.answers()).complete())
                    .findFirst();
            boolean begun = open.isPresent()
                    && log.entries().stream()
                            .anyMatch(e -> e.line().step().equals(open.get().id()));
            if (begun) {
                return Optional.of(Said.of("sitting.stillReading", reading.names()));
            }
        }
        return Optional.empty();
    }

    private Entry insert(
            SignedIn me, Sitting sitting, SittingState state, NewEntry entry, Content content, boolean late) {
        UUID centre = me.centreId();
        Instant writtenAt = entry.corrected().isAfter(Instant.now()) ? Instant.now() : entry.corrected();
        mapper.insert(
                centre,
                sitting.id(),
                state.lastSeq() + 1,
                me.personId(),
                me.role(),
                entry,
                content.written(),
                content.value(),
                content.resolution(),
                content.unit(),
                late,
                writtenAt);
        Entry written =
                mapper.byKey(centre, sitting.id(), entry.key()).orElseThrow().toEntry();
        LineKey handIn = new Sheet(Works.bare(sitting)).handIn();
        mapper.putState(centre, sitting.id(), state.after(written, handIn));
        if (entry.line().round() > 0 && !sitting.isReference()) {
            roundState(me, sitting, entry.line().round());
        }
        return written;
    }

    /** The state of a sitting, locked until the transaction ends. */
    SittingState lock(UUID centreId, UUID sittingId) {
        return mapper.lock(centreId, sittingId);
    }

    /** The rounds that have been begun, at least one; 1 where the practical has no rounds. */
    public int lastRound(Sitting sitting, Log log) {
        var sheet = new Sheet(Works.bare(sitting));
        return sitting.task()
                .practical()
                .of(Round.class)
                .mapToInt(round -> sheet.rounds(round, log.answers()))
                .max()
                .orElse(1);
    }

    // ---- making anew

    /** Makes the state of every sitting anew from its entries; tells how many were looked at. */
    public int rebuild() {
        int count = 0;
        for (UUID centre : mapper.centres()) {
            @Nullable UUID after = null;
            List<UUID> page = mapper.page(centre, null, MOST);
            while (!page.isEmpty()) {
                page.forEach(id -> rebuild(centre, id));
                count += page.size();
                after = page.get(page.size() - 1);
                page = mapper.page(centre, after, MOST);
            }
        }
        return count;
    }

    private void rebuild(UUID centre, UUID sittingId) {
        Sitting sitting = whole(Objects.requireNonNull(mapper.sitting(centre, sittingId)));
        LineKey handIn = new Sheet(Works.bare(sitting)).handIn();
        List<Entry> entries = log(centre, sittingId).entries();
        boolean moved = entries.stream().anyMatch(e -> e.line().equals(StaffLine.BAY));
        SittingState made = SittingState.begun(moved ? null : sitting.state().bay());
        for (Entry entry : entries) {
            made = made.after(entry, handIn);
        }
        mapper.putState(centre, sittingId, made);
    }
}
