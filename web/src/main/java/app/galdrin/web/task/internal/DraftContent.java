package app.galdrin.web.task.internal;

import app.galdrin.core.draft.TaskDraft;
import java.util.UUID;

/** Content of a draft: a task, the specification it is composed on, the class it is for. */
record DraftContent(UUID sheetId, UUID classId, TaskDraft task) {
    DraftContent with(TaskDraft other) {
        return new DraftContent(sheetId, classId, other);
    }
}
