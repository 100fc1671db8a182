package app.galdrin.core.sitting;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.measure.HandFormula;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.Combination;
import app.galdrin.core.procedure.Derivation;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Repeat;
import app.galdrin.core.procedure.WorkedRepeat;
import app.galdrin.core.procedure.slip.SlipContext;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.spec.PartDoubt;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.ExpectedUncertainty;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Work;
import app.galdrin.core.uncertainty.Budget;
import app.galdrin.core.uncertainty.DoubtSource;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.core.uncertainty.Scatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.DoubleSummaryStatistics;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;

/**
 * The figures that readings come to, by measuring step and state of the vehicle: round 0 as found, then after each adjustment. The
 * repeats of one figure average; what they share does not. What was asked for once is kept; one is safely asked by many threads.
 */
public final class OwnFigures {

    /** The source of doubt that a formula on paper adds by what it misses. */
    private static final DoubtSource HAND_FORMULA = DoubtSource.input("handFormula");

    /** The group that doubts of parts that were put back are told under. */
    private static final String PUT_BACK = "putBack";

    private final Assignment assignment;
    private final Answers answers;
    private final Map<State, Works> worked = new ConcurrentHashMap<>();
    private final Map<State, MeasuringContext> standings = new ConcurrentHashMap<>();
    private final Map<State, List<Map<String, Double>>> readings = new ConcurrentHashMap<>();
    private final Map<FigureKey, RepeatedFigure> repeated = new ConcurrentHashMap<>();

    private final Map<GoneBy, Optional<Estimate>> goneBy = new ConcurrentHashMap<>();

    private record GoneBy(FigureId figure, String beforeStep) {}

    private record State(String step, int round) {}

    private record FigureKey(String step, int round, FigureId figure) {}

    /** A figure of every repeat that tells it, their mean, and what an honest sheet has for it. */
    private record RepeatedFigure(List<Estimate> each, Optional<Estimate> mean, OptionalDouble onPaper) {}

    private final Function<List<Estimate>, Estimate> averaging;

    public OwnFigures(Assignment assignment, Answers answers) {
        this(assignment, answers, Estimate::mean);
    }

    private OwnFigures(Assignment assignment, Answers answers, Function<List<Estimate>, Estimate> averaging) {
        this.assignment = assignment;
        this.answers = answers;
        this.averaging = averaging;
    }

    /** Returns the figures of a reference, whose scatter of repeats counts as uncertainty. */
    public static OwnFigures ofReference(Assignment assignment, Answers answers) {
        return new OwnFigures(assignment, answers, Scatter::mean);
    }

    /** The figures of a step whose repeats lie farther apart than the procedure explains. */
    public List<FigureId> scattered(Measure measure, int round) {
        return measure.figures().stream()
                .filter(figure -> !figure.ofBothWheels() && Scatter.isUnexplained(each(measure, round, figure)))
                .toList();
    }

    /** The readings of a step in a round: mm or deg by place, a map a repeat. */
    public List<Map<String, Double>> readings(Measure measure, int round) {
        return readings.computeIfAbsent(
                new State(measure.id(), round), state -> answers.readings(measure, round, assignment.places(measure)));
    }

    /** Returns the places that a step reads. */
    List<Place> places(Measure measure) {
        return assignment.places(measure);
    }

    /** Every repeat that can be worked to one of its figures at least. */
    public List<WorkedRepeat> repeats(Measure measure, int round) {
        return works(measure, round).telling();
    }

    /** Every repeat of {@link #readings}, also those that come to nothing. */
    public List<WorkedRepeat> worked(Measure measure, int round) {
        return works(measure, round).all();
    }

    /**
     * The repeats of a step in a round.
     *
     * @param all that were read, in order, also those that come to nothing
     * @param telling those that can be worked to a figure at least
     */
    private record Works(List<WorkedRepeat> all, List<WorkedRepeat> telling) {
        static Works of(List<WorkedRepeat> all) {
            return new Works(
                    all, all.stream().filter(w -> !w.figures().isEmpty()).toList());
        }
    }

