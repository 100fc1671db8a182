package app.galdrin.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Objects;
import org.junit.platform.launcher.LauncherSession;
import org.junit.platform.launcher.LauncherSessionListener;

/**
 * The throw-away cluster that the tests of this JVM run on, as a machine room has it: it is restarted, it falls silent, it wakes. The
 * application finds it where it finds any: under the names that docs/running.md has.
 */
public final class TestDatabase implements LauncherSessionListener {

    /** The names under which the application finds it: properties of this JVM, which go before what surrounds it. */
    static final List<String> NAMES = List.of(
            "GALDRIN_DB_URL",
            "GALDRIN_DB_USER",
            "GALDRIN_DB_PASSWORD",
            "GALDRIN_DB_OWNER",
            "GALDRIN_DB_OWNER_PASSWORD");

    /** As a session of tests begins, ahead of everything. */
    @Override
    public void launcherSessionOpened(LauncherSession session) {
        if (System.getenv("GALDRIN_TEST_DB") != null) {
            List<String> values = List.of(
                    "jdbc:postgresql://127.0.0.1:" + word("port") + "/galdrin",
                    "galdrin",
                    word("password"),
                    "galdrin_owner",
                    word("owner"));
            for (int i = 0; i < values.size(); i++) {
                System.setProperty(NAMES.get(i), values.get(i));
            }
        }
    }

    private static Path home() {
        String all = Objects.requireNonNull(System.getenv("GALDRIN_TEST_DB"), "run the tests with ./galdrin test");
        return Path.of(all, System.getProperty("galdrin.fork", "1"));
    }

    private static String word(String file) {
        try {
            return Files.readString(home().resolve(file)).strip();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Tells it to {@code restart}, {@code silence} or {@code wake}. */
    public static Process told(String what) throws IOException {
        return new ProcessBuilder(System.getenv("GALDRIN_TEST_COMMAND"), what + "-test-database", home().toString())
                .inheritIO()
                .start();
    }
}
