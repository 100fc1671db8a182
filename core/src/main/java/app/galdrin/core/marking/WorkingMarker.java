package app.galdrin.core.marking;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Tolerance;
import app.galdrin.core.procedure.Combination;
import app.galdrin.core.procedure.Derivation;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.TargetReading;
import app.galdrin.core.procedure.WorkedRepeat;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.MissingReading;
import app.galdrin.core.sitting.TargetReadings;
import app.galdrin.core.sitting.WrittenValue;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Target;
import app.galdrin.core.task.Work;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Marks figures worked on paper against the taught working of the apprentice's own readings. */
@AutoService(AspectMarker.class)
public final class WorkingMarker implements AspectMarker {

    @Override
    public String kind() {
        return Work.KIND;
    }

    @Override
    public Aspect aspect() {
        return Aspect.WORKING;
    }

    @Override
    public List<Evidence> evidence(Case sitting, Step step, Criterion criterion) {
        var work = (Work) step;
        Stream<String> from = Stream.concat(
                work.asked().stream().map(Work.Item::from),
                work.targets().stream().map(Target::from));
        List<Measure> measures = from.distinct()
                .map(id -> sitting.practical().measure(id).orElseThrow())
                .toList();
        if (measures.stream().allMatch(m -> sitting.own().repeats(m, 0).isEmpty())) {
            return List.of(new Evidence.MissingEntry(
                    Lack.READINGS,
                    "",
                    measures.stream()
                            .flatMap(m -> MissingReading.of(sitting.own(), m, 0, m.figures()).stream())
                            .toList()));
        }
        List<Evidence> evidence = new ArrayList<>(new OneWork(sitting, work).evidence());
        work.targets().forEach(target -> evidence.addAll(evidence(sitting, work, target)));
        return evidence;
    }

    private static List<Evidence> evidence(Case sitting, Work work, Target target) {
        Measure measure = sitting.practical().measure(target.from()).orElseThrow();
        return TargetReadings.of(sitting.own(), target, measure, 0).stream()
                .map(t -> evidence(sitting, work, target, t))
                .toList();
    }

    private static Evidence evidence(Case sitting, Work work, Target target, TargetReading honest) {
        Place place = honest.place();
        var wrote = sitting.answers()
                .at(LineKey.of(work.id(), target.line(honest)))
                .map(WrittenValue::value)
                .orElse(OptionalDouble.empty());
        if (wrote.isEmpty()) {
            return new Evidence.MissingEntry(Lack.TARGET, "");
        }
        double step = sitting.assignment().kit().resolution(place.instrument());
        double tolerance = place.amount().quantity().toDocument(step);
        return new Evidence.Target(
                target.from(),
                target.procedure().key(),
                place.id(),
                honest.against().map(Place::id),
                honest.value(),
                wrote.getAsDouble(),
                tolerance + Tolerance.ROUNDING.size());
    }

    /** Multiple of their limit beyond which honest repeats hardly ever lie apart. */
    private static final double SELDOM_EXCEEDED = 2;

    /** The figures of a step, which are looked at together: a slip explains all that is wrong, or nothing. */
    private static final class OneWork {
        private final Case sitting;
        private final Work work;
        private final Map<FigureId, WorkedAnswer> answered = new LinkedHashMap<>();
        private final Map<String, SlipFinder.Explanation> found = new HashMap<>();
        private final Map<Habits, RoundingHabits> habits = new HashMap<>();

        private record Habits(String measure, AnswerUnit unit, double place) {}

        OneWork(Case sitting, Work work) {
            this.sitting = sitting;
            this.work = work;
            work.asked().forEach(item -> answered(item).ifPresent(a -> answered.put(item.figure(), a)));
        }

        List<Evidence> evidence() {
            return work.asked().stream().map(this::evidence).toList();
        }

