package app.galdrin.core.evaluate;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.Outcome.Failure;
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

    private static final String ID = "id";
    private static final String KIND = "kind";
    private static final String INPUT = "input";

    /** Returns what comes back for a line that is no record. */
    private static RecordLine broken() {
        return new RecordLine(Optional.empty(), Optional.empty(), new Failure<>(Fault.ofLine()));
    }

    /** Works the object on a line; empty where there is none. */
    public static RecordLine evaluate(Optional<JsonObject> line) {
        return line.map(RecordLine::evaluate).orElseGet(RecordLine::broken);
    }

    private static RecordLine evaluate(JsonObject line) {
        Object id = line.get(ID);
        Object kind = line.get(KIND);
        return new RecordLine(text(id), text(kind), outcome(line, id, kind));
    }

    private static Optional<String> text(@Nullable Object value) {
        return value instanceof String s ? Optional.of(s) : Optional.empty();
    }

    private static Outcome<Answer> outcome(JsonObject line, @Nullable Object id, @Nullable Object kind) {
        if (!(id instanceof String)) {
            return Outcome.fault(line.has(ID) ? FaultCode.MALFORMED : FaultCode.MISSING, ID);
        }
        if (kind == null && !line.has(KIND)) {
            return Outcome.fault(FaultCode.MISSING, KIND);
        }
        Optional<RecordKind> known = kind instanceof String name ? RecordKinds.named(name) : Optional.empty();
        if (known.isEmpty()) {
            return Outcome.fault(FaultCode.UNKNOWN_KIND, KIND);
        }
        if (line.get(INPUT) instanceof JsonObject input) {
            return known.get().evaluate(input);
        }
        return Outcome.fault(line.has(INPUT) ? FaultCode.MALFORMED : FaultCode.MISSING, INPUT);
    }
}
