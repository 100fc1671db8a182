package app.galdrin.core.record;

import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityParser;
import app.galdrin.core.quantity.QuantityText;
import app.galdrin.core.quantity.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Records of one kind as rows: a column for every field by its dotted path, list elements counted from 0, an empty cell where
 * a field is absent.
 */
public final class CsvColumns {

    public static final String ID = "id";
    public static final String KIND = "kind";

    /** A number as JSON writes it; anything else in a number's cell is read as people write quantities. */
    private static final Pattern PLAIN = Pattern.compile("-?[0-9]+(\\.[0-9]+)?([eE][-+]?[0-9]+)?");

    private CsvColumns() {}

    /** The header of a file of this kind, with so many elements for a list. */
    public static List<String> header(Contract contract, int elements) {
        List<String> header = new ArrayList<>(List.of(ID, KIND));
        header.addAll(paths("", contract.input(), elements, field -> true));
        return header;
    }

    /** The columns of a result; those of uncertainties if they are asked for. */
    public static List<String> resultColumns(Contract contract, int elements, boolean doubt) {
        List<String> columns = new ArrayList<>(paths("", contract.result(), elements, field -> true));
        if (doubt) {
            columns.addAll(paths(GroupField.U + ".", contract.result(), elements, NumberField::carriesDoubt));
        }
        return columns;
    }

    private static List<String> paths(String head, Shape shape, int elements, Predicate<NumberField> wanted) {
        List<String> paths = new ArrayList<>();
        for (Field field : shape.fields()) {
            String path = head + field.name();
            if (field instanceof GroupField group) {
                paths.addAll(paths(path + ".", group.shape(), elements, wanted));
            } else if (field instanceof ListField list) {
                for (int i = 0; i < elements; i++) {
                    paths.addAll(paths(path + "." + i + ".", list.element(), elements, wanted));
                }
            } else if (field instanceof NumberField number
                    ? wanted.test(number)
                    : !head.startsWith(GroupField.U + ".")) {
                paths.add(path);
            }
        }
        return paths;
    }

    /** Returns how many elements the lists of a header have. */
    public static int elements(List<String> header) {
        return header.stream()
                .flatMap(column -> Pattern.compile("\\.").splitAsStream(column))
                .filter(part -> part.matches("[0-9]{1,6}"))
                .mapToInt(part -> Integer.parseInt(part) + 1)
                .max()
                .orElse(0);
    }

    /** The input that a row stands for; what does not fit its field stays text, so that checking names it. */
    public static JsonObject input(Contract contract, Map<String, String> cells) {
        Map<String, Object> tree = new TreeMap<>();
        cells.forEach((path, cell) -> {
            if (!path.equals(ID) && !path.equals(KIND) && !cell.isEmpty()) {
                place(tree, path, value(contract.input(), path, cell));
            }
        });
        return object(contract.input(), tree);
    }

    @SuppressWarnings("unchecked") // inner nodes of the tree are trees
    private static void place(Map<String, Object> tree, String path, Object value) {
        int dot = path.indexOf('.');
        if (dot < 0) {
            tree.put(path, value);
            return;
        }
        Object inner = tree.computeIfAbsent(path.substring(0, dot), name -> new TreeMap<String, Object>());
        if (inner instanceof Map<?, ?> map) {
            place((Map<String, Object>) map, path.substring(dot + 1), value);
        }
    }

    private static JsonObject object(@Nullable Shape shape, Map<?, ?> tree) {
        var object = new JsonObject();
        tree.forEach((name, value) -> object.add((String) name, node(shape, (String) name, value)));
        return object;
    }

    private static Object node(@Nullable Shape shape, String name, @Nullable Object value) {
        Optional<Field> field = shape == null ? Optional.empty() : shape.field(name);
        if (!(value instanceof Map<?, ?> inner)) {
            return Objects.requireNonNull(value);
        }
        if (field.isPresent() && field.get() instanceof ListField list) {
            return list(list.element(), inner);
        }
        return object(field.isPresent() && field.get() instanceof GroupField group ? group.shape() : null, inner);
    }

    /** Elements up to the last one with a cell; one in between without any is empty, and its fields are found missing. */
    private static List<Object> list(Shape element, Map<?, ?> byIndex) {
        int count = elements(byIndex.keySet().stream().map(String::valueOf).toList());
        List<Object> list = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            list.add(
                    byIndex.get(String.valueOf(i)) instanceof Map<?, ?> cells
                            ? object(element, cells)
                            : new JsonObject());
        }
        return list;
    }

    private static Object value(Shape shape, String path, String cell) {
        Optional<Field> field = at(shape, path);
        if (field.isPresent() && field.get() instanceof NumberField number) {
            return number(number, cell);
        }
        boolean flag = field.isPresent() && field.get() instanceof FlagField;
        return flag && (cell.equals("true") || cell.equals("false")) ? (Object) Boolean.valueOf(cell) : cell;
    }

    private static Optional<Field> at(Shape shape, String path) {
        int dot = path.indexOf('.');
        Optional<Field> field = shape.field(dot < 0 ? path : path.substring(0, dot));
        if (dot < 0 || field.isEmpty()) {
            return field;
        }
        String rest = path.substring(dot + 1);
        if (field.get() instanceof GroupField group) {
            return at(group.shape(), rest);
        }
        int next = rest.indexOf('.');
        return field.get() instanceof ListField list && next >= 0
                ? at(list.element(), rest.substring(next + 1))
                : Optional.empty();
    }

    private static Object number(NumberField field, String cell) {
        if (PLAIN.matcher(cell).matches()) {
            return Double.parseDouble(cell);
        }
        Quantity quantity = field.unit().quantity();
        return QuantityParser.parse(cell, quantity, defaultUnit(quantity)) instanceof QuantityText.ParsedQuantity read
                ? (Object) read.value()
                : cell;
    }

    private static Unit defaultUnit(Quantity quantity) {
        return switch (quantity) {
            case LENGTH -> Unit.MM;
            case ANGLE -> Unit.DEG;
            case COUNT -> Unit.TURNS;
            case TORQUE -> Unit.NEWTON_METRE;
            case PRESSURE -> Unit.KILOPASCAL;
        };
    }

    /** The cells of a result by column. */
    public static Map<String, String> cells(Figures figures) {
        Map<String, String> cells = new TreeMap<>();
        flatten("", figures.values(), cells);
        if (figures.wantsDoubt()) {
            flatten(GroupField.U + ".", figures.doubts(), cells);
        }
        return cells;
    }

    private static void flatten(String head, JsonObject object, Map<String, String> cells) {
        for (int i = 0; i < object.size(); i++) {
            flatten(head + object.name(i), object.value(i), cells);
        }
    }

    private static void flatten(String path, @Nullable Object value, Map<String, String> cells) {
        if (value instanceof JsonObject object) {
            flatten(path + ".", object, cells);
        } else if (value instanceof List<?> list) {
            for (int i = 0; i < list.size(); i++) {
                flatten(path + "." + i, list.get(i), cells);
            }
        } else {
            Object shown = value instanceof Figures.Doubt doubt ? doubt.standardUncertainty() : value;
            cells.put(path, String.valueOf(shown));
        }
    }
}
