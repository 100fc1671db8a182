package app.galdrin.web.wheelnuts;

import app.galdrin.web.task.StepBench;
import org.springframework.stereotype.Component;

/** The number of nuts on the bench. */
@Component
class WheelNutsBench implements StepBench {

    @Override
    public String kind() {
        return WheelNuts.KIND;
    }
}
