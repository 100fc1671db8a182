package app.galdrin.core;

import static org.junit.jupiter.api.Assertions.assertEquals;

import app.galdrin.core.answer.LineText;
import app.galdrin.core.draft.FieldRefusal;
import app.galdrin.core.draft.TaskDraft;
import app.galdrin.core.draft.TaskEditor;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.marking.Marker;
import app.galdrin.core.marking.References;
import app.galdrin.core.simulated.TryOut;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.sitting.WrittenValue;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.TaskDocument;
import app.galdrin.core.task.TaskFault;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** One step added to a task: its fields on the bench, what is written in it, and its marks. */
public final class StepTrial {

    private final SpecificationSheet sheet;
    private final TaskEditor editor;
    private final String id;
    private final Map<LineKey, WrittenValue> written = new HashMap<>();
    private TaskDraft draft;

    public StepTrial(SpecificationSheet sheet, String addition) {
        this.sheet = sheet;
        this.editor = new TaskEditor(sheet);
        TaskDraft before = editor.started(TaskStart.TOE, "Toe", AnswerUnit.DEGREES);
        this.draft = editor.added(before, addition);
        this.id = draft.practical().steps().stream()
                .map(Step::id)
                .filter(step -> before.practical().step(step).isEmpty())
                .findFirst()
                .orElseThrow();
    }

    /** Writes fields as {@code words=Which way?}; the step is the same after it was stored and read again. */
    public StepTrial set(String... fields) {
        for (String field : fields) {
            String[] parts = field.split("=", 2);
            draft = editor.written(draft, Map.of("steps." + id + "." + parts[0], parts[1]));
            Practical stored = TaskDocument.asFarAsItReads(TaskDocument.write(draft.practical()));
            assertEquals(Optional.of(step()), stored.step(id));
        }
        return this;
    }

    /** Returns the key of the sentence that refuses a field; empty where it stands. */
    public String refused(String field, String typed) {
        Step before = step();
        draft = editor.written(draft, Map.of("steps." + id + "." + field, typed));
        FieldRefusal refusal = editor.refusals(draft).get("steps." + id + "." + field);
        if (refusal != null) {
            assertEquals(before, step());
        }
        return refusal == null ? "" : refusal.key();
    }

    public Step step() {
        return draft.practical().step(id).orElseThrow();
    }

    /** Returns what keeps the task from being set. */
    public List<String> faults() {
        return editor.faults(draft).stream()
                .map(TaskFault::reason)
                .map(Keyed::key)
                .distinct()
                .toList();
    }

    public Assignment assignment() {
        return Assignment.of(draft.practical(), sheet);
    }

    public Sheet paper() {
        return new Sheet(assignment());
    }

    /** Writes on a line as an apprentice types it. */
    public StepTrial write(String line, String text) {
        LineKey key = LineKey.of(id, line);
        var type = paper().line(key).orElseThrow().answer();
        if (!(LineText.read(text, type) instanceof LineText.ParsedText read)) {
            throw new IllegalArgumentException(key.key() + " does not take " + text);
        }
        written.put(key, new WrittenValue(read.written(), read.value(), read.step()));
        return this;
    }

    public Sheet.Progress progress() {
        return paper().progress(step(), new Answers(written));
    }

    public MarkLine marked(String aspect) {
        return Marker.mark(assignment(), new Answers(written), References.none()).lines().stream()
                .filter(line -> line.criterion().key().equals(id + "." + aspect))
                .findFirst()
                .orElseThrow();
    }

    public List<Evidence> evidence(String aspect) {
        return marked(aspect).evidence();
    }

    /** Returns how many in a hundred of forty people of a kind lose marks under an aspect. */
    public double losing(TryOut.Kind people, String aspect) {
        return TryOut.of(assignment(), 40, 1)
                .get(people)
                .losing(Criterion.Id.parse(id + "." + aspect).orElseThrow());
    }
}
