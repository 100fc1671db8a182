package app.galdrin.core.draft;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.FrontDatum;
import app.galdrin.core.task.Grade;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.OutcomeSchool;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.ReferenceRule;
import app.galdrin.core.task.Scheme;
import app.galdrin.core.task.SchemeDefaults;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.TaskDocument;
import app.galdrin.core.task.TaskFault;
import app.galdrin.core.task.TaskFaultCode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Edits a task on a vehicle. Every edit is a function from one draft to the next; what follows from the edit elsewhere in the task is done with
 * it, so that a figure that is measured no more is judged no more either.
 *
 * <p>A field is named by where it stands in the document: {@code title}, {@code steps.toe.repeats}, {@code steps.judge.figure.toe.front.left},
 * {@code marks.toe.reading}, {@code band.toe.reading.toe.front.left}.
 */
public final class TaskEditor {

    /** The field of the grades. */
    public static final String GRADES = "grades";

    static final String STEPS = "steps.";

    private final SpecificationSheet sheet;
    private final List<Checklist.Item> known;

    /** An editor that knows no items from before. */
    public TaskEditor(SpecificationSheet sheet) {
        this(sheet, List.of());
    }

    /**
     * An editor.
     *
     * @param known items in words of their own that the centre has used before: typed again, they come with all that they were set to
     */
    public TaskEditor(SpecificationSheet sheet, List<Checklist.Item> known) {
        this.sheet = sheet;
        this.known = List.copyOf(known);
    }

    // ---- beginning

    /** Returns a new draft of a ready-made task. */
    public TaskDraft started(TaskStart start, String title, AnswerUnit unit) {
        return started(start, title, OrderSchool.A, unit);
    }

    private TaskDraft started(TaskStart start, String title, OrderSchool school, AnswerUnit unit) {
        TaskDraft draft = new TaskDraft(start.on(sheet, title, school, unit), unit, Map.of());
        for (String addition : start.additions(sheet)) {
            draft = added(draft, addition);
        }
        return draft;
    }

    /**
     * Returns the draft with the steps of a ready-made task.
     *
     * @param keeps whether steps of it that are there already stay as they are set
     */
    public TaskDraft restarted(TaskDraft draft, TaskStart start, boolean keeps) {
        Practical now = draft.practical();
        Practical fresh =
                started(start, now.title(), now.school(), draft.unit()).practical();
        if (!keeps) {
            var scheme = new Scheme(
                    fresh.scheme().criteria(),
                    now.scheme().slipKeepsPercent(),
                    now.scheme().grades());
            return new TaskDraft(now.with(fresh.steps()).with(scheme), draft.unit(), Map.of());
        }
        List<Step> steps = fresh.steps().stream()
                .map(step -> now.steps().stream()
                        .filter(s -> s.id().equals(step.id()) && s.kind().equals(step.kind()))
                        .findFirst()
                        .orElse(step))
                .toList();
        return followed(draft, draft.with(now.with(steps)), sheet);
    }

    /** Returns the draft on this editor's vehicle, which stood on another's sheet before. */
    public TaskDraft moved(TaskDraft draft, SpecificationSheet before) {
        return followed(draft, draft, before);
    }

    // ---- fields

    /** Returns the draft with fields written, in their order; what cannot stand in one is kept beside it. */
    public TaskDraft written(TaskDraft draft, Map<String, String> fields) {
        TaskDraft changed = draft;
        for (Map.Entry<String, String> field : fields.entrySet()) {
            String name = field.getKey();
            String typed = field.getValue().strip();
            try {
                changed = changed(changed, name, typed).accepting(name);
            } catch (FieldRefusal refusal) {
                changed = changed.refusing(name, typed);
            }
        }
        return followed(draft, changed, sheet);
    }

