package app.galdrin.web.task.internal;

import app.galdrin.web.account.SignedIn;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The list of tasks, and opening them to a class. */
@Controller
class TaskController {

    private final Tasks tasks;

    TaskController(Tasks tasks) {
        this.tasks = tasks;
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
