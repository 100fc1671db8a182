package app.galdrin.core.task;

import app.galdrin.core.Keyed;
import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.spec.SpecificationSheet;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tools.jackson.core.JsonGenerator;

/** Move that follows from the threads, which way and how far; and what to look for where nothing can be moved. */
public record Plan(String id, List<FigureId> figures) implements Step {

    public static final String KIND = "plan";

    /** Begins the line of figures that can't be adjusted. */
    public static final String PART = "part.";

    private static final int MOST_FIGURES = 20;

    /** Action where nothing can be moved. */
    public enum Instead implements Keyed {
        LOOK_FOR_THE_PART("lookForThePart"),
        NOTHING("nothing");

        private final String key;

        Instead(String key) {
            this.key = key;
        }

        @Override
        public String key() {
            return key;
        }
    }

    public Plan {
        figures = List.copyOf(figures);
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public List<Line> lines(SpecificationSheet sheet) {
        List<Line> lines = new ArrayList<>();
        MoveLine.adjusters(sheet, figures).forEach(a -> lines.addAll(MoveLine.of(a)));
        for (FigureId.Adjustment adjustment : Practical.adjustments(figures)) {
            if (sheet.adjusters(adjustment).isEmpty()) {
                lines.add(Line.of(
                        PART + adjustment.key(),
                        AnswerType.Choice.of("instead", Instead.LOOK_FOR_THE_PART, Instead.NOTHING)));
            }
        }
        return lines;
    }

    @Override
    public Set<Aspect> aspects() {
        return EnumSet.of(Aspect.PLAN);
    }

    @Override
    public Plan ordered() {
        return new Plan(id, figures.stream().sorted().toList());
    }

    /** Returns the usual criterion; where the vehicle is adjusted, a plan that makes it worse is not competent, whatever the other marks. */
    @Override
    public Criterion usualCriterion(Aspect aspect, Assignment assignment) {
        boolean adjusts = assignment.practical().of(Round.class).findAny().isPresent();
        return new Criterion(new Criterion.Id(id, aspect), 10, adjusts, Map.of());
    }

    @Override
    public void check(Practical practical, String at, TaskFaults faults) {
        practical.checkMeasured(this, figures, at, faults);
    }

    @Override
    public void check(Practical practical, SpecificationSheet sheet, String at, TaskFaults faults) {
        if (MoveLine.adjusters(sheet, figures).isEmpty()) {
            faults.add(at + ".figures", TaskFaultCode.NOTHING_ADJUSTABLE, "");
        }
    }

    /** Returns what was planned instead of a move, by the text of its line. */
    public static Optional<Instead> instead(String written) {
        return Keyed.find(Instead.values(), written);
    }

    @Override
    public void write(JsonGenerator json) {
        Measure.writeFigures(json, figures);
    }

    static Plan read(String id, JsonObject json, TaskFaults faults) {
        faults.only(json, Set.of("id", "kind", "figures"));
        return new Plan(id, faults.figures(json, "figures", MOST_FIGURES));
    }

    /** Kind in documents. */
    @AutoService(StepKind.class)
    public static final class Kind extends StepKind {
        public Kind() {
            super(KIND, Plan::read);
        }
    }
}
