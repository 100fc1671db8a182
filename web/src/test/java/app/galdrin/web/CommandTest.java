package app.galdrin.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The start command answers what it can't do with a sentence. */
class CommandTest {

    record Ended(int status, String words) {}

    private static Ended run(String... arguments) throws Exception {
        return run(false, arguments);
    }

    static Ended run(boolean onOwnDatabase, String... arguments) throws Exception {
        List<String> command = new ArrayList<>(List.of(Path.of("..", "galdrin").toString()));
        command.addAll(List.of(arguments));
        var builder = new ProcessBuilder(command).redirectErrorStream(true);
        for (String name : TestDatabase.NAMES) {
            builder.environment().remove(name);
            if (onOwnDatabase) {
                builder.environment().put(name, System.getProperty(name));
            }
        }
        var process = builder.start();
        String words = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        return new Ended(process.waitFor(), words);
    }

    @ParameterizedTest
    @CsvSource({
        "dmo,there is no command 'dmo'",
        "start,set GALDRIN_DB_URL",
        "backup,backup takes the file to write",
        "backup ../galdrin,is there already",
        "restore,restore takes the file that backup wrote",
        "restore /nowhere.tar,can not be read",
        "fuzz soon,fuzz takes seconds and a seed",
    })
    void whatItCanNotDo_isASentence(String arguments, String sentence) throws Exception {
        var ended = run(arguments.split(" ", -1));
        assertEquals(2, ended.status());
        assertTrue(ended.words().contains(sentence), ended.words());
        assertFalse(ended.words().contains("unbound variable"));
    }

    @Test
    void demo_knowsFreshAndNothingElse() throws Exception {
        var ended = run("demo", "--clean");
        assertEquals(2, ended.status());
        assertTrue(ended.words().contains("demo takes --fresh, --share or nothing"));
    }

    @Test
    void help_listsTheCommands() throws Exception {
        assertTrue(run("help").words().contains("./galdrin demo [--fresh] [--share]"));
    }
}
