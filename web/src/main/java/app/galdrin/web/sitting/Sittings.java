package app.galdrin.web.sitting;

import app.galdrin.core.equipment.Kit;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Round;
import app.galdrin.web.account.People;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.bay.Standings;
import app.galdrin.web.equipment.Equipment;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.library.Library;
import app.galdrin.web.task.Opening;
import app.galdrin.web.task.TaskBay;
import app.galdrin.web.task.Tasks;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Begins and finds sittings. Anyone who asks is checked here: an apprentice sees their own sittings only, a session that came in
 * by code the one sitting of its opening, everybody else those of the centre.
 */
@Service
public class Sittings {

    /** The most sittings of one vehicle state that are compared. */
    private static final int MOST_OF_A_STATE = 60;

    private static final int MOST = 200;

    /** Time for which an apprentice can take back a hand-in. */
    static final Duration TAKE_BACK = Duration.ofMinutes(2);

    private final SittingMapper mapper;
    private final Tasks tasks;
    private final Library library;
    private final Standings standings;
    private final Equipment equipment;

    Sittings(SittingMapper mapper, Tasks tasks, Library library, Standings standings, Equipment equipment) {
        this.equipment = equipment;
        this.standings = standings;
        this.mapper = mapper;
        this.tasks = tasks;
        this.library = library;
    }

    // ---- beginning

    /** The person's newest sitting in this opening, begun if it is the first time. */
    @Transactional
    public UUID begin(Opening opening, UUID personId, @Nullable Integer bay) {
        Optional<UUID> there = begunIn(opening, personId);
        return there.orElseGet(() -> begin(opening, personId, bay, 1));
    }

    /**
     * Takes a name of an opening; empty where somebody has it, also at this very moment and on another instance. Anyone who took it a moment
     * ago from the same browser has it still: the answer may have got lost on its way.
     */
    @Transactional
    public Optional<UUID> join(Opening opening, UUID personId, @Nullable Integer bay, Optional<String> browser) {
        Optional<UUID> taken =
                peopleIn(opening).contains(personId) ? Optional.empty() : begun(opening, personId, bay, 1);
        taken.ifPresent(id -> browser.ifPresent(from -> mapper.joinedFrom(opening.centreId(), id, from)));
        return taken.or(
                () -> browser.filter(from -> justJoinedFrom(opening, from).contains(personId))
                        .flatMap(from -> begunIn(opening, personId)));
    }

    /** Returns whose names the instructor has let back in. */
    public List<UUID> welcomeIn(Opening opening) {
        return mapper.welcomeIn(opening.centreId(), opening.id(), People.MOST);
    }

    /** The sheet of somebody the instructor has let back in, for one device. */
    @Transactional
    public Optional<UUID> comeBack(Opening opening, UUID personId) {
        return begunIn(opening, personId).filter(id -> mapper.useWelcome(opening.centreId(), id) > 0);
    }

    /** Returns who joined under a name from this browser a moment ago. */
    public List<UUID> justJoinedFrom(Opening opening, String browser) {
        return mapper.justJoinedFrom(opening.centreId(), opening.id(), browser, People.MOST);
    }

    /** The sittings of an opening of which two or more were joined from one browser. */
    public Map<UUID, String> sameBrowser(Opening opening) {
        return mapper.sameBrowser(opening.centreId(), opening.id(), People.MOST).stream()
                .collect(Collectors.toMap(SameBrowser::sittingId, SameBrowser::others));
    }

    private UUID begin(Opening opening, UUID personId, @Nullable Integer bay, int attempt) {
        return begun(opening, personId, bay, attempt)
                .or(() -> begunIn(opening, personId))
                .orElseThrow();
    }

    /** Returns what a person began last in an opening. */
    public Optional<UUID> begunIn(Opening opening, UUID personId) {
        return mapper.inOpening(opening.centreId(), opening.id(), personId);
    }