    private TaskDraft changed(TaskDraft draft, String name, String typed) throws FieldRefusal {
        Practical p = draft.practical();
        if (name.startsWith(STEPS)) {
            return step(draft, name.substring(STEPS.length()), typed);
        }
        int dot = name.indexOf('.');
        String rest = name.substring(dot + 1);
        return switch (dot < 0 ? name : name.substring(0, dot)) {
            case "marks" -> draft.with(p.with(SchemeEditor.marks(p.scheme(), rest, typed)));
            case "must" -> draft.with(p.with(SchemeEditor.mustPass(p.scheme(), rest, typed)));
            case "band" -> draft.with(p.with(SchemeEditor.band(p, sheet, rest, typed)));
            case "unit" -> answeredIn(draft, FieldText.word(AnswerUnit.values(), typed));
            default -> draft.with(whole(p, name, typed));
        };
    }

    private static Practical whole(Practical p, String name, String typed) throws FieldRefusal {
        return switch (name) {
            case "title" -> p.titled(title(typed));
            case "school" -> p.with(FieldText.word(OrderSchool.values(), typed));
            case "rule" -> p.with(FieldText.word(DecisionRule.values(), typed));
            case "mode" -> p.with(FieldText.word(Mode.values(), typed));
            case "outcome" -> p.with(FieldText.word(OutcomeSchool.values(), typed));
            case "minutes" ->
                p.withMinutes(
                        typed.isEmpty()
                                ? Optional.empty()
                                : Optional.of(FieldText.whole(typed, 1, Practical.MOST_MINUTES)));
            case "frontsTo" ->
                p.with(
                        typed.isEmpty()
                                ? Optional.<FrontDatum>empty()
                                : Optional.of(FieldText.word(FrontDatum.values(), typed)));
            case "references" -> p.with(FieldText.word(ReferenceRule.values(), typed));
            case "slipKeeps" ->
                p.with(new Scheme(
                        p.scheme().criteria(),
                        FieldText.whole(typed, 0, 100),
                        p.scheme().grades()));
            case GRADES -> p.with(graded(p.scheme(), typed));
            default -> p;
        };
    }

    private static String title(String typed) throws FieldRefusal {
        if (typed.isEmpty()) {
            throw new FieldRefusal("bench.title.needed", typed);
        }
        if (typed.length() > Practical.LONGEST_TITLE) {
            throw new FieldRefusal("bench.title.long", typed, Practical.LONGEST_TITLE);
        }
        return typed;
    }

    private static Scheme graded(Scheme scheme, String typed) throws FieldRefusal {
        List<Grade> grades = GradesText.read(typed)
                .orElseThrow(() -> new FieldRefusal("bench.grades.fault", typed, Grade.LONGEST_NAME, Grade.MOST));
        return new Scheme(scheme.criteria(), scheme.slipKeepsPercent(), grades);
    }

    /** Moves answers in the usual unit to the new one. */
    private static TaskDraft answeredIn(TaskDraft draft, AnswerUnit unit) {
        List<Step> steps = draft.practical().steps().stream()
                .map(step -> StepEditors.of(step).answeredIn(step, draft.unit(), unit))
                .toList();
        return draft.with(draft.practical().with(steps)).with(unit);
    }

    /** {@code name} is the id of the step, the field, and what of the field, parted by dots. */
    private TaskDraft step(TaskDraft draft, String name, String typed) throws FieldRefusal {
        int first = name.indexOf('.');
        if (first < 0) {
            return draft;
        }
        int second = name.indexOf('.', first + 1);
        String field = second < 0 ? name.substring(first + 1) : name.substring(first + 1, second);
        String part = second < 0 ? "" : name.substring(second + 1);
        List<Step> steps = new ArrayList<>(draft.practical().steps());
        int at = index(steps, name.substring(0, first));
        if (at < 0) {
            return draft;
        }
        Step step = steps.get(at);
        var before = new StepsBefore(steps.subList(0, at));
        var setting = new DraftSetting(sheet, draft.unit(), known, before, Optional.of(before));
        steps.set(at, StepEditors.of(step).written(step, field, part, typed, setting));
        return draft.with(draft.practical().with(steps));
    }

    private static int index(List<Step> steps, String id) {
        return steps.stream().map(Step::id).toList().indexOf(id);
    }

    // ---- steps

