package app.galdrin.compute;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The command as a process of its own: what it prints and how it ends. */
class MainTest {

    private record Ended(int status, String out, String err) {}

    @TempDir
    private Path folder;

    private Ended run(String input, String... arguments) throws IOException, InterruptedException {
        Path in = Files.writeString(folder.resolve("in"), input);
        Path out = folder.resolve("out");
        Path err = folder.resolve("err");
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                System.getProperty("java.class.path"),
                Main.class.getName()));
        command.addAll(List.of(arguments));
        int status = new ProcessBuilder(command)
                .redirectInput(in.toFile())
                .redirectOutput(out.toFile())
                .redirectError(err.toFile())
                .start()
                .waitFor();
        return new Ended(
                status, Files.readString(out, StandardCharsets.UTF_8), Files.readString(err, StandardCharsets.UTF_8));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"id\":\"a\",\"kind\":\"judge\",\"input\":{\"value\":1,\"min\":0}}|0|\"zone\":\"inside\"",
                "{\"id\":\"a\",\"kind\":\"judge\",\"input\":{\"value\":1}}|1|The field min is needed",
                "{\"id\":\"a\",\"kind\":\"judge\",\"input\":{\"value\":\"1\",\"min\":0}}|1|must be a finite number",
                "{\"id\":\"a\",\"kind\":\"juge\",\"input\":{}}|1|no such kind",
                "not a record|1|can not be read",
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
    void help_saysWhatGoesInAndOut_andAnUnknownOptionEndsWithTwo() throws Exception {
        assertTrue(run("", "--help").out().contains("Exit status"));
        assertEquals(2, run("", "--frobnicate").status());
    }

    @Test
    void noInput_isNoResult() throws Exception {
        assertEquals(new Ended(0, "", ""), run(""));
    }
}
