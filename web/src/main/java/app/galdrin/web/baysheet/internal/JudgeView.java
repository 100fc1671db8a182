package app.galdrin.web.baysheet.internal;

import app.galdrin.web.baysheet.FieldView;
import app.galdrin.web.baysheet.StepView;
import app.galdrin.web.sketch.PairRule;
import app.galdrin.web.sketch.ToleranceRule;
import java.util.List;
import java.util.Optional;

/** Figures to be judged, each on its tolerance rule, and what can be adjusted. */
public record JudgeView(
        Head head, String rule, List<Item> items, List<AdjustedGroup> adjusted, List<ComparedFigure> compared)
        implements StepView {

    /**
     * A figure that two procedures have told.
     *
     * @param own what each came to, said
     * @param why they might not agree: what each takes for granted, said
     * @param drawn both on one rule, where the apprentice has both
     */
    public record ComparedFigure(
            String name, FieldView field, List<String> own, List<String> why, Optional<PairRule> drawn) {}

    /**
     * One figure.
     *
     * @param own the apprentice's own figure with its doubt, said; a sentence where there is none
     * @param limits least, preferred and most, said
     * @param drawn the same, where the apprentice has a figure
     */
    public record Item(String name, FieldView field, String own, String limits, Optional<ToleranceRule> drawn) {}

    /** Figures that are adjusted together. */
    public record AdjustedGroup(String name, FieldView field) {}
}
