package app.galdrin.core.evaluate;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.record.Fields;
import app.galdrin.core.record.Figures;
import app.galdrin.core.record.JsonText;
import app.galdrin.core.record.RecordKind;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * One record worked.
 *
 * @param id as it was given, empty where there was none
 * @param kind as it was given, empty where there was none
 */
public record RecordLine(Optional<String> id, Optional<String> kind, Outcome<Figures> outcome) {

    /** Works a line of bytes; the line end is not part of it. */
    public static RecordLine evaluate(byte[] line, int length) {
        if (length > JsonText.LONGEST_LINE) {
            return broken();
        }
        return JsonText.object(line, length).map(RecordLine::evaluate).orElseGet(RecordLine::broken);
    }

    /** What comes back for a line that is no record. */
    public static RecordLine broken() {
        return new RecordLine(Optional.empty(), Optional.empty(), new Outcome.Failed<>(Fault.ofLine()));
    }

    private static RecordLine evaluate(Map<String, @Nullable Object> line) {
        return new RecordLine(text(line.get("id")), text(line.get("kind")), outcome(line));
    }

    private static Optional<String> text(@Nullable Object value) {
        return value instanceof String s ? Optional.of(s) : Optional.empty();
    }

    private static Outcome<Figures> outcome(Map<String, @Nullable Object> line) {
        if (!line.containsKey("id")) {
            return Outcome.fault(FaultCode.MISSING, "id");
        }
        if (!(line.get("id") instanceof String)) {
            return Outcome.fault(FaultCode.MALFORMED, "id");
        }
        if (!line.containsKey("kind")) {
            return Outcome.fault(FaultCode.MISSING, "kind");
        }
        Optional<RecordKind> kind = text(line.get("kind")).flatMap(RecordKinds::named);
        if (kind.isEmpty()) {
            return Outcome.fault(FaultCode.UNKNOWN_KIND, "kind");
        }
        if (!line.containsKey("input")) {
            return Outcome.fault(FaultCode.MISSING, "input");
        }
        return input(line.get("input"))
                .map(kind.get()::evaluate)
                .orElseGet(() -> Outcome.fault(FaultCode.MALFORMED, "input"));
    }

    @SuppressWarnings("unchecked") // JsonText makes its objects with text keys only
    private static Optional<Fields> input(@Nullable Object input) {
        return input instanceof Map<?, ?> object
                ? Optional.of(Fields.of((Map<String, @Nullable Object>) object))
                : Optional.empty();
    }
}
