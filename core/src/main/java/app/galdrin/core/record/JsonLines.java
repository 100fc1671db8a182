package app.galdrin.core.record;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
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
 * Reads lines of JSON into {@link JsonObject}, lists, texts, doubles and booleans, one after another. Stricter than the library by
 * itself: the bytes must be UTF-8 (no guessing of other encodings), and an object must stand alone on its line.
 *
 * <p>One parser reads all lines, since making one costs a good part of reading a record. A line is put before it only when it is
 * asked for: what follows is still nothing but NUL, which no JSON may hold, and so an object left open can't take the next line in.
 */
public final class JsonLines implements AutoCloseable {

    /** Longest line, in bytes without the line end. */
    public static final int LONGEST_LINE = 4 * 1024 * 1024;

    private static final int DEEPEST = 64;

    private static final char REPLACEMENT = '\uFFFD';

    private static final JsonFactory FACTORY = JsonFactory.builder()
            .streamReadConstraints(StreamReadConstraints.builder()
                    .maxNestingDepth(DEEPEST)
                    .maxNumberLength(LONGEST_LINE)
                    .maxStringLength(LONGEST_LINE)
                    .maxNameLength(LONGEST_LINE)
                    .build())
            .recyclerPool(JsonRecyclerPools.threadLocalPool())
            .enable(TokenStreamFactory.Feature.INTERN_PROPERTY_NAMES)
            .enable(StreamReadFeature.USE_FAST_DOUBLE_PARSER)
            .build();

    /** Longest number left to the library: it makes big integers and decimals of those that fit nothing smaller. */
    private static final int LONGEST_PLAIN_NUMBER = 18;

    private final byte[] bytes;
    private final int end;
    /** The bytes from the first line to the last one asked for, as characters; each line begins where its bytes do. */
    private final char[] text;

    private final int offset;

    /** The first byte that was not asked for. */
    private int next;

    /** Stands where the last object ended; null where the next line needs a new one. */
    private @Nullable JsonParser parser;

    /** The position at which the parser's text begins; it counts from there. */
    private int parserStart;

    /** The lines from {@code start} (inclusive) to {@code end} (exclusive); the last one may go without its end. */
    public JsonLines(byte[] bytes, int start, int end) {
        this.bytes = bytes;
        this.end = end;
        offset = start;
        next = start;
        text = new char[end - start];
    }

    /** One line. */
    public static Optional<JsonObject> object(byte[] line) {
        try (var lines = new JsonLines(line, 0, line.length)) {
            return lines.next();
        }
    }

    public boolean hasNext() {
        return next < end;
    }

    /** Reads past a line. */
    public void skip() {
        widen();
        restart();
    }

    /** The object on the next line; empty where the line is no JSON object. */
    public Optional<JsonObject> next() {
        int from = next - offset;
        boolean ascii = widen();
        int to = next - offset;
        if (length(from, to) <= LONGEST_LINE && (ascii || decode(from, to))) {
            JsonObject object = object(from, to);
            if (object != null) {
                return Optional.of(object);
            }
        }
        restart();
        return Optional.empty();
    }

    /** Widens the bytes of a line. Most lines are ASCII: one pass finds a line's end and sees whether widening was enough. */
    private boolean widen() {
        byte[] from = bytes;
        char[] to = text;
        int shift = offset;
        int last = end;
        int seen = 0;
        int i = next;
        while (i < last) {
            byte b = from[i];
            to[i - shift] = (char) b;
            i++;
            seen |= b;
            if (b == '\n') {
                break;
            }
        }
        next = i;
        return seen >= 0;
    }

    /** Returns the length without the line end. */
    private int length(int from, int to) {
        int length = to - from;
        if (length > 0 && text[from + length - 1] == '\n') {
            length--;
            if (length > 0 && text[from + length - 1] == '\r') {
                length--;
            }
        }
        return length;
    }

    /** Decodes a line strictly; it has no more characters than bytes, and spaces fill the rest. */
    private boolean decode(int from, int to) {
        String decoded = new String(bytes, offset + from, to - from, StandardCharsets.UTF_8);
        if (decoded.indexOf(REPLACEMENT) >= 0 && !isUtf8(from, to)) {
            return false;
        }
        decoded.getChars(0, decoded.length(), text, from);
        Arrays.fill(text, from + decoded.length(), to, ' ');
        return true;
    }

    /** Text decodes faster than a decoder does, but puts its replacement character where the decoder would refuse. */
    private boolean isUtf8(int from, int to) {
        try {
            StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes, offset + from, to - from));
            return true;
        } catch (CharacterCodingException e) {
            return false;
        }
    }

    private @Nullable JsonObject object(int from, int to) {
        if (parser == null) {
            parserStart = from;
            parser = FACTORY.createParser(ObjectReadContext.empty(), text, from, text.length - from);
        }
        try {
            if (parser.nextToken() != JsonToken.START_OBJECT) {
                return null;
            }
            JsonObject object = members(parser);
            int behind = parserStart + (int) parser.currentLocation().getCharOffset();
            return isBlank(behind, to) ? object : null;
        } catch (JacksonException e) {
            return null; // the format has one answer for every kind of broken line
        }
    }

    private boolean isBlank(int from, int to) {
        for (int i = from; i < to; i++) {
            if (text[i] != ' ' && text[i] != '\n' && text[i] != '\r' && text[i] != '\t') {
                return false;
            }
        }
        return true;
    }

    /** Starts a new parser: after a broken line the old one stands somewhere in it. */
    private void restart() {
        close();
        parser = null;
    }

    @Override
    public void close() {
        if (parser != null) {
            parser.close();
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
