package app.galdrin.web.remark;

import app.galdrin.core.marking.KnownReferences;
import app.galdrin.core.marking.References;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Round;
import app.galdrin.web.library.Library;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.sitting.FoundReference;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.VehicleReferences;
import app.galdrin.web.task.TaskVersion;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** Inputs that sittings share: their assignments and the references of the vehicles as found, each looked up once. */
final class RemarkInputs {
    private final Library library;
    private final Sittings sittings;
    private final VehicleReferences vehicles;
    private final UUID centre;
    private final TaskVersion version;
    private final Optional<SheetVersion> on;
    private final Map<AssignmentKey, KnownReferences> assignments = new HashMap<>();
    private final Map<UUID, Sheet> sheets = new HashMap<>();
    private final Map<UUID, Optional<Reference>> found = new HashMap<>();

    private record AssignmentKey(UUID sheetId, BayFloor floor) {}

    private record Reference(UUID id, int lastSeq, Answers answers) {}

    RemarkInputs(
            Library library,
            Sittings sittings,
            VehicleReferences vehicles,
            UUID centre,
            TaskVersion version,
            Optional<SheetVersion> on) {
        this.library = library;
        this.sittings = sittings;
        this.vehicles = vehicles;
        this.centre = centre;
        this.version = version;
        this.on = on;
    }

    RemarkItem one(
            List<RemarkMapper.StoredSheetRow> people,
            List<RemarkMapper.SittingEntry> entries,
            List<RemarkMapper.SittingEntry> left) {
        RemarkMapper.StoredSheetRow first = people.get(0);
        var where = new AssignmentKey(first.sheetId(), first.floor().orElse(BayFloor.LEVEL));
        KnownReferences known = assignments.computeIfAbsent(where, w -> new KnownReferences(assignment(w)));
        Assignment assignment = known.assignment();
        var log = new Log(entries.stream().map(RemarkMapper.SittingEntry::entry).toList());
        int round = lastRound(assignment, sheets.computeIfAbsent(first.sheetId(), s -> new Sheet(assignment)), log);
        Map<UUID, Integer> seqs = new LinkedHashMap<>();
        Answers asFound = asFound(first, assignment, seqs);
        Answers asLeft = asLeft(left, round, 1, seqs);
        Answers again = asLeft(left, round, 2, seqs);
        return new RemarkItem(
                people,
                known,
                version.practical(),
                log,
                new References(asFound, asLeft, again, first.released()),
                seqs);
    }

    private Assignment assignment(AssignmentKey where) {
        SheetVersion sheet = on.orElseGet(() -> library.sheet(centre, where.sheetId()));
        return new Assignment(version.practical(), sheet.sheet(), where.floor());
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
        return log.answers();
    }
}
