package app.galdrin.core.evaluate;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.record.JsonText;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What concerns the stream and not one record. */
class RecordStreamTest {

    private static final String GOOD = "{\"id\":\"r\",\"kind\":\"judge\",\"input\":{\"value\":1,\"min\":0}}";

    private static List<String> run(byte[] input) throws IOException {
        var out = new ByteArrayOutputStream();
        RecordStream.run(
                new ByteArrayInputStream(input), out, fault -> fault.code().key());
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

    @Test
    void aLineOfExactlyTheLimit_isARecord_andOneByteMoreIsNot_andTheNextIsStillWorked() throws IOException {
        String limit = padded(JsonText.LONGEST_LINE);
        var results =
                run(limit + "\r\n" + padded(JsonText.LONGEST_LINE + 1) + "\n" + "y".repeat(10_000_000) + "\n" + GOOD);
        assertEquals(
                List.of(true, false, false, true),
                results.stream().map(r -> r.contains("\"inside\"")).toList());
    }

    @Test
    void halfASurrogatePair_comesBackEscaped() throws IOException {
        var results = run("{\"id\":\"\\ud83d\",\"kind\":\"judge\",\"input\":{\"value\":1,\"min\":0}}");
        assertTrue(results.get(0).startsWith("{\"id\":\"\\uD83D\""), results.get(0));
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
        assertTrue(RecordStream.run(trickle, out, fault -> ""));
        assertEquals(3000, out.toString(StandardCharsets.UTF_8).lines().count());
        assertFalse(RecordStream.run(new ByteArrayInputStream(Arrays.copyOf(bytes, 100)), out, fault -> ""));
    }
}