    /** Empty where the person has this attempt already. */
    private Optional<UUID> begun(Opening opening, UUID personId, @Nullable Integer bay, int attempt) {
        UUID centre = opening.centreId();
        TaskBay place = bayOf(centre, opening.taskId(), bay);
        UUID id = Ids.next();
        int made = mapper.begin(
                id,
                centre,
                opening.taskId(),
                opening.id(),
                personId,
                place.sheet().id(),
                place.stateId(),
                place.standing().facing(),
                attempt);
        if (made == 0) {
            return Optional.empty();
        }
        mapper.addPerson(centre, id, personId);
        mapper.beginState(centre, id, Purpose.PRACTICAL, place.number().orElse(null), null);
        pinEquipment(centre, id, opening.taskId(), personId, place.number().orElse(null));
        return Optional.of(id);
    }

    /** Takes the equipment that the task is measured with, as it lies in a bay. */
    void pinEquipment(UUID centre, UUID sittingId, UUID taskId, UUID personId, @Nullable Integer bay) {
        equipment.pin(
                centre,
                sittingId,
                personId,
                bay,
                tasks.task(centre, taskId).practical().equipment());
    }

    private TaskBay bayOf(UUID centre, UUID taskId, @Nullable Integer bay) {
        List<TaskBay> bays = tasks.bays(centre, taskId);
        return bays.stream()
                .filter(b -> bay != null && b.bay() == bay)
                .findFirst()
                .or(() -> bays.stream().filter(b -> bay == null || b.bay() == 0).findFirst())
                .orElseThrow(() -> new NotThere("bay of the task", String.valueOf(bay), "task " + taskId));
    }

    /** The same practical once more for someone who has sat it, on the vehicle as it stands now; the one begun already, if it is open. */
    @Transactional
    public UUID sitAgain(SignedIn me, Sitting sitting) {
        instructorOnly(me, sitting);
        UUID centre = me.centreId();
        tasks.open(centre, me.personId(), sitting.task().id());
        Opening opening = tasks.current(centre, sitting.task().id()).orElseThrow();
        UUID person = sitting.people().get(0).id();
        Optional<UUID> newest = mapper.inOpening(centre, opening.id(), person)
                .filter(id -> !id.equals(sitting.id()))
                .filter(id -> !mapper.lock(centre, id).handedIn());
        if (newest.isPresent()) {
            return newest.get(); // the button was pressed twice, or before
        }
        int attempt = mapper.attempts(centre, opening.id(), person) + 1;
        return begin(opening, person, sitting.state().bay(), attempt);
    }

    /** A second person on the sheet of a pair. */
    @Transactional
    public void pair(SignedIn me, Sitting sitting, UUID personId) {
        instructorOnly(me, sitting);
        mapper.addPerson(me.centreId(), sitting.id(), personId);
    }

    static void instructorOnly(SignedIn me, Sitting sitting) {
        if (!me.is(Role.INSTRUCTOR)) {
            throw new NotThere("sitting", sitting.id(), me);
        }
    }

    /** Returns who has already begun in an opening. */
    public List<UUID> peopleIn(Opening opening) {
        return mapper.peopleIn(opening.centreId(), opening.id(), People.MOST);
    }

