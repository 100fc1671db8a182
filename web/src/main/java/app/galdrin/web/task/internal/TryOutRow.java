package app.galdrin.web.task.internal;

import app.galdrin.core.simulated.TryOut;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.TaskDocument;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * One try-out.
 *
 * @param taskId the task that was tried, where it was set already
 * @param document of the practical
 * @param done of {@code total} sheets
 * @param result as JSON, once it is ready
 * @param before how many of the centre are tried out before this one
 */
record TryOutRow(
        UUID id,
        UUID centreId,
        @Nullable UUID taskId,
        UUID sheetId,
        String title,
        String document,
        TryOutState state,
        int done,
        int total,
        @Nullable String result,
        int before) {

    Practical practical() {
        return TaskDocument.stored(document);
    }

    /** Returns the sheets of each of the three people. */
    public int sheets() {
        return total / TryOut.Kind.values().length;
    }
}
