package app.galdrin.core.task;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand.Form;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Source;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What a practical's steps are worth where nobody says otherwise: bands from each procedure's own doubt, so that nobody loses to
 * the gauge.
 */
public final class SchemeDefaults {

    private final Practical practical;
    private final MeasuringContext standing;
    private final int measures;

    /** Figures of the whole practical whose repeats are compared. */
    private final int judged;

    private SchemeDefaults(Practical practical, SpecificationSheet sheet) {
        this.practical = practical;
        this.standing = Assignment.of(practical, sheet).standing();
        this.judged = practical.steps().stream()
                .filter(Measure.class::isInstance)
                .mapToInt(step -> repeatable(((Measure) step).figures()).size())
                .sum();
        this.measures = (int) Math.max(
                1, practical.steps().stream().filter(Measure.class::isInstance).count());
    }

    /** The scheme of these steps on this vehicle; the practical's own is not looked at. */
    public static Scheme of(Practical practical, SpecificationSheet sheet) {
        return new Scheme(new SchemeDefaults(practical, sheet).criteria(), 0);
    }

    private List<Criterion> criteria() {
        List<Criterion> criteria = new ArrayList<>();
        boolean prepared = false;
        for (Step step : practical.steps()) {
            boolean later = step instanceof Checklist && prepared;
            prepared |= step instanceof Checklist;
            for (Aspect aspect : step.aspects()) {
                if (aspect == Aspect.TIME && practical.minutes().isEmpty()) {
                    continue;
                }
                criteria.add(new Criterion(
                        new Criterion.Id(step.id(), aspect),
                        marks(aspect, later),
                        mustPass(aspect),
                        bands(step, aspect)));
            }
        }
        return criteria;
    }

    /** Who would make a vehicle worse that he is going to adjust is not competent, whatever his other marks. */
    private boolean mustPass(Aspect aspect) {
        return aspect == Aspect.CRITICAL
                || aspect == Aspect.AS_LEFT
                || aspect == Aspect.PLAN && practical.of(Round.class).findAny().isPresent();
    }

    /** A hundred for one measurement without a closing list; several measurements share what one has. */
    private int marks(Aspect aspect, boolean laterChecklist) {
        return switch (aspect) {
            case CRITICAL -> laterChecklist ? 5 : 10;
            case DONE, ORDER, TIME -> 5;
            case READING -> (int) Math.ceil(20.0 / measures);
            case REPEATABILITY -> (int) Math.ceil(10.0 / measures);
            case WORKING -> 20;
            case VERDICT -> 15;
            case PLAN, AS_LEFT -> 10;
        };
    }

    private Map<FigureId, Band> bands(Step step, Aspect aspect) {
        Map<FigureId, Band> bands = new LinkedHashMap<>();
        if (step instanceof Measure measure && aspect == Aspect.READING) {
            Map<FigureId, Estimate> asAsked = ExpectedUncertainty.asAsked(measure, standing);
            for (FigureId figure : measure.figures()) {
                Estimate expected = asAsked.get(figure);
                if (expected != null) {
                    bands.put(
                            figure,
                            Band.between(
                                    expected.budget().standardUncertaintyOf(source -> !Source.isCommonToAll(source))));
                }
            }
        } else if (step instanceof Measure measure && aspect == Aspect.REPEATABILITY) {
            ExpectedUncertainty.apart(measure, standing, repeatable(measure.figures()), judged)
                    .forEach((figure, limit) -> bands.put(figure, Band.from(limit)));
        }
        return bands;
    }

    /** Sums where they are asked for, since they hold the repeats of both wheels; else each wheel by itself. */
    private static List<FigureId> repeatable(List<FigureId> figures) {
        List<FigureId> sums =
                figures.stream().filter(f -> f.measurand().form() == Form.SUM).toList();
        return sums.isEmpty()
                ? figures.stream().filter(f -> f.measurand().form() == Form.OWN).toList()
                : sums;
    }
}
