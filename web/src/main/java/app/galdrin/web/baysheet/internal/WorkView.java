package app.galdrin.web.baysheet.internal;

import app.galdrin.core.task.Work;
import app.galdrin.web.baysheet.FieldView;
import app.galdrin.web.baysheet.StepView;
import app.galdrin.web.sitting.Tape;
import java.util.List;

/**
 * Figures to be worked out, beside the readings they are worked from.
 *
 * @param targets what must be read for them to be as the sheet prefers
 * @param tape what was calculated so far
 */
public record WorkView(
        Head head, List<Item> items, List<TargetItem> targets, List<Readings> readings, List<Tape.Line> tape)
        implements StepView {

    /** Returns the line on which the calculator keeps its tape. */
    public String tapeKey() {
        return Tape.of(id()).key();
    }

    /** A target reading asked for: what is read, or which two readings are compared. */
    public record TargetItem(String name, FieldView field) {}

    /**
     * One figure asked for.
     *
     * @param name what and where
     * @param way what is written on the way to it
     */
    public record Item(Work.Item asked, String name, FieldView field, List<Via> way) {}

    /** An intermediate figure: what it is, and of which one; {@code unit} is the key of its quantity. */
    public record Via(String name, String unit, FieldView field) {}

    /**
     * The readings of a step as they stand.
     *
     * @param how the working that is taught, said
     * @param given what the sheet gives for it, name and value
     */
    public record Readings(MeasureView measure, String how, List<GivenDatum> given) {}

    /** A datum by its name and as it is shown. */
    public record GivenDatum(String label, String value) {}
}
