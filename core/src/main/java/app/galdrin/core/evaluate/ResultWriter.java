package app.galdrin.core.evaluate;

import app.galdrin.core.Fault;
import app.galdrin.core.Outcome;
import app.galdrin.core.record.Answer;
import app.galdrin.core.record.Figures;
import app.galdrin.core.record.JsonLines;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.record.Step;
import app.galdrin.core.uncertainty.Budget;
import java.io.ByteArrayOutputStream;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.ObjectWriteContext;
import tools.jackson.core.StreamWriteFeature;
import tools.jackson.core.exc.StreamWriteException;
import tools.jackson.core.io.SerializedString;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.core.json.JsonWriteFeature;
import tools.jackson.core.util.JsonRecyclerPools;

/** Writes result lines; may be used by several threads. */
final class ResultWriter {

    private static final JsonFactory FACTORY = JsonFactory.builder()
            .enable(StreamWriteFeature.USE_FAST_DOUBLE_WRITER)
            .disable(StreamWriteFeature.AUTO_CLOSE_TARGET)
            .disable(StreamWriteFeature.FLUSH_PASSED_TO_STREAM)
            .recyclerPool(JsonRecyclerPools.threadLocalPool())
            .rootValueSeparator("")
            .build();

    /** For the rare lines with half a surrogate pair in a text: JSON may carry it escaped, UTF-8 can't. */
    private static final JsonFactory ESCAPING =
            FACTORY.rebuild().enable(JsonWriteFeature.ESCAPE_NON_ASCII).build();

    // names that every line has, encoded once
    private static final SerializedString ID = new SerializedString("id");
    private static final SerializedString KIND = new SerializedString("kind");
    private static final SerializedString RESULT = new SerializedString("result");
    private static final SerializedString ERROR = new SerializedString("error");
    private static final SerializedString CODE = new SerializedString("code");
    private static final SerializedString FIELD = new SerializedString("field");
    private static final SerializedString MESSAGE = new SerializedString("message");

    /** Readings named in a budget, the largest first; a sweep may have very many. */
    private static final int NAMED_IN_A_BUDGET = 12;

    /** Names of kinds and figures encoded once; they are declared, and so not many. */
    private final Map<String, SerializedString> names = new ConcurrentHashMap<>();

    private final Function<Fault, String> message;
    private final boolean explain;

    ResultWriter(Function<Fault, String> message, boolean explain) {
        this.message = message;
        this.explain = explain;
    }

    ResultLines write(LineBatch batch) {
        try {
            return write(batch, FACTORY);
        } catch (StreamWriteException e) {
            return write(batch, ESCAPING); // some text in it holds half a surrogate pair
        }
    }

    private ResultLines write(LineBatch batch, JsonFactory factory) {
        var out = new ByteArrayOutputStream(2 * (batch.end() - batch.start()));
        boolean allComputed = true;
        int count = 0;
        try (JsonGenerator json = factory.createGenerator(ObjectWriteContext.empty(), out);
                JsonLines lines = batch.lines()) {
            if (batch.afterTooLong()) {
                lines.skip();
                write(json, RecordLine.broken());
                allComputed = false;
                count++;
            }
            while (lines.hasNext()) {
                RecordLine line = RecordLine.evaluate(lines.next());
                write(json, line);
                allComputed &= line.outcome() instanceof Outcome.Value;
                count++;
            }
        }
        return new ResultLines(out, count, allComputed);
    }

    private void write(JsonGenerator json, RecordLine line) {
        json.writeStartObject();
        text(json, ID, line.id());
        if (line.outcome() instanceof Outcome.Value<Answer> value) {
            json.writeName(KIND);
            json.writeString(encoded(line.kind().orElseThrow()));
            answer(json, value.value());
        } else if (line.outcome() instanceof Outcome.Failed<Answer> failed) {
            text(json, KIND, line.kind());
            error(json, failed.fault());
        }
        json.writeEndObject();
        json.writeRaw('\n');
    }

    private SerializedString encoded(String name) {
        return names.computeIfAbsent(name, SerializedString::new);
    }

    private static void text(JsonGenerator json, SerializedString name, Optional<String> value) {
        json.writeName(name);
        if (value.isPresent()) {
            json.writeString(value.get());
        } else {
            json.writeNull();
        }
    }

    private void error(JsonGenerator json, Fault fault) {
        json.writeName(ERROR);
        json.writeStartObject();
        text(json, CODE, Optional.of(fault.code().key()));
        if (fault.field().isPresent()) {
            text(json, FIELD, fault.field());
        }
        text(json, MESSAGE, Optional.of(message.apply(fault)));
        json.writeEndObject();
    }

    private void answer(JsonGenerator json, Answer answer) {
        Figures figures = answer.figures();
        json.writeName(RESULT);
        json.writeStartObject();
        members(json, figures.values());
        if (figures.wantsDoubt()) {
            json.writeName("u");
            value(json, figures.doubts());
        }
        json.writeEndObject();
        if (explain) {
            json.writeArrayPropertyStart("working");
            answer.working().get().forEach(step -> step(json, step));
            json.writeEndArray();
            if (figures.wantsDoubt()) {
                json.writeObjectPropertyStart("budget");
                budgets(json, "", figures.doubts());
                json.writeEndObject();
            }
        }
    }

    private void members(JsonGenerator json, JsonObject object) {
        for (int i = 0; i < object.size(); i++) {
            json.writeName(encoded(object.name(i)));
            value(json, object.value(i));
        }
    }

    private void value(JsonGenerator json, @Nullable Object value) {
        if (value instanceof Double number) {
            json.writeNumber(number);
        } else if (value instanceof Figures.Doubt doubt) {
            json.writeNumber(doubt.standardUncertainty());
        } else if (value instanceof Boolean flag) {
            json.writeBoolean(flag);
        } else if (value instanceof JsonObject object) {
            json.writeStartObject();
            members(json, object);
            json.writeEndObject();
        } else if (value instanceof List<?> list) {
            json.writeStartArray();
            list.forEach(element -> value(json, element));
            json.writeEndArray();
        } else {
            json.writeString((String) value);
        }
    }

    private static void step(JsonGenerator json, Step step) {
        json.writeStartObject();
        json.writeStringProperty("formula", step.formula());
        json.writeObjectPropertyStart("in");
        step.in().forEach(term -> json.writeNumberProperty(term.name(), term.inRecord()));
        json.writeEndObject();
        json.writeObjectPropertyStart("out");
        json.writeNumberProperty(step.out().name(), step.out().inRecord());
        json.writeEndObject();
        json.writeEndObject();
    }

    /** Every figure's budget under its path, in the figure's unit. */
    private static void budgets(JsonGenerator json, String path, JsonObject doubts) {
        for (int i = 0; i < doubts.size(); i++) {
            String name = path + doubts.name(i);
            if (doubts.value(i) instanceof JsonObject inner) {
                budgets(json, name + ".", inner);
            } else if (doubts.value(i) instanceof Figures.Doubt doubt) {
                json.writeArrayPropertyStart(name);
                doubt.estimate().budget().contributions().stream()
                        .limit(NAMED_IN_A_BUDGET)
                        .forEach(part -> contribution(json, doubt, part));
                json.writeEndArray();
            }
        }
    }

    private static void contribution(JsonGenerator json, Figures.Doubt doubt, Budget.Contribution part) {
        json.writeStartObject();
        json.writeStringProperty("reading", part.source());
        json.writeNumberProperty("part", Math.abs(doubt.field().unit().toRecord(part.part())));
        json.writeNumberProperty("share", part.share());
        json.writeEndObject();
    }
}
