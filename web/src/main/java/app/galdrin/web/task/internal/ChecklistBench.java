package app.galdrin.web.task.internal;

import app.galdrin.core.draft.ReasonsText;
import app.galdrin.core.task.AnswerKind;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.ReadyList;
import app.galdrin.core.task.Step;
import app.galdrin.web.task.AskedView;
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
        public AskedView asked() {
            return AskedView.of(item.asks(), List.of(AnswerKind.values()));
        }
    }

    /**
     * A checklist on the bench: its items in their order, then those it can take.
     *
     * @param known words that the centre has used before: typed again, the item comes as it was set there
     */
    public record ListView(List<ItemRow> rows, String unfinished, List<String> known) {}

    @Override
    public String kind() {
        return Checklist.KIND;
    }

    @Override
    public Object view(Step step, BenchDraft draft) {
        var list = (Checklist) step;
        List<Checklist.Item> ready = ReadyList.of(list).items();
        Stream<Checklist.Item> others =
                ready.stream().filter(r -> list.items().stream().noneMatch(i -> i.id().equals(r.id())));
        List<ItemRow> rows = Stream.concat(list.items().stream(), others)
                .map(item -> {
                    int place = 1 + list.items().indexOf(item);
                    String field = BenchDraft.field(list.id(), "why." + item.id());
                    boolean isNeeded = ReadyList.of(list)
                            .item(item.id())
                            .filter(Checklist.Item::critical)
                            .isPresent();
                    return new ItemRow(
                            item, place > 0, isNeeded, field, draft.value(field, ReasonsText.write(item.why())), place);
                })
                .toList();
        List<String> known =
                draft.knownItems().stream().map(Checklist.Item::name).toList();
        return new ListView(rows, draft.value(BenchDraft.field(list.id(), "own"), ""), known);
    }
}
