package app.galdrin.compute;

import static org.junit.jupiter.api.Assertions.assertDoesNotThrow;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The command as a process of its own: what it prints and how it ends. */
class MainTest {

    @TempDir
    private Path folder;

    private Ran run(String input, String... arguments) throws IOException, InterruptedException {
        return Ran.process(folder, Main.class, input, arguments);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"id\":\"a\",\"kind\":\"judge\",\"input\":{\"value\":1,\"min\":0}}|0|\"zone\":\"inside\"",
                "{\"id\":\"a\",\"kind\":\"judge\",\"input\":{\"value\":1}}|1|The field min is missing",
                "{\"id\":\"a\",\"kind\":\"judge\",\"input\":{\"value\":\"1\",\"min\":0}}|1|must be a finite number",
                "{\"id\":\"a\",\"kind\":\"juge\",\"input\":{}}|1|no such kind",
                "not a record|1|cannot be read",
            })
    void aRecord_isAnsweredInWords_andInTheExitStatus(String record, int status, String part) throws Exception {
        var ended = run(record + "\n");
        assertEquals(status, ended.status());
        assertTrue(ended.out().contains(part), ended.out());
        assertEquals("", ended.err());
    }

    @Test
    void aFileThatIsNotThere_isASentence_andNoStackTrace() throws Exception {
        var ended = run("", "nowhere.ndjson");
        assertEquals(2, ended.status());
        assertTrue(ended.err().contains("nowhere.ndjson") && !ended.err().contains("\tat "), ended.err());
    }

    @Test
    void aPipeWithAName_isReadLikeAFile() throws Exception {
        Path pipe = folder.resolve("pipe");
        assertEquals(0, new ProcessBuilder("mkfifo", pipe.toString()).start().waitFor());
        String record = "{\"id\":\"a\",\"kind\":\"judge\",\"input\":{\"value\":1,\"min\":0}}\n";
        var writer = new Thread(() -> assertDoesNotThrow(() -> Files.writeString(pipe, record)));
        writer.setDaemon(true);
        writer.start();
        assertTrue(run("", pipe.toString()).out().contains("inside"));
    }

    @Test
    void help_saysWhatGoesInAndOut_andAnUnknownOptionEndsWithTwo() throws Exception {
        String help = run("", "--help").out();
        for (String heading : List.of("NAME", "SYNOPSIS", "DESCRIPTION", "OPTIONS", "EXIT STATUS", "EXAMPLES")) {
            assertTrue(help.contains(heading + "\n"), help);
        }
        assertEquals(2, run("", "--frobnicate").status());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "--csv-header axle.setback|0|id,kind,wheelbaseLeft,wheelbaseRight,track",
                "--csv-header axle.offset|2|",
                "--kinds|0|steer.wheelOffset",
                "--schema|0|https://json-schema.org/draft/2020-12/schema",
                "--version|0|record format 1",
                "--explain|0|\"formula\":\"axis.included.angle\"",
                "--explain --progress|0|\"formula\":\"axis.included.angle\"",
                "--csv --explain|2|",
            })
    void everyOption_doesWhatTheHelpSays(String options, int status, @Nullable String part) throws Exception {
        String record = "{\"id\":\"a\",\"kind\":\"axis.included\",\"input\":{\"camber\":1,\"kpi\":12}}\n";
        var ended = run(record, options.split(" "));
        assertEquals(status, ended.status(), ended.err());
        assertTrue(ended.out().contains(part == null ? "" : part), ended.out());
        assertEquals(status != 0, !ended.err().isEmpty() && !options.contains("--progress"));
    }

    @Test
    void rows_areAnsweredAsRows() throws Exception {
        var ended = run("id,kind,camber,kpi\na,axis.included,1,12\n", "--csv");
        assertEquals(0, ended.status());
        assertTrue(
                ended.out().startsWith("id,kind,includedAngle,error.code,error.field,error.message\r\na,axis"),
                ended.out());
    }

    @Test
    void noInput_isNoResult() throws Exception {
        assertEquals(new Ran(0, "", ""), run(""));
    }
}
