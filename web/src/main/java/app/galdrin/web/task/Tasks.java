package app.galdrin.web.task;

import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.TaskDocument;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.library.Library;
import app.galdrin.web.library.SheetVersion;
import java.security.SecureRandom;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.cache.annotation.Cacheable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Practicals of a centre, the bays they are sat in, and their openings. */
@Service
public class Tasks {

    private static final int MOST = 100;
    private static final Duration OPEN_FOR = Duration.ofHours(12);
    /** No letters that are taken for figures or for one another when read off a screen across a workshop. */
    private static final String CODE_LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

    private static final int CODE_LENGTH = 6;

    private final TaskMapper mapper;
    private final OpeningMapper openings;
    private final Library library;
    private final SecureRandom random = new SecureRandom();

    Tasks(TaskMapper mapper, OpeningMapper openings, Library library) {
        this.mapper = mapper;
        this.openings = openings;
        this.library = library;
    }

    /** A task of this centre. Tasks never change, so they are kept in memory once read. */
    @Cacheable(cacheNames = "tasks", key = "{#centreId, #taskId}")
    public TaskVersion task(UUID centreId, UUID taskId) {
        TaskRow row = mapper.task(centreId, taskId);
        if (row == null) {
            throw new NotThere("task", taskId, "centre " + centreId);
        }
        return row.toVersion(mapper.sheets(centreId, taskId).stream()
                .map(sheet -> library.sheet(centreId, sheet))
                .toList());
    }

    /** Returns whether this centre has a task of this id. */
    public boolean exists(UUID centreId, UUID taskId) {
        return mapper.task(centreId, taskId) != null;
    }

    /** The newest version of each practical that is set, or of each that is retired; those made last first. */
    public List<TaskSummary> list(UUID centreId, boolean retired) {
        return mapper.list(centreId, retired, MOST, TaskSummary.MOST_COUNTED);
    }

    /** All versions of a practical, the newest first. */
    public List<Version> versions(TaskVersion task) {
        return mapper.versions(task.centreId(), task.seriesId(), MOST).stream()
                .map(v -> new Version(v.id(), v.version(), v.createdAt()))
                .toList();
    }

    /** One of the versions of a practical. */
    public record Version(UUID id, int version, Instant createdAt) {}

    public boolean retired(TaskVersion task) {
        return mapper.retired(task.centreId(), task.seriesId());
    }

    /** Takes a practical out of the list with all its versions, and closes it; its sittings stay. */
    @Transactional
    public void retire(UUID personId, TaskVersion task) {
        mapper.retire(task.centreId(), task.seriesId(), personId);
        openings.close(task.centreId(), task.id());
    }

    public void takeBack(TaskVersion task) {
        mapper.unretire(task.centreId(), task.seriesId());
    }

    /**
     * Sets a practical, checked already, for a class; its first vehicle stands ready in bay 0.
     *
     * @param sheets those it may be sat on, at least one
     */
    @Transactional
    public UUID set(UUID centreId, UUID personId, Practical practical, List<UUID> sheets, UUID classId) {
        UUID id = Ids.next();
        set(id, centreId, personId, practical, sheets, classId, Optional.empty());
        return id;
    }

    /**
     * The same under an id that came with the form: the same form sent twice sets one task.
     *
     * @param before of which it is the next version, if it is one; the vehicles that stand ready for that stand ready for it
     */
    @Transactional
    public void set(
            UUID id,
            UUID centreId,
            UUID personId,
            Practical practical,
            List<UUID> sheets,
            UUID classId,
            Optional<TaskVersion> before) {
        before.ifPresent(task -> {
            mapper.lock(centreId, task.seriesId());
            mapper.unretire(centreId, task.seriesId());
        });
        int made = mapper.insert(
                id,
                centreId,
                before.map(TaskVersion::seriesId).orElse(id),
                personId,
                classId,
                practical.title(),
                practical.mode(),
                TaskDocument.write(practical),
                TaskDocument.version(practical));
        if (made == 0) {
            return;
        }
        for (int i = 0; i < sheets.size(); i++) {
            mapper.insertSheet(centreId, id, sheets.get(i), i + 1);
        }
        practical
                .of(Measure.class)
                .forEach(m -> m.figures().forEach(f -> mapper.insertFigure(centreId, id, f.key(), m.id())));
        if (before.map(task -> mapper.takeBays(centreId, task.id(), id)).orElse(0) == 0) {
            preset(centreId, personId, id, 0, sheets.get(0), null);
        }
    }