    /** Returns all that can be added, in the usual order of the work. */
    public List<StepEditor.Addition> additions() {
        return StepEditors.additions();
    }

    /** Returns the draft with a step added at its usual place, before the first step that has its turn later. */
    public TaskDraft added(TaskDraft draft, String addition) {
        List<Step> steps = new ArrayList<>(draft.practical().steps());
        Optional<StepEditor.Addition> made = StepEditors.addition(addition);
        if (made.isEmpty() || steps.size() == Practical.MOST_STEPS) {
            return draft;
        }
        StepEditor editor = StepEditors.editor(made.get());
        Step step =
                editor.made(made.get(), firstFree(draft.practical(), made.get().id()));
        int turn = editor.turn(step);
        int at = 0;
        while (at < steps.size() && StepEditors.of(steps.get(at)).turn(steps.get(at)) <= turn) {
            at++;
        }
        steps.add(at, step);
        return followed(draft, draft.with(draft.practical().with(steps)), sheet);
    }

    private static String firstFree(Practical practical, String base) {
        String id = base;
        for (int i = 2; practical.step(id).isPresent(); i++) {
            id = base + i;
        }
        return id;
    }

    /** Returns the draft without a step. */
    public TaskDraft removed(TaskDraft draft, String id) {
        List<Step> steps = draft.practical().steps().stream()
                .filter(s -> !s.id().equals(id))
                .toList();
        return followed(draft, draft.with(draft.practical().with(steps)), sheet);
    }

    /**
     * Returns the draft with a step moved; empty where it would leave the task or part two measurements that stand as the school has them.
     *
     * @param places how far, towards the end where it is above 0
     */
    public Optional<TaskDraft> moved(TaskDraft draft, String id, int places) {
        List<Step> steps = new ArrayList<>(draft.practical().steps());
        int here = index(steps, id);
        int there = here + places;
        boolean neighbours = Math.abs(places) == 1;
        if (here < 0
                || there < 0
                || there >= steps.size()
                || neighbours && isAsTheSchoolHasIt(draft.practical().school(), steps, Math.min(here, there))) {
            return Optional.empty();
        }
        Step step = steps.remove(here);
        steps.add(there, step);
        return Optional.of(followed(draft, draft.with(draft.practical().with(steps)), sheet));
    }

    private static boolean isAsTheSchoolHasIt(OrderSchool school, List<Step> steps, int first) {
        Optional<Integer> one = turn(school, steps.get(first));
        Optional<Integer> next = turn(school, steps.get(first + 1));
        return one.isPresent() && next.isPresent() && one.get() < next.get();
    }

    private static Optional<Integer> turn(OrderSchool school, Step step) {
        return StepEditors.of(step).turn(step, school);
    }

    // ---- what follows

    private TaskDraft followed(TaskDraft before, TaskDraft after, SpecificationSheet sheetBefore) {
        Practical was = before.practical();
        if (after.practical().equals(was) && sheetBefore.equals(sheet)) {
            return after;
        }
        List<Step> steps = new ArrayList<>();
        for (Step step : after.practical().steps()) {
            int then = index(was.steps(), step.id());
            var setting = new DraftSetting(
                    sheet,
                    after.unit(),
                    known,
                    new StepsBefore(steps),
                    then < 0
                            ? Optional.empty()
                            : Optional.of(new StepsBefore(was.steps().subList(0, then))));
            steps.add(StepEditors.of(step).following(step, setting));
        }
        Practical followed = after.practical().with(steps);
        Scheme usualBefore = SchemeDefaults.of(was, sheetBefore);
        Scheme usual = SchemeDefaults.of(followed, sheet);
        Practical whole = followed.with(SchemeEditor.following(followed.scheme(), usualBefore, usual));
        return new TaskDraft(whole, after.unit(), stillThere(after.refused(), whole));
    }

