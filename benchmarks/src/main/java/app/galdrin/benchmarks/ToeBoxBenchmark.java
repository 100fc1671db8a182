package app.galdrin.benchmarks;

import app.galdrin.core.Outcome;
import app.galdrin.core.measure.PerWheel;
import app.galdrin.core.measure.RimGaps;
import app.galdrin.core.measure.ToeBox;
import app.galdrin.core.measure.Wheel;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** One evaluation of a four-wheel string box. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.NANOSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class ToeBoxBenchmark {

    private final ToeBox.Readings readings = readings();
    private final Optional<ToeBox.ReadingUncertainty> doubt = Optional.of(new ToeBox.ReadingUncertainty(0.5, 0.3, 0.3));

    private static ToeBox.Readings readings() {
        Map<Wheel, RimGaps> wheels = new EnumMap<>(Wheel.class);
        for (Wheel wheel : Wheel.values()) {
            wheels.put(wheel, new RimGaps(63.5, 62.5 + wheel.ordinal(), 416));
        }
        return new ToeBox.Readings(
                1615.5, 1623, 4060, 2760, new PerWheel(63, 69, 77.5, 78.5), wheels, OptionalDouble.of(620));
    }

    @Benchmark
    public Outcome<ToeBox.Result> withoutDoubt() {
        return ToeBox.evaluate(readings, Optional.empty());
    }

    @Benchmark
    public Outcome<ToeBox.Result> withDoubt() {
        return ToeBox.evaluate(readings, doubt);
    }
}
