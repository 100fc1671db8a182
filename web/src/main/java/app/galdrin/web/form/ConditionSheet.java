package app.galdrin.web.form;

import app.galdrin.core.condition.Condition;
import app.galdrin.core.condition.ConditionPoint;
import app.galdrin.core.condition.Joint;
import app.galdrin.core.form.Form;
import app.galdrin.web.baysheet.WrittenSheet;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.Sketches;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Condition of the vehicle on the sheet, with its joints drawn. */
@Component
class ConditionSheet extends FormSheet {

    ConditionSheet() {
        super(Condition.KIND);
    }

    @Override
    Map<String, Integer> numbers(Form form, WrittenSheet written) {
        Map<String, Integer> numbers = new LinkedHashMap<>();
        if (((Condition) form).points().contains(ConditionPoint.JOINTS)) {
            Joint.all(written.assignment().sheet()).forEach(joint -> numbers.put(joint.key(), numbers.size() + 1));
        }
        return numbers;
    }

    @Override
    Optional<Drawing> drawing(Form form, Map<String, Integer> numbers, WrittenSheet written) {
        return numbers.isEmpty()
                ? Optional.empty()
                : Optional.of(Sketches.axle(written.assignment().sheet().geometry(), numbers));
    }
}