        private Evidence evidence(Work.Item item) {
            WorkedAnswer one = answered.get(item.figure());
            if (one == null) {
                return honest(item).isEmpty()
                        ? sitting.unread(
                                sitting.practical().measure(item.from()).orElseThrow(),
                                item.figure().key(),
                                List.of(item.figure()))
                        : new Evidence.MissingEntry(Lack.WORKING, item.figure().key());
            }
            SlipFinder.Explanation found = SlipFinder.Explanation.NOTHING;
            if (one.wrong()) {
                found = this.found.computeIfAbsent(one.measure().id(), id -> found(one.measure()));
            }
            var way = new IntermediateMarker(sitting, work, item);
            double keeps = found.named() ? sitting.practical().scheme().slipKeepsPercent() / 100.0 : 0;
            return new WorkingEvidence(
                    item.figure(),
                    item.from(),
                    item.unit(),
                    one.measure().taught(),
                    honest(item).orElseThrow(),
                    one.wrote(),
                    one.tolerance(),
                    Math.max(way.credit(one), keeps),
                    found.slips(),
                    found.possible(),
                    way.steps(),
                    way.follows(),
                    one.rounded(),
                    one.unread(),
                    List.of());
        }

        /**
         * Looked for where a figure is off by more than rounding, be it a total of several that are off a little. Only what is off beyond the
         * place it was written to has to be explained.
         */
        private SlipFinder.Explanation found(Measure measure) {
            List<WorkedAnswer> together = answered.values().stream()
                    .filter(a -> a.measure().id().equals(measure.id()))
                    .toList();
            List<WorkedAnswer> wrong =
                    together.stream().filter(a -> a.wrong() && !a.coarse()).toList();
            return !wrong.isEmpty() && together.stream().anyMatch(WorkedAnswer::beyondRounding)
                    ? new SlipFinder(sitting, measure, wrong).explain()
                    : SlipFinder.Explanation.NOTHING;
        }

        private OptionalDouble honest(Work.Item item) {
            Measure measure = sitting.practical().measure(item.from()).orElseThrow();
            OptionalDouble figure = sitting.own().onPaper(measure, 0, item.figure());
            return figure.isEmpty()
                    ? figure
                    : OptionalDouble.of(
                            item.unit().ofFigure(figure.getAsDouble(), item.figure(), sitting.baseline(measure)));
        }

        private Optional<WorkedAnswer> answered(Work.Item item) {
            Optional<WrittenValue> written = written(item);
            OptionalDouble honest = honest(item);
            if (written.isEmpty() || honest.isEmpty()) {
                return Optional.empty();
            }
            double place = Math.max(
                    item.unit().step(), written.get().step().orElse(item.unit().step()));
            Measure measure = sitting.practical().measure(item.from()).orElseThrow();
            double wrote = written.get().value().orElseThrow();
            var worked = new WorkedAnswer(
                    item,
                    measure,
                    honest.getAsDouble(),
                    honest.getAsDouble(),
                    wrote,
                    place,
                    Optional.empty(),
                    List.of());
            WorkedAnswer added = followsFromHis(item)
                    .map(worked::following)
                    .filter(derived -> derived.credit() > worked.credit())
                    .orElse(worked);
            WorkedAnswer rounded = added.credit() == 1 ? added : rounded(added);
            return Optional.of(rounded.credit() == 1 ? rounded : withWhatIsUnread(rounded));
        }

