package app.galdrin.core.jobcard;

import app.galdrin.core.draft.FieldRefusal;
import app.galdrin.core.draft.FieldText;
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
import tools.jackson.core.JsonGenerator;

/**
 * Job card as the job is taken in.
 *
 * @param repair what was replaced or knocked, on which the angles to read depend
 * @param request why the vehicle came, in the customer's words: shown on the sheet, at most {@value #LONGEST} characters
 */
public record JobCard(String id, List<CardPoint> points, Repair repair, String request)
        implements Form, RepairedVehicle {

    public static final String KIND = "jobCard";

    public static final int LONGEST = 300;

    private static final int TURN = 1;

    public JobCard {
        points = List.copyOf(points);
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public List<CardPoint> all() {
        return List.of(CardPoint.values());
    }

    @Override
    public Form taking(List<FormPoint> taken) {
        return new JobCard(id, taken.stream().map(CardPoint.class::cast).toList(), repair, request);
    }

    @Override
    public void write(JsonGenerator json) {
        Form.super.write(json);
        json.writeStringProperty("repair", repair.key());
        if (!request.isEmpty()) {
            json.writeStringProperty("request", request);
        }
    }

    private static JobCard read(String id, JsonObject json, TaskFaults faults) {
        faults.only(json, Set.of("id", "kind", POINTS, "repair", "request"));
        return new JobCard(
                id,
                faults.words(json, POINTS, CardPoint.values()),
                faults.word(json, "repair", Repair.values(), Repair.NONE),
                json.has("request") ? faults.text(json, "request", LONGEST) : "");
    }

    /** Kind in documents. */
    @AutoService(StepKind.class)
    public static final class Kind extends StepKind {
        public Kind() {
            super(KIND, JobCard::read);
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
            return new JobCard(id, List.of(CardPoint.values()), Repair.NONE, "");
        }

        @Override
        protected Form changed(Form form, String field, String typed) throws FieldRefusal {
            var card = (JobCard) form;
            return switch (field) {
                case "repair" ->
                    new JobCard(card.id, card.points, FieldText.word(Repair.values(), typed), card.request);
                case "request" -> new JobCard(card.id, card.points, card.repair, request(typed));
                default -> card;
            };
        }

        private static String request(String typed) throws FieldRefusal {
            if (typed.length() > LONGEST) {
                throw new FieldRefusal("bench.own.fault", typed, LONGEST);
            }
            return typed;
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
