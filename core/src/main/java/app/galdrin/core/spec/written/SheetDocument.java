package app.galdrin.core.spec.written;

import app.galdrin.core.Keyed;
import app.galdrin.core.record.JsonLines;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.spec.written.SheetDraft.Row;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.ObjectWriteContext;
import tools.jackson.core.PrettyPrinter;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.core.util.DefaultPrettyPrinter;

/**
 * A sheet as JSON: one object a vehicle and its geometry, and lists of flat objects for the rest, whose members are the cells. The schema is
 * {@code sheet.schema.json} beside this class.
 */
public final class SheetDocument {

    public static final int VERSION = 1;
    public static final String FORMAT = "galdrin.sheet";

    /** Longest document, in bytes. */
    public static final int LONGEST = 256 * 1024;

    private static final JsonFactory JSON = new JsonFactory();

    private final List<Row> rows = new ArrayList<>();
    private final List<SheetFault> faults = new ArrayList<>();

    private SheetDocument() {}

    /** Reads a document; its faults are those of its form and those of the sheet together. */
    public static WrittenSheet read(String text) {
        byte[] bytes = text.replace('\n', ' ').replace('\r', ' ').getBytes(StandardCharsets.UTF_8);
        if (bytes.length > LONGEST) {
            return refused(SheetFaultCode.TOO_LONG, String.valueOf(LONGEST));
        }
        return JsonLines.object(bytes).map(SheetDocument::read).orElseGet(() -> refused(SheetFaultCode.NOT_JSON));
    }

    /** One that stands within another document. */
    public static WrittenSheet read(JsonObject json) {
        return new SheetDocument().rows(json);
    }

    static WrittenSheet refused(SheetFaultCode reason, String... more) {
        return new WrittenSheet.Refusal(List.of(new SheetFault("", Optional.empty(), reason, "", List.of(more))));
    }

    private WrittenSheet rows(JsonObject json) {
        if (!FORMAT.equals(json.get("format")) || !Double.valueOf(VERSION).equals(json.get("version"))) {
            return refused(SheetFaultCode.NOT_A_SHEET);
        }
        for (int i = 0; i < json.size(); i++) {
            String name = json.name(i);
            Optional<RowKind> kind = Keyed.find(RowKind.values(), name);
            if (kind.isPresent()) {
                rows(kind.get(), json.value(i));
            } else if (!name.equals("format") && !name.equals("version")) {
                fault(name, SheetFaultCode.UNKNOWN_ROW, name);
            }
        }
        return together(faults, SheetReader.read(new SheetDraft(rows)));
    }

    /** Returns what was read, or the faults of its form before those of its contents. */
    static WrittenSheet together(List<SheetFault> form, WrittenSheet contents) {
        if (form.isEmpty()) {
            return contents;
        }
        List<SheetFault> all = new ArrayList<>(form);
        if (contents instanceof WrittenSheet.Refusal refused) {
            all.addAll(refused.faults());
        }
        return new WrittenSheet.Refusal(all);
    }

    private void fault(String at, SheetFaultCode reason, String value) {
        faults.add(new SheetFault(at, Optional.empty(), reason, value, List.of()));
    }

    private void rows(RowKind kind, @Nullable Object value) {
        if (kind.single() && value instanceof JsonObject object) {
            row(kind, kind.key(), object);
        } else if (!kind.single() && value instanceof List<?> list) {
            int index = 0;
            for (Object element : list.subList(0, Math.min(list.size(), kind.most() + 1))) {
                String at = kind.key() + "." + index++;
                if (element instanceof JsonObject object) {
                    row(kind, at, object);
                } else {
                    fault(at, SheetFaultCode.NO_TEXT, String.valueOf(element));
                }
            }
        } else {
            fault(kind.key(), SheetFaultCode.NO_TEXT, String.valueOf(value));
        }
    }

    private void row(RowKind kind, String at, JsonObject object) {
        Map<Cell, String> cells = new EnumMap<>(Cell.class);
        for (int i = 0; i < object.size(); i++) {
            String name = object.name(i);
            Optional<Cell> cell =
                    kind.cells().stream().filter(c -> c.key().equals(name)).findFirst();
            Optional<String> text = text(object.value(i));
            if (cell.isEmpty()) {
                fault(at, SheetFaultCode.UNKNOWN_CELL, name);
            } else if (text.isEmpty()) {
                fault(at, SheetFaultCode.NO_TEXT, name);
            } else if (!text.get().isEmpty()) {
                cells.put(cell.get(), text.get());
            }
        }
        rows.add(new Row(kind, at, cells));
    }

    /** Texts, numbers and yes or no; null is an empty cell. */
    private static Optional<String> text(@Nullable Object value) {
        if (value == null) {
            return Optional.of("");
        }
        if (value instanceof Double number && Double.isFinite(number)) {
            return Optional.of(Cells.plain(number));
        }
        if (value instanceof Boolean flag) {
            return Optional.of(flag ? "yes" : "no");
        }
        return value instanceof String text ? Optional.of(text.strip()) : Optional.empty();
    }

    /** The one way of writing a sheet as JSON, to be read by people too. */
    public static String write(SheetDraft draft) {
        var text = new StringWriter();
        var context = new ObjectWriteContext.Base() {
            @Override
            public PrettyPrinter getPrettyPrinter() {
                return new DefaultPrettyPrinter();
            }

            @Override
            public boolean hasPrettyPrinter() {
                return true;
            }
        };
        try (JsonGenerator json = JSON.createGenerator(context, text)) {
            json.writeStartObject();
            json.writeStringProperty("format", FORMAT);
            json.writeNumberProperty("version", VERSION);
            for (RowKind kind : RowKind.values()) {
                List<Row> rows = draft.of(kind);
                if (kind.single()) {
                    rows.stream().limit(1).forEach(row -> {
                        json.writeName(kind.key());
                        write(json, row);
                    });
                } else {
                    json.writeArrayPropertyStart(kind.key());
                    rows.forEach(row -> write(json, row));
                    json.writeEndArray();
                }
            }
            json.writeEndObject();
        }
        return text.append('\n').toString();
    }

    private static void write(JsonGenerator json, Row row) {
        json.writeStartObject();
        for (Cell cell : row.kind().cells()) {
            if (!row.text(cell).isEmpty()) {
                json.writeStringProperty(cell.key(), row.text(cell));
            }
        }
        json.writeEndObject();
    }
}
