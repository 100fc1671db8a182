package app.galdrin.web.baysheet.internal;

import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Step;
import app.galdrin.web.baysheet.FieldView;
import app.galdrin.web.baysheet.StepSheet;
import app.galdrin.web.baysheet.StepView;
import app.galdrin.web.baysheet.WrittenSheet;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** A checklist on the sheet. */
@Component
class ChecklistSheet implements StepSheet {

    @Override
    public String kind() {
        return Checklist.KIND;
    }

    @Override
    public StepView view(Step step, StepView.Head head, WrittenSheet written) {
        var list = (Checklist) step;
        return new ChecklistView(
                head, list.items().stream().map(i -> item(list, i, written)).toList());
    }

    private static ChecklistView.Item item(Checklist list, Checklist.Item item, WrittenSheet written) {
        Optional<FieldView> why = item.why().isEmpty()
                ? Optional.empty()
                : Optional.of(written.fields().at(LineKey.of(list.id(), item.whyLine())));
        return new ChecklistView.Item(
                item.name(), written.fields().at(LineKey.of(list.id(), item.id())), item.inTurn(), why);
    }
}
