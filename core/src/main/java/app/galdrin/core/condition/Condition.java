package app.galdrin.core.condition;

import app.galdrin.core.draft.AskedAnswer;
import app.galdrin.core.draft.FieldRefusal;
import app.galdrin.core.draft.StepEditor;
import app.galdrin.core.form.Form;
import app.galdrin.core.form.FormEditor;
import app.galdrin.core.form.FormMarker;
import app.galdrin.core.form.FormPoint;
import app.galdrin.core.form.FormWriter;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.marking.AspectMarker;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.simulated.StepWriter;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.StepKind;
import app.galdrin.core.task.TaskFaultCode;
import app.galdrin.core.task.TaskFaults;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import tools.jackson.core.JsonGenerator;

/**
 * Condition of the vehicle, before anything is measured.
 *
 * @param worn the joint that has play on the training vehicle; empty where none has
 * @param frontPressure of the plate, kPa; empty where the task does not say
 * @param rearPressure of the plate, kPa; empty likewise
 */
public record Condition(
        String id,
        List<ConditionPoint> points,
        Optional<JointPoint> worn,
        OptionalDouble frontPressure,
        OptionalDouble rearPressure)
        implements Form, TrainingVehicle {

    public static final String KIND = "condition";

    private static final int TURN = 3;

    /** kPa in documents and in the core. */
    private static final double LEAST_PRESSURE = 50;

    private static final double MOST_PRESSURE = 1000;

    public Condition {
        points = List.copyOf(points);
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public List<ConditionPoint> all() {
        return List.of(ConditionPoint.values());
    }

    @Override
    public Form taking(List<FormPoint> taken) {
        return new Condition(
                id, taken.stream().map(ConditionPoint.class::cast).toList(), worn, frontPressure, rearPressure);
    }

    /** Returns the joints of the vehicle in place of the point that stands for all of them. */
    @Override
    public List<FormPoint> points(SpecificationSheet sheet) {
        return points.stream()
                .flatMap(point -> point == ConditionPoint.JOINTS ? joints(sheet) : Stream.of(point))
                .toList();
    }

    private static Stream<FormPoint> joints(SpecificationSheet sheet) {
        return Joint.all(sheet).stream()
                .flatMap(joint -> Stream.of(Side.values()).map(side -> new JointPoint(joint, side)));
    }

    @Override
    public boolean hasPlay(String joint) {
        return worn.filter(point -> point.key().equals(joint)).isPresent();
    }

    /** Returns the pressure of the plate for an axle, kPa; empty where the task does not say. */
    @Override
    public OptionalDouble plate(Axle axle) {
        return axle == Axle.FRONT ? frontPressure : rearPressure;
    }

    @Override
    public void check(Practical practical, SpecificationSheet sheet, String at, TaskFaults faults) {
        if (worn.isPresent() && joints(sheet).noneMatch(worn.get()::equals)) {
            faults.add(at + ".worn", TaskFaultCode.UNKNOWN, worn.get().key());
        }
    }

    @Override
    public void write(JsonGenerator json) {
        Form.super.write(json);
        worn.ifPresent(joint -> json.writeStringProperty("worn", joint.key()));
        frontPressure.ifPresent(kilopascals -> json.writeNumberProperty("frontPressure", kilopascals));
        rearPressure.ifPresent(kilopascals -> json.writeNumberProperty("rearPressure", kilopascals));
    }

    private static Condition read(String id, JsonObject json, TaskFaults faults) {
        faults.only(json, Set.of("id", "kind", POINTS, "worn", "frontPressure", "rearPressure"));
        Optional<JointPoint> worn = Optional.empty();
        if (json.has("worn")) {
            String key = faults.text(json, "worn", 40);
            worn = JointPoint.named(key);
            if (worn.isEmpty()) {
                faults.unknown("worn", key);
            }
        }
        return new Condition(
                id,
                faults.words(json, POINTS, ConditionPoint.values()),
                worn,
                pressure(json, "frontPressure", faults),
                pressure(json, "rearPressure", faults));
    }

    private static OptionalDouble pressure(JsonObject json, String name, TaskFaults faults) {
        return json.has(name) ? faults.between(json, name, LEAST_PRESSURE, MOST_PRESSURE) : OptionalDouble.empty();
    }

    /** Returns the front pressure of the plate as it is typed, in bar; empty where the task does not say. */
    public String frontTyped() {
        return typed(Axle.FRONT);
    }

    /** Returns the rear pressure, likewise. */
    public String rearTyped() {
        return typed(Axle.REAR);
    }

    private String typed(Axle axle) {
        OptionalDouble plate = plate(axle);
        return plate.isEmpty() ? "" : QuantityFormat.length(Unit.KILOPASCAL.convert(plate.getAsDouble(), Unit.BAR));
    }

    /** Kind in documents. */
    @AutoService(StepKind.class)
    public static final class Kind extends StepKind {
        public Kind() {
            super(KIND, Condition::read);
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
            return new Condition(
                    id,
                    List.of(ConditionPoint.values()),
                    Optional.empty(),
                    OptionalDouble.empty(),
                    OptionalDouble.empty());
        }

        @Override
        protected Form changed(Form form, String field, String typed) throws FieldRefusal {
            var c = (Condition) form;
            return switch (field) {
                case "worn" -> new Condition(c.id, c.points, worn(typed), c.frontPressure, c.rearPressure);
                case "frontPressure" -> new Condition(c.id, c.points, c.worn, inKilopascals(typed), c.rearPressure);
                case "rearPressure" -> new Condition(c.id, c.points, c.worn, c.frontPressure, inKilopascals(typed));
                default -> c;
            };
        }

        private static Optional<JointPoint> worn(String typed) throws FieldRefusal {
            if (typed.isEmpty()) {
                return Optional.empty();
            }
            return Optional.of(JointPoint.named(typed).orElseThrow(() -> new FieldRefusal("field.noChoice", typed)));
        }

        private static OptionalDouble inKilopascals(String typed) throws FieldRefusal {
            if (typed.isEmpty()) {
                return OptionalDouble.empty();
            }
            return OptionalDouble.of(AskedAnswer.amount(typed, Unit.BAR, LEAST_PRESSURE, MOST_PRESSURE));
        }
    }

    /** Marker of the points. */
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
