package app.galdrin.web.form;

import app.galdrin.core.standing.StandingCheck;
import org.springframework.stereotype.Component;

/** Standing of the vehicle on the sheet. */
@Component
class StandingSheet extends FormSheet {

    StandingSheet() {
        super(StandingCheck.KIND);
    }
}