    /** The state of the vehicle after a round of a sitting, made if it is the first that is known of it. */
    UUID roundState(SignedIn me, Sitting sitting, int round) {
        UUID centre = me.centreId();
        Optional<UUID> known = mapper.stateAfter(centre, sitting.id(), round);
        if (known.isPresent()) {
            return known.get();
        }
        UUID prior = round > 1
                ? mapper.stateAfter(centre, sitting.id(), round - 1).orElse(sitting.stateId())
                : sitting.stateId();
        standings.round(centre, me.personId(), sitting.sheet().vehicleId(), prior, sitting.id(), round);
        return mapper.stateAfter(centre, sitting.id(), round).orElseThrow();
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

    /** A sitting for the application itself, without a check of the asker. */
    public Sitting whole(UUID centreId, UUID sittingId) {
        return whole(Objects.requireNonNull(mapper.sitting(centreId, sittingId)));
    }

    /** The sitting of a row. */
    Sitting whole(SittingRow row) {
        UUID centre = row.centreId();
        return row.toSitting(
                tasks.task(centre, row.taskId()),
                library.sheet(centre, row.sheetId()),
                tasks.task(centre, row.markedByTask()),
                library.sheet(centre, row.markedOnSheet()),
                kit(centre, row.revisions()));
    }

    /** Returns the equipment that these revisions tell of. */
    public Kit kit(UUID centreId, List<UUID> revisions) {
        return equipment.kit(centreId, revisions);
    }

    private static boolean maySee(SignedIn me, Sitting sitting) {
        if (me.is(Role.APPRENTICE)) {
            boolean own = sitting.isOf(me.personId()) && !sitting.isReference();
            return own && (me.opening().isEmpty() || me.opening().equals(sitting.openingId()));
        }
        return me.is(Role.INSTRUCTOR) || me.is(Role.VERIFIER);
    }

    /** All entries of a sitting that was just read. */
    public Log log(Sitting sitting) {
        return sitting.state().lastSeq() == 0 ? new Log(List.of()) : log(sitting.centreId(), sitting.id());
    }

    /** All entries of a sitting. */
    public Log log(UUID centreId, UUID sittingId) {
        return new Log(mapper.entries(centreId, sittingId, 2 * Log.MOST));
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

    /** Returns what was handed in of the setting of the vehicle that a sitting began on, itself among it. */
    public List<UUID> handedInOfItsState(Sitting sitting) {
        return mapper.handedInOf(sitting.centreId(), sitting.task().id(), sitting.settingId(), MOST_OF_A_STATE);
    }

    /** Returns whose vehicle as left is to be read once more and has not been yet, the longest asked for first. */
    public List<SittingSummary> toReadAgain(UUID centreId) {
        return mapper.toReadAgain(centreId, MOST / 4);
    }

    /** Returns those released last. */
    public List<SittingSummary> released(UUID centreId) {
        return mapper.released(centreId, MOST / 4);
    }

    /** The rounds that have been begun, at least one; 1 where the practical has no rounds. */
    public int lastRound(Sitting sitting, Log log) {
        var sheet = SittingSheet.of(sitting);
        return sitting.task()
                .practical()
                .of(Round.class)
                .mapToInt(round -> sheet.rounds(round, log.answers()))
                .max()
                .orElse(1);
    }

    /** Notes that an instructor has a sheet open on the desk, so that its hand-in can no longer be taken back. */
    @Transactional
    public void opened(SignedIn me, Sitting sitting) {
        if (me.is(Role.INSTRUCTOR) && sitting.state().handedIn()) {
            mapper.opened(me.centreId(), sitting.id(), me.personId());
        }
    }

    /** Returns until when an apprentice can take back the hand-in; empty if it is too late. */
    public Optional<Instant> takeBackUntil(Sitting sitting) {
        Instant handedIn = sitting.state().handedInAt();
        return handedIn == null || sitting.state().stopped() || sitting.isReference()
                ? Optional.empty()
                : Optional.of(handedIn.plus(TAKE_BACK))
                        .filter(until -> Instant.now().isBefore(until)
                                && !mapper.openedSince(sitting.centreId(), sitting.id(), handedIn));
    }

    // ---- making again

    /** Makes the state of every sitting again from its entries; tells how many were looked at. */
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
        LineKey handIn = SittingSheet.of(sitting).handIn();
        List<Entry> entries = log(centre, sittingId).entries();
        boolean moved = entries.stream().anyMatch(e -> e.line().equals(StaffLine.BAY));
        SittingState before = sitting.state();
        SittingState made = SittingState.begun(moved ? null : before.bay(), before.baySince());
        for (Entry entry : entries) {
            made = made.after(entry, handIn);
        }
        mapper.putState(centre, sittingId, made);
    }
}
