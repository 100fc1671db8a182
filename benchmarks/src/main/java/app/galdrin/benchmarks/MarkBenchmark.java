package app.galdrin.benchmarks;

import app.galdrin.core.evaluate.LineStream;
import app.galdrin.core.evaluate.LineWriter;
import app.galdrin.core.marking.written.MarksWriter;
import app.galdrin.core.pack.TaskPack;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
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

/** Sittings marked on one processor as {@code ./galdrin mark} does it, JSON on both sides. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.Throughput)
@OutputTimeUnit(TimeUnit.SECONDS)
@Fork(value = 1, jvmArgsAppend = "-XX:+UseSerialGC") // one core does all, as in the command
@Warmup(iterations = 9, time = 2)
@Measurement(iterations = 6, time = 2)
public class MarkBenchmark {

    private static final int SITTINGS = 50;
    private static final Path HERE = Path.of("benchmarks/src/main/sittings");

    /**
     * Toe by two strings, four wheels; caster, camber and toe with readings that are right throughout; the same with a sign the wrong way
     * round, whose slip is looked for.
     */
    @Param({"toe", "careful", "slip", "misread", "unexplained"})
    private String sitting = "";

    private LineWriter writer = (json, line) -> false;
    private byte[] sittings = {};

    @Setup
    public void read() throws IOException {
        boolean toe = sitting.equals("toe");
        var pack =
                (TaskPack.Reading.Read) TaskPack.read(Files.readString(HERE.resolve(toe ? "toe.json" : "task.json")));
        writer = new MarksWriter(pack.pack().assignment(), fault -> fault.code().key(), false);
        List<String> lines = Files.readAllLines(HERE.resolve(toe ? "toe.ndjson" : "sittings.ndjson"));
        String line = lines.stream()
                .filter(l -> l.startsWith("{\"id\":\"" + sitting + "\""))
                .findFirst()
                .orElseThrow();
        sittings = (line + "\n").repeat(SITTINGS).getBytes(StandardCharsets.UTF_8);
    }

    @Benchmark
    @OperationsPerInvocation(SITTINGS)
    public boolean mark() throws IOException {
        return new LineStream(writer, 1, LineStream.Progress.NONE)
                .run(new ByteArrayInputStream(sittings), OutputStream.nullOutputStream());
    }
}
