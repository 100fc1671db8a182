package app.galdrin.web.form;

import app.galdrin.core.condition.Condition;
import app.galdrin.core.condition.Joint;
import app.galdrin.core.condition.JointPoint;
import app.galdrin.web.task.BenchDraft;
import java.util.List;
import org.springframework.stereotype.Component;

/** Condition of the vehicle on the bench. */
@Component
class ConditionBench extends FormBench {

    ConditionBench() {
        super(Condition.KIND);
    }

    /** The joints that the vehicle has. */
    @Override
    List<String> choices(BenchDraft draft) {
        List<Joint> there = Joint.all(draft.sheet().sheet());
        return JointPoint.all().stream()
                .filter(point -> there.contains(point.joint()))
                .map(JointPoint::key)
                .toList();
    }
}
