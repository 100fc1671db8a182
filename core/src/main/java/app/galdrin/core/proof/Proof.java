package app.galdrin.core.proof;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.ReadingEvidence;
import app.galdrin.core.marking.WorkingEvidence;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Measure;
import app.galdrin.core.uncertainty.Estimate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Many simulated sittings, and what the marking does to them. The same seed gives the same table. */
public final class Proof {

    /** Distance of vehicles from the preferred values, in halves of the tolerance. */
    private static final double SPREAD = 1.5;

    private static final double HALF_AS_LARGE_AGAIN = 1.5;

    /** The run-out of rims and tyres, mm. */
    private static final double RUN_OUT = 0.5;

    private final List<Subject> subjects;
    private final double clumsiness;
    private final long seed;

    /**
     * Tries every task.
     *
     * @param clumsiness of the honest apprentices: a factor on the habits of their hands, above 0, without unit
     */
    public Proof(long seed, double clumsiness) {
        this(seed, clumsiness, Subject.all());
    }

    private Proof(long seed, double clumsiness, List<Subject> subjects) {
        this.seed = seed;
        this.clumsiness = clumsiness;
        this.subjects = subjects;
    }

    /** Returns what tasks are counted under: the key of their procedure, or that they have several. */
    public static Set<String> names() {
        return Subject.all().stream().map(Subject::name).collect(Collectors.toCollection(TreeSet::new));
    }

    /**
     * The same, of the tasks with these names alone.
     *
     * @throws IllegalArgumentException where a name is none of {@link #names()}, or there is none
     */
    public Proof only(Set<String> names) {
        if (names.isEmpty() || !names().containsAll(names)) {
            throw new IllegalArgumentException("not among the tasks: " + names);
        }
        return new Proof(
                seed,
                clumsiness,
                Subject.all().stream().filter(s -> names.contains(s.name())).toList());
    }

    /** Runs so many sittings, spread evenly over all tasks, on all processors. */
    public Tally sittings(int sittings) {
        return IntStream.range(0, sittings)
                .parallel()
                .mapToObj(i -> new Sitting(i).counted())
                .reduce(new Tally(), (a, b) -> new Tally().plus(a).plus(b));
    }

    /** All that is tried on one subject. */
    private final class Sitting {
        private final Trial trial;
        private final Measure measure;
        private final Truth truth;
        private final Tally tally = new Tally();

        Sitting(int index) {
            var random = new SplittableRandom(seed + 0x9E3779B97F4A7C15L * (index + 1));
            this.trial = new Trial(subjects.get(index % subjects.size()), random, tally);
            this.measure = trial.measure();
            this.truth = ProofVehicle.state(SPREAD, random);
        }

        private SimulatedSitting read(double clumsy, double runOut) {
            return new SimulatedSitting(trial.subject(), truth, clumsy, runOut, trial.random()).read();
        }

        Tally counted() {
            Habit habit = trial.one(List.of(Habit.values()));
            SimulatedSitting sat = read(clumsiness, 0).work(habit).judge();
            honest(sat, habit);
            new MissingTrial(trial).strikeOne(sat);
            tally.count(
                    ProofMeasure.CLUMSY_ACCUSED,
                    trial.name(),
                    Naming.accuses(
                            read(HALF_AS_LARGE_AGAIN, 0).work(Habit.AT_THE_END).mark()));
            covered(ProofMeasure.RUN_OUT_COVERAGE, read(clumsiness, RUN_OUT));
            if (!trial.subject().work().asked().isEmpty()) {
                var working = new WorkingTrial(trial, sat);
                working.slip();
                working.partialSlip();
                working.penError();
                working.drawn();
            }
            new ReadingTrial(trial, read(clumsiness, 0)).misread();
            new ReadingTrial(trial, read(clumsiness, 0)).wrongSense();
            new ReadingTrial(trial, read(clumsiness, 0)).slip();
            exact();
            return tally;
        }

        private void honest(SimulatedSitting sat, Habit habit) {
            MarkSheet marks = sat.mark();
            tally.count(ProofMeasure.HONEST_ACCUSED, trial.name(), Naming.accuses(marks));
            List<WorkingEvidence> worked = Naming.evidence(marks, WorkingEvidence.class);
            if (!worked.isEmpty()) {
                boolean lost = worked.stream().anyMatch(e -> e.credit() < 1);
                tally.count(ProofMeasure.HONEST_WORKING_LOST, trial.name(), lost);
                tally.count(ProofMeasure.HABIT_WORKING_LOST, habit.key(), lost);
            }
            List<Evidence.Repeats> repeats = Naming.evidence(marks, Evidence.Repeats.class);
            if (!repeats.isEmpty()) {
                boolean lost = repeats.stream().anyMatch(e -> e.credit() < 1);
                tally.count(ProofMeasure.HONEST_REPEATABILITY_LOST, trial.name() + " " + measure.repeats(), lost);
            }
            Naming.evidence(marks, ReadingEvidence.class)
                    .forEach(e -> tally.count(ProofMeasure.HONEST_READING_LOST, trial.name(), e.credit() < 1));
            covered(ProofMeasure.COVERAGE, sat);
        }

        private void covered(ProofMeasure measured, SimulatedSitting sat) {
            for (FigureId figure : measure.figures()) {
                sat.own().mean(measure, 0, figure).ifPresent(own -> {
                    double off = Math.abs(own.value() - sat.truth.figure(figure));
                    tally.count(measured, trial.name(), off <= Judgement.K * own.standardUncertainty());
                });
            }
        }

        // ---- as left

        /** A vehicle exactly at what is preferred, where the bench would have let it be judged without asking: U is within half the tolerance. */
        private void exact() {
            SimulatedSitting sat = new SimulatedSitting(
                            trial.subject(), ProofVehicle.state(0, trial.random()), 1, 0, trial.random())
                    .read()
                    .leave();
            if (measure.figures().stream().allMatch(figure -> decides(sat, figure))) {
                SimulatedSitting decided = asLeft(sat).waiting() ? sat.leave() : sat;
                tally.count(
                        ProofMeasure.EXACT_FAILS_AS_LEFT,
                        trial.name(),
                        !asLeft(decided).met());
            }
        }

        private static MarkLine asLeft(SimulatedSitting sat) {
            return sat.mark().lines().stream()
                    .filter(line -> line.criterion().aspect() == Aspect.AS_LEFT)
                    .findFirst()
                    .orElseThrow();
        }

        private boolean decides(SimulatedSitting sat, FigureId figure) {
            Optional<Estimate> read = sat.reference().mean(measure, 0, figure);
            return read.isPresent()
                    && trial.subject()
                            .assignment()
                            .sheet()
                            .limits(figure)
                            .filter(l -> l.min().isPresent() && l.max().isPresent())
                            .filter(l -> Judgement.K * read.get().standardUncertainty()
                                    <= (l.max().getAsDouble() - l.min().getAsDouble()) / 2)
                            .isPresent();
        }
    }
}
