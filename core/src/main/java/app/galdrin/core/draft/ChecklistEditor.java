package app.galdrin.core.draft;

import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Checklist.Item;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Reason;
import app.galdrin.core.task.Step;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** Edits checklists: which items, in which turn, with which reasons. */
@AutoService(StepEditor.class)
public final class ChecklistEditor implements StepEditor {

    private static final String CLOSING = "closing";
    private static final int FIRST = 0;
    private static final int NEARLY_LAST = 60;

    @Override
    public String kind() {
        return Checklist.KIND;
    }

    @Override
    public List<Addition> additions() {
        return List.of(
                new Addition("checklist:prepare", "prepare", "step.prepare.title"),
                new Addition("checklist:closing", CLOSING, "step.closing.title"));
    }

    @Override
    public Step made(Addition addition, String id) {
        return new Checklist(id, addition.id().equals(CLOSING) ? Checklist.CLOSING : Checklist.PREPARATION);
    }

    @Override
    public int turn(Step step) {
        return isClosing((Checklist) step) ? NEARLY_LAST : FIRST;
    }

    private static boolean isClosing(Checklist list) {
        return list.isClosing() || list.items().isEmpty() && list.id().startsWith(CLOSING);
    }

    /** Returns the items a list can take beside its own. */
    public static List<Item> ready(Checklist list) {
        return isClosing(list) ? Checklist.CLOSING : Checklist.PREPARATION;
    }

    @Override
    public Step written(Step step, String field, String part, String typed, DraftSetting setting) throws FieldRefusal {
        var list = (Checklist) step;
        return switch (field) {
            case "item" -> ticked(list, part, FieldText.isTicked(typed));
            case "inTurn" ->
                changed(
                        list,
                        part,
                        i -> new Item(i.id(), i.critical(), i.witnessed(), FieldText.isTicked(typed), i.why()));
            case "why" -> {
                Optional<List<Reason>> reasons = ReasonsText.read(typed);
                if (reasons.isEmpty()) {
                    throw new FieldRefusal("bench.why.fault", typed, Reason.MOST, Reason.LONGEST_WORD);
                }
                yield changed(
                        list, part, i -> new Item(i.id(), i.critical(), i.witnessed(), i.inTurn(), reasons.get()));
            }
            default -> step;
        };
    }

    private static Checklist changed(Checklist list, String item, UnaryOperator<Item> change) {
        return new Checklist(
                list.id(),
                list.items().stream()
                        .map(i -> i.id().equals(item) ? change.apply(i) : i)
                        .toList());
    }

    /** Takes a ready-made item in at its place or out; one that somebody can be hurt without stays. */
    private static Checklist ticked(Checklist list, String item, boolean taken) {
        List<Item> ready = ready(list);
        boolean needed = ready.stream().anyMatch(i -> i.id().equals(item) && i.critical());
        boolean there = list.items().stream().anyMatch(i -> i.id().equals(item));
        if (taken == there || needed) {
            return list;
        }
        if (!taken) {
            return new Checklist(
                    list.id(),
                    list.items().stream().filter(i -> !i.id().equals(item)).toList());
        }
        List<Item> own = new ArrayList<>(list.items());
        Stream<Item> inOrder = ready.stream()
                .flatMap(r -> own.stream()
                        .filter(i -> i.id().equals(r.id()))
                        .findFirst()
                        .or(() -> r.id().equals(item) ? Optional.of(r) : Optional.empty())
                        .stream());
        Stream<Item> others = own.stream().filter(i -> ready.stream().noneMatch(r -> r.id().equals(i.id())));
        return new Checklist(
                list.id(),
                Stream.concat(inOrder, others).limit(Practical.MOST_LINES).toList());
    }
}
