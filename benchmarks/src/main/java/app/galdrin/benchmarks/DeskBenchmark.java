package app.galdrin.benchmarks;

import app.galdrin.core.marking.KnownReferences;
import app.galdrin.core.marking.Marker;
import app.galdrin.core.simulated.TryOut;
import app.galdrin.core.task.Assignment;
import java.io.IOException;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
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
import org.openjdk.jmh.infra.Blackhole;

/** The classes of {@link MarkBenchmark} marked as the desk and a re-mark do it: from what was written to the mark sheet, no JSON. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.Throughput)
@OutputTimeUnit(TimeUnit.SECONDS)
@Fork(value = 1, jvmArgsAppend = "-XX:+UseSerialGC")
@Warmup(iterations = 9, time = 2)
@Measurement(iterations = 6, time = 2)
public class DeskBenchmark {

    @Param({"toe.json", "task.json"})
    private String task = "";

    private @Nullable Assignment assignment;
    private List<TryOut.Sitting> people = List.of();

    @Setup
    public void sit() throws IOException {
        Assignment read = MarkBenchmark.assignment(task);
        assignment = read;
        people = MarkBenchmark.people(read);
    }

    @Benchmark
    @OperationsPerInvocation(MarkBenchmark.SITTINGS)
    public void mark(Blackhole sheets) {
        var known = new KnownReferences(Objects.requireNonNull(assignment));
        for (TryOut.Sitting sat : people) {
            sheets.consume(Marker.mark(known, sat.wrote(), sat.references()));
        }
    }
}