    private Works works(Measure measure, int round) {
        var state = new State(measure.id(), round);
        Works known = worked.get(state);
        if (known == null) {
            // working a step may work those before it, so that nothing is computed inside of the map
            List<WorkedRepeat> all = new ArrayList<>();
            for (Map<String, Double> read : readings(measure, round)) {
                all.add(work(measure, round, all.size() + 1, read));
            }
            known = Works.of(all);
            worked.put(state, known);
        }
        return known;
    }

    /** Works one repeat; readings are mm or deg by place. */
    private WorkedRepeat work(Measure measure, int round, int repeat, Map<String, Double> readings) {
        return measure.procedure()
                .work(
                        readings,
                        standing(measure, round),
                        assignment.sources(new Repeat(measure.id(), round, repeat)),
                        measure.taught());
    }

    /**
     * Returns what readings, mm or deg by place, come to in a round as the task teaches it or as solved; rad or mm, without doubts. The result of a
     * repeat as it was read, given by the very map of {@link #readings}, is already known.
     *
     * @param readings mm or deg by place
     */
    public Map<FigureId, Double> values(Measure measure, int round, Map<String, Double> readings, String taught) {
        List<Map<String, Double>> read = readings(measure, round);
        for (int i = 0; i < read.size(); i++) {
            if (read.get(i) == readings) {
                WorkedRepeat known = worked(measure, round).get(i);
                return taught.equals(HandFormula.SOLVED) ? known.solved() : known.honest();
            }
        }
        return measure.procedure().values(readings, standing(measure, round), taught);
    }

    /** Returns what a step's readings are taken on, with what was chosen for them and the figures it takes from the steps before it. */
    public MeasuringContext standing(Measure measure, int round) {
        var state = new State(measure.id(), round);
        MeasuringContext known = standings.get(state);
        if (known == null) {
            known = stand(measure, round);
            standings.put(state, known);
        }
        return known;
    }

    private MeasuringContext stand(Measure measure, int round) {
        Map<FigureId, Estimate> found = new HashMap<>();
        for (FigureId figure : assignment.takenFromBefore(measure)) {
            foundBefore(measure, round, figure).ifPresent(e -> found.put(figure, e));
        }
        return assignment
                .standing()
                .on(floor(measure, round))
                .with(answers.kit().orElse(assignment.kit()))
                .with(found)
                .choosing(answers.chosen(measure, round, assignment.choices(measure)));
    }

    /** The bay's as surveyed; else as it was read with the rest, and not known until then. */
    private BayFloor floor(Measure measure, int round) {
        BayFloor floor = answers.floor().orElse(assignment.floor());
        if (floor.isKnown()) {
            return floor;
        }
        double[] read = new double[BayFloor.Slope.values().length];
        for (BayFloor.Slope slope : measure.procedure().slopes(measure.figures())) {
            OptionalDouble degrees = answers.slope(measure, round, slope);
            if (degrees.isEmpty()) {
                return floor;
            }
            read[slope.ordinal()] = Quantity.ANGLE.toCore(degrees.getAsDouble());
        }
        return floor.read(
                read[BayFloor.Slope.PITCH.ordinal()],
                read[BayFloor.Slope.ROLL.ordinal()],
                measure.procedure().levelUncertainty());
    }

    /** The last that a step before this one came to: of the same round, else as found. */
    private Optional<Estimate> foundBefore(Measure measure, int round, FigureId figure) {
        Optional<Estimate> last = Optional.empty();
        for (Step step : assignment.practical().allSteps().toList()) {
            if (step.equals(measure)) {
                return last;
            }
            if (step instanceof Measure before && before.tells(figure)) {
                Optional<Estimate> earlier = last;
                last = mean(before, round, figure)
                        .or(() -> mean(before, 0, figure))
                        .or(() -> earlier);
            }
        }
        return last;
    }

    /** A figure, rad or mm, of every repeat that tells it. */
    public List<Estimate> each(Measure measure, int round, FigureId figure) {
        return told(measure, round, figure).each();
    }

