package app.galdrin.core.form;

import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Line;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.TaskFaultCode;
import app.galdrin.core.task.TaskFaults;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.core.JsonGenerator;

/** Step that is a form. */
public interface Form extends Step {

    int CRITICAL_MARKS = 10;
    int MARKS = 5;

    /** Member of documents that lists its points. */
    String POINTS = "points";

    /** Returns the points that the task takes, in the order in which they are filled in; each once. */
    List<? extends FormPoint> points();

    /** Returns all points that a form of its kind can take, in that order. */
    List<? extends FormPoint> all();

    /** Returns the same with other points of those there are. */
    Form taking(List<FormPoint> points);

    /** Returns the points on a vehicle. */
    default List<FormPoint> points(SpecificationSheet sheet) {
        return List.copyOf(points());
    }

    @Override
    default List<Line> lines(SpecificationSheet sheet) {
        return points(sheet).stream().map(FormPoint::line).toList();
    }

    @Override
    default Set<Aspect> aspects() {
        Set<Aspect> aspects = EnumSet.noneOf(Aspect.class);
        points().stream()
                .filter(point -> !point.isOptional())
                .forEach(point -> aspects.add(point.isCritical() ? Aspect.CRITICAL : Aspect.DONE));
        return aspects;
    }

    @Override
    default Criterion usualCriterion(Aspect aspect, Assignment assignment) {
        boolean critical = aspect == Aspect.CRITICAL;
        return new Criterion(new Criterion.Id(id(), aspect), critical ? CRITICAL_MARKS : MARKS, critical, Map.of());
    }

    @Override
    default void check(Practical practical, String at, TaskFaults faults) {
        if (points().isEmpty()) {
            faults.add(at + "." + POINTS, TaskFaultCode.MISSING, "");
        }
    }

    @Override
    default void write(JsonGenerator json) {
        json.writeArrayPropertyStart(POINTS);
        points().forEach(point -> json.writeString(point.key()));
        json.writeEndArray();
    }
}
