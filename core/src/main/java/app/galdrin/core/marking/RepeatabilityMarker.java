package app.galdrin.core.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.sitting.MissingReading;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Band;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Step;
import app.galdrin.core.uncertainty.Estimate;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;

/** Marks how near one another an apprentice's own repeats lie. */
@AutoService(AspectMarker.class)
public final class RepeatabilityMarker implements AspectMarker {

    @Override
    public String kind() {
        return Measure.KIND;
    }

    @Override
    public Aspect aspect() {
        return Aspect.REPEATABILITY;
    }

    @Override
    public List<Evidence> evidence(Case sitting, Step step, Criterion criterion) {
        var measure = (Measure) step;
        if (sitting.own().repeats(measure, 0).size() < 2) {
            return List.of(missing(sitting, measure, "", criterion.bands().keySet()));
        }
        List<Evidence> evidence = new ArrayList<>();
        criterion.bands().forEach((figure, band) -> evidence.add(evidence(sitting, measure, figure, band)));
        return evidence;
    }

    private static Evidence missing(Case sitting, Measure measure, String what, Collection<FigureId> figures) {
        return new Evidence.MissingEntry(Lack.REPEATS, what, MissingReading.of(sitting.own(), measure, 0, figures));
    }

    private static Evidence evidence(Case sitting, Measure measure, FigureId figure, Band band) {
        List<Double> each = sitting.own().each(measure, 0, figure).stream()
                .map(Estimate::value)
                .toList();
        if (each.size() < 2) {
            return missing(sitting, measure, figure.key(), List.of(figure));
        }
        double range = each.stream().mapToDouble(v -> v).max().orElse(0)
                - each.stream().mapToDouble(v -> v).min().orElse(0);
        return new Evidence.Repeats(figure, each, range, band, band.credit(range));
    }
}
