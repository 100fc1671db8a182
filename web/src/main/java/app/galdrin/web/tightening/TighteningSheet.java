package app.galdrin.web.tightening;

import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.spec.FastenerUse;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.Step;
import app.galdrin.core.tightening.Tightening;
import app.galdrin.core.tightening.Tightening.AskedFastener;
import app.galdrin.web.baysheet.FieldView;
import app.galdrin.web.baysheet.StepSheet;
import app.galdrin.web.baysheet.StepView;
import app.galdrin.web.baysheet.WrittenSheet;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.Sketches;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Torques on the sheet, and where on the axle each fastener is. */
@Component
class TighteningSheet implements StepSheet {

    /** A step with the drawing of the axle and the fields of the wrench and of each fastener. */
    public record TighteningView(
            Head head, Drawing drawing, FieldView wrench, FieldView calibration, List<FastenerView> fasteners)
            implements StepView {}

    /**
     * One fastener.
     *
     * @param number as on the drawing
     * @param thread empty where the sheet does not give it
     * @param leftHand whether its thread may be left-handed on one side
     */
    public record FastenerView(
            int number,
            String name,
            String thread,
            boolean leftHand,
            FieldView torque,
            FieldView notConfirmed,
            Optional<FieldView> angle,
            Optional<FieldView> renewed) {}

    @Override
    public String kind() {
        return Tightening.KIND;
    }

    @Override
    public boolean speaksAtOnce() {
        return true;
    }

    @Override
    public StepView view(Step step, StepView.Head head, WrittenSheet written) {
        SpecificationSheet sheet = written.assignment().sheet();
        List<FastenerView> fasteners = new ArrayList<>();
        Map<String, Integer> numbers = new LinkedHashMap<>();
        for (AskedFastener one : ((Tightening) step).asked(sheet)) {
            int number = fasteners.size() + 1;
            numbers.putIfAbsent(one.fastener().use().map(FastenerUse::key).orElse(""), number);
            fasteners.add(fastener(number, one, step, written));
        }
        return new TighteningView(
                head,
                Sketches.axle(sheet.geometry(), numbers),
                field(written, step, Tightening.WRENCH),
                field(written, step, Tightening.CALIBRATION),
                fasteners);
    }

    private static FastenerView fastener(int number, AskedFastener one, Step step, WrittenSheet written) {
        var f = one.fastener();
        return new FastenerView(
                number,
                f.name(),
                f.thread().orElse(""),
                f.use().equals(Optional.of(FastenerUse.ROD_LOCK_NUT)),
                field(written, step, one.torque()),
                field(written, step, one.notConfirmed()),
                f.angle().isPresent() ? Optional.of(field(written, step, one.angle())) : Optional.empty(),
                f.singleUse() ? Optional.of(field(written, step, one.renewed())) : Optional.empty());
    }

    private static FieldView field(WrittenSheet written, Step step, String line) {
        return written.fields().at(LineKey.of(step.id(), line));
    }
}
