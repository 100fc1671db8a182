package app.galdrin.web.wheelnuts;

import app.galdrin.core.marking.AspectMarker;
import app.galdrin.core.marking.Case;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Step;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;

/** Marks whether all nuts were counted. */
@AutoService(AspectMarker.class)
public final class WheelNutsMarker implements AspectMarker {

    @Override
    public String kind() {
        return WheelNuts.KIND;
    }

    @Override
    public Aspect aspect() {
        return Aspect.DONE;
    }

    @Override
    public List<Evidence> evidence(Case sitting, Step step, Criterion criterion) {
        int nuts = ((WheelNuts) step).nuts();
        boolean right = sitting.answers()
                .at(LineKey.of(step.id(), WheelNuts.LINE))
                .filter(written -> written.value().orElse(0) == nuts)
                .isPresent();
        return List.of(new Evidence.Item(WheelNuts.LINE, right, Optional.empty()));
    }
}
