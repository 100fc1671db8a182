package app.galdrin.compute;

import app.galdrin.core.evaluate.CsvStream;
import app.galdrin.core.evaluate.LineStream.Progress;
import app.galdrin.core.evaluate.RecordStream;
import app.galdrin.core.record.CsvColumns;
import app.galdrin.core.record.JsonSchema;
import app.galdrin.core.record.RecordKind;
import app.galdrin.core.record.RecordKinds;
import java.io.FileDescriptor;
import java.io.FileInputStream;
import java.io.FileOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Model.ArgGroupSpec;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.Model.PositionalParamSpec;
import picocli.CommandLine.ParseResult;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.ObjectWriteContext;
import tools.jackson.core.PrettyPrinter;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.core.util.DefaultPrettyPrinter;

/**
 * {@code galdrin compute}: measurement records in, results out. The options are built by hand, since looking for annotations
 * takes longer than a record does.
 */
public final class Main {

    private static final int ALL_COMPUTED = 0;
    private static final int SOME_FAULTY = 1;

    private static final String EXPLAIN = "--explain";
    private static final String CSV = "--csv";
    private static final String CSV_HEADER = "--csv-header";
    private static final String SCHEMA = "--schema";
    private static final String KINDS = "--kinds";

    /** Asks for progress; the start script sets it when someone looks at the terminal. */
    private static final String PROGRESS = "--progress";

    /** Elements shown in the header of a kind with a list. */
    private static final int ELEMENTS_SHOWN = 3;

    private final ParseResult given;

    private Main(ParseResult given) {
        this.given = given;
    }

    public static void main(String[] args) {
        Command.run(command(), given -> new Main(given).run(), args);
    }

    private static CommandSpec command() {
        var spec = Command.named("galdrin compute", Words.MESSAGES);
        spec.addPositional(PositionalParamSpec.builder()
                .arity("0..1")
                .paramLabel("FILE")
                .descriptionKey("file")
                .type(Path.class)
                .build());
        spec.addArgGroup(ArgGroupSpec.builder()
                .exclusive(true)
                .addArg(flag(EXPLAIN, "explain"))
                .addArg(flag(CSV, "csv"))
                .addArg(OptionSpec.builder(CSV_HEADER)
                        .paramLabel("KIND")
                        .type(String.class)
                        .descriptionKey("csvHeader")
                        .build())
                .addArg(flag(SCHEMA, "schema"))
                .addArg(flag(KINDS, "kinds"))
                .build());
        spec.addOption(OptionSpec.builder(PROGRESS).hidden(true).build());
        return spec;
    }

    private static OptionSpec flag(String name, String descriptionKey) {
        return OptionSpec.builder(name).descriptionKey(descriptionKey).build();
    }

    private int run() {
        try (var out = new FileOutputStream(FileDescriptor.out)) {
            if (given.hasMatchedOption(CSV_HEADER)) {
                return header(given.matchedOptionValue(CSV_HEADER, ""), out);
            }
            if (given.hasMatchedOption(SCHEMA)) {
                return schema(out);
            }
            if (given.hasMatchedOption(KINDS)) {
                return print(names("\n"), out);
            }
            Path file = given.matchedPositionalValue(0, null);
            if (file != null && Files.notExists(file)) {
                return Command.refused("noSuchFile", file.toString());
            }
            // a file stream and no channel, which would seek: a pipe may have a name too
            try (InputStream in = file == null ? System.in : new FileInputStream(file.toFile())) {
                return records(in, out, file) ? ALL_COMPUTED : SOME_FAULTY;
            }
        } catch (IOException e) {
            return Command.refused("cannotRun", String.valueOf(e.getMessage()));
        }
    }

    private boolean records(InputStream in, OutputStream out, @Nullable Path file) throws IOException {
        if (given.hasMatchedOption(CSV)) {
            return CsvStream.run(in, out, Words::ofFault);
        }
        boolean progress = given.hasMatchedOption(PROGRESS);
        try (var shown = ProgressLine.start(progress, file)) {
            int workers = Runtime.getRuntime().availableProcessors();
            Progress listener = progress ? shown : Progress.NONE;
            return new RecordStream(Words::ofFault, given.hasMatchedOption(EXPLAIN), workers, listener).run(in, out);
        }
    }

    private static int header(String kind, OutputStream out) throws IOException {
        var known = RecordKinds.named(kind);
        return known.isPresent()
                ? print(String.join(",", CsvColumns.header(known.get().contract(), ELEMENTS_SHOWN)), out)
                : Command.refused("noSuchKind", kind, names(" "));
    }

    private static int schema(OutputStream out) throws IOException {
        try (JsonGenerator json = new JsonFactory().createGenerator(new Pretty(), out)) {
            JsonSchema.write(json, RecordKinds.all());
            json.writeRaw('\n');
        }
        return ALL_COMPUTED;
    }

    /** One property a line. */
    private static final class Pretty extends ObjectWriteContext.Base {
        @Override
        public PrettyPrinter getPrettyPrinter() {
            return new DefaultPrettyPrinter();
        }
    }

    private static String names(String between) {
        return RecordKinds.all().stream()
                .map(RecordKind::contract)
                .map(contract -> contract.name())
                .collect(Collectors.joining(between));
    }

    private static int print(String text, OutputStream out) throws IOException {
        out.write((text + "\n").getBytes(StandardCharsets.UTF_8));
        return ALL_COMPUTED;
    }
}
