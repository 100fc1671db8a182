package app.galdrin.web.baysheet.internal;

import app.galdrin.web.baysheet.FieldView;
import app.galdrin.web.baysheet.StepView;
import java.util.List;

/** The end of the sheet, with how much of every other step is still open; a script keeps it as it is when it is shown. */
public record HandInView(Head head, FieldView field, List<OpenStep> steps) implements StepView {

    /** A step with so many lines to write. */
    public record OpenStep(String id, String title, int lacking) {}

    public boolean nothingOpen() {
        return steps.stream().allMatch(s -> s.lacking() == 0);
    }

    @Override
    public boolean sendsItself() {
        return true;
    }
}
