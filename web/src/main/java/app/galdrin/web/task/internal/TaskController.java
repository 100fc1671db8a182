package app.galdrin.web.task.internal;

import app.galdrin.core.measure.ToeMethod;
import app.galdrin.core.measure.ToeMethods;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.task.AnswerUnit;
import app.galdrin.core.task.ChecklistStep;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.MarkingScheme;
import app.galdrin.core.task.ToeAsked;
import app.galdrin.core.task.ToeTask;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.web.account.ClassGroup;
import app.galdrin.web.account.People;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Said;
import app.galdrin.web.layout.Words;
import app.galdrin.web.library.Library;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.sketch.Sketch;
import app.galdrin.web.sketch.Sketches;
import app.galdrin.web.task.Mode;
import app.galdrin.web.task.OutcomeSchool;
import app.galdrin.web.task.TaskDraft;
import app.galdrin.web.task.Tasks;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The list of tasks, the bench on which they are set, and opening them to a class. */
@Controller
class TaskController {

    private final Tasks tasks;
    private final Library library;
    private final People people;
    private final Words words;

    TaskController(Tasks tasks, Library library, People people, Words words) {
        this.tasks = tasks;
        this.library = library;
        this.people = people;
        this.words = words;
    }

    @GetMapping("/tasks")
    String list(@AuthenticationPrincipal SignedIn me, Model model) {
        model.addAttribute("tasks", tasks.list(me.centreId()));
        return "task/tasks";
    }

    /** The bench; a script asks for the preview alone as the form changes. */
    @GetMapping("/tasks/new")
    String bench(
            @AuthenticationPrincipal SignedIn me,
            @RequestParam Map<String, String> typed,
            @RequestParam(required = false) @Nullable String preview,
            Model model) {
        boolean ready = show(me, typed, model).isPresent();
        if (!ready) {
            return "task/nothing-yet";
        }
        return preview == null ? "task/bench" : "task/bench :: preview";
    }

    @PostMapping("/tasks/new")
    String set(
            @AuthenticationPrincipal SignedIn me,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        Optional<BenchForm> form = show(me, typed, model);
        if (form.isEmpty()) {
            return "task/nothing-yet";
        }
        Optional<TaskDraft> draft = form.get().draft(defaultTitle(form.get()));
        if (draft.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return "task/bench";
        }
        return "redirect:/tasks/" + tasks.set(me.centreId(), me.personId(), draft.get());
    }

    private String defaultTitle(BenchForm form) {
        return words.text("bench.title.default", words.text("method." + form.method.key()));
    }

    private Optional<BenchForm> show(SignedIn me, Map<String, String> typed, Model model) {
        List<SheetVersion> sheets = library.newestSheets(me.centreId());
        List<ClassGroup> classes = people.classes(me.centreId());
        model.addAttribute("sheets", sheets);
        model.addAttribute("classes", classes);
        if (sheets.isEmpty() || classes.isEmpty()) {
            return Optional.empty();
        }
        var form = new BenchForm(typed, sheets, classes);
        Optional<TaskDraft> draft = form.draft(defaultTitle(form));
        model.addAttribute("view", BenchView.of(form, draft, defaultTitle(form)));
        return Optional.of(form);
    }

    /** What the bench shows. */
    public record BenchView(
            BenchForm form,
            String defaultTitle,
            Optional<TaskDraft> draft,
            Sketch sketch,
            Criterion[] criteria,
            ToeAsked[] askeds,
            List<ToeMethod> methods,
            AnswerUnit[] units,
            DecisionRule[] rules,
            Mode[] modes,
            OutcomeSchool[] outcomes,
            Estimate oneMeasurement) {

        static BenchView of(BenchForm form, Optional<TaskDraft> draft, String title) {
            var geometry = form.sheet.sheet().geometry();
            return new BenchView(
                    form,
                    title,
                    draft,
                    Sketches.of(form.sheet.id(), geometry, form.method),
                    Criterion.values(),
                    ToeAsked.values(),
                    ToeMethods.all(),
                    AnswerUnit.values(),
                    DecisionRule.values(),
                    Mode.values(),
                    OutcomeSchool.values(),
                    MarkingScheme.oneMeasurement(form.method, geometry));
        }

        public String typed(String field) {
            return form.text(field);
        }

        public @Nullable Said fault(String field) {
            return form.faults().get(field);
        }

        public int totalMarks() {
            return Stream.of(criteria).mapToInt(this::marks).sum();
        }

        public boolean any() {
            return !form.faults().isEmpty();
        }

        public SheetVersion sheet() {
            return form.sheet;
        }

        public UUID classId() {
            return form.classGroup.id();
        }

        public ToeAsked asked() {
            return form.asked;
        }

        public ToeMethod method() {
            return form.method;
        }

        public int repeats() {
            return form.repeats;
        }

        public AnswerUnit unit() {
            return form.answerUnit;
        }

        public DecisionRule rule() {
            return form.rule;
        }

        public Mode mode() {
            return form.mode;
        }

        public OutcomeSchool outcome() {
            return form.outcome;
        }

        public int marks(Criterion criterion) {
            return form.marks(criterion);
        }

        public boolean mustPass(Criterion criterion) {
            return form.mustPass(criterion);
        }

        public String defaultReadingBand() {
            return BenchForm.degrees(form.defaults.reading());
        }

        public String defaultRepeatabilityBand() {
            return BenchForm.degrees(form.defaults.repeatability());
        }

        public List<ChecklistStep> checklist() {
            return ToeTask.PREPARATION;
        }
    }

    @PostMapping("/tasks/{id}/open")
    String open(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id) {
        tasks.task(me.centreId(), id);
        tasks.open(me.centreId(), me.personId(), id);
        return "redirect:/tasks/" + id;
    }

    @PostMapping("/tasks/{id}/close")
    String close(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id) {
        tasks.close(me.centreId(), id);
        return "redirect:/tasks/" + id;
    }
}
