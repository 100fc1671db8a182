package app.galdrin.web.baysheet;

import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.task.Step;
import app.galdrin.web.marking.EvidenceText;
import java.util.List;

/** A step as its fragments draw it; the template is named like the step's kind. */
public interface StepView {

    /** Returns what every step has. */
    Head head();

    /**
     * Head of every step.
     *
     * @param number its turn on the sheet, from 1
     * @param texts what practice mode says of it at once
     */
    record Head(
            Step step,
            int number,
            String title,
            Sheet.Progress progress,
            boolean critical,
            boolean witnessed,
            List<EvidenceText> texts,
            List<String> struck) {

        public String id() {
            return step.id();
        }

        public boolean complete() {
            return progress.complete();
        }
    }

    default String id() {
        return head().id();
    }

    /** Returns whether it has a button of its own that sends its form. */
    default boolean sendsItself() {
        return false;
    }

    default String kind() {
        return head().step().kind();
    }
}
