package app.galdrin.web.baysheet.internal;

import app.galdrin.web.baysheet.FieldView;
import app.galdrin.web.baysheet.StepView;
import java.util.List;
import java.util.Optional;

/** Things to tick, each with why. */
public record ChecklistView(Head head, List<Item> items) implements StepView {

    /**
     * One item by the key of its words, or its own words.
     *
     * @param why where its reasons are asked for, and not told therefore
     */
    public record Item(String item, FieldView field, boolean inTurn, Optional<FieldView> why) {}
}
