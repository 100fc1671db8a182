package app.galdrin.core.marking;

import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Step;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Marks what was ticked, and the reasons that were asked for it. */
abstract sealed class ChecklistMarkers implements AspectMarker {

    @Override
    public final String kind() {
        return Checklist.KIND;
    }

    @Override
    public List<Evidence> evidence(Case sitting, Step step, Criterion criterion) {
        var list = (Checklist) step;
        boolean critical = aspect() == Aspect.CRITICAL;
        List<Evidence> evidence = new ArrayList<>();
        for (Checklist.Item item : list.items()) {
            if (item.optional()) {
                continue;
            }
            if (item.critical() == critical) {
                evidence.add(
                        new Evidence.Item(item.name(), isDone(sitting, list, item), tooEarly(sitting, list, item)));
            }
            if (!critical && !item.why().isEmpty()) {
                evidence.add(why(sitting, list, item));
            }
        }
        return evidence;
    }

    private static LineKey line(Checklist list, Checklist.Item item) {
        return LineKey.of(list.id(), item.id());
    }

    private static boolean isDone(Case sitting, Checklist list, Checklist.Item item) {
        return sitting.answers().at(line(list, item)).isPresent();
    }

    /** Returns the items listed before one that was ticked too early; an item that was left out counts as missing only. */
    private static Optional<String> tooEarly(Case sitting, Checklist list, Checklist.Item item) {
        return list.items().stream()
                .limit(item.inTurn() ? list.items().indexOf(item) : 0)
                .filter(earlier -> sitting.answers().isBefore(line(list, item), line(list, earlier)))
                .map(Checklist.Item::name)
                .findFirst();
    }

    private static Evidence why(Case sitting, Checklist list, Checklist.Item item) {
        Optional<String> answer = sitting.answers().text(LineKey.of(list.id(), item.whyLine()));
        return new Evidence.GivenReason(
                item.name(),
                answer,
                item.why().stream()
                        .map(reason -> new MatchedReason(
                                reason.words(), answer.filter(reason::isIn).isPresent()))
                        .toList());
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
    public static final class DoneMarker extends ChecklistMarkers {
        @Override
        public Aspect aspect() {
            return Aspect.DONE;
        }
    }
}
