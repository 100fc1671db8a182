package app.galdrin.core.evaluate;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.record.Answer;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.record.RecordKind;
import app.galdrin.core.record.RecordKinds;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * One record worked.
 *
 * @param id as it was given, empty where there was none
 * @param kind as it was given, empty where there was none
 */
public record RecordLine(Optional<String> id, Optional<String> kind, Outcome<Answer> outcome) {

    /** What comes back for a line that is no record. */
    static RecordLine broken() {
        return new RecordLine(Optional.empty(), Optional.empty(), new Outcome.Failed<>(Fault.ofLine()));
    }

    /** Works the object on a line; empty where there is none. */
    public static RecordLine evaluate(Optional<JsonObject> line) {
        return line.map(RecordLine::evaluate).orElseGet(RecordLine::broken);
    }

    private static RecordLine evaluate(JsonObject line) {
        return new RecordLine(text(line.get("id")), text(line.get("kind")), outcome(line));
    }

    private static Optional<String> text(@Nullable Object value) {
        return value instanceof String s ? Optional.of(s) : Optional.empty();
    }

    private static Outcome<Answer> outcome(JsonObject line) {
        if (!line.has("id")) {
            return Outcome.fault(FaultCode.MISSING, "id");
        }
        if (!(line.get("id") instanceof String)) {
            return Outcome.fault(FaultCode.MALFORMED, "id");
        }
        if (!line.has("kind")) {
            return Outcome.fault(FaultCode.MISSING, "kind");
        }
        Optional<RecordKind> kind = text(line.get("kind")).flatMap(RecordKinds::named);
        if (kind.isEmpty()) {
            return Outcome.fault(FaultCode.UNKNOWN_KIND, "kind");
        }
        if (!line.has("input")) {
            return Outcome.fault(FaultCode.MISSING, "input");
        }
        if (line.get("input") instanceof JsonObject input) {
            return kind.get().evaluate(input);
        }
        return Outcome.fault(FaultCode.MALFORMED, "input");
    }
}
