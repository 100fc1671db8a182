package app.galdrin.core.spec.written;

import app.galdrin.core.Keyed;
import app.galdrin.core.quantity.SpreadsheetText;
import app.galdrin.core.spec.written.SheetDraft.Row;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.apache.commons.csv.DuplicateHeaderMode;

/** A sheet as CSV: a line a row, its kind in the first column, its cells in the columns of their names. */
public final class SheetTable {

    private static final String KIND = "row";

    private final List<Row> rows = new ArrayList<>();
    private final List<SheetFault> faults = new ArrayList<>();

    private SheetTable() {}

    /** Reads a table; faults are named by the line of the file. Semicolons do as well as commas. */
    public static WrittenSheet read(String text) {
        if (text.length() > SheetDocument.LONGEST) {
            return SheetDocument.refused(SheetFaultCode.TOO_LONG, String.valueOf(SheetDocument.LONGEST));
        }
        String plain = text.startsWith("\uFEFF") ? text.substring(1) : text;
        int end = plain.indexOf('\n');
        String head = end < 0 ? plain : plain.substring(0, end);
        char delimiter = head.indexOf(';') >= 0 && head.indexOf(',') < 0 ? ';' : ',';
        var format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(delimiter)
                .setHeader()
                .setDuplicateHeaderMode(DuplicateHeaderMode.DISALLOW)
                .setSkipHeaderRecord(true)
                .setIgnoreEmptyLines(true)
                .get();
        try (var parser = CSVParser.parse(new StringReader(plain), format)) {
            return new SheetTable().read(parser);
        } catch (IOException | UncheckedIOException | IllegalArgumentException e) {
            return SheetDocument.refused(SheetFaultCode.NOT_CSV);
        }
    }

    private WrittenSheet read(CSVParser parser) {
        if (!parser.getHeaderNames().contains(KIND)) {
            return SheetDocument.refused(SheetFaultCode.NOT_CSV);
        }
        for (String name : parser.getHeaderNames()) {
            if (!name.equals(KIND) && Keyed.find(Cell.values(), name).isEmpty()) {
                fault("1", SheetFaultCode.UNKNOWN_CELL, name);
            }
        }
        for (CSVRecord line : parser) {
            row(line, String.valueOf(parser.getCurrentLineNumber()));
        }
        return SheetDocument.together(faults, SheetReader.read(new SheetDraft(rows)));
    }

    private void fault(String at, SheetFaultCode reason, String value) {
        faults.add(new SheetFault(at, Optional.empty(), reason, value, List.of()));
    }

    private void row(CSVRecord line, String at) {
        String name = line.isSet(KIND) ? line.get(KIND).strip() : "";
        Optional<RowKind> kind = Keyed.find(RowKind.values(), name);
        if (kind.isEmpty()) {
            fault(at, SheetFaultCode.UNKNOWN_ROW, name);
            return;
        }
        Map<Cell, String> cells = new EnumMap<>(Cell.class);
        line.toMap().forEach((column, text) -> {
            Optional<Cell> cell = Keyed.find(Cell.values(), column);
            if (cell.isPresent() && !text.isBlank()) {
                if (kind.get().cells().contains(cell.get())) {
                    cells.put(cell.get(), text.strip());
                } else {
                    fault(at, SheetFaultCode.UNKNOWN_CELL, column);
                }
            }
        });
        rows.add(new Row(kind.get(), at, cells));
    }

    /** The one way of writing a sheet as CSV. */
    public static String write(SheetDraft draft) {
        var text = new StringWriter();
        try (var csv = new CSVPrinter(text, CSVFormat.RFC4180)) {
            List<String> header = new ArrayList<>(List.of(KIND));
            for (Cell cell : Cell.values()) {
                header.add(cell.key());
            }
            csv.printRecord(header);
            for (Row row : draft.rows()) {
                csv.print(row.kind().key());
                for (Cell cell : Cell.values()) {
                    csv.print(SpreadsheetText.harmless(row.text(cell)));
                }
                csv.println();
            }
        } catch (IOException e) {
            throw new UncheckedIOException("a table in memory", e);
        }
        return text.toString();
    }
}
