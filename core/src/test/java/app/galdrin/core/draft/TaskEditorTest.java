package app.galdrin.core.draft;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Scheme;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.StepKind;
import app.galdrin.core.task.StepKinds;
import app.galdrin.core.task.TaskDocument;
import app.galdrin.core.task.TaskFault;
import app.galdrin.core.task.TaskFaultCode;
import app.galdrin.core.task.Work;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class TaskEditorTest {

    private static final int TASKS = 12;
    private static final int PRESSES = 25;

    private static final TaskEditor EDITOR = new TaskEditor(Vehicles.van());

    private static TaskDraft toe() {
        return EDITOR.started(TaskStart.TOE, "Toe", AnswerUnit.DEGREES);
    }

    /** Written as it is after it was stored and read again: what is written down loses the last digits. */
    private static TaskDraft write(TaskDraft draft, String field, String typed) {
        Practical stored = TaskDocument.asFarAsItReads(TaskDocument.write(draft.practical()));
        return EDITOR.written(new TaskDraft(stored, draft.unit(), draft.refused()), Map.of(field, typed));
    }

    private static List<String> ids(TaskDraft draft) {
        return draft.practical().steps().stream().map(Step::id).toList();
    }

    private static Criterion criterion(TaskDraft draft, String key) {
        return draft.practical()
                .scheme()
                .criterion(Criterion.Id.parse(key).orElseThrow())
                .orElseThrow();
    }

    @Test
    void everyKind_hasAnEditor_andCanBeAdded() {
        assertEquals(
                StepKinds.all().stream().map(StepKind::key).toList(),
                EDITOR.additions().stream()
                        .map(a -> StepEditors.editor(a).kind())
                        .distinct()
                        .sorted()
                        .toList());
    }

    /** Whatever is written as it stands leaves the document as it is, to the byte. */
    @ParameterizedTest
    @EnumSource(
            value = TaskStart.class,
            names = {"BEAM_AXLE"},
            mode = EnumSource.Mode.EXCLUDE)
    void whatStands_canBeWrittenOnceMore(TaskStart start) {
        TaskDraft draft = EDITOR.started(start, "A task", AnswerUnit.DEGREES_MINUTES);
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("title", "A task");
        fields.put("unit", "degMin");
        fields.put("minutes", "");
        draft.practical().scheme().criteria().forEach(c -> {
            fields.put("marks." + c.id().key(), String.valueOf(c.marks()));
            fields.put("must." + c.id().key(), c.mustPass() ? "on" : "off");
            c.bands().keySet().forEach(f -> fields.put("band." + c.id().key() + "." + f.key(), ""));
        });
        for (Measure m : draft.practical().of(Measure.class).toList()) {
            fields.put("steps." + m.id() + ".procedure", m.procedure().key());
            fields.put("steps." + m.id() + ".repeats", String.valueOf(m.repeats()));
            fields.put("steps." + m.id() + ".runOut", m.procedure().isRunOutTakenOff() ? "on" : "off");
            m.procedure().instruments().forEach((tool, i) -> fields.put("steps." + m.id() + ".tool." + tool, i.key()));
            m.figures().forEach(f -> fields.put("steps." + m.id() + ".figure." + f.key(), "on"));
        }
        TaskDraft again = EDITOR.written(draft, fields);
        assertEquals(TaskDocument.write(draft.practical()), TaskDocument.write(again.practical()));
        assertEquals(Map.of(), again.refused());
        assertTrue(EDITOR.isWhole(again));
    }

    /** A form that is sent whole names bands of figures that an earlier field of it leaves out. */
    @Test
    void aBandThatIsLeftEmpty_ofAFigureNoLongerMeasured_goesWithIt() {
        TaskDraft draft = toe();
        Measure m = draft.practical().of(Measure.class).findFirst().orElseThrow();
        FigureId left = m.figures().get(0);
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("steps." + m.id() + ".figure." + left.key(), "off");
        fields.put("band." + m.id() + ".reading." + left.key(), "");
        TaskDraft without = EDITOR.written(draft, fields);
        assertEquals(Map.of(), without.refused());
        assertTrue(criterion(draft, m.id() + ".reading").bands().containsKey(left));
        assertFalse(criterion(without, m.id() + ".reading").bands().containsKey(left));
    }

    /** Hundreds of presses in any order: nothing is asked, judged or planned that is not measured before, and the document is read again as it is. */
    @Test
    void whateverIsPressed_nothingIsAskedThatIsNotMeasured() {
        var random = new SplittableRandom(11);
        Set<TaskFaultCode> met = new TreeSet<>();
        for (int task = 0; task < TASKS; task++) {
            TaskDraft draft = toe();
            for (int press = 0; press < PRESSES; press++) {
                draft = pressed(draft, random);
                for (TaskFault fault : EDITOR.faults(draft)) {
                    met.add(fault.reason());
                }
                Practical p = draft.practical();
                String document = TaskDocument.write(p);
                assertEquals(document, TaskDocument.write(TaskDocument.asFarAsItReads(document)));
                assertEquals(Set.of(), unmeasured(p), TaskDocument.write(p));
            }
        }
        Set<TaskFaultCode> possible = EnumSet.of(
                TaskFaultCode.MISSING,
                TaskFaultCode.NOT_SEEN,
                TaskFaultCode.NOTHING_ADJUSTABLE,
                TaskFaultCode.AFTER_HAND_IN,
                TaskFaultCode.NO_HAND_IN,
                TaskFaultCode.NO_STEPS,
                TaskFaultCode.NO_MARKS);
        assertTrue(met.contains(TaskFaultCode.NO_HAND_IN) && possible.containsAll(met), met.toString());
    }

    private static TaskDraft pressed(TaskDraft draft, SplittableRandom random) {
        List<StepEditor.Addition> additions = EDITOR.additions();
        List<Step> steps = draft.practical().steps();
        Step step = steps.isEmpty() ? null : steps.get(random.nextInt(steps.size()));
        int what = step == null ? 0 : random.nextInt(6);
        return switch (what) {
            case 1 -> EDITOR.removed(draft, step.id());
            case 2, 3 ->
                EDITOR.moved(draft, step.id(), random.nextBoolean() ? 1 : -1).orElse(draft);
            case 4 -> {
                List<FigureId> figures = draft.practical().figures();
                FigureId figure = figures.isEmpty()
                        ? FigureId.parse("toe.front.left").orElseThrow()
                        : figures.get(random.nextInt(figures.size()));
                yield write(
                        draft, "steps." + step.id() + ".figure." + figure.key(), random.nextBoolean() ? "on" : "off");
            }
            case 5 ->
                write(
                        draft,
                        "steps." + step.id() + ".procedure",
                        List.of("plates", "strings", "rearString", "flags").get(random.nextInt(4)));
            default ->
                EDITOR.added(
                        draft, additions.get(random.nextInt(additions.size())).key());
        };
    }

    private static Set<String> unmeasured(Practical practical) {
        Set<String> unmeasured = new TreeSet<>();
        for (Step step : practical.steps()) {
            List<FigureId> figures =
                    step instanceof Judge j ? j.figures() : step instanceof Plan p ? p.figures() : List.of();
            figures.stream()
                    .filter(f -> practical.measuring(f, step.id()).isEmpty())
                    .forEach(f -> unmeasured.add(step.id() + " " + f.key()));
        }
        return unmeasured;
    }

    /** What is measured no more is asked no more; what is measured again is asked as the others are. */
    @Test
    void whatIsAsked_followsWhatIsMeasured() {
        FigureId total = FigureId.parse("totalToe.front").orElseThrow();
        TaskDraft less = write(toe(), "steps.toe.figure.totalToe.front", "off");
        assertTrue(toe().practical().of(Work.class).anyMatch(w -> w.item(total).isPresent()));
        assertTrue(less.practical().of(Work.class).noneMatch(w -> w.item(total).isPresent()));
        assertTrue(less.practical().of(Judge.class).noneMatch(j -> j.figures().contains(total)));
        assertTrue(less.practical().of(Plan.class).noneMatch(p -> p.figures().contains(total)));
        TaskDraft more = write(less, "steps.toe.figure.totalToe.front", "on");
        assertTrue(more.practical().of(Judge.class).anyMatch(j -> j.figures().contains(total)));
        TaskDraft unjudged = write(more, "steps.judge.figure.totalToe.front", "off");
        TaskDraft later = write(unjudged, "steps.toe.repeats", "3");
        assertTrue(later.practical().of(Judge.class).noneMatch(j -> j.figures().contains(total)), "it was taken out");
        TaskDraft camber = EDITOR.added(write(later, "steps.work.ways", "on"), "measure:camber");
        Work work = camber.practical().of(Work.class).findFirst().orElseThrow();
        assertTrue(work.asked().stream().anyMatch(i -> i.from().equals("camber")), work.toString());
        assertTrue(camber.practical().of(Round.class).findFirst().orElseThrow().measures().stream()
                .anyMatch(m -> m.id().equals("camberAgain")));
        assertEquals(
                3,
                camber.practical().of(Round.class).findFirst().orElseThrow().measures().stream()
                        .filter(m -> m.id().equals("toeAgain"))
                        .findFirst()
                        .orElseThrow()
                        .repeats(),
                "what is read again is read as it was changed");
    }

    /** Marks that nobody has touched share what there is; those somebody has typed stay, and so do their bands. */
    @Test
    void marks_followTheSteps_untilSomebodyTypesThem() {
        TaskDraft draft = toe();
        assertEquals(20, criterion(draft, "toe.reading").marks());
        TaskDraft two = EDITOR.added(draft, "measure:camber");
        assertEquals(10, criterion(two, "toe.reading").marks());
        assertEquals(10, criterion(two, "camber.reading").marks());
        TaskDraft typed = write(write(draft, "marks.toe.reading", "33"), "band.toe.reading.totalToe.front", "0.3");
        TaskDraft after = EDITOR.added(write(typed, "steps.toe.procedure", "longBars"), "measure:camber");
        assertEquals(33, criterion(after, "toe.reading").marks());
        FigureId total = FigureId.parse("totalToe.front").orElseThrow();
        assertEquals(
                Math.toRadians(0.3),
                criterion(after, "toe.reading").band(total).orElseThrow().full(),
                1e-12);
        TaskDraft usual = write(after, "band.toe.reading.totalToe.front", "");
        assertNotEquals(
                Math.toRadians(0.3),
                criterion(usual, "toe.reading").band(total).orElseThrow().full(),
                1e-3);
        TaskDraft timed = write(toe(), "minutes", "40");
        assertEquals(5, criterion(timed, "handIn.time").marks());
        assertTrue(write(timed, "minutes", "").practical().scheme().criteria().stream()
                .noneMatch(c -> c.id().aspect() == Aspect.TIME));
    }

    /** A criterion that a task leaves out on purpose is not brought back by an edit elsewhere. */
    @Test
    void whatATaskDoesNotMark_staysUnmarked() {
        Practical p = toe().practical();
        var fewer = new Scheme(
                p.scheme().criteria().stream()
                        .filter(c -> c.id().aspect() != Aspect.ORDER)
                        .toList(),
                0);
        TaskDraft draft = TaskDraft.of(p.with(fewer), AnswerUnit.DEGREES);
        TaskDraft edited = write(draft, "steps.toe.repeats", "3");
        assertTrue(edited.practical().scheme().criteria().stream().noneMatch(c -> c.id().aspect() == Aspect.ORDER));
    }

    /** What was typed and cannot stand goes with its step, and stays while that stays. */
    @Test
    void whatWasRefused_staysWithItsField() {
        TaskDraft draft = write(write(toe(), "steps.toe.repeats", "99"), "marks.toe.reading", "many");
        assertEquals(
                Set.of("steps.toe.repeats", "marks.toe.reading"),
                EDITOR.refusals(draft).keySet());
        assertEquals("99", EDITOR.refusals(draft).get("steps.toe.repeats").typed());
        assertEquals(
                Set.of("steps.toe.repeats", "marks.toe.reading"),
                EDITOR.added(draft, "measure:camber").refused().keySet());
        assertEquals(Map.of(), EDITOR.removed(draft, "toe").refused());
        assertEquals(2, draft.practical().measure("toe").orElseThrow().repeats());
    }

    /** A step goes where it is moved to and the others stay in their order; two measurements that stand as the school has them are not parted by a step up or down. */
    @ParameterizedTest
    @CsvSource({
        "toe,1,'prepare,caster,camber,work,toe'",
        "toe,-1,''",
        "caster,1,''",
        "camber,1,''",
        "caster,2,'prepare,camber,toe,caster,work'",
        "caster,-1,'caster,prepare,camber,toe,work'",
        "prepare,-1,''",
        "handIn,1,''",
        "handIn,0,'prepare,caster,camber,toe,work'",
        "none,1,''"
    })
    void aStep_isMoved(String step, int places, String first) {
        TaskDraft full = EDITOR.started(TaskStart.FULL_FRONT, "Full", AnswerUnit.DEGREES);
        String ids = EDITOR.moved(full, step, places)
                .map(d -> String.join(",", ids(d).subList(0, 5)))
                .orElse("");
        assertEquals(first, ids);
    }

    /** Out of the school's order two measurements change places again. */
    @Test
    void measurementsInAnotherOrder_areMovedBack() {
        TaskDraft full = EDITOR.started(TaskStart.FULL_FRONT, "Full", AnswerUnit.DEGREES);
        TaskDraft other = EDITOR.moved(full, "caster", 2).orElseThrow();
        assertEquals(
                List.of("prepare", "camber", "caster", "toe"),
                ids(EDITOR.moved(other, "caster", -1).orElseThrow()).subList(0, 4));
    }

    /** Begun from another start, a step of the same name stays as it was set where that is asked, and marks do where it is not. */
    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void anotherStart_keepsWhatWasSet_whereItIsAskedTo(boolean keeps) {
        TaskDraft set = write(toe(), "steps.toe.repeats", "5");
        TaskDraft full = EDITOR.restarted(set, TaskStart.FULL_FRONT, keeps);
        assertTrue(ids(full).containsAll(List.of("caster", "camber", "toe")));
        assertEquals(
                keeps ? 5 : 2, full.practical().measure("toe").orElseThrow().repeats());
        assertEquals("Toe", full.practical().title());
    }

    /** The longest title that stands, a grade where grades are given, a hand-in: without one the task is not whole. */
    @Test
    void aTask_isWhole_orIsNot() {
        assertTrue(EDITOR.isWhole(write(toe(), "title", "x".repeat(Practical.LONGEST_TITLE))));
        assertFalse(EDITOR.isWhole(write(toe(), "title", "x".repeat(Practical.LONGEST_TITLE + 1))));
        assertFalse(EDITOR.isWhole(EDITOR.removed(toe(), "handIn")));
        assertEquals(
                Set.of(TaskEditor.GRADES),
                EDITOR.refusals(write(write(toe(), "grades", ""), "outcome", "graded"))
                        .keySet());
    }

    @Test
    void anId_isTakenOnce() {
        TaskDraft twice = EDITOR.added(toe(), "checklist:prepare");
        assertTrue(
                ids(twice).containsAll(List.of("prepare", "prepare2")),
                ids(twice).toString());
    }

    /** What was answered in the usual unit is answered in the new one; what was chosen otherwise stays. */
    @Test
    void anotherUsualUnit_isThatOfAllThatHadTheUsual() {
        TaskDraft chosen = write(toe(), "steps.work.unit.totalToe.front", "mm");
        Work work = write(chosen, "unit", "degMin")
                .practical()
                .of(Work.class)
                .findFirst()
                .orElseThrow();
        assertEquals(
                List.of(AnswerUnit.MILLIMETRES, AnswerUnit.DEGREES_MINUTES, AnswerUnit.DEGREES_MINUTES),
                work.asked().stream().map(Work.Item::unit).toList());
    }
}
