package app.galdrin.core.form;

import app.galdrin.core.Keyed;
import app.galdrin.core.draft.DraftSetting;
import app.galdrin.core.draft.FieldRefusal;
import app.galdrin.core.draft.FieldText;
import app.galdrin.core.draft.StepEditor;
import app.galdrin.core.task.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Edits a form: which of its points it takes, by the field {@code point}. */
public abstract class FormEditor implements StepEditor {

    private static final String POINT = "point";

    private final String kind;
    private final int turn;

    /**
     * An editor of a kind.
     *
     * @param turn in the usual order of the work
     */
    protected FormEditor(String kind, int turn) {
        this.kind = kind;
        this.turn = turn;
    }

    /** Returns a new step that takes all points. */
    protected abstract Form made(String id);

    /** Returns a step with a field of its own kind changed. */
    protected Form changed(Form form, String field, String typed) throws FieldRefusal {
        return form;
    }

    @Override
    public final String kind() {
        return kind;
    }

    @Override
    public final List<Addition> additions() {
        return List.of(new Addition(kind, kind, "step." + kind + ".title"));
    }

    @Override
    public final Step made(Addition addition, String id) {
        return made(id);
    }

    @Override
    public final int turn(Step step) {
        return turn;
    }

    @Override
    public final Step written(Step step, String field, String part, String typed, DraftSetting setting)
            throws FieldRefusal {
        var form = (Form) step;
        if (!field.equals(POINT)) {
            return changed(form, field, typed);
        }
        Optional<? extends FormPoint> point = Keyed.find(form.all(), part);
        if (point.isEmpty() || point.get().isCritical()) {
            return form;
        }
        boolean isTaken = FieldText.isTicked(typed);
        List<FormPoint> points = new ArrayList<>();
        for (FormPoint one : form.all()) {
            if (one == point.get() ? isTaken : form.points().contains(one)) {
                points.add(one);
            }
        }
        return form.taking(points);
    }
}
