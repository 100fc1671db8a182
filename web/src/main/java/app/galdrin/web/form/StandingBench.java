package app.galdrin.web.form;

import app.galdrin.core.standing.StandingCheck;
import org.springframework.stereotype.Component;

/** Standing of the vehicle on the bench. */
@Component
class StandingBench extends FormBench {

    StandingBench() {
        super(StandingCheck.KIND);
    }
}
