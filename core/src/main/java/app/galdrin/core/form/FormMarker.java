package app.galdrin.core.form;

import app.galdrin.core.marking.AspectMarker;
import app.galdrin.core.marking.Case;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Step;
import java.util.List;

/** Marks the points of a form, those that keep people whole apart from the others. */
public abstract class FormMarker implements AspectMarker {

    private final String kind;
    private final Aspect aspect;

    protected FormMarker(String kind, Aspect aspect) {
        this.kind = kind;
        this.aspect = aspect;
    }

    @Override
    public final String kind() {
        return kind;
    }

    @Override
    public final Aspect aspect() {
        return aspect;
    }

    @Override
    public final List<Evidence> evidence(Case sitting, Step step, Criterion criterion) {
        var form = (Form) step;
        var given = new FormAnswers(form, sitting.assignment(), sitting.answers());
        return form.points(sitting.assignment().sheet()).stream()
                .filter(point -> !point.isOptional() && point.isCritical() == (aspect == Aspect.CRITICAL))
                .filter(point -> !given.isNeedless(point.line()))
                .map(point -> point.evidence(given))
                .toList();
    }
}
