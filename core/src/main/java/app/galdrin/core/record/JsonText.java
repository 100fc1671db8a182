package app.galdrin.core.record;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.ObjectReadContext;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.json.JsonFactory;

/**
 * Reads one line of JSON into {@link JsonObject}, lists, texts, doubles and booleans. Stricter than the library by itself: the bytes
 * must be UTF-8 (no guessing of other encodings), and nothing may follow the value.
 */
public final class JsonText {

    /** Longest line, in bytes without the line end. */
    public static final int LONGEST_LINE = 4 * 1024 * 1024;

    private static final int DEEPEST = 64;

    private static final JsonFactory FACTORY = JsonFactory.builder()
            .streamReadConstraints(StreamReadConstraints.builder()
                    .maxNestingDepth(DEEPEST)
                    .maxNumberLength(LONGEST_LINE)
                    .maxStringLength(LONGEST_LINE)
                    .maxNameLength(LONGEST_LINE)
                    .maxDocumentLength(LONGEST_LINE)
                    .build())
            .build();

    private JsonText() {}

    /** The object on the line; empty where the line is no JSON object. */
    public static Optional<JsonObject> object(byte[] line, int offset, int length) {
        if (plain(line, offset, length)) {
            return object(FACTORY.createParser(ObjectReadContext.empty(), line, offset, length));
        }
        return decodeStrictly(line, offset, length)
                .flatMap(text -> object(FACTORY.createParser(ObjectReadContext.empty(), text)));
    }

    private static Optional<JsonObject> object(JsonParser newParser) {
        try (JsonParser parser = newParser) {
            if (parser.nextToken() != JsonToken.START_OBJECT) {
                return Optional.empty();
            }
            JsonObject object = members(parser);
            return parser.nextToken() == null ? Optional.of(object) : Optional.empty();
        } catch (JacksonException e) {
            return Optional.empty(); // the format has one answer for every kind of broken line
        }
    }

    /** Whether the library can be given the bytes: it takes zero bytes for another encoding and is lenient about UTF-8. */
    private static boolean plain(byte[] line, int offset, int length) {
        for (int i = offset; i < offset + length; i++) {
            if (line[i] <= 0) {
                return false;
            }
        }
        return true;
    }

    private static Optional<String> decodeStrictly(byte[] line, int offset, int length) {
        try {
            return Optional.of(StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(line, offset, length))
                    .toString());
        } catch (CharacterCodingException e) {
            return Optional.empty();
        }
    }

    private static JsonObject members(JsonParser parser) {
        JsonObject object = new JsonObject();
        for (String name = parser.nextName(); name != null; name = parser.nextName()) {
            object.add(name, value(parser, parser.nextToken()));
        }
        return object;
    }

    private static @Nullable Object value(JsonParser parser, JsonToken token) {
        return switch (token) {
            case START_OBJECT -> members(parser);
            case START_ARRAY -> list(parser);
            case VALUE_STRING -> parser.getString();
            // the text, not the library's own number: whole figures of thousands of digits would become big integers
            case VALUE_NUMBER_INT, VALUE_NUMBER_FLOAT -> Double.parseDouble(parser.getString());
            case VALUE_TRUE -> Boolean.TRUE;
            case VALUE_FALSE -> Boolean.FALSE;
            default -> null;
        };
    }

    private static List<@Nullable Object> list(JsonParser parser) {
        List<@Nullable Object> list = new ArrayList<>();
        for (JsonToken token = parser.nextToken(); token != JsonToken.END_ARRAY; token = parser.nextToken()) {
            list.add(value(parser, token));
        }
        return list;
    }
}
