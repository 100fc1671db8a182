package app.galdrin.core.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Derivation;
import app.galdrin.core.reference.ReferenceValue;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.MissingReading;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.sitting.ThrustReference;
import app.galdrin.core.sitting.WrittenValue;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.steering.SteerWheelOffset;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.core.uncertainty.Budget;
import app.galdrin.core.uncertainty.DoubtSource;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;

/** One sitting while it is marked: the assignment, what was written, the references, and the figures all of these come to. */
public final class Case {

    private final Assignment assignment;
    private final Answers answers;
    private final References references;
    private final OwnFigures own;
    private final ReferenceFigures found;
    private final ReferenceFigures left;

    /** A sitting of an assignment; {@code found} are the figures of an instructor's reference as found. */
    Case(Assignment assignment, Answers answers, References references, OwnFigures found) {
        this.assignment = assignment;
        this.answers = answers;
        this.references = references;
        this.own = new OwnFigures(assignment, answers);
        Optional<StateReferences> states = references.states();
        this.found = states.<ReferenceFigures>map(StateReferences::found)
                .orElseGet(() -> new InstructorFigures(found, Optional.empty()));
        this.left = states.<ReferenceFigures>map(StateReferences::left)
                .orElseGet(() -> new InstructorFigures(
                        OwnFigures.ofReference(assignment, references.asLeft()),
                        Optional.of(OwnFigures.ofReference(assignment, references.asLeftAgain()))));
    }

    /** The task on its vehicle and in its bay. */
    public Assignment assignment() {
        return assignment;
    }

    /** The task. */
    public Practical practical() {
        return assignment.practical();
    }

    /** Returns what the apprentice wrote. */
    public Answers answers() {
        return answers;
    }

    /** Returns what the vehicle was read as. */
    public References references() {
        return references;
    }

    /** Returns whether a value may not cost marks before an instructor has read it: it rests on too few people. */
    boolean waitsForInstructor(Optional<ReferenceValue> value) {
        return !references.closed() && value.filter(v -> !v.mayCostMarks()).isPresent();
    }

    /** The apprentice's own. */
    public OwnFigures own() {
        return own;
    }

    /** The reference's as found. */
    ReferenceFigures found() {
        return found;
    }

    /** The reference's as left. */
    ReferenceFigures left() {
        return left;
    }

    /** The baseline of an answer in millimetres, mm; 1 where nobody answers so. */
    double baseline(Measure measure) {
        return own.baseline(measure);
    }

    /** Returns the evidence that readings are missing, and which. */
    Evidence.MissingEntry unread(Measure measure, String what, Collection<FigureId> figures) {
        return new Evidence.MissingEntry(Lack.READINGS, what, MissingReading.of(own, measure, 0, figures));
    }

    /** Returns what was written as worked before a step, in the answer's unit. */
    Optional<WrittenValue> written(FigureId figure, String beforeStep) {
        return own.written(figure, beforeStep);
    }

    /** The figure an apprentice judges and plans on. */
    Optional<Estimate> standing(FigureId figure, String beforeStep) {
        return own.markedBy(figure, beforeStep);
    }

    /**
     * Returns what a figure can as well be, rad or mm. Run-out that the task has not taken off may be counted or not. Where the apprentice has not
     * written all that the task asks, what is missing does not count against the verdict: all repeats may have averaged out, any rounding of a figure
     * that was not worked is right, and a thrust line that was read in part may lie anywhere within its U.
     */
    List<Estimate> likewise(FigureId figure, String beforeStep, Estimate value) {
        Optional<Measure> measure = assignment.measuring(figure, beforeStep);
        List<Budget> doubts = new ArrayList<>(List.of(value.budget()));
        double within = 0;
        if (ThrustReference.isSteered(figure) && isThrustLineReadInPart(beforeStep)) {
            Estimate thrust = own.thrustLine(beforeStep).orElseThrow();
            within += Judgement.K * thrust.standardUncertainty();
            doubts.addAll(withAllRepeats(
                    assignment.measuring(ThrustReference.FIGURE, beforeStep).orElseThrow(),
                    ThrustReference.FIGURE,
                    value));
        }
        if (measure.filter(m -> isReadInPart(m, figure)).isPresent()) {
            doubts.addAll(withAllRepeats(measure.get(), figure, value));
        }
        if (own.goesBy(figure, beforeStep).isEmpty()) {
            within += rounding(figure, beforeStep, measure.orElseThrow());
        }
        List<Estimate> all = new ArrayList<>();
        for (double candidate : telling(figure, value.value(), within)) {
            for (Budget doubt : doubts) {
                var estimate = new Estimate(candidate, doubt);
                all.addAll(List.of(estimate, estimate.without(DoubtSource::isOfVehicle)));
            }
        }
        return all;
    }

