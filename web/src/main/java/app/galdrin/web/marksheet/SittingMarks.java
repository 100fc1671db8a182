package app.galdrin.web.marksheet;

import app.galdrin.core.marking.KnownReferences;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.Marker;
import app.galdrin.core.marking.ReferenceQuestion;
import app.galdrin.core.marking.References;
import app.galdrin.core.marking.StateReferences;
import app.galdrin.core.reference.VehicleHistory;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.ReferenceRule;
import app.galdrin.web.sitting.FoundReference;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.VehicleHistories;
import app.galdrin.web.sitting.VehicleHistories.CountingSheets;
import app.galdrin.web.sitting.VehicleHistories.KnownVehicle;
import app.galdrin.web.sitting.VehicleReferences;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Marks of a sitting as its entries stand: its assignment, the references it is marked against, and its mark sheet. */
@Service
public class SittingMarks {

    private static final double SECONDS = 60;
    private final Sittings sittings;
    private final VehicleReferences vehicles;

    private final VehicleHistories histories;

    SittingMarks(Sittings sittings, VehicleReferences vehicles, VehicleHistories histories) {
        this.sittings = sittings;
        this.vehicles = vehicles;
        this.histories = histories;
    }

    /** The practical on its vehicle, in its bay, as it is marked. */
    public Assignment assignment(Sitting sitting) {
        return new Assignment(
                sitting.markedBy().practical(), sitting.markedOn().sheet(), sitting.floor(), sitting.kit());
    }

    /**
     * Readings that a sitting is marked against.
     *
     * @param seqs how many entries each sheet with readings had, by its id
     */
    public record ReferenceReadings(References references, Map<UUID, Integer> seqs) {}

    public ReferenceReadings references(Sitting sitting, Log log) {
        return references(sitting, log, VehicleHistories.handedIn());
    }

    /** The same, of other apprentices' sheets those that a sheet was signed by, as they stood. */
    ReferenceReadings references(Sitting sitting, Log log, Map<UUID, Integer> signedBy) {
        return references(sitting, log, VehicleHistories.asTheyStood(signedBy));
    }

    private ReferenceReadings references(Sitting sitting, Log log, CountingSheets counting) {
        Optional<UUID> left = vehicles.findStateAfter(sitting, sittings.lastRound(sitting, log));
        return references(
                sitting,
                log,
                isCombined(sitting)
                        ? histories.around(
                                sitting.centreId(),
                                Stream.concat(Stream.of(sitting.stateId()), left.stream())
                                        .toList(),
                                counting)
                        : KnownVehicle.UNKNOWN);
    }

    /** The same of a vehicle whose history is known. */
    ReferenceReadings references(Sitting sitting, Log log, KnownVehicle known) {
        ReferenceReadings own = referencesUntil(sitting, log, Instant.MAX);
        if (!isCombined(sitting)) {
            return own;
        }
        Optional<UUID> left = vehicles.findStateAfter(sitting, sittings.lastRound(sitting, log));
        Map<UUID, Integer> seqs = new LinkedHashMap<>(known.seqs());
        seqs.remove(sitting.id());
        return new ReferenceReadings(
                own.references()
                        .with(new StateReferences(
                                known.history(),
                                sitting.stateId().toString(),
                                left.map(UUID::toString).orElse(""),
                                VehicleHistories.people(sitting))),
                seqs);
    }

    /** Returns whether a sitting is marked against everybody's readings. */
    public static boolean isCombined(Sitting sitting) {
        return sitting.markedBy().practical().references() == ReferenceRule.COMBINED;
    }

    /** The same as they stood at a time. */
    ReferenceReadings referencesUntil(Sitting sitting, Log log, Instant until) {
        Map<UUID, Integer> seqs = new LinkedHashMap<>();
        UUID centre = sitting.centreId();
        Answers found = vehicles.findReference(centre, sitting.task().id(), sitting.stateId())
                .map(reference -> asRead(sitting, reference, answers(centre, Optional.of(reference.id()), seqs, until)))
                .orElse(Answers.none());
        int round = sittings.lastRound(sitting, log);
        Answers left = answers(centre, vehicles.findReferenceAfter(sitting, round), seqs, until);
        Answers again = answers(centre, vehicles.findReferenceAgain(sitting, round), seqs, until);
        return new ReferenceReadings(new References(found, left, again), seqs);
    }

