package app.galdrin.web.sitting;

import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.NetMoves;
import app.galdrin.core.task.Round;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.task.TaskBay;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Instructors' readings of vehicles, and the states of vehicles: the references of a state as found and as left, who has adjusted a
 * vehicle out of it, and that it was put back.
 */
@Service
public class VehicleReferences {

    /** First reference of a state; a second is asked for where that leaves it in doubt. */
    private static final int FIRST = 1;

    private static final int AGAIN = 2;

    /** Greatest number of sheets whose moves are added up; the vehicle waits after the first, so that there are hardly more than one. */
    private static final int MOST_MOVERS = 20;

    private final SittingMapper mapper;
    private final Tasks tasks;
    private final Sittings sittings;

    VehicleReferences(SittingMapper mapper, Tasks tasks, Sittings sittings) {
        this.mapper = mapper;
        this.tasks = tasks;
        this.sittings = sittings;
    }

    /** The instructor's own readings of a task's vehicle as it stands in a bay now. */
    @Transactional
    public UUID referenceAsFound(SignedIn me, TaskVersion task, int bay) {
        TaskBay place = place(me, task, bay);
        return reference(
                me,
                task.id(),
                place.sheet().id(),
                place.stateId(),
                FIRST,
                place.number().orElse(null),
                null);
    }

    /** The instructor's own readings of the vehicle as an apprentice left it: as it stands after the last round that was begun. */
    @Transactional
    public UUID referenceAsLeft(SignedIn me, Sitting sitting) {
        return asLeft(me, sitting, FIRST);
    }

    /** The same once more with everything set up again, because the first left it in doubt. */
    @Transactional
    public UUID referenceAsLeftAgain(SignedIn me, Sitting sitting) {
        return asLeft(me, sitting, AGAIN);
    }

    private UUID asLeft(SignedIn me, Sitting sitting, int attempt) {
        Sittings.instructorOnly(me, sitting);
        int round = sittings.lastRound(sitting, sittings.log(sitting));
        boolean readOnce = findReferenceAfter(sitting, round).isPresent();
        if (sitting.isReference() || (!readOnce && (attempt == AGAIN || !isReadAsLeft(sitting)))) {
            throw new NotThere("reference as left", sitting.id(), me);
        }
        // the vehicle has not left its bay: it is worked with the floor of the sitting
        SittingState state = sitting.state();
        return reference(
                me,
                sitting.task().id(),
                sitting.sheet().id(),
                sittings.roundState(me, sitting, round),
                attempt,
                state.bay(),
                state.baySince());
    }

    /** Returns who has adjusted a vehicle out of a state, and has not put it back; a sitting's own rounds left out where one is named. */
    public Optional<VehicleMove> movedOutOf(UUID centreId, UUID stateId, @Nullable UUID butSittingId) {
        return mapper.movedOutOf(centreId, stateId, butSittingId);
    }

    /** Adds up the moves of every sheet whose rounds moved the vehicle out of a state since it was last put back. */
    public NetMoves movesSince(SignedIn me, UUID stateId) {
        var moves = new NetMoves();
        for (VehicleMove move : mapper.movesOutOf(me.centreId(), stateId, null, MOST_MOVERS)) {
            if (move.sittingId() == null) {
                moves.addUnknown();
            } else {
                Sitting sitting = sittings.sitting(me, move.sittingId());
                moves.add(
                        sitting.task().practical(),
                        sitting.sheet().sheet(),
                        sittings.log(sitting).answers());
            }
        }
        return moves;
    }

    /** Returns why the vehicle of a sheet cannot be read now: somebody else has adjusted it. */
    public Optional<VehicleMove> waitsFor(Sitting sitting) {
        return sitting.isReference()
                        || mapper.leftBy(sitting.centreId(), sitting.id()).isPresent()
                ? Optional.empty()
                : mapper.movedOutOf(sitting.centreId(), sitting.stateId(), sitting.id());
    }

    /** The instructor's word that a vehicle is as it was before somebody adjusted it: anyone who waits goes on, against the same reference. */
    @Transactional
    public void putBack(SignedIn me, TaskVersion task, int bay) {
        mapper.putBack(me.centreId(), place(me, task, bay).stateId(), me.personId());
    }

    /** The instructor's word that a vehicle is read as it stands now: a new state, of which nobody has read anything. */
    @Transactional
    public void readAsItStands(SignedIn me, TaskVersion task, int bay, String note) {
        TaskBay place = place(me, task, bay);
        mapper.movedOutOf(me.centreId(), place.stateId(), null).ifPresent(move -> {
            UUID left = Optional.ofNullable(move.sittingId())
                    .flatMap(id -> mapper.leftBy(me.centreId(), id))
                    .orElse(move.stateId());
            UUID now = tasks.standsNow(me.centreId(), me.personId(), task.id(), bay, left, note);
            mapper.goOnWith(me.centreId(), place.stateId(), now);
        });
    }

    private TaskBay place(SignedIn me, TaskVersion task, int bay) {
        return tasks.bays(me.centreId(), task.id()).stream()
                .filter(b -> b.bay() == bay)
                .findFirst()
                .orElseThrow(() -> new NotThere("bay", bay, me));
    }

    /** Returns whether anything is measured again after adjusting. */
    public boolean isReadAsLeft(Sitting sitting) {
        return sitting.task()
                .practical()
                .of(Round.class)
                .anyMatch(round -> !round.measures().isEmpty());
    }

    private UUID reference(
            SignedIn me,
            UUID taskId,
            UUID sheetId,
            UUID stateId,
            int attempt,
            @Nullable Integer bay,
            @Nullable Instant since) {
        Optional<UUID> there = mapper.reference(me.centreId(), taskId, stateId, attempt);
        if (there.isPresent()) {
            return there.get();
        }
        UUID id = Ids.next();
        mapper.beginReference(id, me.centreId(), taskId, me.personId(), sheetId, stateId, attempt);
        mapper.addPerson(me.centreId(), id, me.personId());
        mapper.beginState(me.centreId(), id, Purpose.REFERENCE, bay, since);
        return mapper.reference(me.centreId(), taskId, stateId, attempt).orElseThrow();
    }

    /** The reference that was taken of a state of the vehicle. */
    public Optional<UUID> findReference(UUID centreId, UUID taskId, UUID stateId) {
        return mapper.reference(centreId, taskId, stateId, FIRST);
    }

    /** The reference of the state that a round of this sitting made. */
    public Optional<UUID> findReferenceAfter(Sitting sitting, int round) {
        return findReferenceAfter(sitting, round, FIRST);
    }

    /** The second reference of that state, asked for where the first left it in doubt. */
    public Optional<UUID> findReferenceAgain(Sitting sitting, int round) {
        return findReferenceAfter(sitting, round, AGAIN);
    }

    private Optional<UUID> findReferenceAfter(Sitting sitting, int round, int attempt) {
        return mapper.stateAfter(sitting.centreId(), sitting.id(), round)
                .flatMap(state ->
                        mapper.reference(sitting.centreId(), sitting.task().id(), state, attempt));
    }

    /** Returns what was read as a reference, in the bay where it was read; from before that was kept, in the sitting's own. */
    public Answers asRead(UUID centreId, Optional<UUID> reference, Answers answers) {
        return reference
                .flatMap(id -> sittings.whole(centreId, id).pinnedFloor())
                .map(answers::on)
                .orElse(answers);
    }
}
