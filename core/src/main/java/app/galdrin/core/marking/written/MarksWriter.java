package app.galdrin.core.marking.written;

import app.galdrin.core.Fault;
import app.galdrin.core.Outcome;
import app.galdrin.core.Outcome.Failure;
import app.galdrin.core.evaluate.LineWriter;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.KnownReferences;
import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.Marker;
import app.galdrin.core.marking.WorkingEvidence;
import app.galdrin.core.marking.WorkingSteps;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.record.Step;
import app.galdrin.core.task.Assignment;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import tools.jackson.core.JsonGenerator;

/** Sittings of one task in, their mark sheets out: what the marking desk shows, by the same engine. */
public final class MarksWriter implements LineWriter {

    private final Assignment assignment;
    private final KnownReferences known;
    private final NamedLines sheet;
    private final Function<Fault, String> message;
    private final boolean explain;

    /**
     * Creates a writer for the sheets of one assignment.
     *
     * @param message words for a fault; called from several threads
     * @param explain whether each worked figure comes with the steps of its working, a list a repeat
     */
    public MarksWriter(Assignment assignment, Function<Fault, String> message, boolean explain) {
        this.assignment = assignment;
        this.known = new KnownReferences(assignment);
        this.sheet = new NamedLines(assignment);
        this.message = message;
        this.explain = explain;
    }

    @Override
    public boolean write(JsonGenerator json, Optional<JsonObject> line) {
        Outcome<SittingDocument> read =
                line.map(object -> SittingDocument.read(object, sheet)).orElseGet(() -> new Failure<>(Fault.ofLine()));
        json.writeStartObject();
        line.map(object -> object.get("id"))
                .filter(String.class::isInstance)
                .ifPresentOrElse(id -> json.writeStringProperty("id", (String) id), () -> json.writeNullProperty("id"));
        if (read instanceof Outcome.Value<SittingDocument> value) {
            marks(json, value.value());
        } else {
            error(json, ((Failure<SittingDocument>) read).fault());
        }
        json.writeEndObject();
        return read instanceof Outcome.Value;
    }

    private void error(JsonGenerator json, Fault fault) {
        json.writeObjectPropertyStart("error");
        json.writeStringProperty("code", fault.code().key());
        fault.field().ifPresent(field -> json.writeStringProperty("field", field));
        json.writeStringProperty("message", message.apply(fault));
        json.writeEndObject();
    }

    private void marks(JsonGenerator json, SittingDocument sitting) {
        MarkSheet marks = Marker.mark(known, sitting.wrote(), sitting.references());
        json.writeStringProperty("engine", Marker.ENGINE);
        json.writeNumberProperty("marks", marks.total());
        json.writeNumberProperty("available", marks.available());
        json.writeNumberProperty("percent", marks.percent());
        marks.grade(assignment.practical().scheme().grades())
                .ifPresent(grade -> json.writeStringProperty("grade", grade.name()));
        json.writeBooleanProperty("competent", marks.competent());
        json.writeBooleanProperty("complete", marks.complete());
        var steps = new WorkingSteps(assignment, sitting.wrote());
        json.writeArrayPropertyStart("lines");
        var writer = new EvidenceWriter(json);
        marks.lines().forEach(line -> line(json, writer, line, steps));
        json.writeEndArray();
    }

    private void line(JsonGenerator json, EvidenceWriter writer, MarkLine line, WorkingSteps steps) {
        json.writeStartObject();
        json.writeStringProperty("step", line.criterion().step());
        json.writeStringProperty("aspect", line.criterion().aspect().key());
        json.writeNumberProperty("marks", line.marks());
        json.writeNumberProperty("available", line.available());
        json.writeBooleanProperty("mustPass", line.mustPass());
        writer.number("credit", line.credit());
        json.writeStringProperty("status", line.status().key());
        json.writeBooleanProperty("met", line.met());
        json.writeArrayPropertyStart("evidence");
        for (Evidence evidence : line.evidence()) {
            json.writeStartObject();
            writer.members(evidence);
            if (explain && evidence instanceof WorkingEvidence working) {
                steps(json, steps.to(working));
            }
            json.writeEndObject();
        }
        json.writeEndArray();
        json.writeEndObject();
    }

    private static void steps(JsonGenerator json, List<List<Step>> repeats) {
        json.writeArrayPropertyStart("steps");
        for (List<Step> steps : repeats) {
            json.writeStartArray();
            steps.forEach(step -> step.write(json));
            json.writeEndArray();
        }
        json.writeEndArray();
    }
}
