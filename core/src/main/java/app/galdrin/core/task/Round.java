package app.galdrin.core.task;

import app.galdrin.core.Keyed;
import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.spec.SpecificationSheet;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import tools.jackson.core.JsonGenerator;

/**
 * Adjusting and reading again, as often as it takes.
 *
 * @param measures what is read again after every adjustment; their ids are their own
 * @param most how many rounds there can be, 1 to {@link Practical#MOST_ROUNDS}
 * @param aim how near to the preferred value the vehicle has to be left: percent of the way from there to the limit, {@value #LEAST_AIM} to
 *     {@value #INSIDE}, at which inside is enough
 */
public record Round(String id, List<Measure> measures, int most, int aim) implements Step {

    public static final String KIND = "round";

    public static final int INSIDE = 100;
    public static final int LEAST_AIM = 5;

    /** The line that ends a round or asks for another. */
    public static final String NEXT = "next";

    private static final int MOST_MEASURES = 6;

    /** Action after a round. */
    public enum Next implements Keyed {
        AGAIN("again"),
        DONE("finished");

        private final String key;

        Next(String key) {
            this.key = key;
        }

        @Override
        public String key() {
            return key;
        }
    }

    public Round {
        measures = List.copyOf(measures);
    }

    /**
     * Returns a measurement as a round reads it again.
     *
     * @param round id of the round; its number at the end, if it has one, keeps the ids of several rounds apart
     */
    public static Measure again(String round, Measure measure) {
        return measure.as(measure.id() + "Again" + round.replaceFirst("^.*?([0-9]*)$", "$1"));
    }

    /** Creates a round after which every figure inside its limits is enough. */
    public Round(String id, List<Measure> measures, int most) {
        this(id, measures, most, INSIDE);
    }

    @Override
    public String kind() {
        return KIND;
    }

    /** Returns what was moved in this round, and whether another follows; the readings are lines of the measures within. */
    @Override
    public List<Line> lines(SpecificationSheet sheet) {
        List<Line> lines = new ArrayList<>();
        var figures = measures.stream().flatMap(m -> m.figures().stream()).toList();
        if (most > 1) {
            MoveLine.adjusters(sheet, figures).forEach(a -> lines.addAll(MoveLine.of(a)));
            lines.add(Line.of(NEXT, AnswerType.Choice.of("next", Next.AGAIN, Next.DONE)));
        }
        return lines;
    }

    @Override
    public List<Measure> within() {
        return measures;
    }

    @Override
    public Round by(UnaryOperator<Procedure> change) {
        return new Round(id, measures.stream().map(m -> m.by(change)).toList(), most, aim);
    }

    @Override
    public Set<Aspect> aspects() {
        return most > 1 ? EnumSet.of(Aspect.ORDER, Aspect.AS_LEFT) : EnumSet.of(Aspect.AS_LEFT);
    }

    @Override
    public Round ordered() {
        return new Round(id, measures.stream().map(Measure::ordered).toList(), most, aim);
    }

    @Override
    public Criterion usualCriterion(Aspect aspect, Assignment assignment) {
        boolean left = aspect == Aspect.AS_LEFT;
        return new Criterion(new Criterion.Id(id, aspect), left ? 10 : 5, left, Map.of());
    }

    @Override
    public void check(Practical practical, String at, TaskFaults faults) {
        for (int i = 0; i < measures.size(); i++) {
            measures.get(i).check(practical, at + ".measures." + i, faults);
        }
    }

    @Override
    public void check(Practical practical, SpecificationSheet sheet, String at, TaskFaults faults) {
        measures.forEach(m -> m.check(practical, sheet, at, faults));
        var figures = measures.stream().flatMap(m -> m.figures().stream()).toList();
        if (MoveLine.adjusters(sheet, figures).isEmpty()) {
            faults.add(at + ".measures", TaskFaultCode.NOTHING_ADJUSTABLE, "");
        }
    }

    @Override
    public void write(JsonGenerator json) {
        json.writeNumberProperty("most", most);
        if (aim != INSIDE) {
            json.writeNumberProperty("aim", aim);
        }
        json.writeArrayPropertyStart("measures");
        for (Measure measure : measures) {
            json.writeStartObject();
            json.writeStringProperty("id", measure.id());
            measure.write(json);
            json.writeEndObject();
        }
        json.writeEndArray();
    }

    static Round read(String id, JsonObject json, TaskFaults faults) {
        faults.only(json, Set.of("id", "kind", "most", "aim", "measures"));
        List<Measure> measures = new ArrayList<>();
        for (JsonObject measure : faults.objects(json, "measures", MOST_MEASURES)) {
            measures.add(Measure.read(TaskDocument.id(measure, faults), measure, faults));
        }
        return new Round(
                id,
                measures,
                faults.whole(json, "most", 1, Practical.MOST_ROUNDS, 1),
                faults.whole(json, "aim", LEAST_AIM, INSIDE, INSIDE));
    }

    /** Kind in documents. */
    @AutoService(StepKind.class)
    public static final class Kind extends StepKind {
        public Kind() {
            super(KIND, Round::read);
        }
    }
}
