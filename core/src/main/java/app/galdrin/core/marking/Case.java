package app.galdrin.core.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.sitting.Written;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Work;
import app.galdrin.core.uncertainty.Estimate;
import java.util.Optional;
import java.util.OptionalDouble;

/** One sitting while it is marked: the assignment, what was written, the references, and the figures all of these come to. */
final class Case {

    /** The source of doubt that a formula on paper adds by what it misses. */
    private static final String HAND_FORMULA = "handFormula";

    private final Assignment assignment;
    private final Answers answers;
    private final References references;
    private final OwnFigures own;
    private final OwnFigures found;
    private final OwnFigures left;

    Case(Assignment assignment, Answers answers, References references) {
        this.assignment = assignment;
        this.answers = answers;
        this.references = references;
        this.own = new OwnFigures(assignment, answers);
        this.found = new OwnFigures(assignment, references.asFound());
        this.left = new OwnFigures(assignment, references.asLeft());
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

    /** The baseline of an answer in millimetres, mm; 1 where nobody answers so. */
    double baseline(Measure measure) {
        return measure.procedure().baseline().apply(assignment.standing()).orElse(1.0);
    }

    /** What was written as worked before a step, in the answer's unit. */
    Optional<Written> written(FigureId figure, String beforeStep) {
        return practical()
                .workStep(figure, beforeStep)
                .flatMap(work -> answers.at(LineKey.of(work.id(), figure.key())));
    }

    /**
     * The figure an apprentice judges and plans on: what he worked on paper with the doubt of his own readings, and with what the
     * formula on paper misses; the solved figure where the task gives it.
     */
    Optional<Estimate> standing(FigureId figure, String beforeStep) {
        Optional<Measure> measure = practical().measuring(figure, beforeStep);
        Optional<Estimate> solved = measure.flatMap(m -> own.mean(m, 0, figure));
        Optional<Work.Item> item = practical().worked(figure, beforeStep);
        if (item.isEmpty() || solved.isEmpty()) {
            return solved;
        }
        OptionalDouble worked = written(figure, beforeStep).map(Written::value).orElse(OptionalDouble.empty());
        if (worked.isEmpty()) {
            return Optional.empty();
        }
        double value = item.get().unit().toFigure(worked.getAsDouble(), figure, baseline(measure.get()));
        double missed =
                own.onPaper(measure.get(), 0, figure).orElse(solved.get().value())
                        - solved.get().value();
        return Optional.of(
                new Estimate(value, solved.get().with(HAND_FORMULA, missed).budget()));
    }

    /** A figure judged on this vehicle's sheet by the practical's rule; empty where the sheet has no limits for it. */
    Optional<Judgement> judged(FigureId figure, Estimate value) {
        return assignment
                .sheet()
                .limits(figure)
                .map(limits ->
                        Judgement.of(value, limits, Judgement.K, practical().rule()));
    }
}