    /** The figures in which so many sittings lie off this one's reference the same way that it is to be read again; none once it was said to stand. */
    public List<ReferenceQuestion.DisagreeingFigure> referenceQuestion(Sitting sitting) {
        return referenceQuestion(
                sitting,
                () -> histories
                        .around(sitting.centreId(), List.of(sitting.stateId()), VehicleHistories.handedIn())
                        .history());
    }

    /** The same where the readings that the sitting is marked against are known. */
    public List<ReferenceQuestion.DisagreeingFigure> referenceQuestion(Sitting sitting, References known) {
        return known.states()
                .map(states -> referenceQuestion(sitting, states::history))
                .orElseGet(() -> referenceQuestion(sitting));
    }

    private List<ReferenceQuestion.DisagreeingFigure> referenceQuestion(
            Sitting sitting, Supplier<VehicleHistory> history) {
        UUID centre = sitting.centreId();
        Optional<FoundReference> reference =
                vehicles.findReference(centre, sitting.task().id(), sitting.stateId());
        if (reference.isEmpty()) {
            return List.of();
        }
        Log log = sittings.log(centre, reference.get().id());
        if (log.saidToStand()) {
            return List.of();
        }
        if (isCombined(sitting)) {
            return ReferenceQuestion.of(
                    sitting.markedBy().practical(),
                    history.get(),
                    reference.get().stateId().toString());
        }
        List<UUID> beside = sittings.handedInOfItsState(sitting);
        return beside.size() < ReferenceQuestion.ENOUGH
                ? List.of()
                : ReferenceQuestion.of(
                        assignment(sitting),
                        asRead(sitting, reference.orElseThrow(), log.answers()),
                        beside.stream()
                                .map(id -> sittings.log(centre, id).answers())
                                .toList());
    }

    private Answers asRead(Sitting sitting, FoundReference reference, Answers answers) {
        return vehicles.asRead(
                sitting.centreId(),
                reference,
                sitting.stateId(),
                sitting.markedOn().sheet(),
                answers);
    }

    private Answers answers(UUID centre, Optional<UUID> reference, Map<UUID, Integer> seqs, Instant until) {
        return reference
                .map(id -> {
                    Log log = sittings.log(centre, id).until(until);
                    seqs.put(id, log.lastSeq());
                    return log.answers().readWith(vehicles.equipmentOf(centre, id));
                })
                .orElse(Answers.none());
    }

    /** The mark sheet of a sitting as it stands, the instructor's overrides in place. */
    public MarkSheet markSheet(Sitting sitting, Log log, References references) {
        Assignment assignment = assignment(sitting);
        int extra = sitting.state().extraMinutes();
        return markSheet(
                new KnownReferences(assignment),
                log,
                minutes(assignment.practical(), sitting.begunAt(), extra, log),
                references);
    }

    /** The same of a log, done in so many minutes if that is known. */
    public static MarkSheet markSheet(KnownReferences known, Log log, OptionalDouble minutes, References references) {
        MarkSheet marked =
                Marker.mark(known, log.answers().in(minutes), references).with(log.overrides());
        return log.stopped().map(marked::stopped).orElse(marked);
    }

    /** Returns the minutes from the beginning to the hand-in, by the devices' clocks, less the extra time given. */
    public static OptionalDouble minutes(Practical practical, Instant begun, int extra, Log log) {
        return practical
                .of(HandIn.class)
                .flatMap(step -> log.at(LineKey.of(step.id(), HandIn.DONE)).stream())
                .mapToDouble(entry -> Duration.between(begun, entry.writtenAt()).toSeconds() / SECONDS - extra)
                .map(minutes -> Math.max(0, minutes))
                .findFirst();
    }
}
