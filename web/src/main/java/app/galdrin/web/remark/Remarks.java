package app.galdrin.web.remark;

import app.galdrin.core.task.Criterion;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.library.Library;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.remark.RemarkMapper.ChangedLine;
import app.galdrin.web.remark.RemarkMapper.Concerned;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import app.galdrin.web.words.Sentence;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/**
 * Re-marking what was marked already, after a scheme, a sheet or a reference has changed. The result is stored beside the marks and shown. Applying
 * it copies it among the marks in one transaction; discarding it deletes it.
 */
@Service
public class Remarks {

    private static final int LONGEST_REASON = 400;
    /** Some hundred sittings take seconds; what has not moved for so long is at work on no server. */
    private static final int STOPPED_SECONDS = 120;

    private static final int MOST = 20;
    private static final int PAGE = 100;

    private final RemarkMapper mapper;
    private final RemarkJob run;
    private final Tasks tasks;
    private final Library library;

    Remarks(RemarkMapper mapper, RemarkJob run, Tasks tasks, Library library) {
        this.mapper = mapper;
        this.run = run;
        this.tasks = tasks;
        this.library = library;
    }

    /** A criterion before and after; empty where the scheme had or has none of it. */
    public record LineBefore(
            Criterion.Id criterion, Optional<BigDecimal> before, Optional<BigDecimal> after, int available) {}

    /** The versions of a practical whose sittings can be marked by one of them: those with the same steps. */
    public List<Tasks.Version> alike(TaskVersion version) {
        return tasks.versions(version).stream()
                .filter(v -> version.practical()
                        .hasTheStepsOf(tasks.task(version.centreId(), v.id()).practical()))
                .toList();
    }

    /** Returns how many sittings would be looked at. */
    public int concerned(TaskVersion version, Optional<SheetVersion> on) {
        return mapper.count(which(version, on));
    }

    private Concerned which(TaskVersion version, Optional<SheetVersion> on) {
        return new Concerned(
                version.centreId(),
                alike(version).stream().map(Tasks.Version::id).toList(),
                on.map(SheetVersion::vehicleId).orElse(null));
    }

    /**
     * Re-marking that was asked for.
     *
     * @param already whether another of the centre is at work and {@code id} is that one
     */
    public record Begun(UUID id, boolean already) {}

    /** Begins to re-mark by the scheme of a version; empty where the reason can't stand or there is nothing to mark. */
    public Optional<Begun> begin(SignedIn me, TaskVersion version, Optional<SheetVersion> on, String reason) {
        Concerned which = which(version, on);
        int total = mapper.count(which);
        if (reason.isBlank() || reason.length() > LONGEST_REASON || total == 0) {
            return Optional.empty();
        }
        UUID id = Ids.next();
        UUID sheet = on.map(SheetVersion::id).orElse(null);
        mapper.failStopped(me.centreId(), STOPPED_SECONDS);
        if (mapper.insert(id, me.centreId(), version.id(), sheet, reason.strip(), total, me.personId()) == 0) {
            return mapper.atWork(me.centreId())
                    .map(other -> new Begun(other, true))
                    .or(() -> begin(me, version, on, reason)); // that one has ended in this moment
        }
        run.work(id, which, version, on);
        return Optional.of(new Begun(id, false));
    }

    /** One of this centre. */
    public Remark remark(SignedIn me, UUID id) {
        return mapper.remark(me.centreId(), id)
                .filter(r -> me.is(Role.INSTRUCTOR) || me.is(Role.VERIFIER))
                .orElseThrow(() -> new NotThere("re-marking", id, me));
    }

    /** Returns those that marked by a version, the newest first. */
    public List<Remark> ofTask(TaskVersion version) {
        return mapper.ofTask(version.centreId(), version.id(), MOST);
    }

    /** Stops it and throws away what came of it; what was applied stays. */
    public void cancel(SignedIn me, UUID id) {
        for (RemarkState from : List.of(
                RemarkState.WORKING, RemarkState.READY, RemarkState.APPLYING, RemarkState.FAILED, RemarkState.STALE)) {
            if (mapper.to(me.centreId(), id, from, RemarkState.CANCELLED) > 0) {
                run.clear(me.centreId(), id);
            }
        }
    }

    /** Begins to put it among the marks; it comes to nothing where something was written or marked since. */
    public Optional<Sentence> apply(SignedIn me, UUID id) {
        if (mapper.to(me.centreId(), id, RemarkState.READY, RemarkState.APPLYING) == 0) {
            return Optional.of(Sentence.of("remark.notReady"));
        }
        run.apply(me, id);
        return Optional.empty();
    }

    public static int page() {
        return PAGE;
    }

    /** Returns what changes, a page of it. */
    public List<MarkChange> changed(Remark remark, int from) {
        return mapper.changed(remark.centreId(), remark.id(), from, PAGE);
    }

    /** The criteria that change, by sitting and person. */
    public Map<String, List<LineBefore>> lines(Remark remark, List<MarkChange> changes) {
        return changes.isEmpty()
                ? Map.of()
                : mapper
                        .changedLines(
                                remark.centreId(),
                                remark.id(),
                                changes.stream().map(MarkChange::sittingId).toList())
                        .stream()
                        .collect(Collectors.groupingBy(
                                l -> l.sittingId() + "/" + l.personId(),
                                Collectors.mapping(Remarks::line, Collectors.toList())));
    }

    private static LineBefore line(ChangedLine line) {
        return new LineBefore(
                new Criterion.Id(line.step(), line.aspect()),
                Optional.ofNullable(line.before()),
                Optional.ofNullable(line.after()),
                line.available());
    }

    /** The sheet it marks on, where it is one of its own. */
    public Optional<SheetVersion> sheet(Remark remark) {
        return Optional.ofNullable(remark.sheetId()).map(id -> library.sheet(remark.centreId(), id));
    }
}
