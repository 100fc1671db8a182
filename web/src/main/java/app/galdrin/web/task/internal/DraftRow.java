package app.galdrin.web.task.internal;

import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A state as it is stored.
 *
 * @param beforeId the task of which it is the next version
 * @param undo number of the state that undoing leads to
 * @param redo number of the state that redoing leads to
 */
record DraftRow(
        UUID id,
        @Nullable UUID beforeId,
        int number,
        UUID sheetId,
        UUID classId,
        String document,
        @Nullable Integer undo,
        @Nullable Integer redo) {

    DraftContent content() {
        return new DraftContent(sheetId, classId, DraftText.draft(document));
    }
}
