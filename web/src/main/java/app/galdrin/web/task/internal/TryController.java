package app.galdrin.web.task.internal;

import app.galdrin.core.task.Assignment;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.server.ResponseStatusException;

/** A task that was set, tried out by simulated people. */
@Controller
class TryController {

    private static final int PATIENCE_SECONDS = 30;

    /** One at a time: it takes all processors for some seconds. */
    private final Semaphore place = new Semaphore(1);

    private final Tasks tasks;
    private final TriedWords tried;

    TryController(Tasks tasks, TriedWords tried) {
        this.tasks = tasks;
        this.tried = tried;
    }

    @GetMapping("/tasks/{id:[0-9a-f-]{36}}/try")
    String task(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id, Model model) {
        TaskVersion task = tasks.task(me.centreId(), id);
        model.addAttribute("taskTitle", task.title());
        model.addAttribute("task", task);
        return show(Assignment.of(task.practical(), task.firstSheet().sheet()), model);
    }

    /** The page of what came of it. */
    String show(Assignment assignment, Model model) {
        try {
            if (!place.tryAcquire(PATIENCE_SECONDS, TimeUnit.SECONDS)) {
                throw new ResponseStatusException(HttpStatus.SERVICE_UNAVAILABLE);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new ResponseStatusException(HttpStatus.SERVICE_UNAVAILABLE);
        }
        try {
            model.addAttribute("tried", tried.tried(assignment));
            return "task/tried";
        } finally {
            place.release();
        }
    }
}
