package app.galdrin.web.task.internal;

import app.galdrin.core.Keyed;
import app.galdrin.core.draft.TaskDraft;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.TaskDocument;
import java.util.Map;
import tools.jackson.databind.json.JsonMapper;

/** The text of a draft in the database. */
record DraftText(String unit, Map<String, String> refused, String task) {

    /** Reads a draft as it is stored. */
    static TaskDraft draft(String document) {
        DraftText text = JsonMapper.shared().readValue(document, DraftText.class);
        Practical practical = TaskDocument.asFarAsItReads(text.task());
        return new TaskDraft(practical, Keyed.of(AnswerUnit.values(), text.unit()), text.refused());
    }

    /** Writes a draft as it is stored. */
    static String of(TaskDraft draft) {
        return JsonMapper.shared()
                .writeValueAsString(
                        new DraftText(draft.unit().key(), draft.refused(), TaskDocument.write(draft.practical())));
    }
}
