package app.galdrin.web.task.internal;

import app.galdrin.core.Keyed;
import app.galdrin.core.draft.TaskDraft;
import app.galdrin.core.draft.TaskEditor;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.quantity.AngleDisplay;
import app.galdrin.core.start.TaskStart;
import app.galdrin.web.account.ClassGroup;
import app.galdrin.web.account.People;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.library.Library;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import app.galdrin.web.words.StepWords;
import app.galdrin.web.words.Words;
import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The bench on which tasks are composed: each press changes the draft on the server and is answered with the page it makes. */
@Controller
class BenchController {

    private static final String DRAFT = "/tasks/drafts/{id:[0-9a-f-]{36}}";
    private static final Pattern KEY = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");

    /** Parameters of a form that are no fields of the task. */
    private static final Set<String> NO_FIELDS = Set.of(
            "_csrf", "sheet", "class", "seen", "press", "part", "keep", "add", "move", "remove", "begin", "undo",
            "redo", "mend");

    private static final int MOST_FIELDS = 2000;
    private static final int LONGEST_FIELD = 4000;

    private final Drafts drafts;
    private final Tasks tasks;
    private final Library library;
    private final People people;
    private final Words words;
    private final StepWords names;
    private final StepBenches kinds;
    private final TryOuts tryOuts;

    BenchController(
            Drafts drafts,
            Tasks tasks,
            Library library,
            People people,
            Words words,
            StepWords names,
            TryOuts tryOuts,
            StepBenches kinds) {
        this.kinds = kinds;
        this.drafts = drafts;
        this.tasks = tasks;
        this.library = library;
        this.people = people;
        this.words = words;
        this.names = names;
        this.tryOuts = tryOuts;
    }

    // ---- beginning

    /** Returns what a new task can start from, and what was begun. */
    @GetMapping("/tasks/new")
    String start(@AuthenticationPrincipal SignedIn me, Model model) {
        List<SheetVersion> sheets = library.newestSheets(me.centreId());
        List<ClassGroup> classes = people.classes(me.centreId());
        model.addAttribute("sheets", sheets);
        model.addAttribute("classes", classes);
        if (sheets.isEmpty() || classes.isEmpty()) {
            return "task/nothing-yet";
        }
        model.addAttribute("drafts", drafts.open(me));
        model.addAttribute(
                "starts",
                List.of(TaskStart.values()).stream()
                        .filter(start -> fitting(start, sheets).isPresent())
                        .toList());
        return "task/new";
    }

    private static Optional<SheetVersion> fitting(TaskStart start, List<SheetVersion> sheets) {
        return sheets.stream().filter(s -> start.fits(s.sheet())).findFirst();
    }

    /**
     * Begins a draft.
     *
     * @param start a ready-made task
     * @param earlier the task of which it is to be the next version
     * @param from the task of which it is to be a copy
     */
    @PostMapping("/tasks/drafts")
    String begin(
            @AuthenticationPrincipal SignedIn me,
            @RequestParam(defaultValue = "") String start,
            @RequestParam(name = "of", defaultValue = "") String earlier,
            @RequestParam(defaultValue = "") String from) {
        List<SheetVersion> sheets = library.newestSheets(me.centreId());
        List<ClassGroup> classes = people.classes(me.centreId());
        if (sheets.isEmpty() || classes.isEmpty()) {
            return "redirect:/tasks/new";
        }
        Optional<TaskVersion> before = task(me, earlier);
        Optional<UUID> begun = before.flatMap(task -> drafts.ofNextVersion(me, task.id()));
        if (begun.isPresent()) {
            return page(begun.get());
        }
        DraftContent content = before.or(() -> task(me, from))
                .map(task -> copy(me, task, sheets))
                .orElseGet(() -> started(me, start, sheets, classes));
        return page(drafts.begin(me, before.map(TaskVersion::id), content));
    }

    private static String page(UUID draft) {
        return "redirect:/tasks/drafts/" + draft;
    }

    private Optional<TaskVersion> task(SignedIn me, String id) {
        return KEY.matcher(id).matches()
                ? Optional.of(tasks.task(me.centreId(), UUID.fromString(id)))
                : Optional.empty();
    }

    /** A task on the newest issue of its vehicle's specification. */
    private static DraftContent copy(SignedIn me, TaskVersion task, List<SheetVersion> sheets) {
        SheetVersion own = task.firstSheet();
        SheetVersion newest = sheets.stream()
                .filter(s -> s.vehicleId().equals(own.vehicleId()))
                .findFirst()
                .orElse(own);
        TaskDraft draft = TaskDraft.of(task.practical(), usualUnit(me));
        return new DraftContent(newest.id(), task.classId(), new TaskEditor(newest.sheet()).moved(draft, own.sheet()));
    }