    /** Text that was refused goes with its field. */
    private static Map<String, String> stillThere(Map<String, String> refused, Practical practical) {
        Map<String, String> kept = new LinkedHashMap<>();
        refused.forEach((name, typed) -> {
            boolean ofStep = name.startsWith(STEPS);
            boolean ofCriterion = name.startsWith("marks.") || name.startsWith("band.");
            boolean there = ofStep
                    ? practical.steps().stream().anyMatch(s -> name.startsWith(STEPS + s.id() + "."))
                    : !ofCriterion
                            || practical.scheme().criteria().stream()
                                    .anyMatch(c -> (name + ".").contains("." + c.id().key() + "."));
            if (there) {
                kept.put(name, typed);
            }
        });
        return kept;
    }

    // ---- what is wrong

    /** Returns why each text that was refused cannot stand in its field, and what a field lacks for another's sake. */
    public Map<String, FieldRefusal> refusals(TaskDraft draft) {
        Map<String, FieldRefusal> refusals = new LinkedHashMap<>();
        draft.refused().forEach((name, typed) -> {
            try {
                changed(draft, name, typed);
            } catch (FieldRefusal refusal) {
                refusals.put(name, refusal);
            }
        });
        boolean graded = draft.practical().outcome() == OutcomeSchool.GRADED;
        if (graded && draft.practical().scheme().grades().isEmpty()) {
            refusals.putIfAbsent(GRADES, new FieldRefusal("bench.grades.needed", ""));
        }
        return refusals;
    }

    /** Returns what keeps the task from being set, each once. */
    public List<TaskFault> faults(TaskDraft draft) {
        Practical practical = draft.practical();
        Stream<TaskFault> document =
                TaskDocument.read(TaskDocument.write(practical)) instanceof TaskDocument.Reading.Refusal refusal
                        ? refusal.faults().stream()
                        : Stream.of();
        List<TaskFault> all = Stream.concat(
                        document, Stream.concat(practical.faults().stream(), practical.faults(sheet).stream()))
                .distinct()
                .toList();
        return all.stream().filter(fault -> !followsFrom(all, fault)).toList();
    }

    /** Returns whether a fault is none of its own: what no procedure tells has no band, and no steps have no marks. */
    private static boolean followsFrom(List<TaskFault> all, TaskFault fault) {
        return switch (fault.reason()) {
            case NO_BAND -> isAny(all, TaskFaultCode.NOT_SEEN, TaskFaultCode.NOT_KNOWN, TaskFaultCode.DOES_NOT_FIT);
            case NO_MARKS -> isAny(all, TaskFaultCode.NO_STEPS);
            default -> false;
        };
    }

    private static boolean isAny(List<TaskFault> all, TaskFaultCode... reasons) {
        return all.stream().anyMatch(fault -> List.of(reasons).contains(fault.reason()));
    }

    /** Returns whether the task can be set as it is. */
    public boolean isWhole(TaskDraft draft) {
        return refusals(draft).isEmpty() && faults(draft).isEmpty();
    }

    /** Returns the one press that mends a fault, where there is one. */
    public Optional<Mend> mend(TaskDraft draft, TaskFault fault) {
        Optional<Step> step = step(draft.practical(), fault);
        return switch (fault.reason()) {
            case NO_STEPS, NO_HAND_IN -> Optional.of(new Mend("add", "handIn", "mend.addHandIn", ""));
            case NEVER_INSIDE -> Optional.of(new Mend("rule", DecisionRule.SIMPLE.key(), "mend.simple", ""));
            case NOTHING_ADJUSTABLE, MISSING -> step.map(s -> new Mend("remove", s.id(), "mend.remove", ""));
            default -> step.flatMap(own -> StepEditors.of(own).mend(own, fault, sheet));
        };
    }

    /** Returns the step that a fault is about. */
    public static Optional<Step> step(Practical practical, TaskFault fault) {
        if (!fault.at().startsWith(STEPS)) {
            return Optional.empty();
        }
        String rest = fault.at().substring(STEPS.length());
        int dot = rest.indexOf('.');
        String index = dot < 0 ? rest : rest.substring(0, dot);
        int at = index.matches("[0-9]{1,2}") ? Integer.parseInt(index) : Integer.MAX_VALUE;
        return at < practical.steps().size() ? Optional.of(practical.steps().get(at)) : Optional.empty();
    }
}
