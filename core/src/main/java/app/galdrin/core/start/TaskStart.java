package app.galdrin.core.start;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.OutcomeSchool;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.ReferenceRule;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Scheme;
import app.galdrin.core.task.SchemeDefaults;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Work;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Ready-made practicals to begin from. */
public enum TaskStart implements Keyed {
    TOE("toe", MeasureStart.TOE),
    CAMBER_AND_TOE("camberAndToe", MeasureStart.CAMBER, MeasureStart.TOE),
    FULL_FRONT("fullFront", MeasureStart.CASTER, MeasureStart.CAMBER, MeasureStart.TOE),
    BEAM_AXLE("beamAxle", MeasureStart.BEAM_CASTER, MeasureStart.BEAM_KPI, MeasureStart.BEAM_TOE);

    /**
     * Measurement of a start: figures and procedure.
     *
     * @param measurands the first names the step
     */
    private record MeasureStart(String procedure, List<Measurand> measurands) {
        static final MeasureStart CASTER = new MeasureStart("sweep", List.of(Measurand.CASTER));
        static final MeasureStart CAMBER = new MeasureStart("inclinometerZeroed", List.of(Measurand.CAMBER));
        static final MeasureStart TOE = new MeasureStart("strings", List.of(Measurand.TOE));
        static final MeasureStart BEAM_CASTER =
                new MeasureStart("protractor", List.of(Measurand.CASTER, Measurand.KINGPIN_TWIST));
        static final MeasureStart BEAM_KPI = new MeasureStart("protractorKpi", List.of(Measurand.KPI));
        static final MeasureStart BEAM_TOE = new MeasureStart("longBars", List.of(Measurand.TOE));

        Measure measure() {
            Procedure measured = Procedures.of(procedure).withRunOutTakenOff();
            List<FigureId> figures = measurands.stream()
                    .flatMap(m -> usualFigures(measured, m).stream())
                    .toList();
            return Measure.of(measurands.get(0).key(), measured, figures, REPEATS);
        }
    }

    private static final int REPEATS = 2;
    private static final String ADJUST = "adjust";
    private static final int ROUNDS = 2;

    private final String key;
    private final List<MeasureStart> asked;

    TaskStart(String key, MeasureStart... asked) {
        this.key = key;
        this.asked = List.of(asked);
    }

    @Override
    public String key() {
        return key;
    }

    /** Returns whether a vehicle has what all of it is measured on. */
    public boolean fits(SpecificationSheet sheet) {
        return asked.stream().allMatch(a -> Procedures.of(a.procedure()).fits(sheet));
    }

    /** The practical on the front axle of a vehicle, with its default marks. */
    public Practical on(SpecificationSheet sheet, String title, OrderSchool school, AnswerUnit unit) {
        List<Measure> measures = asked.stream()
                .sorted(Comparator.comparing(
                        a -> school.turn(a.measurands().get(0)).orElse(0)))
                .map(MeasureStart::measure)
                .toList();
        List<FigureId> figures =
                measures.stream().flatMap(m -> m.figures().stream()).toList();
        List<FigureId> limited =
                figures.stream().filter(f -> sheet.limits(f).isPresent()).toList();
        List<Step> steps = new ArrayList<>();
        steps.add(new Checklist("prepare", Checklist.PREPARATION));
        steps.addAll(measures);
        steps.add(new Work(
                "work",
                measures.stream()
                        .flatMap(m -> m.figures().stream()
                                .filter(m.procedure()::isWorkedOnPaper)
                                .map(f -> new Work.Item(f, m.id(), unit.orFitting(f))))
                        .toList()));
        steps.add(new Judge(
                "judge",
                measures.stream()
                        .flatMap(m -> m.figuresAndDifferences().stream())
                        .filter(f -> sheet.limits(f).isPresent())
                        .toList()));
        steps.add(new Plan("plan", limited));
        steps.add(round(sheet, measures));
        steps.add(new Checklist("closing", Checklist.CLOSING));
        steps.add(new HandIn("handIn"));
        var bare = new Practical(
                title,
                school,
                DecisionRule.SIMPLE,
                Mode.ASSESSMENT,
                OutcomeSchool.COMPETENCE,
                Optional.empty(),
                steps,
                new Scheme(List.of(), 0),
                Optional.empty(),
                ReferenceRule.COMBINED);
        return withDefaults(bare, sheet);
    }

    /** The same practical with the default marks of its steps on this vehicle. */
    public static Practical withDefaults(Practical p, SpecificationSheet sheet) {
        return p.with(SchemeDefaults.of(p, sheet));
    }

    /** Returns what is usually wanted of a procedure on the front axle: what its family is named for, else what it sees first. */
    public static List<FigureId> usualFigures(Procedure procedure) {
        Measurand wanted = procedure.sees().stream()
                .map(f -> f.measurand().base())
                .filter(m -> m.key().equals(procedure.family().key()))
                .findFirst()
                .orElse(procedure.sees().iterator().next().measurand().base());
        return usualFigures(procedure, wanted);
    }

    /** Returns what is wanted of a measurand on the front axle: the sum where there is one, then what it is made of. */
    public static List<FigureId> usualFigures(Procedure procedure, Measurand measurand) {
        return procedure.sees().stream()
                .filter(f -> f.measurand().base() == measurand && f.measurand().form() != Measurand.Form.DIFFERENCE)
                .filter(f -> f.axle().map(axle -> axle == Axle.FRONT).orElse(true))
                .sorted(Comparator.comparing((FigureId f) -> f.measurand().form() != Measurand.Form.SUM)
                        .thenComparing(Comparator.naturalOrder()))
                .toList();
    }

    /** Reads again what can be adjusted; where nothing can, the last measurement. */
    private static Round round(SpecificationSheet sheet, List<Measure> measures) {
        List<Measure> adjustable = measures.stream()
                .filter(m -> m.figures().stream().anyMatch(f -> sheet.adjustable(f.adjustment()) != Adjustable.NO))
                .toList();
        List<Measure> again =
                adjustable.isEmpty() ? measures.subList(measures.size() - 1, measures.size()) : adjustable;
        return new Round(ADJUST, again.stream().map(m -> Round.again(ADJUST, m)).toList(), ROUNDS);
    }
}
