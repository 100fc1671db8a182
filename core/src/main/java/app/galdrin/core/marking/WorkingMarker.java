package app.galdrin.core.marking;

import app.galdrin.core.figure.Tolerance;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.TargetReading;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.Written;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Target;
import app.galdrin.core.task.Work;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;

/** Marks figures worked on paper against the taught working of the apprentice's own readings. */
@AutoService(AspectMarker.class)
public final class WorkingMarker implements AspectMarker {

    @Override
    public Aspect aspect() {
        return Aspect.WORKING;
    }

    @Override
    public List<Evidence> evidence(Case of, Step step, Criterion criterion) {
        var work = (Work) step;
        Stream<String> from = Stream.concat(
                work.asked().stream().map(Work.Item::from),
                work.targets().stream().map(Target::from));
        boolean anything = from.map(id -> of.practical().measure(id).orElseThrow())
                .anyMatch(m -> !of.own().repeats(m, 0).isEmpty());
        if (!anything) {
            return List.of(new Evidence.Missing(Evidence.Lack.READINGS, ""));
        }
        List<Evidence> evidence = new ArrayList<>();
        work.asked().forEach(item -> evidence.add(evidence(of, work, item)));
        work.targets().forEach(target -> evidence.addAll(evidence(of, work, target)));
        return evidence;
    }

    private static List<Evidence> evidence(Case of, Work work, Target target) {
        Measure measure = of.practical().measure(target.from()).orElseThrow();
        return of.own().targets(target, measure, 0).stream()
                .map(t -> evidence(of, work, target, t))
                .toList();
    }

    private static Evidence evidence(Case of, Work work, Target target, TargetReading honest) {
        Place place = honest.place();
        var wrote = of.answers()
                .at(LineKey.of(work.id(), target.line(honest)))
                .map(Written::value)
                .orElse(OptionalDouble.empty());
        if (wrote.isEmpty()) {
            return new Evidence.Missing(Evidence.Lack.TARGET, "");
        }
        double step = place.instrument().resolution();
        double tolerance = place.amount().quantity() == Quantity.ANGLE ? Math.toDegrees(step) : step;
        return new Evidence.Target(
                target.from(),
                target.procedure().key(),
                place.id(),
                honest.against().map(Place::id),
                honest.value(),
                wrote.getAsDouble(),
                tolerance + Tolerance.ROUNDING.size());
    }

    private static Evidence evidence(Case of, Work work, Work.Item item) {
        Measure measure = of.practical().measure(item.from()).orElseThrow();
        OptionalDouble honest = of.own().onPaper(measure, 0, item.figure());
        if (honest.isEmpty()) {
            return new Evidence.Missing(Evidence.Lack.READINGS, item.figure().key());
        }
        Optional<Written> written = of.answers()
                .at(LineKey.of(work.id(), item.figure().key()))
                .filter(w -> w.value().isPresent());
        if (written.isEmpty()) {
            return new Evidence.Missing(Evidence.Lack.WORKING, item.figure().key());
        }
        double right = item.unit().ofFigure(honest.getAsDouble(), item.figure(), of.baseline(measure));
        double wrote = written.get().value().orElseThrow();
        double tolerance = tolerance(item, written.get());
        List<Set<String>> slips = Math.abs(wrote - right) <= tolerance
                ? List.of()
                : new SlipFinder(of, measure).explain(item, value -> Math.abs(wrote - value) <= tolerance);
        double keeps = slips.isEmpty() ? 0 : of.practical().scheme().slipKeepsPercent() / 100.0;
        double credit = Math.abs(wrote - right) <= tolerance ? 1 : keeps;
        return new Evidence.Working(
                item.figure(), item.from(), item.unit(), measure.taught(), right, wrote, tolerance, credit, slips);
    }

    /** Half of the place it was written to; a coarser place than was asked for earns no more room than one asked-for step. */
    private static double tolerance(Work.Item item, Written written) {
        double asked = item.unit().step();
        double half = written.step().orElse(asked) / 2;
        return Math.max(asked / 2, Math.min(asked, half)) + Tolerance.ROUNDING.size();
    }
}
