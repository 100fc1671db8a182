package app.galdrin.core.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.reference.ReferenceValue;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Band;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Step;
import app.galdrin.core.uncertainty.Budget;
import app.galdrin.core.uncertainty.DoubtSource;
import app.galdrin.core.uncertainty.Estimate;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Marks the figures that come of an apprentice's own readings against the reference's. */
@AutoService(AspectMarker.class)
public final class ReadingMarker implements AspectMarker {

    @Override
    public String kind() {
        return Measure.KIND;
    }

    @Override
    public Aspect aspect() {
        return Aspect.READING;
    }

    @Override
    public List<Evidence> evidence(Case sitting, Step step, Criterion criterion) {
        var measure = (Measure) step;
        if (sitting.own().repeats(measure, 0).isEmpty()) {
            return List.of(sitting.unread(measure, "", measure.figures()));
        }
        if (!sitting.found().isRead(measure, 0)) {
            return List.of(new Evidence.MissingEntry(Lack.REFERENCE, ""));
        }
        List<Evidence> evidence = measure.figures().stream()
                .map(figure -> evidence(sitting, measure, figure, criterion))
                .toList();
        boolean lost = evidence.stream().anyMatch(e -> e instanceof ReadingEvidence r && r.off());
        return lost ? explained(evidence, new ReadingSlips(sitting, measure).found()) : evidence;
    }

    /** Adds the slips that moved a figure off the reference. */
    private static List<Evidence> explained(List<Evidence> evidence, List<SlipExplanation> slips) {
        return evidence.stream()
                .map(e -> e instanceof ReadingEvidence r && r.off()
                        ? r.with(slips.stream()
                                .filter(slip -> slip.figures().contains(r.figure()))
                                .toList())
                        : e)
                .toList();
    }

    private static Evidence evidence(Case sitting, Measure measure, FigureId figure, Criterion criterion) {
        Optional<Estimate> own = sitting.own().mean(measure, 0, figure);
        Optional<Estimate> reference = sitting.found().mean(measure, 0, figure);
        if (own.isEmpty() || reference.isEmpty()) {
            return own.isEmpty()
                    ? sitting.unread(measure, figure.key(), List.of(figure))
                    : new Evidence.MissingEntry(Lack.REFERENCE, figure.key());
        }
        Band band = criterion.band(figure).orElseThrow(() -> new IllegalStateException("no band for " + figure));
        Band used = band.against(against(own.get().budget(), reference.get().budget()));
        int taken = sitting.own().each(measure, 0, figure).size();
        double share = (double) taken / measure.repeats();
        double credit = share * used.credit(own.get().value() - reference.get().value());
        Optional<ReferenceValue> value = sitting.found().value(measure, figure);
        var evidence = new ReadingEvidence(
                figure,
                figureOf(own.get()),
                figureOf(reference.get()),
                used,
                band.full(),
                taken,
                measure.repeats(),
                credit,
                doubt(sitting, measure, own.get()),
                List.of(),
                false,
                List.of(),
                value.map(ReferenceValue::parts).orElse(List.of()));
        return evidence.off() && sitting.waitsForInstructor(value)
                ? new Evidence.MissingEntry(Lack.YOUR_READING, figure.key())
                : evidence;
    }

    /**
     * Returns how well a reference is known beside an apprentice's figure, a standard uncertainty in rad or mm: what both have from the same vehicle
     * and bay falls out; another bay's survey counts for both.
     */
    private static double against(Budget own, Budget reference) {
        Set<DoubtSource> shared = own.sources();
        shared.retainAll(reference.sources());
        return Math.hypot(
                reference.standardUncertaintyOf(source -> !(shared.contains(source) && source.isCommonToAll())),
                own.standardUncertaintyOf(source -> !shared.contains(source) && source.isCommonToAll()));
    }

    static FigureValue figureOf(Estimate estimate) {
        return new FigureValue(estimate.value(), estimate.standardUncertainty());
    }

    /** Returns what most of a figure's doubt comes from. */
    private static Optional<DoubtShare> doubt(Case sitting, Measure measure, Estimate figure) {
        return figure.budget().largestShare().map(e -> new DoubtShare(e.getKey(), e.getValue()));
    }
}
