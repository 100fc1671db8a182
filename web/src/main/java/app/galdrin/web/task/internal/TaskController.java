package app.galdrin.web.task.internal;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.quantity.AngleDisplay;
import app.galdrin.core.start.TaskStart;
import app.galdrin.web.account.ClassGroup;
import app.galdrin.web.account.People;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.bay.Bay;
import app.galdrin.web.bay.Bays;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.layout.Sentence;
import app.galdrin.web.layout.StepWords;
import app.galdrin.web.layout.WholeNumber;
import app.galdrin.web.layout.Words;
import app.galdrin.web.library.Library;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Validator;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.LinkedMultiValueMap;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The list of tasks, the bench on which they are set, their bays, and opening them to a class. */
@Controller
class TaskController {

    private static final int LONGEST_NOTE = 400;
    private static final Pattern KEY = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");

    private final Tasks tasks;
    private final Library library;
    private final People people;
    private final Words words;
    private final StepWords names;
    private final Validator validator;
    private final TryOuts tryOuts;
    private final Bays bays;

    TaskController(
            Tasks tasks,
            Library library,
            People people,
            Words words,
            StepWords names,
            Validator validator,
            TryOuts tryOuts,
            Bays bays) {
        this.bays = bays;
        this.tryOuts = tryOuts;
        this.tasks = tasks;
        this.library = library;
        this.people = people;
        this.words = words;
        this.names = names;
        this.validator = validator;
    }

    @GetMapping("/tasks")
    String list(
            @AuthenticationPrincipal SignedIn me, @RequestParam(defaultValue = "false") boolean retired, Model model) {
        model.addAttribute("retired", retired);
        model.addAttribute("tasks", tasks.list(me.centreId(), retired));
        return "task/tasks";
    }

    /**
     * The bench; a script asks for a part alone as the form changes.
     *
     * @param part the preview, or the steps with it after one of their buttons
     */
    @GetMapping("/tasks/new")
    String bench(
            @AuthenticationPrincipal SignedIn me,
            @RequestParam MultiValueMap<String, String> typed,
            @RequestParam(required = false) @Nullable String part,
            Model model) {
        MultiValueMap<String, String> filled = from(me, typed);
        if (show(me, changed(filled), model).isEmpty()) {
            return "task/nothing-yet";
        }
        return part == null ? "task/bench" : "task/bench :: preview";
    }

    /** The form as it begins from a practical that was set: a copy, or its next version. */
    private MultiValueMap<String, String> from(SignedIn me, MultiValueMap<String, String> typed) {
        Optional<TaskVersion> before =
                before(me, typed, "of").or(() -> before(me, typed, "from")).filter(task -> !typed.containsKey("order"));
        return before.<MultiValueMap<String, String>>map(task -> {
                    var filled =
                            new LinkedMultiValueMap<>(BenchPrefill.with(task, library.newestSheets(me.centreId())));
                    filled.addAll(typed);
                    return filled;
                })
                .orElse(typed);
    }

    private Optional<TaskVersion> before(SignedIn me, MultiValueMap<String, String> typed, String field) {
        String id = Optional.ofNullable(typed.getFirst(field)).orElse("");
        return KEY.matcher(id).matches()
                ? Optional.of(tasks.task(me.centreId(), UUID.fromString(id)))
                : Optional.empty();
    }

    @PostMapping("/tasks/new")
    String set(
            @AuthenticationPrincipal SignedIn me,
            @RequestParam MultiValueMap<String, String> typed,
            HttpServletResponse response,
            Model model) {
        Optional<BenchForm> form = show(me, typed, model);
        if (form.isEmpty()) {
            return "task/nothing-yet";
        }
        if (form.get().wrong()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return "task/bench";
        }
        UUID id = key(typed);
        tasks.set(
                id,
                me.centreId(),
                me.personId(),
                form.get().practical,
                List.of(form.get().sheet.id()),
                form.get().classGroup.id(),
                before(me, typed, "of"));
        return "redirect:/tasks/" + id;
    }

