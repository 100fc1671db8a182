package app.galdrin.core.task;

import app.galdrin.core.spec.SpecificationSheet;
import java.util.ArrayList;
import java.util.List;

/** Usual marks of a practical's steps: a hundred for one measurement without a closing list. */
public final class SchemeDefaults {

    private SchemeDefaults() {}

    /** Returns the scheme of these steps on this vehicle; the practical's own is not looked at. */
    public static Scheme of(Practical practical, SpecificationSheet sheet) {
        Assignment assignment = Assignment.of(practical, sheet);
        List<Criterion> criteria = new ArrayList<>();
        for (Step step : practical.steps()) {
            for (Aspect aspect : step.aspects()) {
                if (aspect != Aspect.TIME || practical.minutes().isPresent()) {
                    criteria.add(step.usualCriterion(aspect, assignment));
                }
            }
        }
        return new Scheme(criteria, 0);
    }
}
