package app.galdrin.core.marking.written;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.marking.References;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.sitting.Answers;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Entries of one person on a sheet, and its references.
 *
 * @param id as given
 */
record SittingDocument(String id, Answers wrote, References references) {

    private static final String ID = "id";
    private static final String WROTE = "wrote";
    private static final String MINUTES = "minutes";
    private static final String AS_FOUND = "asFound";
    private static final String AS_LEFT = "asLeft";
    private static final String AS_LEFT_AGAIN = "asLeftAgain";
    private static final List<String> NAMES = List.of(ID, WROTE, MINUTES, AS_FOUND, AS_LEFT, AS_LEFT_AGAIN);

    /** Longest work on one sheet, a day. */
    private static final double MOST_MINUTES = 1440;

    /** Reads a sitting for a sheet; texts are what a person typed on the line. The first fault is told, named by its path. */
    static Outcome<SittingDocument> read(JsonObject json, NamedLines sheet) {
        if (!(json.get(ID) instanceof String id)) {
            return json.has(ID) ? malformed(json, ID) : Outcome.fault(FaultCode.MISSING, ID);
        }
        for (int i = 0; i < json.size(); i++) {
            if (!NAMES.contains(json.name(i))) {
                return Outcome.fault(FaultCode.UNKNOWN_FIELD, json.name(i));
            }
        }
        if (!json.has(WROTE)) {
            return Outcome.fault(FaultCode.MISSING, WROTE);
        }
        return answers(json, WROTE, sheet)
                .flatMap(wrote -> minutes(json).map(wrote::in))
                .flatMap(wrote -> answers(json, AS_FOUND, sheet)
                        .flatMap(found -> answers(json, AS_LEFT, sheet)
                                .flatMap(left -> answers(json, AS_LEFT_AGAIN, sheet)
                                        .map(again ->
                                                new SittingDocument(id, wrote, new References(found, left, again))))));
    }

    private static Outcome<OptionalDouble> minutes(JsonObject json) {
        if (!json.has(MINUTES)) {
            return Outcome.of(OptionalDouble.empty());
        }
        if (!(json.get(MINUTES) instanceof Double minutes)) {
            return malformed(json, MINUTES);
        }
        return minutes >= 0 && minutes <= MOST_MINUTES
                ? Outcome.of(OptionalDouble.of(minutes))
                : Outcome.fault(Fault.at(FaultCode.OUT_OF_RANGE, MINUTES).reading(minutes));
    }

    private static <T> Outcome<T> malformed(JsonObject json, String name) {
        return Outcome.fault(Fault.at(FaultCode.MALFORMED, name).reading(json.get(name)));
    }

    private static Outcome<Answers> answers(JsonObject json, String name, NamedLines sheet) {
        if (!json.has(name)) {
            return Outcome.of(Answers.none());
        }
        if (!(json.get(name) instanceof JsonObject lines)) {
            return malformed(json, name);
        }
        return name.equals(AS_FOUND) ? sheet.reference(lines, name) : sheet.answers(lines, name);
    }
}