    /** The newest try-out of a task by simulated people, to come back to. */
    public Optional<UUID> lastTryOut(UUID centreId, UUID taskId) {
        return mapper.lastTryOut(centreId, taskId);
    }

    /** The bays of a task, by number. */
    public List<TaskBay> bays(UUID centreId, UUID taskId) {
        return mapper.bays(centreId, taskId).stream()
                .map(row -> new TaskBay(row.bay(), library.sheet(centreId, row.sheetId()), row.stateId()))
                .toList();
    }

    /**
     * Puts a vehicle in a bay in a state of its own; what was read of an earlier state says nothing of this one. Naming the first bay
     * takes the place of bay 0.
     */
    @Transactional
    public void preset(UUID centreId, UUID personId, UUID taskId, int bay, UUID sheetId, @Nullable String note) {
        mapper.lock(centreId, taskId);
        Optional<TaskRow.BayRow> before = mapper.bays(centreId, taskId).stream()
                .filter(b -> b.bay() == bay)
                .findFirst();
        SheetVersion sheet = library.sheet(centreId, sheetId);
        Optional<TaskRow.BayRow> same = before.filter(b -> b.sheetId().equals(sheetId));
        UUID state = Ids.next();
        mapper.insertState(
                state,
                centreId,
                sheet.vehicleId(),
                same.isPresent() ? "putBack" : "preset",
                same.map(TaskRow.BayRow::stateId).orElse(null),
                personId,
                note);
        mapper.putBay(centreId, taskId, bay, sheetId, state);
        if (bay > 0) {
            mapper.dropBay(centreId, taskId, 0);
        }
    }

    /** Takes a vehicle in a bay as it stands now, after it was in another state of its own; gives the new state. */
    @Transactional
    public UUID standsNow(UUID centreId, UUID personId, UUID taskId, int bay, UUID priorId, @Nullable String note) {
        mapper.lock(centreId, taskId);
        TaskRow.BayRow place = mapper.bays(centreId, taskId).stream()
                .filter(b -> b.bay() == bay)
                .findFirst()
                .orElseThrow(() -> new NotThere("bay", bay, "task " + taskId));
        UUID state = Ids.next();
        UUID vehicle = library.sheet(centreId, place.sheetId()).vehicleId();
        mapper.insertState(state, centreId, vehicle, "preset", priorId, personId, note);
        mapper.putBay(centreId, taskId, bay, place.sheetId(), state);
        return state;
    }

    /** Opens a task to its class; a task that is open already keeps its code. */
    @Transactional
    public Opening open(UUID centreId, UUID personId, UUID taskId) {
        if (retired(task(centreId, taskId))) {
            throw new NotThere("task that is not retired", taskId, "centre " + centreId);
        }
        mapper.lock(centreId, taskId);
        return current(centreId, taskId).orElseGet(() -> {
            openings.closeOverdue();
            UUID id = Ids.next();
            openings.insert(id, centreId, taskId, newCode(), personId, (int) OPEN_FOR.toMinutes());
            return current(centreId, taskId).orElseThrow();
        });
    }

    public Optional<Opening> current(UUID centreId, UUID taskId) {
        return Optional.ofNullable(openings.current(centreId, taskId));
    }

    /** The opening a code lets into, if it is open. */
    public Optional<Opening> byCode(String code) {
        return Optional.ofNullable(openings.byCode(code.strip().toUpperCase(Locale.ROOT)));
    }

    /** An opening of this centre that is still open. */
    public Optional<Opening> opening(UUID centreId, UUID openingId) {
        return Optional.ofNullable(openings.byId(centreId, openingId));
    }

    @Transactional
    public void close(UUID centreId, UUID taskId) {
        openings.close(centreId, taskId);
    }

    /** Returns whether a closing can be taken back. */
    public boolean canReopen(UUID centreId, UUID taskId) {
        return openings.canReopen(centreId, taskId);
    }

    /** Takes a closing back: the same code, and anyone who had joined by it goes on. */
    @Transactional
    public void reopen(UUID centreId, UUID taskId) {
        mapper.lock(centreId, taskId);
        openings.reopen(centreId, taskId);
    }

    private String newCode() {
        return random.ints(CODE_LENGTH, 0, CODE_LETTERS.length())
                .collect(StringBuilder::new, (code, i) -> code.append(CODE_LETTERS.charAt(i)), StringBuilder::append)
                .toString();
    }
}
