package app.galdrin.web.task;

import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.TaskDocument;
import app.galdrin.web.bay.Facing;
import app.galdrin.web.bay.StandingCause;
import app.galdrin.web.bay.Standings;
import app.galdrin.web.bay.VehicleStanding;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.library.Library;
import java.security.SecureRandom;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.cache.annotation.Cacheable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Practicals of a centre, the bays they are sat in, and their openings. */
@Service
public class Tasks {

    private static final int MOST = 100;
    private static final int MOST_ITEMS = 200;
    private static final Duration OPEN_FOR = Duration.ofHours(12);
    /** No letters that are taken for figures or for one another when read off a screen across a workshop. */
    private static final String CODE_LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

    private static final int CODE_LENGTH = 6;

    private final TaskMapper mapper;
    private final OpeningMapper openings;
    private final Library library;
    private final Standings standings;
    private final SecureRandom random = new SecureRandom();

    Tasks(TaskMapper mapper, OpeningMapper openings, Library library, Standings standings) {
        this.standings = standings;
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

    /** Returns the items in words of their own that the centre's newest tasks have, to be used again. */
    public List<Checklist.Item> ownItems(UUID centreId) {
        return Checklist.items(mapper.ownItems(centreId, MOST, MOST_ITEMS));
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
     * Sets a practical, checked already, for a class, on its first vehicle as it stands.
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
     * @param before of which it is the next version, if it is one; it is sat on the same vehicles
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
        if (before.map(task -> mapper.takeVehicles(centreId, task.id(), id)).orElse(0) == 0) {
            use(centreId, personId, id, sheets.get(0));
        }
    }

    /** The newest try-out of a task by simulated people, to come back to. */
    public Optional<UUID> lastTryOut(UUID centreId, UUID taskId) {
        return mapper.lastTryOut(centreId, taskId);
    }

    /** The vehicles of a task where they stand now: by bay, those in no bay last. */
    public List<TaskBay> bays(UUID centreId, UUID taskId) {
        List<TaskRow.VehicleRow> rows = mapper.vehicles(centreId, taskId);
        Map<UUID, VehicleStanding> now = standings.of(
                centreId, rows.stream().map(TaskRow.VehicleRow::vehicleId).toList());
        return rows.stream()
                .flatMap(row -> Optional.ofNullable(now.get(row.vehicleId()))
                        .map(standing -> new TaskBay(library.sheet(centreId, row.sheetId()), standing))
                        .stream())
                .sorted(Comparator.comparing(
                        TaskBay::number, Comparator.comparing(number -> number.orElse(Integer.MAX_VALUE))))
                .toList();
    }

    /** The tasks that are open now, by the vehicles they are sat on, those opened first first. */
    public Map<UUID, List<OpenTask>> openByVehicle(UUID centreId) {
        return mapper.openByVehicle(centreId, MOST).stream().collect(Collectors.groupingBy(OpenTask::vehicleId));
    }

    /** Uses a vehicle for a task where it stands. Once one stands in a bay, vehicles that stand in none are no longer those of the task. */
    @Transactional
    public void use(UUID centreId, UUID personId, UUID taskId, UUID sheetId) {
        mapper.lock(centreId, taskId);
        UUID vehicle = library.sheet(centreId, sheetId).vehicleId();
        VehicleStanding standing = standings.stand(centreId, personId, vehicle);
        mapper.putVehicle(centreId, taskId, vehicle, sheetId);
        if (standing.bay() != null) {
            bays(centreId, taskId).stream()
                    .filter(other -> other.number().isEmpty())
                    .forEach(other ->
                            mapper.dropVehicle(centreId, taskId, other.sheet().vehicleId()));
        }
    }

    /** Drives a vehicle into a free bay, sets it anew there and uses it for a task. */
    @Transactional
    public void preset(UUID centreId, UUID personId, UUID taskId, int bay, UUID sheetId, @Nullable String note) {
        UUID vehicle = library.sheet(centreId, sheetId).vehicleId();
        standings
                .place(centreId, personId, vehicle, OptionalInt.of(bay), Facing.FAR_END)
                .ifPresent(other -> {
                    throw new IllegalStateException("bay " + bay + " is taken by vehicle " + other);
                });
        standings.set(centreId, personId, vehicle, StandingCause.PRESET, note);
        use(centreId, personId, taskId, sheetId);
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
