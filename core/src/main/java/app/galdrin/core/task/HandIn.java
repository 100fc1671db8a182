package app.galdrin.core.task;

import app.galdrin.core.record.JsonObject;
import app.galdrin.core.spec.SpecificationSheet;
import com.google.auto.service.AutoService;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.core.JsonGenerator;

/** The end of the sheet. */
public record HandIn(String id) implements Step {

    public static final String KIND = "handIn";

    /** The line that hands in. */
    public static final String DONE = "done";

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public List<Line> lines(SpecificationSheet sheet) {
        return List.of(Line.tick(DONE, false, false));
    }

    @Override
    public Set<Aspect> aspects() {
        return EnumSet.of(Aspect.TIME);
    }

    @Override
    public Criterion usualCriterion(Aspect aspect, Assignment assignment) {
        return new Criterion(new Criterion.Id(id, aspect), 5, false, Map.of());
    }

    @Override
    public void check(Practical practical, String at, TaskFaults faults) {
        if (!practical.steps().get(practical.steps().size() - 1).equals(this)) {
            faults.add(at, TaskFaultCode.AFTER_HAND_IN, id);
        }
    }

    @Override
    public void write(JsonGenerator json) {
        // id and kind say it all
    }

    static HandIn read(String id, JsonObject json, TaskFaults faults) {
        faults.only(json, Set.of("id", "kind"));
        return new HandIn(id);
    }

    /** Kind in documents. */
    @AutoService(StepKind.class)
    public static final class Kind extends StepKind {
        public Kind() {
            super(KIND, HandIn::read);
        }
    }
}
