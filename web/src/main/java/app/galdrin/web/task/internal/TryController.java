package app.galdrin.web.task.internal;

import app.galdrin.core.task.Assignment;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import jakarta.servlet.http.HttpServletResponse;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** A task that was set, tried out by simulated people. */
@Controller
class TryController {

    /** One portion at a time, in turn: it takes all processors for a second or two. */
    private final Semaphore place = new Semaphore(1, true);

    private final Tasks tasks;
    private final TriedWords words;

    TryController(Tasks tasks, TriedWords words) {
        this.tasks = tasks;
        this.words = words;
    }

    @GetMapping("/tasks/{id:[0-9a-f-]{36}}/try")
    String task(
            @AuthenticationPrincipal SignedIn me, @PathVariable UUID id, HttpServletResponse response, Model model) {
        TaskVersion task = tasks.task(me.centreId(), id);
        model.addAttribute("taskTitle", task.title());
        model.addAttribute("task", task);
        return show(Assignment.of(task.practical(), task.firstSheet().sheet()), response, model);
    }

    /** The page that tries it out while it is written. */
    String show(Assignment assignment, HttpServletResponse response, Model model) {
        model.addAttribute("trying", new Trying(assignment, words, response, place));
        return "task/tried";
    }
}
