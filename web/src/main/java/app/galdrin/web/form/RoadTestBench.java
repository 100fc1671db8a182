package app.galdrin.web.form;

import app.galdrin.core.roadtest.RoadTest;
import org.springframework.stereotype.Component;

/** Road test on the bench. */
@Component
class RoadTestBench extends FormBench {

    RoadTestBench() {
        super(RoadTest.KIND);
    }
}
