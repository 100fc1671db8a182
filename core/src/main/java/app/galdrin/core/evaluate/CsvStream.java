package app.galdrin.core.evaluate;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.Outcome.Failure;
import app.galdrin.core.record.Answer;
import app.galdrin.core.record.Contract;
import app.galdrin.core.record.CsvColumns;
import app.galdrin.core.record.JsonLines;
import app.galdrin.core.record.RecordKind;
import app.galdrin.core.record.RecordKinds;
import java.io.BufferedWriter;
import java.io.FilterReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * Records of one kind as comma-separated rows [RFC4180], a result row for each, in order and in constant memory. The first row
 * is the header: {@code id}, {@code kind} and the fields by their dotted paths. The kind of the first record decides the columns
 * of the results.
 */
public final class CsvStream {

    private static final List<String> ERROR_COLUMNS = List.of("error.code", "error.field", "error.message");

    /** Character that a decoder puts in place of bytes that are not UTF-8. */
    private static final String NOT_UTF8 = "\ufffd";

    private final List<String> header;
    private final CSVPrinter out;
    private final Function<Fault, String> message;
    private Optional<RecordKind> kind = Optional.empty();
    private List<String> columns = List.of();
    private boolean begun;
    private boolean allComputed = true;

    private CsvStream(List<String> header, CSVPrinter out, Function<Fault, String> message) {
        this.header = header;
        this.out = out;
        this.message = message;
    }

    /**
     * Works a whole file.
     *
     * @return whether every record was computed
     * @throws IOException if the streams can't be read or written
     */
    public static boolean run(InputStream in, OutputStream out, Function<Fault, String> message) throws IOException {
        var limited = new RowLimit(new InputStreamReader(in, StandardCharsets.UTF_8));
        var writer = new BufferedWriter(new OutputStreamWriter(out, StandardCharsets.UTF_8), 1 << 16);
        try (CSVParser rows = CSVFormat.RFC4180.parse(limited)) {
            Iterator<CSVRecord> each = rows.iterator();
            Optional<CSVRecord> first = next(each);
            if (first.isEmpty()) {
                return true;
            }
            var stream = new CsvStream(withoutMark(first.get().toList()), CSVFormat.RFC4180.print(writer), message);
            for (Optional<CSVRecord> row = next(each); row.isPresent(); row = next(each)) {
                limited.rowEnds();
                stream.answer(row.get());
            }
            return stream.allComputed;
        } catch (RowTooLong | UncheckedIOException e) {
            throw new IOException(e.getMessage(), e);
        } finally {
            writer.flush();
        }
    }

    private static Optional<CSVRecord> next(Iterator<CSVRecord> rows) {
        return rows.hasNext() ? Optional.of(rows.next()) : Optional.empty();
    }

    private static List<String> withoutMark(List<String> header) {
        List<String> names = new ArrayList<>(header);
        names.replaceAll(String::strip);
        names.set(0, names.get(0).replaceFirst("^\ufeff", ""));
        return names;
    }

    private void answer(CSVRecord row) throws IOException {
        Map<String, String> cells = new TreeMap<>();
        for (int i = 0; i < Math.min(header.size(), row.size()); i++) {
            cells.put(header.get(i), row.get(i).strip());
        }
        String id = cells.getOrDefault(CsvColumns.ID, "");
        String name = cells.getOrDefault(CsvColumns.KIND, "");
        if (!begun) {
            begin(name);
        }
        Outcome<Answer> outcome = outcome(cells, row);
        Map<String, String> results = outcome instanceof Outcome.Value<Answer> value
                ? CsvColumns.cells(value.value().figures())
                : error(((Failure<Answer>) outcome).fault());
        allComputed &= outcome instanceof Outcome.Value;
        List<String> line = new ArrayList<>(List.of(id, name));
        columns.forEach(column -> line.add(results.getOrDefault(column, "")));
        out.printRecord(line);
    }

    private void begin(String kindOfFirst) throws IOException {
        begun = true;
        kind = RecordKinds.named(kindOfFirst);
        columns = new ArrayList<>();
        kind.ifPresent(k -> columns.addAll(CsvColumns.resultColumns(
                k.contract(),
                CsvColumns.elements(header),
                header.stream().anyMatch(column -> column.startsWith("u.")))));
        columns.addAll(ERROR_COLUMNS);
        List<String> names = new ArrayList<>(List.of(CsvColumns.ID, CsvColumns.KIND));
        names.addAll(columns);
        out.printRecord(names);
    }

    private Outcome<Answer> outcome(Map<String, String> cells, CSVRecord row) {
        boolean broken =
                row.size() > header.size() || cells.values().stream().anyMatch(cell -> cell.contains(NOT_UTF8));
        if (broken) {
            return new Failure<>(Fault.ofLine());
        }
        for (String column : List.of(CsvColumns.ID, CsvColumns.KIND)) {
            if (cells.getOrDefault(column, "").isEmpty()) {
                return Outcome.fault(FaultCode.MISSING, column);
            }
        }
        Optional<RecordKind> own = RecordKinds.named(cells.getOrDefault(CsvColumns.KIND, ""));
        if (own.isEmpty()) {
            return Outcome.fault(FaultCode.UNKNOWN_KIND, CsvColumns.KIND);
        }
        if (!own.equals(kind)) {
            return Outcome.fault(FaultCode.INCONSISTENT, CsvColumns.KIND); // the columns are those of another kind
        }
        Contract contract = own.get().contract();
        return own.get().evaluate(CsvColumns.input(contract, cells));
    }

    private Map<String, String> error(Fault fault) {
        return Map.of(
                "error.code",
                fault.code().key(),
                "error.field",
                fault.field().orElse(""),
                "error.message",
                message.apply(fault));
    }

    /** A quotation mark that is never closed must not draw a whole file into memory. */
    private static final class RowLimit extends FilterReader {
        private long inRow;

        RowLimit(Reader in) {
            super(in);
        }

        void rowEnds() {
            inRow = 0;
        }

        @Override
        public int read(char[] into, int offset, int length) throws IOException {
            int read = super.read(into, offset, length);
            inRow += Math.max(read, 0);
            if (inRow > JsonLines.LONGEST_LINE) {
                throw new RowTooLong();
            }
            return read;
        }
    }

    private static final class RowTooLong extends IOException {
        private static final long serialVersionUID = 1;

        RowTooLong() {
            super("a row of more than " + JsonLines.LONGEST_LINE + " characters; is a quotation mark not closed?");
        }
    }
}
