package app.galdrin.web.task.internal;

import app.galdrin.core.draft.ChecklistEditor;
import app.galdrin.core.draft.ReasonsText;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Step;
import app.galdrin.web.task.BenchDraft;
import app.galdrin.web.task.StepBench;
import java.util.List;
import java.util.Optional;
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
     */
    public record ItemRow(Checklist.Item item, boolean taken, boolean needed, String field, String why) {}

    @Override
    public String kind() {
        return Checklist.KIND;
    }

    @Override
    public Object view(Step step, BenchDraft draft) {
        var list = (Checklist) step;
        List<Checklist.Item> ready = ChecklistEditor.ready(list);
        Stream<Checklist.Item> own =
                list.items().stream().filter(i -> ready.stream().noneMatch(r -> r.id().equals(i.id())));
        return Stream.concat(ready.stream(), own)
                .map(item -> {
                    Optional<Checklist.Item> taken = list.items().stream()
                            .filter(i -> i.id().equals(item.id()))
                            .findFirst();
                    String field = BenchDraft.field(list.id(), "why." + item.id());
                    return new ItemRow(
                            taken.orElse(item),
                            taken.isPresent(),
                            item.critical() && ready.contains(item),
                            field,
                            draft.value(
                                    field, ReasonsText.write(taken.orElse(item).why())));
                })
                .toList();
    }
}
