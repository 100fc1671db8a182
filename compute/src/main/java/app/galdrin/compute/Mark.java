package app.galdrin.compute;

import app.galdrin.core.evaluate.LineStream;
import app.galdrin.core.marking.written.MarksWriter;
import app.galdrin.core.pack.PackFault;
import app.galdrin.core.pack.TaskPack;
import app.galdrin.core.record.JsonLines;
import java.io.ByteArrayInputStream;
import java.io.FileDescriptor;
import java.io.FileInputStream;
import java.io.FileOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.Model.PositionalParamSpec;
import picocli.CommandLine.ParseResult;

/** {@code galdrin mark}: sittings of a task in, their mark sheets out, by the engine of the marking desk. */
public final class Mark {

    private static final int ALL_MARKED = 0;
    private static final int SOME_FAULTY = 1;
    private static final String EXPLAIN = "--explain";

    private Mark() {}

    public static void main(String[] args) {
        Command.run(command(), Mark::run, args);
    }

    private static CommandSpec command() {
        var spec = Command.named("galdrin mark", Words.MARK);
        spec.addPositional(file("TASK", "1", "task"));
        spec.addPositional(file("SITTING", "0..1", "sitting"));
        spec.addOption(OptionSpec.builder(EXPLAIN).descriptionKey("explain").build());
        return spec;
    }

    private static PositionalParamSpec file(String label, String arity, String descriptionKey) {
        return PositionalParamSpec.builder()
                .arity(arity)
                .paramLabel(label)
                .descriptionKey(descriptionKey)
                .type(Path.class)
                .build();
    }

    private static int run(ParseResult given) {
        Path task = given.matchedPositionalValue(0, Path.of(""));
        Path sitting = given.matchedPositionalValue(1, null);
        for (Path file : sitting == null ? new Path[] {task} : new Path[] {task, sitting}) {
            if (Files.notExists(file)) {
                return Command.refused("noSuchFile", file.toString());
            }
        }
        try {
            TaskPack.Reading read = TaskPack.read(Files.readString(task));
            if (read instanceof TaskPack.Reading.Refusal refused) {
                refused.faults().forEach(fault -> System.err.println(words(fault)));
                return Command.refused("packRefused", task.toString());
            }
            return marks(((TaskPack.Reading.ParsedPack) read).pack(), sitting, given.hasMatchedOption(EXPLAIN));
        } catch (IOException e) {
            return Command.refused("cannotRun", String.valueOf(e.getMessage()));
        }
    }

    private static int marks(TaskPack pack, @Nullable Path sitting, boolean explain) throws IOException {
        var writer = new MarksWriter(pack.assignment(), Words::ofSitting, explain);
        var stream = new LineStream(writer, Runtime.getRuntime().availableProcessors(), LineStream.Progress.NONE);
        try (InputStream in = sitting == null ? System.in : sittings(sitting);
                var out = new FileOutputStream(FileDescriptor.out)) {
            return stream.run(in, out) ? ALL_MARKED : SOME_FAULTY;
        }
    }

    /** One sitting may be written over many lines; of several each has its own. */
    private static InputStream sittings(Path file) throws IOException {
        if (Files.size(file) <= JsonLines.LONGEST_LINE) {
            byte[] bytes = Files.readAllBytes(file);
            byte[] line = new String(bytes, StandardCharsets.ISO_8859_1)
                    .replace('\n', ' ')
                    .replace('\r', ' ')
                    .getBytes(StandardCharsets.ISO_8859_1);
            return new ByteArrayInputStream(JsonLines.object(line).isPresent() ? line : bytes);
        }
        return new FileInputStream(file.toFile());
    }

    private static String words(PackFault fault) {
        if (fault instanceof PackFault.OfTask part) {
            return Words.of("task.at", part.fault().at())
                    + " "
                    + Words.of(
                            "task." + part.fault().reason().key(),
                            part.fault().value(),
                            part.fault().limit());
        }
        if (fault instanceof PackFault.OfSheet part) {
            String cell = part.fault().cell().map(c -> "." + c.key()).orElse("");
            return Words.of("sheet.at", part.fault().at() + cell)
                    + " "
                    + Words.of(
                            "sheet." + part.fault().reason().key(), part.fault().value());
        }
        return Words.ofSitting(((PackFault.FaultOfPack) fault).fault());
    }
}