    private DraftContent started(SignedIn me, String start, List<SheetVersion> sheets, List<ClassGroup> classes) {
        TaskStart chosen = Keyed.find(TaskStart.values(), start).orElse(TaskStart.values()[0]);
        SheetVersion sheet = fitting(chosen, sheets).orElse(sheets.get(0));
        var editor = new TaskEditor(sheet.sheet());
        TaskDraft draft = editor.started(chosen, title(chosen), usualUnit(me));
        Map<String, String> usual = Map.of(TaskEditor.GRADES, words.text("bench.grades.usual"));
        return new DraftContent(sheet.id(), classes.get(0).id(), editor.written(draft, usual));
    }

    private String title(TaskStart start) {
        return words.text("start." + start.key() + ".title");
    }

    /** Figures are answered the way the centre writes angles, unless the task says otherwise. */
    private static AnswerUnit usualUnit(SignedIn me) {
        return me.angles() == AngleDisplay.DEGREES_MINUTES ? AnswerUnit.DEGREES_MINUTES : AnswerUnit.DEGREES;
    }

    // ---- composing

    @GetMapping(DRAFT)
    String bench(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id, Model model) {
        show(me, drafts.draft(me, id), model);
        return "task/bench";
    }

    /** One press: fields that were changed, then a button. A script takes the page it makes; without one the browser is led there. */
    @PostMapping(DRAFT)
    String press(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam MultiValueMap<String, String> form,
            Model model) {
        DraftRow before = drafts.draft(me, id);
        DraftRow now = pressed(me, id, form);
        if (!form.containsKey("part")) {
            return page(id);
        }
        model.addAttribute("elsewhere", isChangedElsewhere(form, before));
        show(me, now, model);
        return "task/bench";
    }

    private static boolean isChangedElsewhere(MultiValueMap<String, String> form, DraftRow before) {
        String seen = text(form, "seen");
        return !seen.isEmpty() && !seen.equals(String.valueOf(before.number()));
    }

    private DraftRow pressed(SignedIn me, UUID id, MultiValueMap<String, String> form) {
        UUID press = press(text(form, "press"));
        if (form.containsKey("undo")) {
            return drafts.undo(me, id, press);
        }
        if (form.containsKey("redo")) {
            return drafts.redo(me, id, press);
        }
        return drafts.change(me, id, press, content -> changed(me, content, form));
    }

    /** The name a script gave a press, so that it counts once; a new one where there is none. */
    private static UUID press(String hex) {
        return hex.matches("[0-9a-f]{32}")
                ? UUID.fromString(hex.replaceFirst("(.{8})(.{4})(.{4})(.{4})(.{12})", "$1-$2-$3-$4-$5"))
                : Ids.next();
    }

    private DraftContent changed(SignedIn me, DraftContent content, MultiValueMap<String, String> form) {
        SheetVersion before = library.sheet(me.centreId(), content.sheetId());
        SheetVersion sheet =
                chosen(library.newestSheets(me.centreId()), text(form, "sheet")).orElse(before);
        UUID classId = people.classes(me.centreId()).stream()
                .map(ClassGroup::id)
                .filter(c -> c.toString().equals(text(form, "class")))
                .findFirst()
                .orElse(content.classId());
        var editor = new TaskEditor(sheet.sheet(), tasks.ownItems(me.centreId()));
        TaskDraft task = sheet.id().equals(before.id()) ? content.task() : editor.moved(content.task(), before.sheet());
        task = editor.written(task, fields(form));
        return new DraftContent(sheet.id(), classId, afterButton(editor, task, form));
    }

    private static Optional<SheetVersion> chosen(List<SheetVersion> sheets, String id) {
        return sheets.stream().filter(s -> s.id().toString().equals(id)).findFirst();
    }

    /**
     * Returns the fields of a form. Of a field that was sent several times the last counts: a tick is sent after the hidden field that stands for
     * none.
     */
    private static Map<String, String> fields(MultiValueMap<String, String> form) {
        Map<String, String> fields = new LinkedHashMap<>();
        form.forEach((name, values) -> {
            String last = values.get(values.size() - 1);
            if (!NO_FIELDS.contains(name) && fields.size() < MOST_FIELDS && last.length() <= LONGEST_FIELD) {
                fields.put(name, last);
            }
        });
        return fields;
    }

