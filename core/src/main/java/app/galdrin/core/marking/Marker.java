package app.galdrin.core.marking;

import app.galdrin.core.sitting.Answers;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Scheme;
import app.galdrin.core.task.Step;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.DoubleSummaryStatistics;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.stream.Stream;

/**
 * Marks a sitting. Entries that are missing give a line that says so, never an exception.
 */
public final class Marker {

    private static final int DIGITS = 9;

    /** Names the rules of marking on stored mark sheets. */
    public static final String ENGINE = "13";

    /** What the minor pieces of a line's evidence are worth together. */
    private static final double MINOR = 0.1;

    private static final Map<MarkerKey, AspectMarker> MARKERS = load();

    private Marker() {}

    private record MarkerKey(String kind, Aspect aspect) {}

    private static Map<MarkerKey, AspectMarker> load() {
        Map<MarkerKey, AspectMarker> markers = new HashMap<>();
        ServiceLoader.load(AspectMarker.class, AspectMarker.class.getClassLoader())
                .forEach(marker -> markers.put(new MarkerKey(marker.kind(), marker.aspect()), marker));
        return markers;
    }

    /** The mark sheet, a line a criterion in the order of the scheme. */
    public static MarkSheet mark(Assignment assignment, Answers answers, References references) {
        return mark(new KnownReferences(assignment), answers, references);
    }

    /** The same for one of many sittings, of which some share a reference. */
    public static MarkSheet mark(KnownReferences known, Answers answers, References references) {
        var sitting = new Case(known, answers, references);
        return new MarkSheet(known.asked().stream()
                .map(asked ->
                        line(asked.criterion(), asked.marker().evidence(sitting, asked.step(), asked.criterion())))
                .toList());
    }

    /**
     * Returns what marks an aspect of a step.
     *
     * @throws IllegalStateException where nothing is registered for it
     */
    static AspectMarker of(Step step, Aspect aspect) {
        AspectMarker marker = MARKERS.get(new MarkerKey(step.kind(), aspect));
        if (marker == null) {
            throw new IllegalStateException("nothing marks " + aspect.key() + " of steps of kind " + step.kind());
        }
        return marker;
    }

    /** Those of the scheme, and before them whatever keeps people whole and was given no marks: nobody is competent without it. */
    static Stream<Criterion> criteria(Practical practical) {
        Scheme scheme = practical.scheme();
        Stream<Criterion> unmarked = practical
                .allSteps()
                .filter(step -> step.aspects().contains(Aspect.CRITICAL))
                .map(step -> new Criterion.Id(step.id(), Aspect.CRITICAL))
                .filter(id -> scheme.criterion(id).isEmpty())
                .map(id -> new Criterion(id, 0, true, Map.of()));
        return Stream.concat(unmarked, scheme.criteria().stream().map(Marker::safe));
    }

    private static Criterion safe(Criterion criterion) {
        return criterion.id().aspect() == Aspect.CRITICAL
                ? new Criterion(criterion.id(), criterion.marks(), true, criterion.bands())
                : criterion;
    }

    private static MarkLine line(Criterion criterion, List<Evidence> evidence) {
        double credit = credit(evidence);
        return new MarkLine(
                criterion.id(),
                criterion.marks(),
                criterion.mustPass(),
                credit,
                BigDecimal.valueOf(criterion.marks() * credit)
                        .setScale(DIGITS, RoundingMode.HALF_UP) // a tie is one, whatever a binary sum made of it
                        .setScale(1, RoundingMode.HALF_UP),
                evidence,
                Optional.empty());
    }

    /** Share of a line's marks: pieces of evidence count alike, the minor ones of it together a tenth. */
    static double credit(List<Evidence> evidence) {
        var major = new DoubleSummaryStatistics();
        var minor = new DoubleSummaryStatistics();
        for (Evidence e : evidence) {
            (e.minor() ? minor : major).accept(e.credit());
        }
        boolean both = major.getCount() > 0 && minor.getCount() > 0;
        return both
                ? (1 - MINOR) * major.getAverage() + MINOR * minor.getAverage()
                : major.getAverage() + minor.getAverage();
    }
}
