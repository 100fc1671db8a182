package app.galdrin.web.form;

import app.galdrin.core.form.Form;
import app.galdrin.core.task.Step;
import app.galdrin.web.task.BenchDraft;
import app.galdrin.web.task.StepBench;
import java.util.List;

/** A form on the bench: the points it takes, and what the task says of them. */
abstract class FormBench implements StepBench {

    private final String kind;

    FormBench(String kind) {
        this.kind = kind;
    }

    /** A point that can be taken; one that keeps people whole always is. */
    public record PointRow(String key, boolean taken, boolean critical) {}

    /**
     * A form.
     *
     * @param choices keys that the task chooses one of: what was repaired, or the joint that has play
     */
    public record FormRow(List<PointRow> points, List<String> choices) {}

    @Override
    public final String kind() {
        return kind;
    }

    @Override
    public final Object view(Step step, BenchDraft draft) {
        var form = (Form) step;
        List<PointRow> points = form.all().stream()
                .map(point -> new PointRow(point.key(), form.points().contains(point), point.isCritical()))
                .toList();
        return new FormRow(points, choices(draft));
    }

    /** Returns the keys that the task chooses one of; empty where it chooses nothing. */
    List<String> choices(BenchDraft draft) {
        return List.of();
    }
}
