package app.galdrin.core.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Step;
import app.galdrin.core.uncertainty.Estimate;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Marks the vehicle as it was left, by the instructor's own readings. What they leave in doubt is read once more; then both readings
 * together decide, and what is not certainly outside is taken as its mean says.
 */
@AutoService(AspectMarker.class)
public final class AsLeftMarker implements AspectMarker {

    @Override
    public Aspect aspect() {
        return Aspect.AS_LEFT;
    }

    @Override
    public List<Evidence> evidence(Case of, Step step, Criterion criterion) {
        var round = (Round) step;
        int last = new Sheet(of.assignment()).rounds(round, of.answers());
        boolean anything = round.measures().stream()
                .anyMatch(m -> !of.left().repeats(m, last).isEmpty());
        if (!anything) {
            return List.of(new Evidence.Missing(Evidence.Lack.AS_LEFT_REFERENCE, ""));
        }
        List<Evidence> evidence = new ArrayList<>();
        for (Measure measure : round.measures()) {
            for (FigureId figure : of.assignment().figuresAndDifferences(measure)) {
                of.assignment()
                        .limits(figure)
                        .ifPresent(limits -> evidence.add(evidence(of, round, measure, last, figure, limits)));
            }
        }
        return evidence.isEmpty() ? List.of(new Evidence.Missing(Evidence.Lack.AS_LEFT_LIMITS, "")) : evidence;
    }

    private static Evidence evidence(
            Case of, Round asked, Measure measure, int round, FigureId figure, Limits ofSheet) {
        // how alike the sides have to be is the sheet's to say, and what it prefers of that is nought
        boolean aimed = asked.aim() < Round.INSIDE && measure.figures().contains(figure);
        Limits limits = aimed ? ofSheet.within(asked.aim() / (double) Round.INSIDE) : ofSheet;
        Optional<Estimate> first = of.left().mean(measure, round, figure);
        if (first.isEmpty()) {
            return new Evidence.Missing(Evidence.Lack.AS_LEFT_REFERENCE, figure.key());
        }
        List<Estimate> anew = of.leftAgain().each(measure, round, figure);
        boolean again = !anew.isEmpty();
        Estimate all = first.get();
        if (again) {
            List<Estimate> readings = new ArrayList<>(of.left().each(measure, round, figure));
            anew.forEach(e -> readings.add(e.anew(of::again)));
            all = Estimate.mean(readings);
        }
        Judgement judgement = of.assignment().scale(figure).judge(figure, all, limits, DecisionRule.SIMPLE);
        if (judgement.zone().inDoubt() && !again && !of.references().closed()) {
            return new Evidence.Missing(Evidence.Lack.AS_LEFT_AGAIN, figure.key());
        }
        return new Evidence.AsLeft(
                figure,
                ReadingMarker.figureOf(all),
                limits,
                of.practical().rule(),
                judgement.zone(),
                again,
                judgement.zone() != Zone.OUTSIDE && judgement.accepted(),
                aimed);
    }
}
