package app.galdrin.core.draft;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Work;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** The steps that stand before one: what it can ask about follows from them. */
public record StepsBefore(List<Step> steps) {

    public StepsBefore {
        steps = List.copyOf(steps);
    }

    /** Returns those of a task that stand before one of its steps. */
    public static StepsBefore of(Practical practical, Step step) {
        return new StepsBefore(practical.steps().stream()
                .takeWhile(s -> !s.id().equals(step.id()))
                .toList());
    }

    /** Returns the measurements among them. */
    public List<Measure> measures() {
        return steps.stream()
                .filter(Measure.class::isInstance)
                .map(Measure.class::cast)
                .toList();
    }

    /** Returns a measurement among them. */
    public Optional<Measure> measure(String id) {
        return measures().stream().filter(m -> m.id().equals(id)).findFirst();
    }

    /** Returns the steps among them in which figures are worked. */
    public List<Work> works() {
        return steps.stream()
                .filter(Work.class::isInstance)
                .map(Work.class::cast)
                .toList();
    }

    /** The figures that all measurements ask for and tell, each once, in their order. */
    public List<FigureId> figures(Function<Measure, List<FigureId>> asked) {
        return measures().stream()
                .flatMap(m -> asked.apply(m).stream().filter(m::tells))
                .distinct()
                .toList();
    }
}
