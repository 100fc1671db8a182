package app.galdrin.core.task;

import app.galdrin.core.Keyed;
import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.Zone;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.core.JsonGenerator;

/**
 * Figures judged against the sheet, and whether each can be adjusted on this vehicle.
 *
 * @param compared those that two procedures have told, of which it is asked whether they agree
 */
public record Judge(String id, List<FigureId> figures, List<FigureId> compared) implements Step {

    public static final String KIND = "judge";

    /** Begins the line that asks whether two procedures agree on a figure. */
    public static final String AGREES = "agrees.";

    /** Begins the line that asks whether figures can be adjusted; what adjusts them together is asked once. */
    public static final String ADJUSTABLE = "adjustable.";

    private static final int MOST_FIGURES = 20;

    /** Verdict on a figure. */
    public enum Verdict implements Keyed {
        INSIDE("inside"),
        OUTSIDE("outside"),
        TOO_CLOSE("tooClose");

        private final String key;

        Verdict(String key) {
            this.key = key;
        }

        @Override
        public String key() {
            return key;
        }
    }

    /** Verdict on the agreement of two procedures. */
    public enum Agreement implements Keyed {
        AGREE("agree"),
        DISAGREE("disagree");

        private final String key;

        Agreement(String key) {
            this.key = key;
        }

        @Override
        public String key() {
            return key;
        }
    }

    public Judge {
        figures = List.copyOf(figures);
        compared = List.copyOf(compared);
    }

    /** Creates a judging step without comparisons of two procedures. */
    public Judge(String id, List<FigureId> figures) {
        this(id, figures, List.of());
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public List<Line> lines(SpecificationSheet sheet) {
        List<Line> lines = new ArrayList<>();
        var agreement = AnswerType.Choice.of("agreement", Agreement.values());
        compared.forEach(f -> lines.add(Line.of(AGREES + f.key(), agreement).about(f)));
        var verdicts = AnswerType.Choice.of("verdict", Verdict.values());
        sheet.withDifferences(figures)
                .forEach(f -> lines.add(Line.of(f.key(), verdicts).about(f)));
        var adjustable = AnswerType.Choice.of("adjustable", Adjustable.YES, Adjustable.NO, Adjustable.WITH_ADDED_PARTS);
        for (FigureId.Adjustment adjustment : Practical.adjustments(figures)) {
            if (sheet.adjustable(adjustment) != Adjustable.NOT_KNOWN) {
                lines.add(Line.of(ADJUSTABLE + adjustment.key(), adjustable));
            }
        }
        return lines;
    }

    @Override
    public Set<Aspect> aspects() {
        return EnumSet.of(Aspect.VERDICT);
    }

    @Override
    public Judge ordered() {
        return new Judge(
                id,
                figures.stream().sorted().toList(),
                compared.stream().sorted().toList());
    }

    @Override
    public Criterion usualCriterion(Aspect aspect, Assignment assignment) {
        return new Criterion(new Criterion.Id(id, aspect), 15, false, Map.of());
    }

    @Override
    public void check(Practical practical, String at, TaskFaults faults) {
        practical.checkMeasured(this, figures, at, faults);
        for (FigureId figure : compared) {
            if (practical.comparison(figure, id).isEmpty()) {
                faults.add(at + ".compared", TaskFaultCode.NOT_TOLD_TWICE, figure.key());
            }
        }
    }

    @Override
    public void check(Practical practical, SpecificationSheet sheet, String at, TaskFaults faults) {
        for (FigureId figure : figures) {
            if (sheet.limits(figure).isEmpty()) {
                faults.add(at + ".figures", TaskFaultCode.NO_LIMITS, figure.key());
            } else if (isMeasuredOtherwise(practical, sheet, figure)) {
                faults.add(at + ".figures", TaskFaultCode.OTHER_STANCE, figure.key());
            } else if (canNeverSayInside(practical, sheet, figure)) {
                faults.add(at + ".figures", TaskFaultCode.NEVER_INSIDE, figure.key());
            }
        }
    }

    private boolean isMeasuredOtherwise(Practical practical, SpecificationSheet sheet, FigureId figure) {
        return practical
                .measuring(figure, id)
                .filter(m -> !sheet.stance().isMetBy(m.on(sheet).stance()))
                .isPresent();
    }

    private boolean canNeverSayInside(Practical practical, SpecificationSheet sheet, FigureId figure) {
        return practical
                .measuring(figure, id)
                .flatMap(m -> CanDecide.of(
                        m.by(Procedure::withRunOutTakenOff),
                        figure,
                        Assignment.of(practical, sheet).standing()))
                .filter(can -> !can.canSayInside(practical.rule()))
                .isPresent();
    }

    /** Returns the verdicts that are right in a zone: in doubt "too close to tell", and under simple acceptance the side on which the value lies. */
    public static Set<Verdict> right(Zone zone, DecisionRule rule) {
        boolean simple = rule == DecisionRule.SIMPLE;
        return switch (zone) {
            case INSIDE -> EnumSet.of(Verdict.INSIDE);
            case OUTSIDE -> EnumSet.of(Verdict.OUTSIDE);
            case DOUBT_INSIDE -> simple ? EnumSet.of(Verdict.TOO_CLOSE, Verdict.INSIDE) : EnumSet.of(Verdict.TOO_CLOSE);
            case DOUBT_OUTSIDE ->
                simple ? EnumSet.of(Verdict.TOO_CLOSE, Verdict.OUTSIDE) : EnumSet.of(Verdict.TOO_CLOSE);
        };
    }

    @Override
    public void write(JsonGenerator json) {
        Measure.writeFigures(json, figures);
        if (!compared.isEmpty()) {
            Measure.writeFigures(json, "compared", compared);
        }
    }

    static Judge read(String id, JsonObject json, TaskFaults faults) {
        faults.only(json, Set.of("id", "kind", "figures", "compared"));
        return new Judge(
                id,
                faults.figures(json, "figures", MOST_FIGURES),
                json.has("compared") ? faults.figures(json, "compared", MOST_FIGURES) : List.of());
    }

    /** Kind in documents. */
    @AutoService(StepKind.class)
    public static final class Kind extends StepKind {
        public Kind() {
            super(KIND, Judge::read);
        }
    }
}
