package app.galdrin.core.draft;

import app.galdrin.core.Keyed;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Checklist.Item;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.ReadyList;
import app.galdrin.core.task.Step;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Edits checklists: which items, in which turn, with which reasons. */
@AutoService(StepEditor.class)
public final class ChecklistEditor implements StepEditor {

    private static final int FIRST = 0;
    private static final int NEARLY_LAST = 60;

    /** Ids of the task's own items begin so; a number follows. */
    private static final String OWN = "own";

    @Override
    public String kind() {
        return Checklist.KIND;
    }

    @Override
    public List<Addition> additions() {
        return Stream.of(ReadyList.values())
                .map(list -> new Addition("checklist:" + list.key(), list.key(), "step." + list.key() + ".title"))
                .toList();
    }

    @Override
    public Step made(Addition addition, String id) {
        return new Checklist(id, Keyed.of(ReadyList.values(), addition.id()).items());
    }

    @Override
    public int turn(Step step) {
        return ReadyList.of((Checklist) step) == ReadyList.CLOSING ? NEARLY_LAST : FIRST;
    }

    @Override
    public Step written(Step step, String field, String part, String typed, DraftSetting setting) throws FieldRefusal {
        var list = (Checklist) step;
        Optional<Item> there =
                list.items().stream().filter(i -> i.id().equals(part)).findFirst();
        if (field.equals("item")) {
            return ticked(list, part, FieldText.isTicked(typed));
        }
        if (field.equals("own")) {
            return added(list, typed, setting.known());
        }
        if (there.isEmpty()) {
            return list;
        }
        return field.equals("place")
                ? placed(
                        list,
                        there.get(),
                        FieldText.whole(typed, 1, list.items().size()))
                : changed(list, part, new ItemEditor(there.get()).written(field, typed));
    }

    /** Adds an item in words of the task's own; one that the centre has used before comes as it was set there. */
    private static Checklist added(Checklist list, String typed, List<Item> known) throws FieldRefusal {
        if (typed.isEmpty() || list.items().size() == Practical.MOST_LINES) {
            return list;
        }
        String words = ItemEditor.words(typed);
        int number = 1;
        while (isTaken(list, OWN + number)) {
            number++;
        }
        String id = OWN + number;
        Item item = known.stream()
                .filter(k -> k.name().equalsIgnoreCase(words))
                .findFirst()
                .map(k -> k.named(id))
                .orElseGet(() -> Item.own(id, words));
        return with(list, Stream.concat(list.items().stream(), Stream.of(item)));
    }

    private static boolean isTaken(Checklist list, String id) {
        return list.items().stream().anyMatch(i -> i.id().equals(id));
    }

    /** Moves an item to a place, 1 and up. */
    private static Checklist placed(Checklist list, Item item, int place) {
        List<Item> items = new ArrayList<>(list.items());
        items.remove(item);
        items.add(place - 1, item);
        return with(list, items.stream());
    }

    private static Checklist with(Checklist list, Stream<Item> items) {
        return new Checklist(list.id(), items.toList());
    }

    private static Checklist changed(Checklist list, String item, Item changed) {
        return with(list, list.items().stream().map(i -> i.id().equals(item) ? changed : i));
    }

    /** Takes a ready-made item in at its place or out; one that somebody can be hurt without stays. */
    private static Checklist ticked(Checklist list, String item, boolean taken) {
        List<Item> ready = ReadyList.of(list).items();
        boolean needed = ReadyList.of(list).item(item).filter(Item::critical).isPresent();
        boolean there = list.items().stream().anyMatch(i -> i.id().equals(item));
        if (taken == there || needed) {
            return list;
        }
        List<Item> items = new ArrayList<>(list.items());
        if (!taken) {
            items.removeIf(i -> i.id().equals(item));
            return with(list, items.stream());
        }
        List<String> order = ready.stream().map(Item::id).toList();
        int turn = order.indexOf(item);
        if (turn < 0 || items.size() == Practical.MOST_LINES) {
            return list;
        }
        int before = 0;
        while (before < items.size()
                && order.indexOf(items.get(before).id()) < turn
                && order.contains(items.get(before).id())) {
            before++;
        }
        items.add(before, ready.get(turn));
        return with(list, items.stream());
    }
}
