package app.galdrin.core.roadtest;

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

/** Road test after the work, or the report of the person who drove. */
public record RoadTest(String id, List<RoadPoint> points) implements Form {

    public static final String KIND = "roadTest";

    private static final int TURN = 65;

    public RoadTest {
        points = List.copyOf(points);
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public List<RoadPoint> all() {
        return List.of(RoadPoint.values());
    }

    @Override
    public Form taking(List<FormPoint> points) {
        return new RoadTest(id, points.stream().map(RoadPoint.class::cast).toList());
    }

    private static RoadTest read(String id, JsonObject json, TaskFaults faults) {
        faults.only(json, Set.of("id", "kind", POINTS));
        return new RoadTest(id, faults.words(json, POINTS, RoadPoint.values()));
    }

    /** Kind in documents. */
    @AutoService(StepKind.class)
    public static final class Kind extends StepKind {
        public Kind() {
            super(KIND, RoadTest::read);
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
            return new RoadTest(id, List.of(RoadPoint.values()));
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
