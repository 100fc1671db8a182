package app.galdrin.core.evaluate;

import app.galdrin.core.Fault;
import app.galdrin.core.Outcome;
import app.galdrin.core.record.Answer;
import app.galdrin.core.record.Figures;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.uncertainty.Budget;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.io.SerializedString;

/** Writes result lines. */
final class ResultWriter implements LineWriter {

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

    @Override
    public boolean write(JsonGenerator json, Optional<JsonObject> object) {
        RecordLine line = RecordLine.evaluate(object);
        json.writeStartObject();
        text(json, ID, line.id());
        if (line.outcome() instanceof Outcome.Value<Answer> value) {
            json.writeName(KIND);
            json.writeString(encoded(line.kind().orElseThrow()));
            answer(json, value.value());
        } else if (line.outcome() instanceof Outcome.Failure<Answer> failed) {
            text(json, KIND, line.kind());
            error(json, failed.fault());
        }
        json.writeEndObject();
        return line.outcome() instanceof Outcome.Value;
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
            answer.working().get().forEach(step -> step.write(json));
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
        json.writeStringProperty("reading", part.source().name());
        json.writeNumberProperty("part", Math.abs(doubt.field().unit().toRecord(part.part())));
        json.writeNumberProperty("share", part.share());
        json.writeEndObject();
    }
}
