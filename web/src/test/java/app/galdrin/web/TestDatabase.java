package app.galdrin.web;

import java.io.IOException;
import java.util.Objects;

/** The throw-away cluster that the tests run on, as a machine room has it: it is restarted, it falls silent, it wakes. */
public final class TestDatabase {

    private TestDatabase() {}

    /** Tells it to {@code restart}, {@code silence} or {@code wake}. */
    public static Process told(String what) throws IOException {
        String command =
                Objects.requireNonNull(System.getenv("GALDRIN_TEST_COMMAND"), "run the tests with ./galdrin test");
        return new ProcessBuilder(command, what + "-test-database", System.getenv("GALDRIN_TEST_DB"))
                .inheritIO()
                .start();
    }
}
