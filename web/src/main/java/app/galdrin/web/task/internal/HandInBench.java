package app.galdrin.web.task.internal;

import app.galdrin.core.task.HandIn;
import app.galdrin.web.task.StepBench;
import org.springframework.stereotype.Component;

/** The end of a task on the bench. */
@Component
class HandInBench implements StepBench {

    @Override
    public String kind() {
        return HandIn.KIND;
    }
}
