package app.galdrin.web.baysheet.internal;

import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.task.AnswerUnit;
import app.galdrin.core.task.ToeTask;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.Words;
import app.galdrin.web.sitting.Entry;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Route;
import app.galdrin.web.sitting.Slot;
import app.galdrin.web.sitting.Stage;
import java.util.LinkedHashMap;
import java.util.Map;

/** The fields of a stage, with what stands in them and what was typed and refused. */
final class Fields {

    private final ToeTask task;
    private final Log log;
    private final Words words;
    private final Map<Slot, Refused> refused;

    /** Text that could not be read, and the sentence why. */
    record Refused(String typed, String why) {}

    Fields(ToeTask task, Log log, Words words, Map<Slot, Refused> refused) {
        this.task = task;
        this.log = log;
        this.words = words;
        this.refused = refused;
    }

    Map<Slot, FieldView> of(Stage stage) {
        Map<Slot, FieldView> fields = new LinkedHashMap<>();
        for (Slot slot : Route.slots(task, stage)) {
            fields.put(slot, field(slot));
        }
        return fields;
    }

    private FieldView field(Slot slot) {
        String standing = log.at(slot).map(Entry::written).orElse("");
        String echo = log.at(slot).map(e -> echo(e, task.answerUnit(), words)).orElse("");
        Refused bad = refused.get(slot);
        String key = Ids.next().toString();
        return bad == null
                ? new FieldView(slot, standing, echo, null, key)
                : new FieldView(slot, bad.typed(), echo, bad.why(), key);
    }

    /** An entry as it was understood. */
    static String echo(Entry entry, AnswerUnit unit, Words words) {
        Double value = entry.value();
        if (value == null) {
            return words.text("chosen." + entry.written());
        }
        return switch (entry.slot().stage()) {
            case AS_FOUND, AS_LEFT -> words.length(value);
            case WORK -> figure(value, unit, words);
            default -> words.text("turns", QuantityFormat.length(value));
        };
    }

    /** With every place that was written, so that nobody thinks a digit was lost. */
    private static String figure(double value, AnswerUnit unit, Words words) {
        boolean plain = unit.quantity() == Quantity.ANGLE && unit != AnswerUnit.DEGREES_MINUTES;
        return plain ? QuantityFormat.decimal(value, 3, true).replaceFirst("0$", "") + "°" : words.answer(value, unit);
    }
}
