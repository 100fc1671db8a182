package app.galdrin.core.record;

import app.galdrin.core.Outcome;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.BiFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Records for tests: the golden cases, changed and worked. Paths are those of the format: {@code wheels.fl.frontGap}. */
public final class Records {

    private Records() {}

    /** A record as its line has it. */
    public record Given(String id, RecordKind kind, JsonObject input) {
        @Override
        public String toString() {
            return id;
        }

        public Optional<Figures> figures() {
            return kind.evaluate(input) instanceof Outcome.Value<Answer> value
                    ? Optional.of(value.value().figures())
                    : Optional.empty();
        }

        public Given with(Map<String, Double> changes) {
            return new Given(id, kind, replaced(input, changes));
        }

        public Given mapped(BiFunction<String, Object, Object> change) {
            return new Given(id, kind, (JsonObject) map("", input, change));
        }
    }

    public static JsonObject parse(String json) {
        return JsonLines.object(json.getBytes(StandardCharsets.UTF_8)).orElseThrow();
    }

    public static Given given(String kind, String input) {
        return new Given(input, RecordKinds.named(kind).orElseThrow(), parse(input));
    }

    /** The lines of a file of golden cases. */
    public static Stream<String> lines(String file) {
        try (InputStream in =
                Objects.requireNonNull(Records.class.getResourceAsStream("/vectors/" + file + ".ndjson"))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8).lines();
        } catch (IOException e) {
            throw new IllegalStateException(file, e);
        }
    }

    /** The golden cases of every kind that give a result. */
    public static Stream<Given> worked() {
        return RecordKinds.all().stream()
                .flatMap(kind -> lines(kind.contract().name())
                        .map(Records::parse)
                        .filter(line -> ((JsonObject) line.get("expect")).has("result"))
                        .map(line -> new Given((String) line.get("id"), kind, (JsonObject) line.get("input"))));
    }

    /** Every value of an object by its path, elements of lists too. */
    public static Map<String, Object> flat(JsonObject object) {
        Map<String, Object> flat = new TreeMap<>();
        map("", object, (path, value) -> {
            flat.put(path, value);
            return value;
        });
        return flat;
    }

    /** An object of values by path, or the list of them where paths begin with numbers. */
    static Object nested(Map<String, Object> flat) {
        Map<String, Map<String, Object>> inner = new TreeMap<>();
        var object = new JsonObject();
        flat.forEach((path, value) -> {
            int dot = path.indexOf('.');
            if (dot < 0) {
                object.add(path, value);
            } else {
                inner.computeIfAbsent(path.substring(0, dot), head -> new TreeMap<>())
                        .put(path.substring(dot + 1), value);
            }
        });
        inner.forEach((head, values) -> object.add(head, nested(values)));
        boolean list = inner.keySet().stream().anyMatch(head -> Character.isDigit(head.charAt(0)));
        return list
                ? IntStream.rangeClosed(0, Integer.parseInt(object.name(object.size() - 1)))
                        .mapToObj(i -> Objects.requireNonNullElseGet(object.get(String.valueOf(i)), JsonObject::new))
                        .toList()
                : object;
    }

    private static Object map(String path, Object value, BiFunction<String, Object, Object> change) {
        String head = path.isEmpty() ? "" : path + ".";
        if (value instanceof JsonObject object) {
            var copy = new JsonObject();
            for (int i = 0; i < object.size(); i++) {
                copy.add(object.name(i), map(head + object.name(i), object.value(i), change));
            }
            return copy;
        }
        if (value instanceof List<?> list) {
            List<Object> copy = new ArrayList<>();
            for (int i = 0; i < list.size(); i++) {
                copy.add(map(head + i, list.get(i), change));
            }
            return copy;
        }
        return change.apply(path, value);
    }

    private static JsonObject replaced(JsonObject object, Map<String, Double> changes) {
        Set<String> found = new HashSet<>();
        var copy = (JsonObject) map("", object, (path, old) -> {
            Double changed = changes.get(path);
            found.add(path);
            return changed == null ? old : changed;
        });
        changes.forEach((path, value) -> {
            if (!found.contains(path)) {
                copy.add(path, value); // a field left at its default
            }
        });
        return copy;
    }

    /** The field a path leads to. */
    public static Field field(Shape shape, String path) {
        int dot = path.indexOf('.');
        Field field = shape.field(dot < 0 ? path : path.substring(0, dot)).orElseThrow();
        if (dot < 0) {
            return field;
        }
        String rest = path.substring(dot + 1);
        return field instanceof ListField list
                ? field(list.element(), rest.substring(rest.indexOf('.') + 1))
                : field(((GroupField) field).shape(), rest);
    }

    /** The doubts of figures by path. */
    public static Map<String, Figures.Doubt> doubts(Figures figures) {
        Map<String, Figures.Doubt> doubts = new TreeMap<>();
        flat(figures.doubts()).forEach((path, doubt) -> doubts.put(path, (Figures.Doubt) doubt));
        return doubts;
    }
}
