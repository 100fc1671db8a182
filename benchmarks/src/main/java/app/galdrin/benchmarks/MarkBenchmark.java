package app.galdrin.benchmarks;

import app.galdrin.core.evaluate.LineStream;
import app.galdrin.core.evaluate.LineWriter;
import app.galdrin.core.marking.written.MarksWriter;
import app.galdrin.core.pack.TaskPack;
import app.galdrin.core.simulated.TryOut;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.task.Assignment;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
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

    private static final int SITTINGS = 48;
    private static final Path HERE = Path.of("benchmarks/src/main/sittings");

    /**
     * A class at toe by two strings, four wheels, and at caster, camber and toe together: as many sheets of each of the three people with
     * whom tasks are tried out. Then one sheet over and over: of the first of these tasks; of the second one that is right throughout, one
     * with every figure's sign the wrong way round, one whose gaps were written front for rear, one whose figures nothing explains.
     */
    @Param({"toeClass", "class", "toe", "careful", "slip", "misread", "unexplained"})
    private String sitting = "";

    private LineWriter writer = (json, line) -> false;
    private byte[] sittings = {};

    @Setup
    public void read() throws IOException {
        boolean toe = sitting.startsWith("toe");
        var pack =
                (TaskPack.Reading.Read) TaskPack.read(Files.readString(HERE.resolve(toe ? "toe.json" : "task.json")));
        Assignment assignment = pack.pack().assignment();
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
        for (int i = 0; i < SITTINGS; i++) {
            TryOut.Kind kind = TryOut.Kind.values()[i % TryOut.Kind.values().length];
            TryOut.Sitting sat = TryOut.sitting(assignment, kind, new SplittableRandom(i));
            try (JsonGenerator json = new JsonFactory().createGenerator(ObjectWriteContext.empty(), all)) {
                json.writeStartObject();
                json.writeStringProperty("id", kind.key() + i);
                write(json, "wrote", sat.wrote());
                write(json, "asFound", sat.references().asFound());
                write(json, "asLeft", sat.references().asLeft());
                write(json, "asLeftAgain", sat.references().asLeftAgain());
                json.writeEndObject();
            }
            all.write('\n');
        }
        return all.toByteArray();
    }

    private static void write(JsonGenerator json, String name, Answers answers) {
        json.writeObjectPropertyStart(name);
        answers.standing().forEach((line, written) -> json.writeStringProperty(line.key(), written.text()));
        json.writeEndObject();
    }

    @Benchmark
    @OperationsPerInvocation(SITTINGS)
    public boolean mark() throws IOException {
        return new LineStream(writer, 1, LineStream.Progress.NONE)
                .run(new ByteArrayInputStream(sittings), OutputStream.nullOutputStream());
    }
}
