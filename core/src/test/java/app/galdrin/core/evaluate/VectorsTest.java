package app.galdrin.core.evaluate;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.record.JsonLines;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.record.RecordKinds;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The golden cases of the record format, each through the whole way from bytes to bytes. */
class VectorsTest {

    private static final double TOLERANCE = 1e-9;
    private static final double U_TOLERANCE = 1e-4;
    private static final List<String> FILES = Stream.concat(
                    RecordKinds.all().stream().map(kind -> kind.contract().name()), Stream.of("records"))
            .toList();

    record Case(String id, byte[] line, Map<String, @Nullable Object> given, Map<String, @Nullable Object> expected) {
        @Override
        public String toString() {
            return id;
        }
    }

    static Stream<Case> cases() {
        return FILES.stream().flatMap(file -> read(file).lines()).map(VectorsTest::toCase);
    }

    @ParameterizedTest
    @MethodSource("cases")
    void line_givesTheExpectedResult(Case vector) throws IOException {
        var out = new ByteArrayOutputStream();
        byte[] input =
                (new String(vector.line(), StandardCharsets.ISO_8859_1) + "\n").getBytes(StandardCharsets.ISO_8859_1);
        boolean allComputed = RecordStream.of(fault -> fault.code().key()).run(new ByteArrayInputStream(input), out);
        var result = parse(out.toByteArray());
        assertEquals(vector.expected().containsKey("result"), allComputed);
        for (String name : List.of("id", "kind")) {
            var wanted = vector.expected().containsKey(name) ? vector.expected() : vector.given();
            assertEquals(wanted.get(name), result.get(name), name);
        }
        if (vector.expected().get("error") instanceof Map<?, ?> wanted) {
            var error = assertInstanceOf(Map.class, result.get("error"));
            assertEquals(wanted.get("code"), error.get("code"));
            assertEquals(wanted.get("field"), error.get("field"));
            assertFalse(((String) Objects.requireNonNull(error.get("message"))).isEmpty());
            assertFalse(result.containsKey("result"));
        } else {
            same(vector.expected().get("result"), result.get("result"), "result", false);
        }
    }

    private static void same(@Nullable Object wanted, @Nullable Object got, String path, boolean inU) {
        if (wanted instanceof Double number) {
            double value = assertInstanceOf(Double.class, got, path);
            double off = Math.abs(number - value);
            double relative = inU ? U_TOLERANCE : TOLERANCE;
            assertTrue(
                    off <= TOLERANCE || off <= relative * Math.abs(number), path + ": " + number + " but was " + value);
        } else if (wanted instanceof Map<?, ?> map) {
            var gotMap = assertInstanceOf(Map.class, got, path);
            assertEquals(map.keySet(), gotMap.keySet(), path);
            map.forEach((name, value) -> same(value, gotMap.get(name), path + "." + name, inU || "u".equals(name)));
        } else if (wanted instanceof List<?> list) {
            var gotList = assertInstanceOf(List.class, got, path);
            assertEquals(list.size(), gotList.size(), path);
            for (int i = 0; i < list.size(); i++) {
                same(list.get(i), gotList.get(i), path + "." + i, inU);
            }
        } else {
            assertEquals(wanted, got, path);
        }
    }

    @SuppressWarnings("unchecked") // objects of the vectors have text keys
    private static Case toCase(String json) {
        var vector = parse(json.getBytes(StandardCharsets.UTF_8));
        var expected = (Map<String, @Nullable Object>) Objects.requireNonNull(vector.get("expect"));
        return new Case((String) Objects.requireNonNull(vector.get("id")), line(vector, json), vector, expected);
    }

    private static byte[] line(Map<String, @Nullable Object> vector, String json) {
        if (vector.get("raw") instanceof String raw) {
            return raw.getBytes(StandardCharsets.UTF_8);
        }
        if (vector.get("rawBase64") instanceof String raw) {
            return Base64.getDecoder().decode(raw);
        }
        if (vector.get("build") instanceof Map<?, ?> build) {
            int times = ((Double) Objects.requireNonNull(build.get("times"))).intValue();
            String text =
                    build.get("head") + String.valueOf(build.get("repeat")).repeat(times) + build.get("tail");
            return text.getBytes(StandardCharsets.UTF_8);
        }
        return json.getBytes(StandardCharsets.UTF_8); // names beside id, kind and input are left alone
    }

    private static Map<String, @Nullable Object> parse(byte[] json) {
        return asMap(JsonLines.object(json).orElseThrow());
    }

    private static Map<String, @Nullable Object> asMap(JsonObject object) {
        Map<String, @Nullable Object> map = new LinkedHashMap<>();
        for (int i = 0; i < object.size(); i++) {
            map.put(object.name(i), plain(object.value(i)));
        }
        return map;
    }

    private static @Nullable Object plain(@Nullable Object value) {
        if (value instanceof JsonObject inner) {
            return asMap(inner);
        }
        return value instanceof List<?> list
                ? list.stream().map(VectorsTest::plain).toList()
                : value;
    }

    private static String read(String file) {
        try (InputStream in =
                Objects.requireNonNull(VectorsTest.class.getResourceAsStream("/vectors/" + file + ".ndjson"), file)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new IllegalStateException(file, e);
        }
    }
}
