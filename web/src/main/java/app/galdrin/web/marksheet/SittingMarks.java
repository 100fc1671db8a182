package app.galdrin.web.marksheet;

import app.galdrin.core.marking.KnownReferences;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.Marker;
import app.galdrin.core.marking.ReferenceQuestion;
import app.galdrin.core.marking.References;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Practical;
import app.galdrin.web.sitting.FoundReference;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.VehicleReferences;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Marks of a sitting as its entries stand: its assignment, the references it is marked against, and its mark sheet. */
@Service
public class SittingMarks {

    private static final double SECONDS = 60;
    private final Sittings sittings;
    private final VehicleReferences vehicles;

    SittingMarks(Sittings sittings, VehicleReferences vehicles) {
        this.sittings = sittings;
        this.vehicles = vehicles;
    }

    /** The practical on its vehicle, in its bay, as it is marked. */
    public Assignment assignment(Sitting sitting) {
        return new Assignment(sitting.markedBy().practical(), sitting.markedOn().sheet(), sitting.floor());
    }

    /**
     * The instructor's readings that a sitting is marked against.
     *
     * @param seqs how many entries each reference had, by its id
     */
    public record ReferenceReadings(References references, Map<UUID, Integer> seqs) {}

    public ReferenceReadings references(Sitting sitting, Log log) {
        return referencesUntil(sitting, log, Instant.MAX);
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
        UUID centre = sitting.centreId();
        Optional<FoundReference> reference =
                vehicles.findReference(centre, sitting.task().id(), sitting.stateId());
        List<UUID> beside = reference.isEmpty() ? List.of() : sittings.handedInOfItsState(sitting);
        if (beside.size() < ReferenceQuestion.ENOUGH) {
            return List.of();
        }
        Log log = sittings.log(centre, reference.orElseThrow().id());
        return log.saidToStand()
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
                    return log.answers();
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
