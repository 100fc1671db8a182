package app.galdrin.web.sitting;

import app.galdrin.core.measure.Asked;
import app.galdrin.core.measure.Place;
import app.galdrin.core.task.ChecklistStep;
import app.galdrin.core.task.ToeTask;
import java.util.ArrayList;
import java.util.List;

/** The stages of a sitting in the order of the work, and how far each one is. */
public final class Route {

    private Route() {}

    /** A stage on the route; {@code critical} where someone can be hurt if it is skipped. */
    public record Step(Stage stage, int number, int done, int of, boolean critical) {
        public boolean complete() {
            return done >= of;
        }
    }

    /** The stages that this sitting goes through. */
    public static List<Step> of(Sitting sitting, Log log) {
        List<Step> steps = new ArrayList<>();
        for (Stage stage : stages(sitting)) {
            List<Slot> slots = slots(sitting.task().toe(), stage);
            int done = (int) slots.stream().filter(slot -> filled(log, slot)).count();
            boolean critical = stage == Stage.PREPARE || stage == Stage.HAND_IN;
            steps.add(new Step(stage, steps.size() + 1, done, slots.size(), critical));
        }
        return steps;
    }

    public static List<Stage> stages(Sitting sitting) {
        return switch (sitting.purpose()) {
            case REFERENCE_AS_FOUND -> List.of(Stage.AS_FOUND);
            case REFERENCE_AS_LEFT -> List.of(Stage.AS_LEFT);
            case PRACTICAL ->
                List.of(
                        Stage.PREPARE,
                        Stage.AS_FOUND,
                        Stage.WORK,
                        Stage.JUDGE,
                        Stage.PLAN,
                        Stage.AS_LEFT,
                        Stage.HAND_IN);
        };
    }

    /** Turns are not asked for where a rod is left alone. */
    private static boolean filled(Log log, Slot slot) {
        if (slot.stage() == Stage.PLAN && slot.place().endsWith(".turns")) {
            Slot way = Slot.of(Stage.PLAN, slot.place().replace(".turns", ".way"));
            if (log.at(way).filter(e -> e.written().equals("leave")).isPresent()) {
                return true;
            }
        }
        return log.at(slot).isPresent();
    }

    /** Every slot of a stage, in the order in which it is filled. */
    public static List<Slot> slots(ToeTask task, Stage stage) {
        return switch (stage) {
            case PREPARE ->
                task.checklist().stream()
                        .map(ChecklistStep::key)
                        .map(key -> Slot.of(stage, key))
                        .toList();
            case AS_FOUND, AS_LEFT -> readings(task, stage);
            case WORK ->
                task.asked().figures().stream()
                        .map(Asked::key)
                        .map(key -> Slot.of(stage, key))
                        .toList();
            case JUDGE -> {
                List<Slot> slots = new ArrayList<>();
                task.asked().figures().forEach(a -> slots.add(Slot.of(stage, a.key())));
                slots.add(Slot.of(stage, SlotRules.ADJUSTABLE));
                yield slots;
            }
            case PLAN ->
                List.of(
                        Slot.of(stage, "left.way"),
                        Slot.of(stage, "left.turns"),
                        Slot.of(stage, "right.way"),
                        Slot.of(stage, "right.turns"));
            case HAND_IN -> List.of(Slot.of(stage, "done"));
            case FLAG, MARK -> List.of();
        };
    }

    private static List<Slot> readings(ToeTask task, Stage stage) {
        List<Slot> slots = new ArrayList<>();
        for (int repeat = 1; repeat <= task.repeats(); repeat++) {
            for (Place place : task.method().places()) {
                if (place.eachRepeat()) {
                    slots.add(new Slot(stage, place.id(), repeat));
                } else if (repeat == 1) {
                    slots.add(new Slot(stage, place.id(), 0));
                }
            }
        }
        return slots;
    }
}