        /**
         * Accepts what was written if a repeat that was read in part can have given it: lying with the others as honest repeats do. A repeat that was
         * never begun cannot have been used.
         */
        private WorkedAnswer withWhatIsUnread(WorkedAnswer one) {
            Measure measure = one.measure();
            FigureId figure = one.item().figure();
            List<MissingReading> missing = MissingReading.lacking(sitting.own(), measure, 0, figure);
            List<WorkedRepeat> repeats = sitting.own().worked(measure, 0);
            int begun = repeats.size();
            List<Double> each = IntStream.range(0, begun)
                    .filter(i -> missing.stream().noneMatch(m -> m.repeat() == i + 1))
                    .mapToObj(i -> repeats.get(i).honest(figure))
                    .flatMap(Optional::stream)
                    .map(v -> one.item().unit().ofFigure(v, figure, sitting.baseline(measure)))
                    .toList();
            int unread = begun - each.size();
            OptionalDouble apart = sitting.assignment().apart(measure, figure);
            if (unread < 1 || each.isEmpty() || apart.isEmpty()) {
                return one;
            }
            double sum = each.stream().mapToDouble(v -> v).sum();
            double theirs = (begun * one.wrote() - sum) / unread;
            double least = Math.min(theirs, Collections.min(each));
            double most = Math.max(theirs, Collections.max(each));
            double limit = Math.abs(one.item().unit().ofFigure(apart.getAsDouble(), figure, sitting.baseline(measure)));
            return most - least <= SELDOM_EXCEEDED * limit + begun * one.tolerance() ? one.supposing(missing) : one;
        }

        /**
         * Finds the first habit of rounding that gives what was written: of the figure itself, else of one of the two that it follows from, where
         * only the other was written.
         */
        private WorkedAnswer rounded(WorkedAnswer one) {
            FigureId figure = one.item().figure();
            Stream<Double> ofItself = habits(one).of(figure).stream();
            Stream<Double> ofOnePart = Derivation.of(figure).stream().flatMap(made -> fromOnePart(one, made));
            return Stream.concat(ofItself, ofOnePart)
                    .filter(one::isWrittenAs)
                    .findFirst()
                    .map(one::rounding)
                    .orElse(one);
        }

        /**
         * Returns what it comes to of the part the apprentice wrote and of the other as it would have been right, in the answer's unit: a step beside
         * any habit, too.
         */
        private Stream<Double> fromOnePart(WorkedAnswer one, Combination made) {
            AnswerUnit unit = one.item().unit();
            Optional<Double> first = wroteOf(made.parts().get(0), unit);
            Optional<Double> second = wroteOf(made.parts().get(1), unit);
            if (first.isPresent() == second.isPresent()) {
                return Stream.empty();
            }
            List<Double> other = habits(one).of(made.parts().get(first.isPresent() ? 1 : 0));
            return other.stream()
                    .flatMap(value -> Stream.of(value, value - unit.step(), value + unit.step()))
                    .map(value -> made.of(first.orElse(value), second.orElse(value)));
        }

        /** Returns the rounding habits of answers that are written to the same place. */
        private RoundingHabits habits(WorkedAnswer one) {
            double place = Math.min(
                    one.item().unit().step(),
                    written(one.item())
                            .flatMap(w -> w.step().stream().boxed().findFirst())
                            .orElse(one.place()));
            return habits.computeIfAbsent(
                    new Habits(one.measure().id(), one.item().unit(), place),
                    key -> new RoundingHabits(sitting.own(), one.measure(), key.unit(), key.place()));
        }

        private Optional<WrittenValue> written(Work.Item item) {
            return sitting.answers()
                    .at(LineKey.of(work.id(), item.figure().key()))
                    .filter(w -> w.value().isPresent());
        }

        /** Returns what follows from the apprentice's own figures as written, in the same unit: what is wrong in them is not wrong a second time. */
        private Optional<Double> followsFromHis(Work.Item item) {
            return Derivation.of(item.figure())
                    .flatMap(made -> wroteOf(made.parts().get(0), item.unit())
                            .flatMap(first ->
                                    wroteOf(made.parts().get(1), item.unit()).map(second -> made.of(first, second))));
        }

        private Optional<Double> wroteOf(FigureId part, AnswerUnit unit) {
            return sitting.practical()
                    .of(Work.class)
                    .flatMap(step -> step.item(part).stream()
                            .filter(i -> i.unit() == unit)
                            .flatMap(i -> sitting
                                    .answers()
                                    .at(LineKey.of(step.id(), part.key()))
                                    .flatMap(w -> w.value().stream().boxed().findFirst())
                                    .stream()))
                    .findFirst();
        }
    }
}