    /** The mean of the repeats that tell a figure, rad or mm. */
    public Optional<Estimate> mean(Measure measure, int round, FigureId figure) {
        return told(measure, round, figure).mean();
    }

    /** The means of all figures of a measuring step that its readings give, rad or mm, in the order in which the task asks them. */
    public Map<FigureId, Estimate> means(Measure measure, int round) {
        Map<FigureId, Estimate> means = new LinkedHashMap<>();
        measure.figures().forEach(figure -> mean(measure, round, figure).ifPresent(mean -> means.put(figure, mean)));
        return means;
    }

    private RepeatedFigure told(Measure measure, int round, FigureId figure) {
        var key = new FigureKey(measure.id(), round, figure);
        RepeatedFigure known = repeated.get(key);
        if (known == null) {
            known = tell(repeats(measure, round), figure);
            repeated.put(key, known);
        }
        return known;
    }

    private RepeatedFigure tell(List<WorkedRepeat> repeats, FigureId figure) {
        List<Estimate> each = new ArrayList<>(repeats.size());
        var onPaper = new DoubleSummaryStatistics();
        for (WorkedRepeat repeat : repeats) {
            Estimate solved = repeat.figures().get(figure);
            if (solved != null) {
                each.add(solved);
            }
            repeat.honest(figure).ifPresent(onPaper::accept);
        }
        return new RepeatedFigure(
                each,
                each.isEmpty() ? Optional.empty() : Optional.of(putBack(figure, averaging.apply(each))),
                onPaper.getCount() == 0 ? OptionalDouble.empty() : OptionalDouble.of(onPaper.getAverage()));
    }

    /** The same figure, rad or mm, with the doubt of the parts that were put back since it was read. */
    private Estimate putBack(FigureId figure, Estimate read) {
        Estimate now = read;
        for (PartDoubt doubt : answers.parts()) {
            double part = doubt.in(figure);
            now = part == 0
                    ? now
                    : now.with(DoubtSource.reading(PUT_BACK + "/" + doubt.part().id(), PUT_BACK), part);
        }
        return now;
    }

    /** The baseline of an answer in millimetres, mm; 1 where nobody answers so. */
    public double baseline(Measure measure) {
        return measure.procedure().baseline().apply(standing(measure, 0)).orElse(1.0);
    }

    /** Returns what slips are tried on where a step's figures as found are answered in a unit. */
    public SlipContext slipSetting(Measure measure, AnswerUnit unit) {
        return new SlipContext(
                measure.procedure(),
                standing(measure, 0),
                unit,
                baseline(measure),
                readings(measure, 0),
                repeats(measure, 0).stream().map(WorkedRepeat::notes).toList(),
                measure.taught());
    }

    /** Returns what was written as worked before a step, in the answer's unit. */
    public Optional<WrittenValue> written(FigureId figure, String beforeStep) {
        return assignment.workStep(figure, beforeStep).flatMap(work -> answers.at(LineKey.of(work.id(), figure.key())));
    }

    /** Returns what follows from the apprentice's own worked figures, with the doubt of the readings; empty where one of them is missing. */
    private Optional<Estimate> followsFromHis(Combination made, String beforeStep, Estimate solved) {
        Optional<Estimate> first = goesBy(made.parts().get(0), beforeStep);
        Optional<Estimate> second = goesBy(made.parts().get(1), beforeStep);
        return first.flatMap(one ->
                second.map(other -> new Estimate(made.of(one.value(), other.value()), solved.budget())));
    }

    /** Returns whether it is worked by the apprentice before a step, or follows from a figure that is. */
    public boolean isAsked(FigureId figure, String beforeStep) {
        return assignment.workStep(figure, beforeStep).isPresent()
                || Derivation.parts(figure).stream().anyMatch(part -> isAsked(part, beforeStep));
    }

