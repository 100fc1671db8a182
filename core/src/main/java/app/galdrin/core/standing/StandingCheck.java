package app.galdrin.core.standing;

import app.galdrin.core.draft.StepEditor;
import app.galdrin.core.form.Form;
import app.galdrin.core.form.FormEditor;
import app.galdrin.core.form.FormMarker;
import app.galdrin.core.form.FormPoint;
import app.galdrin.core.form.FormWriter;
import app.galdrin.core.marking.AspectMarker;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.simulated.StepWriter;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.StepKind;
import app.galdrin.core.task.TaskFaults;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Set;

/** Form on how the vehicle stands, before anything is read. */
public record StandingCheck(String id, List<StandingPoint> points) implements Form {

    public static final String KIND = "standing";

    private static final int TURN = 8;

    public StandingCheck {
        points = List.copyOf(points);
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public List<StandingPoint> all() {
        return List.of(StandingPoint.values());
    }

    @Override
    public Form taking(List<FormPoint> points) {
        return new StandingCheck(
                id, points.stream().map(StandingPoint.class::cast).toList());
    }

    private static StandingCheck read(String id, JsonObject json, TaskFaults faults) {
        faults.only(json, Set.of("id", "kind", POINTS));
        return new StandingCheck(id, faults.words(json, POINTS, StandingPoint.values()));
    }

    /** Kind in documents. */
    @AutoService(StepKind.class)
    public static final class Kind extends StepKind {
        public Kind() {
            super(KIND, StandingCheck::read);
        }
    }

    /** Editor of the kind. */
    @AutoService(StepEditor.class)
    public static final class Editor extends FormEditor {
        public Editor() {
            super(KIND, TURN);
        }

        @Override
        protected Form made(String id) {
            return new StandingCheck(id, List.of(StandingPoint.values()));
        }
    }

    /** Marker of the points that keep people whole. */
    @AutoService(AspectMarker.class)
    public static final class CriticalMarker extends FormMarker {
        public CriticalMarker() {
            super(KIND, Aspect.CRITICAL);
        }
    }

    /** Marker of the other points. */
    @AutoService(AspectMarker.class)
    public static final class DoneMarker extends FormMarker {
        public DoneMarker() {
            super(KIND, Aspect.DONE);
        }
    }

    /** Writer of the kind. */
    @AutoService(StepWriter.class)
    public static final class Writer extends FormWriter {
        public Writer() {
            super(KIND);
        }
    }
}
