package app.galdrin.web.baysheet.internal;

import java.util.List;

/** Things to tick, each with why. */
public record ChecklistView(Head head, List<Item> items) implements StepView {

    /** One item by the key of its words. */
    public record Item(String item, FieldView field) {}
}
