package app.galdrin.core.marking;

import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Scheme;
import app.galdrin.core.task.Step;
import java.util.HashMap;
import java.util.Map;
import java.util.ServiceLoader;
import java.util.stream.Stream;

/** The registered markers, and the criteria that they mark. */
final class AspectMarkers {

    private static final Map<MarkerKey, AspectMarker> MARKERS = load();

    private AspectMarkers() {}

    private record MarkerKey(String kind, Aspect aspect) {}

    private static Map<MarkerKey, AspectMarker> load() {
        Map<MarkerKey, AspectMarker> markers = new HashMap<>();
        ServiceLoader.load(AspectMarker.class, AspectMarker.class.getClassLoader())
                .forEach(marker -> markers.put(new MarkerKey(marker.kind(), marker.aspect()), marker));
        return markers;
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

    /** Returns those of the scheme, and before them whatever keeps people whole and was given no marks: nobody is competent without it. */
    static Stream<Criterion> criteria(Practical practical) {
        Scheme scheme = practical.scheme();
        Stream<Criterion> unmarked = practical
                .allSteps()
                .filter(step -> step.aspects().contains(Aspect.CRITICAL))
                .map(step -> new Criterion.Id(step.id(), Aspect.CRITICAL))
                .filter(id -> scheme.criterion(id).isEmpty())
                .map(id -> new Criterion(id, 0, true, Map.of()));
        return Stream.concat(unmarked, scheme.criteria().stream().map(AspectMarkers::safe));
    }

    private static Criterion safe(Criterion criterion) {
        return criterion.id().aspect() == Aspect.CRITICAL
                ? new Criterion(criterion.id(), criterion.marks(), true, criterion.bands())
                : criterion;
    }
}
