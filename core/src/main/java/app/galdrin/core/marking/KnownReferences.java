package app.galdrin.core.marking;

import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Step;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Figures of references as found, kept while many sittings of one assignment are marked: sittings of one vehicle state share one.
 * Safely asked by many threads.
 */
public final class KnownReferences {

    /** More states of vehicles than this are not kept. */
    private static final int MOST = 64;

    private final Assignment assignment;
    private final List<ReferenceKey> asked;
    private final Map<Answers, OwnFigures> known = new ConcurrentHashMap<>();

    public KnownReferences(Assignment assignment) {
        this.assignment = assignment;
        Practical practical = assignment.practical();
        this.asked = AspectMarkers.criteria(practical)
                .map(c -> asked(c, practical.step(c.id().step()).orElseThrow()))
                .toList();
    }

    private static ReferenceKey asked(Criterion criterion, Step step) {
        return new ReferenceKey(
                criterion, step, AspectMarkers.of(step, criterion.id().aspect()));
    }

    /** A line of every sheet: what is marked, where it is done, and by whom. */
    record ReferenceKey(Criterion criterion, Step step, AspectMarker marker) {}

    /** Returns what every sheet of the assignment is marked on, in the order of its lines. */
    List<ReferenceKey> asked() {
        return asked;
    }

    /** Returns the assignment whose sittings are marked. */
    public Assignment assignment() {
        return assignment;
    }

    /** Returns the figures that a reference comes to. */
    OwnFigures figures(Answers reference) {
        OwnFigures there = known.get(reference);
        if (there != null) {
            return there;
        }
        var figures = OwnFigures.ofReference(assignment, reference);
        if (known.size() < MOST) {
            known.put(reference, figures);
        }
        return figures;
    }
}
