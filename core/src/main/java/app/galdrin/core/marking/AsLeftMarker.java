package app.galdrin.core.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.Limits;
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

/** Marks the vehicle as it was left, by the instructor's own readings. */
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
            for (FigureId figure : measure.figures()) {
                of.assignment()
                        .sheet()
                        .limits(figure)
                        .ifPresent(limits -> evidence.add(evidence(of, measure, last, figure, limits)));
            }
        }
        return evidence.isEmpty() ? List.of(new Evidence.Missing(Evidence.Lack.AS_LEFT_LIMITS, "")) : evidence;
    }

    private static Evidence evidence(Case of, Measure measure, int round, FigureId figure, Limits limits) {
        Optional<Estimate> reference = of.left().mean(measure, round, figure);
        if (reference.isEmpty()) {
            return new Evidence.Missing(Evidence.Lack.AS_LEFT_REFERENCE, figure.key());
        }
        Judgement judgement = of.judged(figure, reference.get()).orElseThrow();
        return new Evidence.AsLeft(
                figure,
                ReadingMarker.figureOf(reference.get()),
                limits,
                of.practical().rule(),
                judgement.zone(),
                judgement.accepted());
    }
}
