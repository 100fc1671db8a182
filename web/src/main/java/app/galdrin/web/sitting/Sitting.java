package app.galdrin.web.sitting;

import app.galdrin.core.equipment.Kit;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.task.Mode;
import app.galdrin.web.bay.Facing;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.task.TaskVersion;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * A sitting, without its entries.
 *
 * @param sheet the sheet it was sat on
 * @param markedBy the version of the practical by whose scheme it is marked: the one it was sat under, until it was re-marked
 * @param markedOn the sheet it is marked on, likewise
 * @param stateId the state of the vehicle it began on, or of which a reference was taken
 * @param settingId the state whose setting that one has: itself, or the one it was put back to
 * @param readsRound the round whose lines a reference fills; 0 as found, and on every practical
 * @param ofSittingId the sitting whose round a reference reads; empty as found
 * @param people who sit it: one, or a pair; the instructor on a reference
 * @param facing which way its vehicle faced; empty where it stood in no bay, and for one from before that was kept
 * @param pinnedFloor the floor of its bay as it was known when the sitting came there; empty for one from before surveys were kept
 * @param equipment the revisions of what it is read with, one of a kind
 * @param kit the same as its readings are worked with; as usual for one from before equipment was kept
 * @param attempt 1, and one more each time it is sat again
 */
public record Sitting(
        UUID id,
        UUID centreId,
        TaskVersion task,
        SheetVersion sheet,
        TaskVersion markedBy,
        SheetVersion markedOn,
        UUID stateId,
        UUID settingId,
        int readsRound,
        Optional<UUID> ofSittingId,
        List<PersonName> people,
        Purpose purpose,
        Optional<UUID> openingId,
        int attempt,
        Instant begunAt,
        SittingState state,
        Optional<Facing> facing,
        Optional<BayFloor> pinnedFloor,
        List<UUID> equipment,
        Kit kit) {

    /** Person with a name. */
    public record PersonName(UUID id, String name) {}

    public boolean isReference() {
        return purpose == Purpose.REFERENCE;
    }

    /** Returns whether an apprentice may have the job card: after release, or in practice after the hand-in. It shows figures that could still be asked. */
    public boolean showsJobCard() {
        boolean isPractice = task.practical().mode() == Mode.PRACTICE;
        return state.shown() || isPractice && state.handedIn();
    }

    public boolean isOf(UUID personId) {
        return people.stream().anyMatch(p -> p.id().equals(personId));
    }

    /** The names of all who sit it. */
    public String names() {
        return String.join(", ", people.stream().map(PersonName::name).toList());
    }

    /** Returns when its time is up, extra time and all; empty where the task sets none. A sheet stays open: it is the instructor who ends it. */
    public Optional<Instant> ends() {
        return isReference()
                ? Optional.empty()
                : task.practical().minutes().map(m -> begunAt.plus(Duration.ofMinutes(m + state.extraMinutes())));
    }

    /** Returns whether it is open, and on which state in which bay: what a page that is open on it is loaded again for when it changes. */
    public String stands() {
        return (state.handedIn() ? "over" : "open") + "/" + stateId + "/" + state.bay();
    }

    /** The floor that its readings are worked with; from before surveys were kept it was stated as level. */
    public BayFloor floor() {
        return pinnedFloor.orElse(BayFloor.LEVEL);
    }

    public Optional<Integer> bay() {
        return Optional.ofNullable(state.bay()).filter(b -> b > 0);
    }
}
