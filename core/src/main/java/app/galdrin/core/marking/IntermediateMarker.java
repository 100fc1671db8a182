package app.galdrin.core.marking;

import app.galdrin.core.figure.Tolerance;
import app.galdrin.core.procedure.paper.Intermediate;
import app.galdrin.core.procedure.paper.IntermediateSteps;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Work;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The intermediate figures of one that was worked: each is right by the readings and by what was written before it, so that one wrong step costs its
 * own share alone.
 */
final class IntermediateMarker {

    private final Case sitting;
    private final Work work;
    private final Work.Item item;
    private final Measure measure;
    private final IntermediateSteps way;
    private final Map<Intermediate, Double> wrote = new EnumMap<>(Intermediate.class);
    private final List<IntermediateMark> steps = new ArrayList<>();

    IntermediateMarker(Case sitting, Work work, Work.Item item) {
        this.sitting = sitting;
        this.work = work;
        this.item = item;
        this.measure = sitting.practical().measure(item.from()).orElseThrow();
        this.way = new IntermediateSteps(
                measure.procedure(),
                item.figure(),
                item.steps().isEmpty() ? List.of() : sitting.own().repeats(measure, 0),
                measure.taught());
        way.intermediates().stream().filter(item.steps()::contains).forEach(this::mark);
    }

    private void mark(Intermediate step) {
        double honest = step.unit().toRecord(way.at(step, wrote).orElseThrow());
        Optional<Double> value = sitting.answers()
                .at(LineKey.of(work.id(), item.line(step)))
                .flatMap(w -> w.value().stream().boxed().findFirst());
        steps.add(new IntermediateMark(
                step,
                honest,
                value,
                step.place() + Tolerance.ROUNDING.size(),
                value.map(v -> WorkedAnswer.credit(Math.abs(v - honest), step.place()))
                        .orElse(0.0)));
        value.ifPresent(v -> wrote.put(step, step.unit().toCore(v)));
    }

    List<IntermediateMark> steps() {
        return steps;
    }

    /** Returns what the figure is by what was written on the way, in the answer's unit; empty where nothing was. */
    Optional<Double> follows() {
        if (wrote.isEmpty()) {
            return Optional.empty();
        }
        return sitting.own().onPaper(measure, 0, item.figure()).stream()
                .mapToObj(honest ->
                        item.unit().ofFigure(honest + way.shift(wrote), item.figure(), sitting.baseline(measure)))
                .findFirst();
    }

    /**
     * The share of the marks: all where the figure is right; else every step and the figure alike.
     *
     * @param one the figure by itself
     */
    double credit(WorkedAnswer one) {
        if (steps.isEmpty() || one.credit() == 1) {
            return one.credit();
        }
        double last = Math.max(
                one.credit(),
                follows()
                        .map(f -> WorkedAnswer.credit(
                                Math.abs(one.wrote() - f), item.unit().step()))
                        .orElse(0.0));
        double sum = last + steps.stream().mapToDouble(IntermediateMark::credit).sum();
        return Math.max(one.credit(), sum / (steps.size() + 1));
    }
}
