package app.galdrin.core.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Derivation;
import app.galdrin.core.procedure.Source;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.sitting.WrittenValue;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.steering.SteerWheelOffset;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;

/** One sitting while it is marked: the assignment, what was written, the references, and the figures all of these come to. */
final class Case {

    private final KnownReferences known;
    private final Assignment assignment;
    private final Answers answers;
    private final References references;
    private final OwnFigures own;
    private final OwnFigures found;
    private final OwnFigures left;
    private final OwnFigures leftAgain;

    Case(KnownReferences known, Answers answers, References references) {
        this.known = known;
        this.assignment = known.assignment();
        this.answers = answers;
        this.references = references;
        this.own = new OwnFigures(assignment, answers);
        this.found = known.of(references.asFound());
        this.left = OwnFigures.ofReference(assignment, references.asLeft());
        this.leftAgain = OwnFigures.ofReference(assignment, references.asLeftAgain());
    }

    Assignment assignment() {
        return assignment;
    }

    Practical practical() {
        return assignment.practical();
    }

    Answers answers() {
        return answers;
    }

    References references() {
        return references;
    }

    /** The apprentice's own. */
    OwnFigures own() {
        return own;
    }

    /** The reference's as found. */
    OwnFigures found() {
        return found;
    }

    /** The reference's as left. */
    OwnFigures left() {
        return left;
    }

    /** The reference's as left when it was read once more. */
    OwnFigures leftAgain() {
        return leftAgain;
    }

    /** The name of a source of doubt where everything was set up and read anew. */
    String again(String source) {
        return known.again(source);
    }

    /** The baseline of an answer in millimetres, mm; 1 where nobody answers so. */
    double baseline(Measure measure) {
        return own.baseline(measure);
    }

    /** That readings are missing, and which. */
    Evidence.MissingEntry unread(Measure measure, String what, Collection<FigureId> figures) {
        return new Evidence.MissingEntry(Evidence.Lack.READINGS, what, own.missing(measure, 0, figures));
    }

    /** What was written as worked before a step, in the answer's unit. */
    Optional<WrittenValue> written(FigureId figure, String beforeStep) {
        return own.written(figure, beforeStep);
    }

    /** The figure an apprentice judges and plans on. */
    Optional<Estimate> standing(FigureId figure, String beforeStep) {
        return own.markedBy(figure, beforeStep);
    }

    /**
     * What a figure can as well be, rad or mm, where he did not write all that the task asks: with the doubt of all repeats, and, where he worked
     * none, rounded to either side. What is missing there is no business of a verdict. Whether he counts the run-out that the task has not taken off
     * is his to say: both are right. So is what a thrust line can have been that was read in part, within U of it.
     */
    List<Estimate> likewise(FigureId figure, String beforeStep, Estimate value) {
        List<Estimate> all = new ArrayList<>(List.of(value, value.without(Source::isOfVehicle)));
        if (OwnFigures.isFrontToe(figure) && isThrustLineReadInPart(beforeStep)) {
            double expanded =
                    Judgement.K * own.thrustLine(beforeStep).orElseThrow().standardUncertainty();
            List.of(-expanded, expanded).forEach(off -> all.add(new Estimate(value.value() + off, value.budget())));
        }
        Optional<Measure> measure = assignment.measuring(figure, beforeStep);
        measure.filter(m -> own.each(m, 0, figure).size() < m.repeats()
                        || !own.lacking(m, 0, figure).isEmpty())
                .flatMap(m -> assignment.asAsked(m, figure))
                .map(asked -> new Estimate(value.value(), asked.budget()))
                .ifPresent(asked -> all.addAll(List.of(asked, asked.without(Source::isOfVehicle))));
        if (own.goesBy(figure, beforeStep).isEmpty()) {
            double step = step(figure, beforeStep, measure.orElseThrow());
            List.copyOf(all)
                    .forEach(e ->
                            List.of(-step, step).forEach(off -> all.add(new Estimate(e.value() + off, e.budget()))));
        }
        return all;
    }

    private boolean isThrustLineReadInPart(String beforeStep) {
        return own.thrustLine(beforeStep).isPresent()
                && assignment
                        .measuring(OwnFigures.THRUST, beforeStep)
                        .filter(m -> !own.lacking(m, 0, OwnFigures.THRUST).isEmpty())
                        .isPresent();
    }

    /** One step of the unit it was asked in, rad or mm; of what follows from others, theirs together. */
    private double step(FigureId figure, String beforeStep, Measure measure) {
        List<FigureId> parts = assignment.workStep(figure, beforeStep).isEmpty() ? Derivation.parts(figure) : List.of();
        if (!parts.isEmpty()) {
            return parts.stream()
                    .mapToDouble(part -> step(part, beforeStep, measure))
                    .sum();
        }
        return assignment
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
    Optional<Evidence.ThrustLine> line(
            FigureId figure, Optional<Estimate> thrust, Function<FigureId, Optional<Estimate>> toe) {
        if (thrust.isEmpty() || !OwnFigures.isFrontToe(figure)) {
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
        return Optional.of(new Evidence.ThrustLine(angle, wheel));
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