    private TaskDraft afterButton(TaskEditor editor, TaskDraft task, MultiValueMap<String, String> form) {
        if (form.containsKey("add")) {
            return editor.added(task, text(form, "add"));
        }
        if (form.containsKey("remove")) {
            return editor.removed(task, text(form, "remove"));
        }
        if (form.containsKey("move")) {
            String[] move = text(form, "move").split(":", 2);
            return editor.moved(task, move[move.length - 1], move[0].equals("up") ? -1 : 1)
                    .orElse(task);
        }
        if (form.containsKey("begin")) {
            return Keyed.find(TaskStart.values(), text(form, "begin"))
                    .map(start -> begunAgain(editor, task, start, form))
                    .orElse(task);
        }
        return form.containsKey("mend") ? mended(editor, task, text(form, "mend")) : task;
    }

    private TaskDraft begunAgain(
            TaskEditor editor, TaskDraft task, TaskStart start, MultiValueMap<String, String> form) {
        boolean ready = List.of(TaskStart.values()).stream()
                .anyMatch(s -> title(s).equals(task.practical().title()));
        TaskDraft begun = editor.restarted(task, start, form.containsKey("keep"));
        return ready ? editor.written(begun, Map.of("title", title(start))) : begun;
    }

    /** {@code mend} names what is pressed and its value. */
    private static TaskDraft mended(TaskEditor editor, TaskDraft task, String mend) {
        String[] press = mend.split(" ", 2);
        String value = press[press.length - 1];
        return switch (press[0]) {
            case "add" -> editor.added(task, value);
            case "remove" -> editor.removed(task, value);
            case "last" -> {
                List<String> ids =
                        task.practical().steps().stream().map(s -> s.id()).toList();
                yield editor.moved(task, value, ids.size() - 1 - ids.indexOf(value))
                        .orElse(task);
            }
            default -> editor.written(task, Map.of(press[0], value));
        };
    }

    private static String text(MultiValueMap<String, String> form, String name) {
        return Optional.ofNullable(form.getFirst(name)).orElse("").strip();
    }

    private BenchView show(SignedIn me, DraftRow row, Model model) {
        DraftContent content = row.content();
        SheetVersion sheet = library.sheet(me.centreId(), content.sheetId());
        var view = new BenchView(row, content, sheet, tasks.ownItems(me.centreId()), words, names, kinds);
        List<SheetVersion> sheets = library.newestSheets(me.centreId());
        model.addAttribute("sheets", sheets);
        model.addAttribute("classes", people.classes(me.centreId()));
        model.addAttribute(
                "of",
                Optional.ofNullable(row.beforeId())
                        .map(t -> tasks.task(me.centreId(), t))
                        .orElse(null));
        model.addAttribute("lastTried", tryOuts.last(me).orElse(null));
        model.addAttribute("view", view);
        return view;
    }

    // ---- ending

    /** Sets the task, whose id is the draft's: a form sent twice sets one. */
    @PostMapping(DRAFT + "/set")
    String set(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam MultiValueMap<String, String> form,
            HttpServletResponse response,
            Model model) {
        if (tasks.exists(me.centreId(), id)) {
            return "redirect:/tasks/" + id;
        }
        DraftRow row;
        try {
            row = pressed(me, id, form);
        } catch (NotThere gone) {
            if (tasks.exists(me.centreId(), id)) {
                return "redirect:/tasks/" + id; // the same press on another connection was a moment faster
            }
            throw gone;
        }
        BenchView view = show(me, row, model);
        if (view.wrong()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return "task/bench";
        }
        Optional<TaskVersion> before = Optional.ofNullable(row.beforeId()).map(t -> tasks.task(me.centreId(), t));
        tasks.set(
                id,
                me.centreId(),
                me.personId(),
                view.practical(),
                List.of(view.sheet().id()),
                view.classId(),
                before);
        drafts.end(me, id);
        return "redirect:/tasks/" + id;
    }

    /** The task as it stands, tried out before it is set. */
    @PostMapping(DRAFT + "/try")
    String tryIt(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam MultiValueMap<String, String> form,
            HttpServletResponse response,
            Model model) {
        BenchView view = show(me, pressed(me, id, form), model);
        if (view.wrong()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return "task/bench";
        }
        return TryController.page(tryOuts.begin(me, view.practical(), view.sheet(), Optional.empty()));
    }

    @PostMapping(DRAFT + "/discard")
    String discard(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id) {
        drafts.end(me, id);
        return "redirect:/tasks";
    }
}
