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
import app.galdrin.core.task.ReadyList;
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
    TAPE("tape", MeasureStart.of("treadTape", Measurand.TOE)),
    PLATES("plates", MeasureStart.of("plates", Measurand.TOE)),
    GAUGES("gauges", MeasureStart.of("flags", Measurand.TOE)),
    FOUR_WHEELS(
            "fourWheels",
            MeasureStart.of("strings", Measurand.TOE, Measurand.THRUST).onBothAxles()),
    CAMBER("camber", MeasureStart.of("inclinometer", Measurand.CAMBER).onBothAxles()),
    CASTER("caster", MeasureStart.CASTER),
    CAMBER_AND_TOE("camberAndToe", MeasureStart.CAMBER, MeasureStart.TOE),
    FULL_FRONT("fullFront", MeasureStart.CASTER, MeasureStart.CAMBER, MeasureStart.TOE),
    WHEEL_HEADS(
            "wheelHeads",
            MeasureStart.of("wheelHeads", Measurand.CAMBER, Measurand.TOE, Measurand.THRUST)
                    .onBothAxles()),
    BEAM_AXLE("beamAxle", MeasureStart.BEAM_CASTER, MeasureStart.BEAM_KPI, MeasureStart.BEAM_TOE),
    /** All steps of the work, from the briefing to the road test: the bench adds those around the measuring. */
    WHOLE_JOB("wholeJob", MeasureStart.CASTER, MeasureStart.CAMBER, MeasureStart.TOE);

    /**
     * Measurement of a start: figures and procedure.
     *
     * @param measurands the first names the step
     * @param bothAxles whether the rear axle is measured as well
     */
    private record MeasureStart(String procedure, List<Measurand> measurands, boolean bothAxles) {
        static final MeasureStart CASTER = of("sweep", Measurand.CASTER);
        static final MeasureStart CAMBER = of("inclinometerZeroed", Measurand.CAMBER);
        static final MeasureStart TOE = of("strings", Measurand.TOE);
        static final MeasureStart BEAM_CASTER = of("protractor", Measurand.CASTER, Measurand.KINGPIN_TWIST);
        static final MeasureStart BEAM_KPI = of("protractorKpi", Measurand.KPI);
        static final MeasureStart BEAM_TOE = of("longBars", Measurand.TOE);

        static MeasureStart of(String procedure, Measurand... measurands) {
            return new MeasureStart(procedure, List.of(measurands), false);
        }

        MeasureStart onBothAxles() {
            return new MeasureStart(procedure, measurands, true);
        }

        Measure measure() {
            Procedure measured = Procedures.of(procedure).withRunOutTakenOff();
            List<FigureId> figures = measurands.stream()
                    .flatMap(m -> (bothAxles ? figures(measured, m) : usualFigures(measured, m)).stream())
                    .toList();
            return Measure.of(measurands.get(0).key(), measured, figures, REPEATS);
        }
    }

    private static final String TIGHTENING = "tightening";

    private static final List<String> AROUND_THE_MEASURING =
            List.of("checklist:briefing", "jobCard", "condition", "standing", TIGHTENING, "roadTest");

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
        if (this != WHOLE_JOB) {
            steps.add(new Checklist("prepare", ReadyList.PREPARATION.items()));
        }
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
        // where nothing can be moved, what is outside is judged, and the part is looked for
        if (limited.stream().anyMatch(f -> isAdjustable(sheet, f))) {
            steps.add(new Plan("plan", limited));
            steps.add(round(sheet, measures));
        }
        steps.add(new Checklist("closing", ReadyList.CLOSING.items()));
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

    /** Returns the keys of the steps that the bench adds to it on a vehicle, each at its usual place. */
    public List<String> additions(SpecificationSheet sheet) {
        if (this != WHOLE_JOB) {
            return List.of();
        }
        return AROUND_THE_MEASURING.stream()
                .filter(step ->
                        !step.equals(TIGHTENING) || !sheet.fastenerUses().isEmpty())
                .toList();
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
        return figures(procedure, measurand).stream()
                .filter(f -> f.axle().map(axle -> axle == Axle.FRONT).orElse(true))
                .toList();
    }

    /** The same on both axles. */
    private static List<FigureId> figures(Procedure procedure, Measurand measurand) {
        return procedure.sees().stream()
                .filter(f -> f.measurand().base() == measurand && f.measurand().form() != Measurand.Form.DIFFERENCE)
                .sorted(Comparator.comparing((FigureId f) -> f.measurand().form() != Measurand.Form.SUM)
                        .thenComparing(Comparator.naturalOrder()))
                .toList();
    }

    private static boolean isAdjustable(SpecificationSheet sheet, FigureId figure) {
        return sheet.adjustable(figure.adjustment()) != Adjustable.NO;
    }

    /** Reads again what can be adjusted. */
    private static Round round(SpecificationSheet sheet, List<Measure> measures) {
        List<Measure> again = measures.stream()
                .filter(m -> m.figures().stream().anyMatch(f -> isAdjustable(sheet, f)))
                .toList();
        return new Round(ADJUST, again.stream().map(m -> Round.again(ADJUST, m)).toList(), ROUNDS);
    }
}
