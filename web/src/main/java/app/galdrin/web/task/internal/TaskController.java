package app.galdrin.web.task.internal;

import app.galdrin.web.account.SignedIn;
import app.galdrin.web.bay.Bay;
import app.galdrin.web.bay.Bays;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.layout.WholeNumber;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import app.galdrin.web.words.Sentence;
import app.galdrin.web.words.Words;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The list of tasks, their bays, and opening them to a class. */
@Controller
class TaskController {

    private static final int LONGEST_NOTE = 400;

    private final Tasks tasks;
    private final Bays bays;

    TaskController(Tasks tasks, Bays bays) {
        this.tasks = tasks;
        this.bays = bays;
    }

    @GetMapping("/tasks")
    String list(
            @AuthenticationPrincipal SignedIn me, @RequestParam(defaultValue = "false") boolean retired, Model model) {
        model.addAttribute("retired", retired);
        model.addAttribute("tasks", tasks.list(me.centreId(), retired));
        return "task/tasks";
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
