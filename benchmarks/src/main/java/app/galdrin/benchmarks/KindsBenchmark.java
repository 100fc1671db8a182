package app.galdrin.benchmarks;

import app.galdrin.core.Outcome;
import app.galdrin.core.record.Answer;
import app.galdrin.core.record.JsonLines;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.record.RecordKind;
import app.galdrin.core.record.RecordKinds;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** One evaluation of a record of each kind, checked and worked, without and with the doubt of its figures; no JSON. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.NANOSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 3, time = 1)
public class KindsBenchmark {

    /** {@code ./galdrin bench} sets it to every kind there is. */
    @Param("toe.line")
    private String kind = "";

    @Param({"false", "true"})
    private boolean doubt;

    private RecordKind worker = RecordKinds.all().get(0);
    private JsonObject input = new JsonObject();

    /** The kind's first good record among the warm-up records; with doubt, the first that has a {@code u} if any has. */
    @Setup
    public void read() throws IOException {
        worker = RecordKinds.named(kind).orElseThrow();
        List<JsonObject> good = Files.readAllLines(Path.of("compute/src/main/warm-up.ndjson")).stream()
                .map(line -> line.getBytes(StandardCharsets.UTF_8))
                .flatMap(line -> JsonLines.object(line).stream())
                .filter(line -> kind.equals(line.get("kind")))
                .flatMap(line -> Optional.ofNullable((JsonObject) line.get("input")).stream())
                .filter(in -> worker.evaluate(in) instanceof Outcome.Value)
                .toList();
        input = good.stream().filter(in -> in.has("u") == doubt).findFirst().orElse(good.get(0));
    }

    @Benchmark
    public Outcome<Answer> evaluate() {
        return worker.evaluate(input);
    }
}
