package app.galdrin.core.evaluate;

import app.galdrin.core.Fault;
import app.galdrin.core.Outcome;
import app.galdrin.core.record.Answer;
import app.galdrin.core.record.Figures;
import app.galdrin.core.record.JsonObject;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.ObjectWriteContext;
import tools.jackson.core.StreamWriteFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.core.json.JsonWriteFeature;

/** Writes result lines. */
final class ResultWriter {

    private static final JsonFactory FACTORY = JsonFactory.builder()
            .enable(StreamWriteFeature.USE_FAST_DOUBLE_WRITER)
            .disable(StreamWriteFeature.AUTO_CLOSE_TARGET)
            .disable(StreamWriteFeature.FLUSH_PASSED_TO_STREAM)
            .build();

    /** For the rare line with half a surrogate pair in a text: JSON may carry it escaped, UTF-8 can't. */
    private static final JsonFactory ESCAPING =
            FACTORY.rebuild().enable(JsonWriteFeature.ESCAPE_NON_ASCII).build();

    private final OutputStream out;
    private final Function<Fault, String> message;

    ResultWriter(OutputStream out, Function<Fault, String> message) {
        this.out = new BufferedOutputStream(out, 1 << 16);
        this.message = message;
    }

    void write(RecordLine line) throws IOException {
        boolean escape = halfPair(line.id())
                || halfPair(line.kind())
                || (line.outcome() instanceof Outcome.Failed<Answer> f
                        && halfPair(f.fault().field()));
        try (JsonGenerator json = (escape ? ESCAPING : FACTORY).createGenerator(ObjectWriteContext.empty(), out)) {
            json.writeStartObject();
            text(json, "id", line.id());
            text(json, "kind", line.kind());
            if (line.outcome() instanceof Outcome.Value<Answer> value) {
                json.writeName("result");
                result(json, value.value().figures());
            } else if (line.outcome() instanceof Outcome.Failed<Answer> failed) {
                json.writeName("error");
                error(json, failed.fault());
            }
            json.writeEndObject();
        }
        out.write('\n');
    }

    void flush() throws IOException {
        out.flush();
    }

    private void error(JsonGenerator json, Fault fault) {
        json.writeStartObject();
        json.writeStringProperty("code", fault.code().key());
        fault.field().ifPresent(field -> json.writeStringProperty("field", field));
        json.writeStringProperty("message", message.apply(fault));
        json.writeEndObject();
    }

    private static void text(JsonGenerator json, String name, Optional<String> value) {
        if (value.isPresent()) {
            json.writeStringProperty(name, value.get());
        } else {
            json.writeNullProperty(name);
        }
    }

    private static void result(JsonGenerator json, Figures figures) {
        json.writeStartObject();
        members(json, figures.values());
        if (figures.wantsDoubt()) {
            json.writeName("u");
            value(json, figures.doubts());
        }
        json.writeEndObject();
    }

    private static void members(JsonGenerator json, JsonObject object) {
        for (int i = 0; i < object.size(); i++) {
            json.writeName(object.name(i));
            value(json, object.value(i));
        }
    }

    private static void value(JsonGenerator json, @Nullable Object value) {
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

    private static boolean halfPair(Optional<String> text) {
        if (text.isEmpty()) {
            return false;
        }
        String s = text.get();
        for (int i = 0; i < s.length(); i++) {
            if (Character.isHighSurrogate(s.charAt(i))
                    && i + 1 < s.length()
                    && Character.isLowSurrogate(s.charAt(i + 1))) {
                i++;
            } else if (Character.isSurrogate(s.charAt(i))) {
                return true;
            }
        }
        return false;
    }
}
