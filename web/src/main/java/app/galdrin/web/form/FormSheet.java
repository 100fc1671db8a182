package app.galdrin.web.form;

import app.galdrin.core.form.Form;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Step;
import app.galdrin.web.baysheet.FieldView;
import app.galdrin.web.baysheet.StepSheet;
import app.galdrin.web.baysheet.StepView;
import app.galdrin.web.baysheet.WrittenSheet;
import app.galdrin.web.sketch.Drawing;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A form on the sheet: its points, one below the other. */
abstract class FormSheet implements StepSheet {

    private final String kind;

    FormSheet(String kind) {
        this.kind = kind;
    }

    /**
     * A form.
     *
     * @param note what stands above it in the task's own words; empty where nothing does
     * @param drawing where what is asked about is; empty where nothing is drawn
     * @param explains whether it may say why a choice matters, which can give the right one away
     */
    public record FormView(Head head, String note, Optional<Drawing> drawing, boolean explains, List<PointView> points)
            implements StepView {}

    /**
     * One point.
     *
     * @param words key of its words
     * @param side key of the side of the vehicle or the wheel, empty where it has none
     * @param number as on the drawing, empty where it is not drawn
     */
    public record PointView(String words, String side, Optional<Integer> number, FieldView field) {}

    @Override
    public final String kind() {
        return kind;
    }

    @Override
    public boolean speaksAtOnce() {
        return true;
    }

    @Override
    public final StepView view(Step step, StepView.Head head, WrittenSheet written) {
        var form = (Form) step;
        Map<String, Integer> numbers = numbers(form, written);
        List<PointView> points = form.points(written.assignment().sheet()).stream()
                .map(point -> {
                    int dot = point.key().indexOf('.');
                    String part = dot < 0 ? point.key() : point.key().substring(0, dot);
                    return new PointView(
                            part,
                            dot < 0 ? "" : point.key().substring(dot + 1),
                            Optional.ofNullable(numbers.get(part)),
                            written.fields().at(LineKey.of(step.id(), point.key())));
                })
                .toList();
        return new FormView(head, note(form), drawing(form, numbers, written), written.speaks(), points);
    }

    /** Returns what stands above the points. */
    String note(Form form) {
        return "";
    }

    /** Returns the numbers of what is drawn, by the first part of its key. */
    Map<String, Integer> numbers(Form form, WrittenSheet written) {
        return Map.of();
    }

    /** Returns what is drawn. */
    Optional<Drawing> drawing(Form form, Map<String, Integer> numbers, WrittenSheet written) {
        return Optional.empty();
    }
}
