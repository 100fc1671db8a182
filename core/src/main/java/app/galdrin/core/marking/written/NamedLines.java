package app.galdrin.core.marking.written;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.answer.LineText;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.sitting.WrittenValue;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Step;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** Every line that a sheet has, in every repeat and round, by its name in documents. */
final class NamedLines {

    /** More references than this are not kept. */
    private static final int MOST = 64;

    private final Map<String, NamedLine> byName = new HashMap<>();
    private final Map<JsonObject, Answers> references = new ConcurrentHashMap<>();

    private record NamedLine(LineKey key, AnswerType answer) {}

    NamedLines(Assignment assignment) {
        var sheet = new Sheet(assignment);
        for (Step step : assignment.practical().allSteps().toList()) {
            for (int round : sheet.roundsOf(step)) {
                sheet.keys(step, round)
                        .forEach(key -> sheet.line(key)
                                .ifPresent(line -> byName.put(key.key(), new NamedLine(key, line.answer()))));
            }
        }
    }

    /** {@link #answers} of a reference, which many sittings have in common. */
    Outcome<Answers> reference(JsonObject texts, String at) {
        Answers known = references.get(texts);
        if (known != null) {
            return Outcome.of(known);
        }
        Outcome<Answers> read = answers(texts, at);
        if (read instanceof Outcome.Value<Answers> value && references.size() < MOST) {
            references.put(texts, value.value());
        }
        return read;
    }

    /**
     * Reads what a person typed, in the order in which it was written; of a line that is there twice, the last counts.
     *
     * @param texts by the names of lines
     * @param at what the object is called in its document; the first fault is named below it
     */
    Outcome<Answers> answers(JsonObject texts, String at) {
        Map<LineKey, WrittenValue> standing = new HashMap<>(2 * texts.size());
        Set<LineKey> ticked = new LinkedHashSet<>();
        for (int i = 0; i < texts.size(); i++) {
            NamedLine line = byName.get(texts.name(i));
            if (line == null) {
                return Outcome.fault(FaultCode.UNKNOWN_FIELD, at + "." + texts.name(i));
            }
            if (!(texts.value(i) instanceof String text)) {
                return Outcome.fault(
                        Fault.at(FaultCode.MALFORMED, at + "." + texts.name(i)).reading(texts.value(i)));
            }
            LineText read = LineText.read(text, line.answer());
            if (!(read instanceof LineText.ParsedText understood)) {
                return Outcome.fault(Fault.at(code((LineText.Refusal) read), at + "." + texts.name(i))
                        .reading(text));
            }
            standing.put(line.key(), new WrittenValue(understood.written(), understood.value(), understood.step()));
            if (line.answer() instanceof AnswerType.Tick) {
                ticked.remove(line.key());
                ticked.add(line.key());
            }
        }
        return Outcome.of(new Answers(standing).ordered(List.copyOf(ticked)));
    }

    /** A figure that can't be real is out of its range; anything else can't be read. */
    private static FaultCode code(LineText.Refusal refused) {
        return switch (refused.reason()) {
            case TOO_LARGE, TOO_SMALL, TOO_GREAT, NEGATIVE -> FaultCode.OUT_OF_RANGE;
            default -> FaultCode.MALFORMED;
        };
    }
}
