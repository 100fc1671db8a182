package app.galdrin.web.form;

import app.galdrin.core.roadtest.RoadTest;
import org.springframework.stereotype.Component;

/** Road test on the sheet. */
@Component
class RoadTestSheet extends FormSheet {

    RoadTestSheet() {
        super(RoadTest.KIND);
    }
}