    /** The practical as the form stands, tried out before it is set. */
    @PostMapping("/tasks/try")
    String tryIt(
            @AuthenticationPrincipal SignedIn me,
            @RequestParam MultiValueMap<String, String> typed,
            HttpServletResponse response,
            Model model) {
        Optional<BenchForm> form = show(me, typed, model);
        if (form.isEmpty()) {
            return "task/nothing-yet";
        }
        if (form.get().wrong()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return "task/bench";
        }
        return TryController.page(tryOuts.begin(me, form.get().practical, form.get().sheet, Optional.empty()));
    }

    /** The task's id, made with the form, so that a form sent twice sets one task. */
    private static UUID key(MultiValueMap<String, String> typed) {
        String key = Optional.ofNullable(typed.getFirst("key")).orElse("");
        return KEY.matcher(key).matches() ? UUID.fromString(key) : Ids.next();
    }

    private Optional<BenchForm> show(SignedIn me, MultiValueMap<String, String> typed, Model model) {
        List<SheetVersion> sheets = library.newestSheets(me.centreId());
        List<ClassGroup> classes = people.classes(me.centreId());
        model.addAttribute("sheets", sheets);
        model.addAttribute("classes", classes);
        if (sheets.isEmpty() || classes.isEmpty()) {
            return Optional.empty();
        }
        typed.putIfAbsent("unit", List.of(usualUnit(me).key()));
        typed.putIfAbsent("grades", List.of(words.text("bench.grades.usual")));
        String start = Optional.ofNullable(typed.getFirst("start")).orElse(TaskStart.values()[0].key());
        String title = words.textOr("start." + start + ".title", "task.title");
        var form = new BenchForm(typed, sheets, classes, title, validator);
        Optional<String> move = Optional.ofNullable(typed.getFirst("move"));
        if (move.isPresent()) {
            form = moved(form, move.get(), typed, sheets, classes, title);
        }
        model.addAttribute("key", key(typed));
        model.addAttribute("lastTried", tryOuts.last(me).orElse(null));
        model.addAttribute("of", before(me, typed, "of").orElse(null));
        model.addAttribute("defaultTitle", title);
        model.addAttribute("view", new BenchView(form, words, names));
        return Optional.of(form);
    }

    /** Figures are answered the way the centre writes angles, unless the task says otherwise. */
    private static AnswerUnit usualUnit(SignedIn me) {
        return me.angles() == AngleDisplay.DEGREES_MINUTES ? AnswerUnit.DEGREES_MINUTES : AnswerUnit.DEGREES;
    }

    private BenchForm moved(
            BenchForm form,
            String move,
            MultiValueMap<String, String> typed,
            List<SheetVersion> sheets,
            List<ClassGroup> classes,
            String title) {
        String[] what = move.split(":", -1);
        Optional<String> order =
                what.length == 2 ? form.moved(what[1], what[0].equals("up") ? -1 : 1) : Optional.empty();
        if (order.isEmpty()) {
            return form;
        }
        var reordered = new LinkedMultiValueMap<>(typed);
        reordered.set("order", order.get());
        return new BenchForm(reordered, sheets, classes, title, validator);
    }

    /** What a button of the steps does to the form: begin anew, add a step before the end, or take one away. */
    private static MultiValueMap<String, String> changed(MultiValueMap<String, String> typed) {
        var changed = new LinkedMultiValueMap<>(typed);
        String begin = typed.getFirst("begin");
        if (begin != null) {
            // what was set of steps that stay, their marks too, is kept
            changed.remove("order");
            changed.set("start", begin);
        }
        String remove = typed.getFirst("remove");
        if (remove != null && typed.getFirst("order") != null) {
            changed.set("order", String.join(",", without(typed, remove)));
        }
        String add = typed.getFirst("add");
        if (add != null && typed.getFirst("order") != null) {
            add(changed, add);
        }
        return changed;
    }

    private static List<String> without(MultiValueMap<String, String> typed, String id) {
        return List.of(Optional.ofNullable(typed.getFirst("order")).orElse("").split(",", -1)).stream()
                .filter(step -> !step.equals(id))
                .toList();
    }

