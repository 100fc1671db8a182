package app.galdrin.core.draft;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Work;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * A task while it is composed.
 *
 * @param practical as it is so far; its own faults say what keeps it from being set
 * @param unit in which a figure is answered where nobody has chosen another
 * @param refused what was typed into fields and cannot stand there, by the name of the field
 */
public record TaskDraft(Practical practical, AnswerUnit unit, Map<String, String> refused) {

    public TaskDraft {
        refused = Collections.unmodifiableMap(new TreeMap<>(refused));
    }

    /** A draft of a whole practical; its figures are answered as most of its own are, else in the unit that is given. */
    public static TaskDraft of(Practical practical, AnswerUnit usual) {
        AnswerUnit unit = practical
                .of(Work.class)
                .flatMap(work -> work.asked().stream())
                .map(Work.Item::unit)
                .findFirst()
                .orElse(usual);
        return new TaskDraft(practical, unit, Map.of());
    }

    TaskDraft with(Practical other) {
        return new TaskDraft(other, unit, refused);
    }

    TaskDraft with(AnswerUnit other) {
        return new TaskDraft(practical, other, refused);
    }

    TaskDraft refusing(String field, String typed) {
        Map<String, String> more = new TreeMap<>(refused);
        more.put(field, typed);
        return new TaskDraft(practical, unit, more);
    }

    TaskDraft accepting(String field) {
        if (!refused.containsKey(field)) {
            return this;
        }
        Map<String, String> fewer = new TreeMap<>(refused);
        fewer.remove(field);
        return new TaskDraft(practical, unit, fewer);
    }

    /** Returns what was typed into a field and refused. */
    public Optional<String> refused(String field) {
        return Optional.ofNullable(refused.get(field));
    }
}
