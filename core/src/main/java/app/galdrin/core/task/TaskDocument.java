package app.galdrin.core.task;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.record.JsonLines;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.spec.DecisionRule;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.ObjectWriteContext;
import tools.jackson.core.json.JsonFactory;

/**
 * A practical as JSON, {@code docs/task-format.md}: read with all faults together, written one way only, so that the same practical
 * is the same bytes. Bands are in degrees and mm.
 */
public final class TaskDocument {

    public static final int VERSION = 2;

    /** Member of tasks that were set before the set-up of an instrument counted as uncertainty: they go on without it, and mark as they did. */
    private static final int WITHOUT_SET_UP = 1;

    /** Longest document, in bytes. */
    public static final int LONGEST = 256 * 1024;

    private static final String FORMAT = "galdrin.task";
    private static final String FRONTS_TO = "frontsTo";
    private static final String REFERENCES = "references";
    private static final Pattern ID = Pattern.compile("[a-z][a-zA-Z0-9]{0,39}");
    private static final JsonFactory JSON = new JsonFactory();

    private TaskDocument() {}

    /** A text as it was read. */
    public sealed interface Reading {
        record ParsedTask(Practical practical) implements Reading {}

        /** All its faults, in its order. */
        record Refusal(List<TaskFault> faults) implements Reading {}
    }

    /** Reads and checks a document, whatever the vehicle. */
    public static Reading read(String text) {
        byte[] bytes = text.replace('\n', ' ').replace('\r', ' ').getBytes(StandardCharsets.UTF_8);
        if (bytes.length > LONGEST) {
            return new TaskDocument.Reading.Refusal(
                    List.of(new TaskFault("", TaskFaultCode.TOO_LONG, String.valueOf(bytes.length), LONGEST)));
        }
        return JsonLines.object(bytes)
                .map(TaskDocument::read)
                .orElseGet(() ->
                        new TaskDocument.Reading.Refusal(List.of(new TaskFault("", TaskFaultCode.NOT_JSON, "", 0))));
    }

    /**
     * One that this program wrote.
     *
     * @throws IllegalStateException naming its faults
     */
    public static Practical stored(String text) {
        if (read(text) instanceof TaskDocument.Reading.ParsedTask read) {
            return read.practical();
        }
        throw new IllegalStateException("a stored task document: " + read(text));
    }

    /**
     * Reads as much of a task as a document says, whatever is wrong with it: that of a task while it is composed.
     *
     * @throws IllegalStateException where it is no JSON
     */
    public static Practical asFarAsItReads(String text) {
        return JsonLines.object(text.getBytes(StandardCharsets.UTF_8))
                .map(json -> practical(json, new TaskFaults()))
                .orElseThrow(() -> new IllegalStateException("a stored draft: no JSON"));
    }

    /** One that stands within another document. */
    public static Reading read(JsonObject json) {
        var faults = new TaskFaults();
        Practical practical = practical(json, faults);
        List<TaskFault> all = new ArrayList<>(faults.found());
        if (all.isEmpty()) {
            all.addAll(practical.faults());
        }
        return all.isEmpty() ? new TaskDocument.Reading.ParsedTask(practical) : new TaskDocument.Reading.Refusal(all);
    }

    private static Practical practical(JsonObject json, TaskFaults faults) {
        faults.only(
                json,
                Set.of(
                        "format",
                        "version",
                        "title",
                        "school",
                        "rule",
                        "mode",
                        "outcome",
                        "minutes",
                        "steps",
                        "marks",
                        "slipKeepsPercent",
                        "grades",
                        FRONTS_TO,
                        REFERENCES));
        if (!FORMAT.equals(json.get("format"))) {
            faults.add("format", TaskFaultCode.UNKNOWN, String.valueOf(json.get("format")));
        }
        int version = faults.whole(json, "version", 1, VERSION, VERSION);
        String title = faults.text(json, "title", Practical.LONGEST_TITLE);
        var school = faults.word(json, "school", OrderSchool.values(), OrderSchool.A);
        var rule = faults.word(json, "rule", DecisionRule.values(), DecisionRule.SIMPLE);
        var mode = faults.word(json, "mode", Mode.values(), Mode.ASSESSMENT);
        var outcome = faults.word(json, "outcome", OutcomeSchool.values(), OutcomeSchool.COMPETENCE);
        int minutes = faults.whole(json, "minutes", 1, Practical.MOST_MINUTES, 0);
        List<Step> steps = lifted(steps(json, faults), version);
        List<Criterion> criteria = criteria(json, faults);
        faults.at("");
        int keeps = faults.whole(json, "slipKeepsPercent", 0, 100, 0);
        List<Grade> grades = json.has("grades") ? grades(json, faults) : List.of();
        return new Practical(
                title,
                school,
                rule,
                mode,
                outcome,
                minutes == 0 ? Optional.empty() : Optional.of(minutes),
                steps,
                new Scheme(criteria, keeps, grades),
                json.has(FRONTS_TO)
                        ? Optional.of(faults.word(json, FRONTS_TO, FrontDatum.values(), FrontDatum.THRUST_LINE))
                        : Optional.empty(),
                faults.word(json, REFERENCES, ReferenceRule.values(), ReferenceRule.INSTRUCTOR));
    }