    /** {@code measure:camber} adds a measurement of a family, {@code checklist:closing} a ready-made list, {@code work:work} a step. */
    private static void add(MultiValueMap<String, String> typed, String what) {
        String[] kind = what.split(":", -1);
        String base = kind.length > 1 ? kind[1] : kind[0];
        String order = Optional.ofNullable(typed.getFirst("order")).orElse("");
        String id = firstFree(order, base);
        if (kind[0].equals("measure")) {
            Optional<Procedure> first = Procedures.all().stream()
                    .filter(p -> p.family().key().equals(base))
                    .findFirst();
            if (first.isEmpty()) {
                return;
            }
            typed.set("procedure." + id, first.get().key());
        }
        typed.set("kind." + id, kind[0]);
        typed.set("list." + id, base);
        typed.set("order", place(order, id, kind[0], typed));
    }

    private static String firstFree(String order, String base) {
        String id = base;
        for (int i = 2; List.of(order.split(",", -1)).contains(id); i++) {
            id = base + i;
        }
        return id;
    }

    /** Before the first step that comes later in the order of the work. */
    private static String place(String order, String id, String kind, MultiValueMap<String, String> typed) {
        var ids = new ArrayList<>(List.of(order.split(",", -1)));
        int turn = turn(id, kind);
        int at = 0;
        while (at < ids.size() && turn(ids.get(at), kindOf(ids.get(at), typed)) <= turn) {
            at++;
        }
        ids.add(at, id);
        return String.join(",", ids);
    }

    private static String kindOf(String id, MultiValueMap<String, String> typed) {
        return Optional.ofNullable(typed.getFirst("kind." + id)).orElse("");
    }

    /** Where a step has its turn in the work; one of which nobody knows stays where it is put. */
    private static int turn(String id, String kind) {
        return kind.equals("measure")
                ? BenchView.USUAL.indexOf(BenchView.MEASURE)
                : BenchView.USUAL.indexOf(kind.equals("checklist") ? id.replaceAll("[0-9]+$", "") : kind);
    }

    @PostMapping("/tasks/{id}/{what:retire|take-back}")
    String retire(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id, @PathVariable String what) {
        TaskVersion task = tasks.task(me.centreId(), id);
        if (what.equals("retire")) {
            tasks.retire(me.personId(), task);
        } else {
            tasks.takeBack(task);
        }
        return "redirect:/tasks/" + id;
    }

    /** Puts a vehicle in a bay, in a state of its own. */
    @PostMapping("/tasks/{id}/bays")
    String preset(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String bay,
            @RequestParam UUID sheet,
            @RequestParam(defaultValue = "") String note,
            RedirectAttributes flash) {
        if (note.length() > LONGEST_NOTE) {
            throw new NotThere("note", note.length(), me);
        }
        tasks.task(me.centreId(), id);
        OptionalInt number = WholeNumber.read(bay, 1, Bay.HIGHEST);
        if (number.isEmpty() || !bays.exists(me.centreId(), number.getAsInt())) {
            flash.addFlashAttribute("refused", Sentence.of("task.bay.unknown", Words.quote(bay)));
            flash.addFlashAttribute("typedBay", bay);
            flash.addFlashAttribute("typedNote", note);
            return "redirect:/tasks/" + id + "#bays-change";
        }
        tasks.preset(me.centreId(), me.personId(), id, number.getAsInt(), sheet, note.isBlank() ? null : note.strip());
        return "redirect:/tasks/" + id;
    }

    @PostMapping("/tasks/{id}/open")
    String open(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id) {
        tasks.task(me.centreId(), id);
        tasks.open(me.centreId(), me.personId(), id);
        return "redirect:/tasks/" + id;
    }

    @PostMapping("/tasks/{id}/reopen")
    String reopen(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id) {
        tasks.reopen(me.centreId(), tasks.task(me.centreId(), id).id());
        return "redirect:/tasks/" + id;
    }

    @PostMapping("/tasks/{id}/close")
    String close(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id) {
        tasks.close(me.centreId(), tasks.task(me.centreId(), id).id());
        return "redirect:/tasks/" + id;
    }
}
