package app.galdrin.benchmarks;

import app.galdrin.core.evaluate.LineStream;
import app.galdrin.core.evaluate.LineWriter;
import app.galdrin.core.marking.written.MarksWriter;
import app.galdrin.core.pack.TaskPack;
import app.galdrin.core.simulated.TryOut;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.task.Assignment;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.ObjectWriteContext;
import tools.jackson.core.json.JsonFactory;

/** Sittings marked on one processor as {@code ./galdrin mark} does it, JSON on both sides. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.Throughput)
@OutputTimeUnit(TimeUnit.SECONDS)
@Fork(value = 1, jvmArgsAppend = "-XX:+UseSerialGC") // one core does all, as in the command
@Warmup(iterations = 9, time = 2)
@Measurement(iterations = 6, time = 2)
public class MarkBenchmark {

    static final int SITTINGS = 48;
    private static final int VEHICLES = 3;
    private static final Path HERE = Path.of("benchmarks/src/main/sittings");

    /**
     * Three classes of sixteen, each on a vehicle of its own, at toe by two strings, four wheels, and at caster, camber and toe together: the
     * three people with whom tasks are tried out, complete sheets. Then one sheet over and over: of the first of these tasks; of the second one that is right throughout, one
     * with every figure's sign the wrong way round, one whose gaps were written front for rear, one whose figures nothing explains.
     */
    @Param({"toeClass", "class", "toe", "careful", "slip", "misread", "unexplained"})
    private String sitting = "";

    private LineWriter writer = (json, line) -> false;
    private byte[] sittings = {};

    @Setup
    public void read() throws IOException {
        boolean toe = sitting.startsWith("toe");
        Assignment assignment = assignment(toe ? "toe.json" : "task.json");
        writer = new MarksWriter(assignment, fault -> fault.code().key(), false);
        sittings = sitting.equals("class") || sitting.equals("toeClass")
                ? classOf(assignment)
                : one(sitting, toe ? "toe.ndjson" : "sittings.ndjson");
    }

    private static byte[] one(String id, String file) throws IOException {
        String line = Files.readAllLines(HERE.resolve(file)).stream()
                .filter(l -> l.startsWith("{\"id\":\"" + id + "\""))
                .findFirst()
                .orElseThrow();
        return (line + "\n").repeat(SITTINGS).getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] classOf(Assignment assignment) {
        var all = new ByteArrayOutputStream();
        List<LineKey> lines = lines(assignment);
        int number = 0;
        for (TryOut.Sitting sat : people(assignment)) {
            try (JsonGenerator json = new JsonFactory().createGenerator(ObjectWriteContext.empty(), all)) {
                json.writeStartObject();
                json.writeStringProperty("id", "s" + ++number);
                write(json, lines, "wrote", sat.wrote());
                write(json, lines, "asFound", sat.references().asFound());
                write(json, lines, "asLeft", sat.references().asLeft());
                write(json, lines, "asLeftAgain", sat.references().asLeftAgain());
                json.writeEndObject();
            }
            all.write('\n');
        }
        return all.toByteArray();
    }

    /** Three vehicles, sixteen sheets on each: as many of each of the three people as can be. */
    static List<TryOut.Sitting> people(Assignment assignment) {
        TryOut.Kind[] kinds = TryOut.Kind.values();
        var random = new SplittableRandom(1);
        List<TryOut.Sitting> people = new ArrayList<>();
        while (people.size() < SITTINGS) {
            TryOut.FoundVehicle found = TryOut.found(assignment, random);
            for (int i = 0; i < SITTINGS / VEHICLES; i++) {
                people.add(TryOut.sitting(assignment, kinds[people.size() % kinds.length], found, random));
            }
        }
        return people;
    }

    static Assignment assignment(String file) throws IOException {
        return ((TaskPack.Reading.ParsedPack) TaskPack.read(Files.readString(HERE.resolve(file))))
                .pack()
                .assignment();
    }

    /** Line by line as they stand on the sheet, the order in which a program writes them. */
    private static void write(JsonGenerator json, List<LineKey> lines, String name, Answers answers) {
        json.writeObjectPropertyStart(name);
        lines.forEach(line -> answers.text(line).ifPresent(text -> json.writeStringProperty(line.key(), text)));
        json.writeEndObject();
    }

    private static List<LineKey> lines(Assignment assignment) {
        var sheet = new Sheet(assignment);
        return assignment
                .practical()
                .allSteps()
                .flatMap(step -> sheet.roundsOf(step).stream().flatMap(round -> sheet.keys(step, round).stream()))
                .distinct()
                .toList();
    }

    @Benchmark
    @OperationsPerInvocation(SITTINGS)
    public boolean mark() throws IOException {
        return new LineStream(writer, 1, LineStream.Progress.NONE)
                .run(new ByteArrayInputStream(sittings), OutputStream.nullOutputStream());
    }
}