    private boolean isReadInPart(Measure measure, FigureId figure) {
        return own.each(measure, 0, figure).size() < measure.repeats()
                || !MissingReading.lacking(own, measure, 0, figure).isEmpty();
    }

    /** The doubts, rad or mm, that a figure may have with every repeat: as the task asks it, and the least, where all of it averages out. */
    private List<Budget> withAllRepeats(Measure measure, FigureId figure, Estimate value) {
        List<Budget> doubts = new ArrayList<>();
        assignment.asAsked(measure, figure).ifPresent(asked -> doubts.add(asked.budget()));
        double share = (double) own.each(measure, 0, figure).size() / measure.repeats();
        if (share > 0 && share < 1) {
            doubts.add(value.times(Math.sqrt(share)).budget());
        }
        return doubts;
    }

    /** Returns the values near a figure at which its verdict can change: both ends, each limit, and the value farthest inside; rad or mm. */
    private List<Double> telling(FigureId figure, double value, double within) {
        if (within == 0) {
            return List.of(value);
        }
        double least = value - within;
        double most = value + within;
        List<Double> telling = new ArrayList<>(List.of(value, least, most));
        assignment.limits(figure).ifPresent(limits -> {
            double min = limits.min().orElse(Double.NEGATIVE_INFINITY);
            double max = limits.max().orElse(Double.POSITIVE_INFINITY);
            for (double one : new double[] {min, max, (min + max) / 2}) {
                if (Double.isFinite(one)) {
                    telling.add(Math.max(least, Math.min(most, one)));
                }
            }
        });
        return telling;
    }

    private boolean isThrustLineReadInPart(String beforeStep) {
        return own.thrustLine(beforeStep).isPresent()
                && assignment
                        .measuring(ThrustReference.FIGURE, beforeStep)
                        .filter(m -> !MissingReading.lacking(own, m, 0, ThrustReference.FIGURE)
                                .isEmpty())
                        .isPresent();
    }

    /** Returns how far rounding takes it, rad or mm: a step of the unit it is asked in, and as far as each figure that it follows from. */
    private double rounding(FigureId figure, String beforeStep, Measure measure) {
        double parts = Derivation.parts(figure).stream()
                .mapToDouble(part -> rounding(part, beforeStep, measure))
                .sum();
        return parts
                + assignment
                        .workStep(figure, beforeStep)
                        .flatMap(work -> work.item(figure))
                        .map(item -> item.unit().toFigure(item.unit().step(), figure, baseline(measure)))
                        .orElse(0.0);
    }

    /**
     * The thrust line that a front wheel's figure is counted from, in evidence.
     *
     * @param toe gives the toe, rad, that stands for a front wheel with it
     */
    Optional<ThrustLine> line(FigureId figure, Optional<Estimate> thrust, Function<FigureId, Optional<Estimate>> toe) {
        if (thrust.isEmpty() || !ThrustReference.isSteered(figure)) {
            return Optional.empty();
        }
        double angle = thrust.get().value();
        OptionalDouble ratio = assignment.sheet().geometry().steeringRatio();
        Optional<Estimate> left = toe.apply(FigureId.of(Measurand.TOE, Wheel.FRONT_LEFT));
        Optional<Estimate> right = toe.apply(FigureId.of(Measurand.TOE, Wheel.FRONT_RIGHT));
        Optional<Double> wheel = ratio.isEmpty() || left.isEmpty() || right.isEmpty()
                ? Optional.empty()
                : Optional.of(SteerWheelOffset.evaluate(new SteerWheelOffset.Readings(
                                left.get().value(), right.get().value(), angle, ratio.getAsDouble()))
                        .steeringWheel());
        return Optional.of(new ThrustLine(angle, wheel));
    }

    /** A figure judged as its sheet shows it, by the practical's rule; empty where the sheet has no limits for it. */
    Optional<Judgement> judged(FigureId figure, Estimate value) {
        return assignment
                .limits(figure)
                .map(limits -> assignment
                        .scale(figure)
                        .judge(figure, value, limits, practical().rule()));
    }
}
