package app.galdrin.core.evaluate;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.record.CsvColumns;
import app.galdrin.core.record.RecordKind;
import app.galdrin.core.record.RecordKinds;
import app.galdrin.core.record.Records;
import app.galdrin.core.record.Records.Given;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class CsvStreamTest {

    private static final int ELEMENTS = 6;

    private record Results(boolean allComputed, List<CSVRecord> rows) {}

    private static Results run(String csv) throws IOException {
        var out = new ByteArrayOutputStream();
        boolean allComputed = CsvStream.run(
                new ByteArrayInputStream(csv.getBytes(StandardCharsets.UTF_8)),
                out,
                fault -> fault.code().key());
        var format = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get();
        return new Results(
                allComputed,
                format.parse(new StringReader(out.toString(StandardCharsets.UTF_8)))
                        .getRecords());
    }

    static Stream<RecordKind> kinds() {
        return RecordKinds.all().stream();
    }

    /** The golden cases of a kind as rows give what they give as lines. */
    @ParameterizedTest
    @MethodSource("kinds")
    void rows_giveWhatLinesGive(RecordKind kind) throws IOException {
        List<Given> cases = Records.worked()
                .filter(given -> given.kind().equals(kind))
                .filter(given -> CsvColumns.elements(
                                List.copyOf(Records.flat(given.input()).keySet()))
                        <= ELEMENTS)
                .filter(given -> !Records.flat(given.input()).containsValue("")) // an empty cell is an absent field
                .filter(given -> given.input().get("text") == null || given.id().compareTo("quantity.parse-20") < 0)
                .toList();
        List<String> header = CsvColumns.header(kind.contract(), ELEMENTS);
        var csv = new StringBuilder("\ufeff")
                .append(CSVFormat.RFC4180.format(header.toArray()))
                .append("\r\n");
        for (Given given : cases) {
            Map<String, Object> cells = Records.flat(given.input());
            List<Object> row =
                    new ArrayList<>(List.of(given.id(), kind.contract().name()));
            header.subList(2, header.size()).forEach(column -> row.add(cells.getOrDefault(column, "")));
            csv.append(CSVFormat.RFC4180.format(row.toArray())).append("\r\n");
        }
        Results results = run(csv.toString());
        assertTrue(results.allComputed(), () -> results.rows().toString());
        assertEquals(cases.size(), results.rows().size());
        for (int i = 0; i < cases.size(); i++) {
            Map<String, String> cells = results.rows().get(i).toMap();
            cells.values().removeIf(String::isEmpty);
            Map<String, String> wanted = Records.flat(
                            cases.get(i).figures().orElseThrow().values())
                    .entrySet()
                    .stream()
                    .collect(Collectors.toMap(
                            Map.Entry::getKey, e -> e.getValue().toString()));
            wanted.put("id", cases.get(i).id());
            wanted.put("kind", kind.contract().name());
            cells.keySet().removeIf(column -> column.startsWith("u."));
            assertEquals(wanted, cells);
        }
    }

    @Test
    void cells_mayBeWrittenAsPeopleWriteThem() throws IOException {
        var results = run("id,kind,frontGap,rearGap,baseline,lineSide,lineSkew,u.gap\n"
                + "a,toe.line,\"3 5/16\"\"\",\"83,1\",437,outboard,0\u00b024',0.3\n");
        var row = results.rows().get(0);
        assertEquals(3.3125 * 25.4 - 83.1, Double.parseDouble(row.get("lengthDifference")), 1e-9);
        assertEquals(0.0556, Double.parseDouble(row.get("u.toe")), 1e-4);
    }

    @Test
    void everyRowIsAnswered_whateverIsWrongWithIt() throws IOException {
        var results = run("id,kind,camber,kpi,kip\n"
                + "good,axis.included,1,2,\n"
                + "word,axis.included,one,2,\n"
                + "absent,axis.included,1,,\n"
                + "extra,axis.included,1,2,3\n"
                + "other,toe.line,1,2,\n"
                + "none,nothing,1,2,\n"
                + ",axis.included,1,2,\n"
                + "long,axis.included,1,2,,4\n"
                + "again,axis.included,1,2\n");
        assertFalse(results.allComputed());
        assertEquals(
                List.of(
                        " ",
                        "notANumber camber",
                        "missing kpi",
                        "unknownField kip",
                        "inconsistent kind",
                        "unknownKind kind",
                        "missing id",
                        "malformed ",
                        " "),
                results.rows().stream()
                        .map(row -> row.get("error.code") + " " + row.get("error.field"))
                        .toList());
        assertEquals(3, Double.parseDouble(results.rows().get(8).get("includedAngle")), 1e-12);
    }

    @Test
    void aQuotationMarkThatIsNeverClosed_endsTheRun_andDoesNotFillTheMemory() {
        String csv = "id,kind,vin\na,vin.check,\"" + "x".repeat(6_000_000);
        assertThrows(IOException.class, () -> run(csv));
        assertEquals(0, CsvColumns.elements(List.of("id", "kind", "frontGap")));
    }
}
