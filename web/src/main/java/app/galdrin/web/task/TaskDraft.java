package app.galdrin.web.task;

import app.galdrin.core.task.ToeTask;
import java.util.UUID;

/** A task about to be set. */
public record TaskDraft(String title, UUID sheetId, UUID classId, ToeTask toe, Mode mode, OutcomeSchool outcome) {}
