package app.galdrin.core.marking;

import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Band;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Step;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.OptionalDouble;

/** Marks how long the work took: all within the limit, nothing from half as much again. */
@AutoService(AspectMarker.class)
public final class TimeMarker implements AspectMarker {

    /** Share of the limit by which it is overrun when nothing is left. */
    private static final double NONE_BEYOND = 0.5;

    @Override
    public String kind() {
        return HandIn.KIND;
    }

    @Override
    public Aspect aspect() {
        return Aspect.TIME;
    }

    @Override
    public List<Evidence> evidence(Case sitting, Step step, Criterion criterion) {
        OptionalDouble taken = sitting.answers().minutes();
        int limit = sitting.practical().minutes().orElse(0);
        if (taken.isEmpty() || limit == 0) {
            return List.of(new Evidence.MissingEntry(Lack.TIME, ""));
        }
        return List.of(new Evidence.TimeTaken(limit, taken.getAsDouble(), new Band(0, NONE_BEYOND * limit)));
    }
}
