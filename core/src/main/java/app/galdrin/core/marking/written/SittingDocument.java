package app.galdrin.core.marking.written;

import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.answer.LineText;
import app.galdrin.core.marking.References;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.sitting.Written;
import app.galdrin.core.task.Assignment;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * What one person wrote on a sheet, and the references of it.
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

    /** Nobody works on one sheet for longer than a day. */
    private static final double MOST_MINUTES = 1440;

    /** Reads a sitting for a sheet; texts are what a person typed on the line. The first fault is told, named by its path. */
    static Outcome<SittingDocument> read(JsonObject json, Map<String, SheetLine> sheet) {
        if (!(json.get(ID) instanceof String id)) {
            return Outcome.fault(json.has(ID) ? FaultCode.MALFORMED : FaultCode.MISSING, ID);
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
                .flatMap(wrote -> minutes(json).map(m -> new Answers(wrote.standing(), m)))
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
            return Outcome.fault(FaultCode.MALFORMED, MINUTES);
        }
        return minutes >= 0 && minutes <= MOST_MINUTES
                ? Outcome.of(OptionalDouble.of(minutes))
                : Outcome.fault(FaultCode.OUT_OF_RANGE, MINUTES);
    }

    private static Outcome<Answers> answers(JsonObject json, String name, Map<String, SheetLine> sheet) {
        if (!json.has(name)) {
            return Outcome.of(Answers.none());
        }
        if (!(json.get(name) instanceof JsonObject lines)) {
            return Outcome.fault(FaultCode.MALFORMED, name);
        }
        Map<LineKey, Written> standing = new HashMap<>(2 * lines.size());
        for (int i = 0; i < lines.size(); i++) {
            SheetLine line = sheet.get(lines.name(i));
            if (line == null) {
                return Outcome.fault(FaultCode.UNKNOWN_FIELD, name + "." + lines.name(i));
            }
            if (!(lines.value(i) instanceof String text)) {
                return Outcome.fault(FaultCode.MALFORMED, name + "." + lines.name(i));
            }
            LineText read = LineText.read(text, line.answer());
            if (!(read instanceof LineText.Understood understood)) {
                return Outcome.fault(code((LineText.Refused) read), name + "." + lines.name(i));
            }
            standing.put(line.key(), new Written(understood.written(), understood.value(), understood.step()));
        }
        return Outcome.of(new Answers(standing));
    }

    /** A line of the sheet by its name in documents. */
    record SheetLine(LineKey key, AnswerType answer) {
        /** All that a sheet has, in every repeat and round. */
        static Map<String, SheetLine> all(Assignment assignment) {
            var sheet = new Sheet(assignment);
            Map<String, SheetLine> lines = new HashMap<>();
            assignment
                    .practical()
                    .allSteps()
                    .forEach(step -> sheet.roundsOf(step)
                            .forEach(round -> sheet.keys(step, round)
                                    .forEach(key -> sheet.line(key)
                                            .ifPresent(
                                                    line -> lines.put(key.key(), new SheetLine(key, line.answer()))))));
            return lines;
        }
    }

    /** A figure that can't be real is out of its range; anything else can't be read. */
    private static FaultCode code(LineText.Refused refused) {
        return switch (refused.reason()) {
            case TOO_LARGE, TOO_SMALL, TOO_GREAT, NEGATIVE -> FaultCode.OUT_OF_RANGE;
            default -> FaultCode.MALFORMED;
        };
    }
}
