package app.galdrin.core.draft;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Checklist.Item;
import app.galdrin.core.task.ItemAnswer;
import app.galdrin.core.task.Reason;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Changes one item of a checklist by its fields. */
record ItemEditor(Item item) {

    /** Returns the item with a field changed; the words, what is asked and whether it has to pass are the task's own to say of its own items alone. */
    Item written(String field, String typed) throws FieldRefusal {
        boolean isOn = FieldText.isTicked(typed);
        Item changed = switch (field) {
            case "inTurn" -> with(item.critical(), item.witnessed(), isOn, item.why(), item.optional());
            case "seen" -> with(item.critical(), isOn, item.inTurn(), item.why(), item.optional());
            case "optional" -> with(item.critical(), item.witnessed(), item.inTurn(), item.why(), isOn);
            case "why" -> with(item.critical(), item.witnessed(), item.inTurn(), reasons(typed), item.optional());
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
            case "asks" ->
                asking(
                        own,
                        ItemAnswer.of(own.asks()).key().equals(typed)
                                ? own.asks()
                                : FieldText.word(ItemAnswer.values(), typed).usual());
            case "unit" -> asking(own, inUnit(number(own), typed));
            case "least" ->
                asking(own, between(number(own), figure(typed), number(own).most(), typed));
            case "most" -> asking(own, between(number(own), number(own).least(), figure(typed), typed));
            case "options" -> asking(own, ItemAnswer.choice(options(typed)));
            default -> own;
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

    private static Item asking(Item own, AnswerType asks) {
        return new ItemEditor(own).saying(own.name(), asks);
    }

    private static List<Reason> reasons(String typed) throws FieldRefusal {
        return ReasonsText.read(typed)
                .orElseThrow(() -> new FieldRefusal("bench.why.fault", typed, Reason.MOST, Reason.LONGEST_WORD));
    }

    /** Returns the words of an item as typed. */
    static String words(String typed) throws FieldRefusal {
        if (typed.isEmpty() || typed.length() > Checklist.LONGEST_WORDS) {
            throw new FieldRefusal("bench.own.fault", typed, Checklist.LONGEST_WORDS);
        }
        return typed;
    }

    private static AnswerType.Amount number(Item own) {
        return own.asks() instanceof AnswerType.Amount number ? number : (AnswerType.Amount) ItemAnswer.NUMBER.usual();
    }

    private static AnswerType inUnit(AnswerType.Amount number, String typed) throws FieldRefusal {
        Unit unit = FieldText.word(ItemAnswer.UNITS.toArray(Unit[]::new), typed);
        return ItemAnswer.number(unit, number.least(), number.most());
    }

    /** mm, deg or a count. */
    private static AnswerType between(AnswerType.Amount number, double least, double most, String typed)
            throws FieldRefusal {
        if (least >= most) {
            throw new FieldRefusal("bench.range.fault", typed);
        }
        return ItemAnswer.number(number.defaultUnit(), least, most);
    }

    /** A number in the unit that is asked, to two decimals. */
    private static double figure(String typed) throws FieldRefusal {
        String text = typed.replace(',', '.').replace('\u2212', '-');
        if (text.matches("-?[0-9]{1,6}(\\.[0-9]{1,2})?") && Math.abs(Double.parseDouble(text)) <= ItemAnswer.GREATEST) {
            return Double.parseDouble(text);
        }
        throw new FieldRefusal("bench.number.fault", typed);
    }

    /** Texts as they are typed, parted by commas. */
    private static List<String> options(String typed) throws FieldRefusal {
        List<String> options =
                Stream.of(typed.split(",", -1)).map(String::strip).distinct().toList();
        boolean fit = options.stream().allMatch(o -> !o.isEmpty() && o.length() <= AnswerType.LONGEST);
        if (!fit || options.size() < 2 || options.size() > ItemAnswer.MOST_OPTIONS) {
            throw new FieldRefusal("bench.options.fault", typed, ItemAnswer.MOST_OPTIONS, AnswerType.LONGEST);
        }
        return options;
    }
}
