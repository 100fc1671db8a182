package app.galdrin.core.marking;

import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Step;
import com.google.auto.service.AutoService;
import java.util.List;

/** Marks what was ticked. */
abstract sealed class ChecklistMarkers implements AspectMarker {

    @Override
    public List<Evidence> evidence(Case of, Step step, Criterion criterion) {
        boolean critical = aspect() == Aspect.CRITICAL;
        return ((Checklist) step)
                .items().stream()
                        .filter(item -> item.critical() == critical)
                        .<Evidence>map(item -> new Evidence.Item(
                                item.id(),
                                of.answers()
                                        .at(LineKey.of(step.id(), item.id()))
                                        .isPresent()))
                        .toList();
    }

    /** The lines that keep people whole. */
    @AutoService(AspectMarker.class)
    public static final class Critical extends ChecklistMarkers {
        @Override
        public Aspect aspect() {
            return Aspect.CRITICAL;
        }
    }

    /** The other lines. */
    @AutoService(AspectMarker.class)
    public static final class Done extends ChecklistMarkers {
        @Override
        public Aspect aspect() {
            return Aspect.DONE;
        }
    }
}
