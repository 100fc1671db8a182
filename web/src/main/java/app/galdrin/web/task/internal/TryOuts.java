package app.galdrin.web.task.internal;

import app.galdrin.core.task.Practical;
import app.galdrin.core.task.TaskDocument;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.library.SheetVersion;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionOperations;

/** Tries tasks out with simulated people: begins it, says how far it is and keeps what came of it for some days. */
@Service
class TryOuts {

    private static final int KEPT_DAYS = 7;

    /** A portion takes a tenth of a second; one that has not moved for so long is at work on no server. */
    private static final int STOPPED_SECONDS = 30;

    private final TryOutMapper mapper;
    private final TryOutJob job;
    private final TransactionOperations transaction;
    private final int sheets;

    /** {@code sheets} of each of the three people; a test may do with fewer. */
    TryOuts(
            TryOutMapper mapper,
            TryOutJob job,
            TransactionOperations transaction,
            @Value("${galdrin.try-out.sheets:1000}") int sheets) {
        this.sheets = sheets;
        this.mapper = mapper;
        this.job = job;
        this.transaction = transaction;
    }

    /**
     * Begins one, in its turn; whatever else the person has waiting is given up for it.
     *
     * @param taskId the task, where it was set already
     */
    UUID begin(SignedIn me, Practical practical, SheetVersion sheet, Optional<UUID> taskId) {
        UUID id = Ids.next();
        transaction.executeWithoutResult(tx -> {
            mapper.dropOld(me.centreId(), KEPT_DAYS);
            mapper.dropWaiting(me.centreId(), me.personId());
            mapper.insert(
                    me.centreId(),
                    id,
                    me.personId(),
                    taskId.orElse(null),
                    sheet.id(),
                    practical.title(),
                    TaskDocument.write(practical),
                    sheets * TryOutJob.people());
        });
        goOn(me.centreId());
        return id;
    }

    /** One of this centre; anyone who looks at one that a stopped server has left sets it going again. */
    TryOutRow tryOut(SignedIn me, UUID id) {
        TryOutRow found = mapper.tryOut(me.centreId(), id).orElseThrow(() -> new NotThere("try-out", id, me));
        if (found.state().moves()) {
            goOn(me.centreId());
        }
        return found;
    }

    /** The one that somebody began last, to come back to. */
    Optional<UUID> last(SignedIn me) {
        return mapper.last(me.centreId(), me.personId());
    }

    private void goOn(UUID centreId) {
        mapper.putBack(centreId, STOPPED_SECONDS);
        job.wake(centreId);
    }
}