    private static List<Step> lifted(List<Step> steps, int version) {
        return version == WITHOUT_SET_UP
                ? steps.stream().map(s -> s.by(Procedure::withoutSetUp)).toList()
                : steps;
    }

    /** The version a practical is written in: its own. */
    public static int version(Practical practical) {
        boolean without =
                practical.of(Measure.class).anyMatch(m -> !m.procedure().setUpCounts());
        return without ? WITHOUT_SET_UP : VERSION;
    }

    private static List<Step> steps(JsonObject json, TaskFaults faults) {
        List<Step> steps = new ArrayList<>();
        List<JsonObject> all = faults.objects(json, "steps", Practical.MOST_STEPS);
        for (int i = 0; i < all.size(); i++) {
            JsonObject step = all.get(i);
            faults.at("steps." + i);
            String id = id(step, faults);
            String kind = faults.text(step, "kind", 40);
            StepKinds.named(kind)
                    .ifPresentOrElse(
                            known -> steps.add(known.read(id, step, faults)), () -> faults.unknown("kind", kind));
            faults.at("");
        }
        return steps;
    }

    static String id(JsonObject step, TaskFaults faults) {
        String id = faults.text(step, "id", 40);
        if (!ID.matcher(id).matches()) {
            faults.unknown("id", id);
        }
        return id;
    }

    private static List<Criterion> criteria(JsonObject json, TaskFaults faults) {
        List<Criterion> criteria = new ArrayList<>();
        for (JsonObject one : faults.objects(json, "marks", Practical.MOST_STEPS * Aspect.values().length)) {
            faults.at("marks." + criteria.size());
            faults.only(one, Set.of("step", "aspect", "marks", "mustPass", "bands"));
            String step = faults.text(one, "step", 40);
            Aspect aspect = faults.word(one, "aspect", Aspect.values(), Aspect.DONE);
            Map<FigureId, Band> bands = new LinkedHashMap<>();
            if (one.has("bands")) {
                bands.putAll(BandDocument.read(one, faults));
            }
            criteria.add(new Criterion(
                    new Criterion.Id(step, aspect),
                    faults.whole(one, "marks", 0, Criterion.MOST_MARKS, 0),
                    faults.flag(one, "mustPass"),
                    bands));
            faults.at("");
        }
        return criteria;
    }

    private static List<Grade> grades(JsonObject json, TaskFaults faults) {
        List<Grade> grades = new ArrayList<>();
        for (JsonObject one : faults.objects(json, "grades", Grade.MOST)) {
            faults.at("grades." + grades.size());
            faults.only(one, Set.of("name", "from"));
            String name = faults.text(one, "name", Grade.LONGEST_NAME);
            int least = grades.isEmpty() ? 0 : grades.get(grades.size() - 1).from() + 1;
            grades.add(new Grade(name, faults.whole(one, "from", Math.min(least, 100), 100, least)));
        }
        faults.at("");
        return grades;
    }

    /** The one way of writing a practical. */
    public static String write(Practical practical) {
        var text = new StringWriter();
        try (JsonGenerator json = JSON.createGenerator(ObjectWriteContext.empty(), text)) {
            json.writeStartObject();
            json.writeStringProperty("format", FORMAT);
            json.writeNumberProperty("version", version(practical));
            json.writeStringProperty("title", practical.title());
            json.writeStringProperty("school", practical.school().key());
            json.writeStringProperty("rule", practical.rule().key());
            json.writeStringProperty("mode", practical.mode().key());
            json.writeStringProperty("outcome", practical.outcome().key());
            practical.minutes().ifPresent(minutes -> json.writeNumberProperty("minutes", minutes));
            practical.frontsTo().ifPresent(datum -> json.writeStringProperty(FRONTS_TO, datum.key()));
            if (practical.references() != ReferenceRule.INSTRUCTOR) {
                json.writeStringProperty(REFERENCES, practical.references().key());
            }
            json.writeArrayPropertyStart("steps");
            for (Step step : practical.steps()) {
                json.writeStartObject();
                json.writeStringProperty("id", step.id());
                json.writeStringProperty("kind", step.kind());
                step.write(json);
                json.writeEndObject();
            }
            json.writeEndArray();
            json.writeArrayPropertyStart("marks");
            practical.scheme().criteria().forEach(criterion -> write(json, criterion));
            json.writeEndArray();
            json.writeNumberProperty("slipKeepsPercent", practical.scheme().slipKeepsPercent());
            if (!practical.scheme().grades().isEmpty()) {
                json.writeArrayPropertyStart("grades");
                practical.scheme().grades().forEach(grade -> {
                    json.writeStartObject();
                    json.writeStringProperty("name", grade.name());
                    json.writeNumberProperty("from", grade.from());
                    json.writeEndObject();
                });
                json.writeEndArray();
            }
            json.writeEndObject();
        }
        return text.toString();
    }

    private static void write(JsonGenerator json, Criterion criterion) {
        json.writeStartObject();
        json.writeStringProperty("step", criterion.id().step());
        json.writeStringProperty("aspect", criterion.id().aspect().key());
        json.writeNumberProperty("marks", criterion.marks());
        if (criterion.mustPass()) {
            json.writeBooleanProperty("mustPass", true);
        }
        if (!criterion.bands().isEmpty()) {
            BandDocument.write(json, criterion.bands());
        }
        json.writeEndObject();
    }
}
