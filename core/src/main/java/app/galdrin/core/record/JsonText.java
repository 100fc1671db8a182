package app.galdrin.core.record;

import java.nio.ByteBuffer;
import java.nio.CharBuffer;
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
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.TokenStreamFactory;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.core.util.JsonRecyclerPools;

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
            .recyclerPool(JsonRecyclerPools.threadLocalPool())
            .enable(TokenStreamFactory.Feature.INTERN_PROPERTY_NAMES)
            .enable(StreamReadFeature.USE_FAST_DOUBLE_PARSER)
            .build();

    /** Longest number left to the library: it makes big integers and decimals of those that fit nothing smaller. */
    private static final int LONGEST_PLAIN_NUMBER = 18;

    private JsonText() {}

    /** The object on the line; empty where the line is no JSON object. */
    public static Optional<JsonObject> object(byte[] line, int offset, int length) {
        return decode(line, offset, length).flatMap(text -> {
            int from = text.arrayOffset() + text.position();
            return object(FACTORY.createParser(ObjectReadContext.empty(), text.array(), from, text.remaining()));
        });
    }

    /** Most lines are ASCII, which is widened here and now; the others are decoded strictly. */
    private static Optional<CharBuffer> decode(byte[] line, int offset, int length) {
        char[] text = new char[length];
        for (int i = 0; i < length; i++) {
            byte b = line[offset + i];
            if (b < 0) {
                return decodeStrictly(line, offset, length);
            }
            text[i] = (char) b;
        }
        return Optional.of(CharBuffer.wrap(text));
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

    private static Optional<CharBuffer> decodeStrictly(byte[] line, int offset, int length) {
        try {
            return Optional.of(StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(line, offset, length)));
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
            case VALUE_NUMBER_INT, VALUE_NUMBER_FLOAT -> number(parser, token);
            case VALUE_TRUE -> Boolean.TRUE;
            case VALUE_FALSE -> Boolean.FALSE;
            default -> null;
        };
    }

    private static Double number(JsonParser parser, JsonToken token) {
        if (parser.getStringLength() > LONGEST_PLAIN_NUMBER) {
            return Double.parseDouble(parser.getString());
        }
        return token == JsonToken.VALUE_NUMBER_INT ? (double) parser.getLongValue() : parser.getDoubleValue();
    }

    private static List<@Nullable Object> list(JsonParser parser) {
        List<@Nullable Object> list = new ArrayList<>();
        for (JsonToken token = parser.nextToken(); token != JsonToken.END_ARRAY; token = parser.nextToken()) {
            list.add(value(parser, token));
        }
        return list;
    }
}
