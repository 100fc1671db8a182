package app.galdrin.core.evaluate;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.record.JsonLines;
import app.galdrin.core.record.Records;
import app.galdrin.core.record.Records.Given;
import app.galdrin.core.record.Step;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What concerns the stream and not one record. */
class RecordStreamTest {

    private static final String GOOD = "{\"id\":\"r\",\"kind\":\"judge\",\"input\":{\"value\":1,\"min\":0}}";

    private static List<String> run(byte[] input) throws IOException {
        var out = new ByteArrayOutputStream();
        RecordStream.of(fault -> fault.code().key()).run(new ByteArrayInputStream(input), out);
        return out.toString(StandardCharsets.UTF_8).lines().toList();
    }

    private static List<String> run(String input) throws IOException {
        return run(input.getBytes(StandardCharsets.UTF_8));
    }

    private static String padded(int length) {
        String head = "{\"id\":\"r\",\"pad\":\"";
        String tail = "\",\"kind\":\"judge\",\"input\":{\"value\":1,\"min\":0}}";
        return head + "x".repeat(length - head.length() - tail.length()) + tail;
    }

    @Test
    void markCrlfAndMissingLastEnd_doNoHarm() throws IOException {
        var results = run("\ufeff" + GOOD + "\r\n" + GOOD);
        assertEquals(2, results.size());
        assertTrue(results.stream().allMatch(r -> r.contains("\"inside\"")));
        assertEquals(List.of(), run("\ufeff"));
        assertTrue(run(GOOD + "\n\ufeff" + GOOD).get(1).contains("malformed"));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                " \t",
                "null",
                "17",
                "x",
                "}",
                "{",
                "{\"id\":\"r\",",
                "{\"id\":\"r",
                "{\"id\":\"r\",\"kind\":\"judge\",\"input\":{\"value\":1,\"min\":0}",
                GOOD + "x",
                GOOD + GOOD,
                GOOD + " {",
                "[" + GOOD + "]",
                "\0",
                "{\"id\":\"\0\"}",
                "\ufeff" + GOOD,
                "{\"ä\":"
            })
    void aBrokenLine_spoilsNoOther(String broken) throws IOException {
        String good = GOOD.replace("\"r\"", "\"ä\"");
        var results = run(String.join("\n", " " + GOOD, broken, broken, good + " ", GOOD, broken, GOOD, ""));
        assertEquals(
                "true false false true true false true",
                results.stream()
                        .map(r -> String.valueOf(r.contains("\"inside\"")))
                        .collect(Collectors.joining(" ")));
        assertTrue(results.get(1).startsWith("{\"id\":null,\"kind\":null,\"error\":{\"code\":\"malformed\""));
    }

    @Test
    void aLineOfExactlyTheLimit_isARecord_andOneByteMoreIsNot_andTheNextIsStillWorked() throws IOException {
        String limit = padded(JsonLines.LONGEST_LINE);
        var results =
                run(limit + "\r\n" + padded(JsonLines.LONGEST_LINE + 1) + "\n" + "y".repeat(10_000_000) + "\n" + GOOD);
        assertEquals(
                List.of(true, false, false, true),
                results.stream().map(r -> r.contains("\"inside\"")).toList());
    }

    @ParameterizedTest
    @ValueSource(strings = {"\\ud83d", "\\ude97", "\\ud83dx", "x\\ude97\\ud83d", "\\ud83d\\ud83d\\ude97"})
    void halfASurrogatePair_comesBackAsItWas_whereverItStands(String escaped) throws IOException {
        String half = Records.parse("{\"a\":\"" + escaped + "\"}").get("a").toString();
        var results = run("{\"id\":\"R\",\"kind\":\"judge\",\"input\":{\"value\":1,\"min\":0}}\n".replace("R", escaped)
                + "{\"id\":\"r\",\"kind\":\"R\",\"input\":{}}\n".replace("R", escaped)
                + "{\"id\":\"r\",\"kind\":\"judge\",\"input\":{\"R\":1}}\n".replace("R", escaped)
                + "{\"id\":\"🚗\",\"kind\":1,\"input\":{}}");
        assertEquals(half, Records.parse(results.get(0)).get("id"));
        assertEquals(half, Records.parse(results.get(1)).get("kind"));
        assertEquals(half, Records.flat(Records.parse(results.get(2))).get("error.field"));
        assertEquals("🚗", Records.parse(results.get(3)).get("id"));
        assertEquals(4, results.size());
    }

    @Test
    void aWholePair_isWrittenAsItIs() throws IOException {
        assertTrue(run("{\"id\":\"\\ud83d\\ude97\",\"kind\":1,\"input\":{}}")
                .get(0)
                .contains("🚗"));
    }

    @Test
    void ofSeveralUnknownNames_theFirstInCodePointOrderIsNamed() throws IOException {
        String input = "{\"id\":\"r\",\"kind\":\"judge\",\"input\":{\"value\":1,\"\ufb01\":0,\"🚗\":0}}";
        assertTrue(run(input).get(0).contains("\"field\":\"\ufb01\""));
    }

    @Test
    void thousandsOfRecords_keepTheirOrder_inAnyChunks() throws IOException {
        String input = Collections.nCopies(3000, GOOD).stream().collect(Collectors.joining("\n"));
        byte[] bytes = input.getBytes(StandardCharsets.UTF_8);
        InputStream trickle = new ByteArrayInputStream(bytes) {
            @Override
            public synchronized int read(byte[] into, int off, int len) {
                return super.read(into, off, Math.min(len, 37));
            }
        };
        var out = new ByteArrayOutputStream();
        assertTrue(RecordStream.of(fault -> "").run(trickle, out));
        assertEquals(3000, out.toString(StandardCharsets.UTF_8).lines().count());
        assertFalse(RecordStream.of(fault -> "").run(new ByteArrayInputStream(Arrays.copyOf(bytes, 100)), out));
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 4})
    void manyBatchesOnSeveralWorkers_keepTheirOrder_andSayHowFarTheyAre(int workers) throws IOException {
        int records = 20_000;
        String input = IntStream.range(0, records)
                .mapToObj(i -> GOOD.replace("\"r\"", "\"r" + i + "\""))
                .collect(Collectors.joining("\n"));
        var out = new ByteArrayOutputStream();
        long[] reached = new long[2];
        var stream = new RecordStream(fault -> "", false, workers, (done, bytes) -> {
            reached[0] = done;
            reached[1] = bytes;
        });
        assertTrue(stream.run(new ByteArrayInputStream(input.getBytes(StandardCharsets.UTF_8)), out));
        List<String> results = out.toString(StandardCharsets.UTF_8).lines().toList();
        for (int i = 0; i < records; i++) {
            assertTrue(results.get(i).startsWith("{\"id\":\"r" + i + "\""), results.get(i));
        }
        assertEquals(List.of((long) records, (long) input.length()), List.of(reached[0], reached[1]));
    }

    static Stream<Given> worked() {
        return Records.worked();
    }

    /** Every explained figure is the out of a step, with the number the result has, and every step names what goes in. */
    @ParameterizedTest
    @MethodSource("worked")
    void working_leadsToTheFigures(Given given) {
        var answer = given.kind().evaluate(given.input()).orElseThrow();
        Map<String, Object> figures = Records.flat(answer.figures().values());
        for (Step step : answer.working().get()) {
            assertFalse(step.in().isEmpty(), step.formula().key());
            String name = step.out().name();
            if (figures.get(name) instanceof Double figure) {
                assertEquals(
                        figure, step.out().inRecord(), 1e-12, step.formula().key());
            }
        }
        // a figure with doubt is always worked through
        Records.doubts(answer.figures())
                .keySet()
                .forEach(path -> assertTrue(
                        answer.working().get().stream()
                                .anyMatch(step -> step.out().name().equals(path)),
                        path));
    }

    @Test
    void explained_aResultCarriesItsStepsAndItsBudget() throws IOException {
        String line = "{\"id\":\"r\",\"kind\":\"toe.line\",\"input\":{\"frontGap\":83.4,\"rearGap\":81.9,"
                + "\"baseline\":437,\"lineSide\":\"outboard\",\"u\":{\"gap\":0.3}}}";
        var out = new ByteArrayOutputStream();
        new RecordStream(fault -> "", true, 1, LineStream.Progress.NONE)
                .run(new ByteArrayInputStream(line.getBytes(StandardCharsets.UTF_8)), out);
        var result = Records.parse(out.toString(StandardCharsets.UTF_8).strip());
        var flat = Records.flat(result);
        assertEquals("toe.line.difference.outboard", flat.get("working.0.formula"));
        assertEquals(81.9, flat.get("working.0.in.rearGap"));
        assertEquals(flat.get("result.toe"), flat.get("working.1.out.toe"));
        assertEquals("frontGap", flat.get("budget.toe.0.reading"));
        assertEquals(0.5, (Double) flat.get("budget.toe.1.share"), 1e-12);
    }
}
