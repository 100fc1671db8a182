package app.galdrin.core.draft;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Checklist.Item;
import app.galdrin.core.task.Reason;
import java.util.List;
import java.util.Optional;

/** Changes one item of a checklist by its fields. */
record ItemEditor(Item item) {

    /** Returns the item with a field changed; the words, what is asked and whether it has to pass are the task's own to say of its own items alone. */
    Item written(String field, String typed) throws FieldRefusal {
        boolean isOn = FieldText.isTicked(typed);
        Item changed = switch (field) {
            case "inTurn" -> with(item.critical(), item.witnessed(), isOn, item.why(), item.optional());
            case "seen" -> with(item.critical(), isOn, item.inTurn(), item.why(), item.optional());
            case "optional" -> with(item.critical(), item.witnessed(), item.inTurn(), item.why(), isOn);
            case "why" ->
                with(item.critical(), item.witnessed(), item.inTurn(), ReasonsText.typed(typed), item.optional());
            default -> item;
        };
        return item.words().isPresent() ? ofOwn(changed, field, typed) : changed;
    }

    private static Item ofOwn(Item own, String field, String typed) throws FieldRefusal {
        return switch (field) {
            case "must" ->
                new ItemEditor(own)
                        .with(FieldText.isTicked(typed), own.witnessed(), own.inTurn(), own.why(), own.optional());
            case "words" -> new ItemEditor(own).saying(words(typed), own.asks());
            default -> new ItemEditor(own).saying(own.name(), AskedAnswer.written(own.asks(), field, typed));
        };
    }

    private Item with(boolean critical, boolean witnessed, boolean inTurn, List<Reason> why, boolean optional) {
        return new Item(item.id(), critical, witnessed, inTurn, why, item.words(), optional, item.asks());
    }

    private Item saying(String words, AnswerType asks) {
        return new Item(
                item.id(),
                item.critical(),
                item.witnessed(),
                item.inTurn(),
                item.why(),
                Optional.of(words),
                item.optional(),
                asks);
    }

    /** Returns the words of an item as typed. */
    static String words(String typed) throws FieldRefusal {
        if (typed.isEmpty() || typed.length() > Checklist.LONGEST_WORDS) {
            throw new FieldRefusal("bench.own.fault", typed, Checklist.LONGEST_WORDS);
        }
        return typed;
    }
}