    /**
     * A figure, rad or mm, as anyone who is still writing an assessment may see it: worked by the apprentice, or following from what they worked. A
     * given figure is shown where it tells nothing of any figure that the apprentice is asked for.
     */
    public Optional<Estimate> ofHisOwn(FigureId figure, String beforeStep) {
        if (isAsked(figure, beforeStep)) {
            return goesBy(figure, beforeStep);
        }
        Set<FigureId> roots = Derivation.roots(figure);
        boolean tells = assignment
                .practical()
                .of(Work.class)
                .flatMap(work -> work.asked().stream())
                .anyMatch(item -> !Collections.disjoint(roots, Derivation.roots(item.figure())));
        return tells ? Optional.empty() : goesBy(figure, beforeStep);
    }

    /** The thrust that the front wheels are judged against before a step, rad; empty where they are not, or nobody has measured it. */
    public Optional<Estimate> thrustLine(String beforeStep) {
        return assignment.frontsToThrustLine() ? goesBy(ThrustReference.FIGURE, beforeStep) : Optional.empty();
    }

    /**
     * The figure that is judged and planned on before a step, rad or mm: what was worked on paper, with the doubt of the readings and
     * with what the formula on paper misses; the solved figure where the task gives it. Empty where there is neither.
     */
    public Optional<Estimate> goesBy(FigureId figure, String beforeStep) {
        var key = new GoneBy(figure, beforeStep);
        Optional<Estimate> known = goneBy.get(key);
        if (known == null) {
            known = stands(figure, beforeStep);
            goneBy.put(key, known);
        }
        return known;
    }

    /**
     * The figure that a verdict and a plan are marked by, rad or mm: the apprentice's own; where none was worked, what the readings give on
     * paper. An open sheet must not show it.
     */
    public Optional<Estimate> markedBy(FigureId figure, String beforeStep) {
        return goesBy(figure, beforeStep)
                .or(() -> assignment
                        .measuring(figure, beforeStep)
                        .flatMap(m -> mean(m, 0, figure)
                                .map(solved -> worked(
                                        m, figure, solved, onPaper(m, 0, figure).orElse(solved.value())))));
    }

    /** A worked figure, rad or mm, as well known as its readings and the formula that it was worked by. */
    private Estimate worked(Measure measure, FigureId figure, Estimate solved, double value) {
        double missed = onPaper(measure, 0, figure).orElse(solved.value()) - solved.value();
        Budget doubt = missed == 0
                ? solved.budget()
                : solved.with(HAND_FORMULA, missed).budget();
        return new Estimate(value, doubt);
    }

    private Optional<Estimate> stands(FigureId figure, String beforeStep) {
        Optional<Measure> measure = assignment.measuring(figure, beforeStep);
        Optional<Estimate> solved = measure.flatMap(m -> mean(m, 0, figure));
        Optional<Work.Item> item = assignment.workStep(figure, beforeStep).flatMap(w -> w.item(figure));
        OptionalDouble worked =
                written(figure, beforeStep).map(WrittenValue::value).orElse(OptionalDouble.empty());
        boolean follows = item.isEmpty() && isAsked(figure, beforeStep);
        if (solved.isEmpty() && (worked.isPresent() || follows)) {
            // a written figure stands without its readings, as uncertain as it would be with them
            solved = measure.flatMap(m -> Optional.ofNullable(
                    ExpectedUncertainty.asAsked(m, standing(m, 0)).get(figure)));
        }
        if (solved.isEmpty()) {
            return solved;
        }
        if (item.isEmpty()) {
            return follows
                    ? followsFromHis(Derivation.of(figure).orElseThrow(), beforeStep, solved.get())
                    : solved.map(v -> assignment.beside(figure, v, part -> mean(measure.get(), 0, part)));
        }
        if (worked.isEmpty()) {
            return Optional.empty();
        }
        double value = item.get().unit().toFigure(worked.getAsDouble(), figure, baseline(measure.get()));
        return Optional.of(worked(measure.get(), figure, solved.get(), value));
    }

    /** Returns what an honest sheet has for a figure: the mean of the repeats worked as the task teaches, mm or rad. */
    public OptionalDouble onPaper(Measure measure, int round, FigureId figure) {
        return told(measure, round, figure).onPaper();
    }
}
