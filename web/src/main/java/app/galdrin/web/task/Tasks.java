package app.galdrin.web.task;

import app.galdrin.core.task.Criterion;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.library.Library;
import app.galdrin.web.task.internal.OpeningMapper;
import app.galdrin.web.task.internal.TaskMapper;
import app.galdrin.web.task.internal.TaskRow;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.cache.annotation.Cacheable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tasks of a centre and their openings. */
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
            throw new NotThere("task");
        }
        return row.toVersion(library.sheet(centreId, row.sheetId()), mapper.criteria(centreId, taskId));
    }

    /** The newest tasks first. */
    public List<TaskSummary> list(UUID centreId) {
        return mapper.list(centreId, MOST);
    }

    @Transactional
    public UUID set(UUID centreId, UUID personId, TaskDraft draft) {
        UUID id = Ids.next();
        mapper.insert(id, centreId, personId, TaskRow.of(draft));
        var scheme = draft.toe().scheme();
        for (Criterion criterion : Criterion.values()) {
            mapper.insertCriterion(
                    centreId,
                    id,
                    criterion,
                    scheme.marksFor(criterion),
                    scheme.mustPass().contains(criterion));
        }
        return id;
    }

    /** Opens a task to its class; a task that is open already keeps its code. */
    @Transactional
    public Opening open(UUID centreId, UUID personId, UUID taskId) {
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

    private String newCode() {
        return random.ints(CODE_LENGTH, 0, CODE_LETTERS.length())
                .collect(StringBuilder::new, (code, i) -> code.append(CODE_LETTERS.charAt(i)), StringBuilder::append)
                .toString();
    }
}
