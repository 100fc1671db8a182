package app.galdrin.core.marking;

import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Step;
import java.util.List;

/** Turns one aspect of a kind of step into evidence. A class that says {@code @AutoService(AspectMarker.class)} marks it. */
public interface AspectMarker {

    /** Returns the key of the kind whose steps it marks. */
    String kind();

    /** Returns the aspect that it marks. */
    Aspect aspect();

    /** Returns what the marks of a criterion rest on; never empty. */
    List<Evidence> evidence(Case sitting, Step step, Criterion criterion);
}
