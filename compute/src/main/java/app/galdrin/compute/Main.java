package app.galdrin.compute;

import app.galdrin.core.Fault;
import app.galdrin.core.evaluate.RecordStream;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.MessageFormat;
import java.util.Optional;
import java.util.ResourceBundle;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

/** {@code galdrin compute}: measurement records in, results out. */
@Command(name = "galdrin compute", mixinStandardHelpOptions = true, resourceBundle = "app.galdrin.compute.messages")
public final class Main implements Callable<Integer> {

    private static final int ALL_COMPUTED = 0;
    private static final int SOME_FAULTY = 1;
    private static final int COULD_NOT_RUN = 2;
    private static final ResourceBundle WORDS = ResourceBundle.getBundle("app.galdrin.compute.messages");

    @Parameters(arity = "0..1", paramLabel = "FILE", descriptionKey = "file")
    private @Nullable Path file;

    public static void main(String[] args) {
        System.exit(new CommandLine(new Main()).execute(args));
    }

    @Override
    public Integer call() {
        try (var in = file == null ? System.in : Files.newInputStream(file);
                var out = new FileOutputStream(FileDescriptor.out)) {
            return RecordStream.run(in, out, Main::words) ? ALL_COMPUTED : SOME_FAULTY;
        } catch (IOException e) {
            System.err.println(MessageFormat.format(WORDS.getString("cannotRun"), e.getMessage()));
            return COULD_NOT_RUN;
        }
    }

    private static String words(Fault fault) {
        return MessageFormat.format(
                WORDS.getString(fault.code().key()),
                Optional.of(fault).flatMap(Fault::field).orElse(""));
    }
}
