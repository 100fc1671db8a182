package app.galdrin.web.wheelnuts;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Line;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.StepKind;
import app.galdrin.core.task.TaskFaultCode;
import app.galdrin.core.task.TaskFaults;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.core.JsonGenerator;

/**
 * A made-up kind of step: how many nuts hold a wheel.
 *
 * @param nuts how many there are, {@value #FEWEST} to {@value #MOST}
 */
record WheelNuts(String id, int nuts) implements Step {

    static final String KIND = "wheelNuts";
    static final String LINE = "nuts";
    static final int FEWEST = 3;
    static final int MOST = 12;

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public List<Line> lines(SpecificationSheet sheet) {
        return List.of(Line.of(LINE, new AnswerType.Amount(Quantity.COUNT, Unit.TIMES, 1, 40)));
    }

    @Override
    public Set<Aspect> aspects() {
        return Set.of(Aspect.DONE);
    }

    @Override
    public Criterion usualCriterion(Aspect aspect, Assignment assignment) {
        return new Criterion(new Criterion.Id(id, aspect), 3, false, Map.of());
    }

    @Override
    public void check(Practical practical, String at, TaskFaults faults) {
        if (practical.steps().indexOf(this) == practical.steps().size() - 1) {
            faults.add(at, TaskFaultCode.AFTER_HAND_IN, id);
        }
    }

    @Override
    public void write(JsonGenerator json) {
        json.writeNumberProperty(LINE, nuts);
    }

    private static WheelNuts read(String id, JsonObject json, TaskFaults faults) {
        faults.only(json, Set.of("id", "kind", LINE));
        return new WheelNuts(id, faults.whole(json, LINE, FEWEST, MOST, FEWEST));
    }

    /** Kind in documents. */
    @AutoService(StepKind.class)
    public static final class Kind extends StepKind {
        public Kind() {
            super(KIND, WheelNuts::read);
        }
    }
}
