package app.galdrin.core.evaluate;

import app.galdrin.core.Fault;
import app.galdrin.core.Outcome;
import app.galdrin.core.record.Figures;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
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
                || (line.outcome() instanceof Outcome.Failed<Figures> f
                        && halfPair(f.fault().field()));
        try (JsonGenerator json = (escape ? ESCAPING : FACTORY).createGenerator(ObjectWriteContext.empty(), out)) {
            json.writeStartObject();
            text(json, "id", line.id());
            text(json, "kind", line.kind());
            if (line.outcome() instanceof Outcome.Value<Figures> value) {
                json.writeName("result");
                object(json, value.value().asMap());
            } else if (line.outcome() instanceof Outcome.Failed<Figures> failed) {
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

    private static void object(JsonGenerator json, Map<?, ?> figures) {
        json.writeStartObject();
        figures.forEach((name, value) -> {
            json.writeName((String) name);
            value(json, value);
        });
        json.writeEndObject();
    }

    private static void value(JsonGenerator json, Object value) {
        if (value instanceof Double number) {
            json.writeNumber(number);
        } else if (value instanceof Boolean flag) {
            json.writeBoolean(flag);
        } else if (value instanceof Map<?, ?> map) {
            object(json, map);
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
