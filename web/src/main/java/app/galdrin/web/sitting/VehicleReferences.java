package app.galdrin.web.sitting;

import app.galdrin.core.equipment.Kit;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.spec.PartDoubt;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.Round;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.bay.Standings;
import app.galdrin.web.equipment.Equipment;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.sitting.SittingMapper.NewReference;
import app.galdrin.web.task.TaskBay;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Instructors' own readings of vehicles: the references of a state as found and as left. */
@Service
public class VehicleReferences {

    /** First reference of a state; a second is asked for where that leaves it in doubt. */
    private static final int FIRST = 1;

    private static final int AGAIN = 2;

    private final SittingMapper mapper;
    private final Tasks tasks;
    private final Sittings sittings;
    private final Standings standings;
    private final Equipment equipment;

    VehicleReferences(SittingMapper mapper, Tasks tasks, Sittings sittings, Standings standings, Equipment equipment) {
        this.equipment = equipment;
        this.standings = standings;
        this.mapper = mapper;
        this.tasks = tasks;
        this.sittings = sittings;
    }

    /** The instructor's own readings of a task's vehicle as it stands in a bay now. */
    @Transactional
    public UUID referenceAsFound(SignedIn me, TaskVersion task, int bay) {
        TaskBay place = place(me, task, bay);
        return reference(
                new NewReference(
                        Ids.next(),
                        me.centreId(),
                        task.id(),
                        me.personId(),
                        place.sheet().id(),
                        place.stateId(),
                        0,
                        place.standing().facing(),
                        FIRST),
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
                new NewReference(
                        Ids.next(),
                        me.centreId(),
                        sitting.task().id(),
                        me.personId(),
                        sitting.sheet().id(),
                        sittings.roundState(me, sitting, round),
                        round,
                        sitting.facing().orElse(null),
                        attempt),
                state.bay(),
                state.baySince());
    }

    private TaskBay place(SignedIn me, TaskVersion task, int bay) {
        return tasks.bays(me.centreId(), task.id()).stream()
                .filter(b -> b.bay() == bay)
                .findFirst()
                .orElseThrow(() -> new NotThere("bay", bay, me));
    }

    /** Returns the equipment that a reference was read with. */
    public Kit equipmentOf(UUID centreId, UUID referenceId) {
        return equipment.kitOf(centreId, referenceId);
    }

    /** Returns whether anything is measured again after adjusting. */
    public boolean isReadAsLeft(Sitting sitting) {
        return sitting.task()
                .practical()
                .of(Round.class)
                .anyMatch(round -> !round.measures().isEmpty());
    }

    private UUID reference(NewReference wanted, @Nullable Integer bay, @Nullable Instant since) {
        Optional<UUID> there = itself(wanted);
        if (there.isPresent()) {
            return there.get();
        }
        mapper.beginReference(wanted);
        mapper.addPerson(wanted.centreId(), wanted.id(), wanted.personId());
        mapper.beginState(wanted.centreId(), wanted.id(), Purpose.REFERENCE, bay, since);
        sittings.pinEquipment(wanted.centreId(), wanted.id(), wanted.taskId(), wanted.personId(), bay);
        return itself(wanted).orElseThrow();
    }

    private Optional<UUID> itself(NewReference wanted) {
        return mapper.reference(
                wanted.centreId(), wanted.taskId(), wanted.stateId(), wanted.readsRound(), wanted.attempt());
    }

    /** The reference of a state of the vehicle as found, or of its setting, where nothing is read of the state itself. */
    public Optional<FoundReference> findReference(UUID centreId, UUID taskId, UUID stateId) {
        return mapper.referenceOfSetting(centreId, taskId, stateId);
    }

    /** The state in which a round of this sitting left the vehicle. */
    public Optional<UUID> findStateAfter(Sitting sitting, int round) {
        return mapper.stateAfter(sitting.centreId(), sitting.id(), round);
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
                        mapper.reference(sitting.centreId(), sitting.task().id(), state, round, attempt));
    }

    /**
     * Returns what was read as a reference as found, in the bay where it was read and with its equipment; from before that was kept, in the sitting's own. Parts that
     * were moved and put back between the reference and the state that is marked are known as well as they can be put back.
     */
    public Answers asRead(
            UUID centreId, FoundReference reference, UUID stateId, SpecificationSheet sheet, Answers answers) {
        List<String> putBack = standings.partsPutBack(centreId, reference.stateId(), stateId);
        List<PartDoubt> doubts = sheet.adjusters().stream()
                .filter(part -> putBack.contains(part.id()))
                .map(PartDoubt::ofReturn)
                .toList();
        Sitting read = sittings.whole(centreId, reference.id());
        return read.pinnedFloor()
                .map(answers::on)
                .orElse(answers)
                .readWith(read.kit())
                .putBack(doubts);
    }
}
