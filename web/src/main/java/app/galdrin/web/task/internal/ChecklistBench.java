package app.galdrin.web.task.internal;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.draft.ChecklistEditor;
import app.galdrin.core.draft.ReasonsText;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.ItemAnswer;
import app.galdrin.core.task.Step;
import app.galdrin.web.task.BenchDraft;
import app.galdrin.web.task.StepBench;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** A checklist on the bench: the items it can take, and its own. */
@Component
class ChecklistBench implements StepBench {

    /**
     * An item of a checklist on the bench.
     *
     * @param taken whether the list has it
     * @param needed whether it can't be left out
     * @param why what is typed for its reasons, under the name {@code field}
     * @param place its place in the list, 1 and up; 0 where the list does not have it
     */
    public record ItemRow(Checklist.Item item, boolean taken, boolean needed, String field, String why, int place) {

        /** Returns whether it is in words of the task's own. */
        public boolean isOwn() {
            return item.words().isPresent();
        }

        /** Returns what it asks for. */
        public String asks() {
            return ItemAnswer.of(item.asks()).key();
        }

        /** Returns the unit of a number; empty of anything else. */
        public String unit() {
            return item.asks() instanceof AnswerType.Amount number
                    ? number.defaultUnit().key()
                    : "";
        }

        public String least() {
            return item.asks() instanceof AnswerType.Amount number ? figure(number.least()) : "";
        }

        public String most() {
            return item.asks() instanceof AnswerType.Amount number ? figure(number.most()) : "";
        }

        /** Returns the texts of a choice as they are typed; empty of anything else. */
        public String options() {
            return item.asks() instanceof AnswerType.Choice choice ? String.join(", ", choice.options()) : "";
        }

        private static String figure(double value) {
            return QuantityFormat.decimal(value, 2, false).replaceFirst("\\.?0+$", "");
        }
    }

    /** A checklist on the bench: its items in their order, then those it can take. */
    public record ListView(List<ItemRow> rows, String unfinished) {

        /** Returns what an item of the task's own can ask for. */
        public List<String> kinds() {
            return Stream.of(ItemAnswer.values()).map(ItemAnswer::key).toList();
        }

        /** Returns the units that a number can be asked in. */
        public List<String> units() {
            return ItemAnswer.UNITS.stream().map(Unit::key).toList();
        }
    }

    @Override
    public String kind() {
        return Checklist.KIND;
    }

    @Override
    public Object view(Step step, BenchDraft draft) {
        var list = (Checklist) step;
        List<Checklist.Item> ready = ChecklistEditor.ready(list);
        Stream<Checklist.Item> others =
                ready.stream().filter(r -> list.items().stream().noneMatch(i -> i.id().equals(r.id())));
        List<ItemRow> rows = Stream.concat(list.items().stream(), others)
                .map(item -> {
                    int place = 1 + list.items().indexOf(item);
                    String field = BenchDraft.field(list.id(), "why." + item.id());
                    boolean isNeeded = ready.stream().anyMatch(r -> r.id().equals(item.id()) && r.critical());
                    return new ItemRow(
                            item, place > 0, isNeeded, field, draft.value(field, ReasonsText.write(item.why())), place);
                })
                .toList();
        return new ListView(rows, draft.value(BenchDraft.field(list.id(), "own"), ""));
    }
}
