package app.galdrin.web.remark;

import app.galdrin.core.equipment.Kit;
import app.galdrin.core.marking.KnownReferences;
import app.galdrin.core.marking.References;
import app.galdrin.core.marking.StateReferences;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.ReferenceRule;
import app.galdrin.core.task.Round;
import app.galdrin.web.library.Library;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.sitting.FoundReference;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.VehicleHistories;
import app.galdrin.web.sitting.VehicleHistories.KnownVehicle;
import app.galdrin.web.sitting.VehicleReferences;
import app.galdrin.web.task.TaskVersion;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;

/** Inputs that sittings share: their assignments and the references of the vehicles as found, each looked up once. */
final class RemarkInputs {
    private final Library library;
    private final Sittings sittings;
    private final VehicleReferences vehicles;
    private final VehicleHistories histories;
    private final UUID centre;
    private final TaskVersion version;
    private final Optional<SheetVersion> on;
    private final Map<AssignmentKey, KnownReferences> assignments = new HashMap<>();
    private final Map<UUID, Sheet> sheets = new HashMap<>();
    private final Map<UUID, Optional<Reference>> found = new HashMap<>();
    private final Map<List<UUID>, KnownVehicle> known = new HashMap<>();

    private record AssignmentKey(UUID sheetId, BayFloor floor, Kit kit) {}

    private record Reference(UUID id, int lastSeq, Answers answers) {}

    RemarkInputs(
            Library library,
            Sittings sittings,
            VehicleReferences vehicles,
            VehicleHistories histories,
            UUID centre,
            TaskVersion version,
            Optional<SheetVersion> on) {
        this.library = library;
        this.sittings = sittings;
        this.vehicles = vehicles;
        this.histories = histories;
        this.centre = centre;
        this.version = version;
        this.on = on;
    }

    RemarkItem one(
            List<RemarkMapper.StoredSheetRow> people,
            List<RemarkMapper.SittingEntry> entries,
            List<RemarkMapper.SittingEntry> left) {
        RemarkMapper.StoredSheetRow first = people.get(0);
        var where = new AssignmentKey(
                first.sheetId(), first.floor().orElse(BayFloor.LEVEL), sittings.kit(centre, first.revisions()));
        KnownReferences references = assignments.computeIfAbsent(where, w -> new KnownReferences(assignment(w)));
        Assignment assignment = references.assignment();
        var log = new Log(entries.stream().map(RemarkMapper.SittingEntry::entry).toList());
        int round = lastRound(assignment, sheets.computeIfAbsent(first.sheetId(), s -> new Sheet(assignment)), log);
        Map<UUID, Integer> seqs = new LinkedHashMap<>();
        Answers asFound = asFound(first, assignment, seqs);
        Answers asLeft = asLeft(left, round, 1, seqs);
        Answers again = asLeft(left, round, 2, seqs);
        var own = new References(asFound, asLeft, again);
        return new RemarkItem(
                people,
                references,
                version.practical(),
                log,
                combined(first, round, first.released() ? own.toStand() : own, seqs),
                seqs);
    }

    /** Returns everybody's readings in place of an instructor's, where the task asks for that. */
    private References combined(
            RemarkMapper.StoredSheetRow sitting, int round, References own, Map<UUID, Integer> seqs) {
        if (version.practical().references() != ReferenceRule.COMBINED) {
            return own;
        }
        Sitting whole = sittings.whole(centre, sitting.sittingId());
        Optional<UUID> left = vehicles.findStateAfter(whole, round);
        KnownVehicle vehicle = known.computeIfAbsent(
                Stream.concat(Stream.of(sitting.stateId()), left.stream()).toList(),
                states -> histories.around(centre, states, VehicleHistories.handedIn()));
        seqs.putAll(vehicle.seqs());
        seqs.remove(sitting.sittingId());
        return own.with(new StateReferences(
                vehicle.history(),
                sitting.stateId().toString(),
                left.map(UUID::toString).orElse(""),
                VehicleHistories.people(whole)));
    }

    private Assignment assignment(AssignmentKey where) {
        SheetVersion sheet = on.orElseGet(() -> library.sheet(centre, where.sheetId()));
        return new Assignment(version.practical(), sheet.sheet(), where.floor(), where.kit());
    }

    private int lastRound(Assignment assignment, Sheet sheet, Log log) {
        return assignment
                .practical()
                .of(Round.class)
                .mapToInt(round -> sheet.rounds(round, log.answers()))
                .max()
                .orElse(1);
    }

    private Answers asFound(RemarkMapper.StoredSheetRow sitting, Assignment assignment, Map<UUID, Integer> seqs) {
        Optional<Reference> reference = found.computeIfAbsent(
                sitting.stateId(),
                state -> vehicles.findReference(centre, sitting.taskId(), state)
                        .map(r -> reference(r, state, assignment)));
        reference.ifPresent(r -> seqs.put(r.id(), r.lastSeq()));
        return reference.map(Reference::answers).orElse(Answers.none());
    }

    private Reference reference(FoundReference reference, UUID stateId, Assignment assignment) {
        Log log = sittings.log(centre, reference.id());
        return new Reference(
                reference.id(),
                log.lastSeq(),
                vehicles.asRead(centre, reference, stateId, assignment.sheet(), log.answers()));
    }

    /** The last reference that was taken of a state, of those for several versions of the practical. */
    private Answers asLeft(List<RemarkMapper.SittingEntry> left, int round, int attempt, Map<UUID, Integer> seqs) {
        List<RemarkMapper.SittingEntry> here = left.stream()
                .filter(e -> e.round() == round && e.attempt() == attempt)
                .toList();
        if (here.isEmpty()) {
            return Answers.none();
        }
        UUID last = here.get(here.size() - 1).inSitting();
        var log = new Log(here.stream()
                .filter(e -> e.inSitting().equals(last))
                .map(RemarkMapper.SittingEntry::entry)
                .toList());
        seqs.put(last, log.lastSeq());
        return log.answers().readWith(vehicles.equipmentOf(centre, last));
    }
}
