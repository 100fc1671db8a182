package app.galdrin.web.task.internal;

import app.galdrin.web.account.SignedIn;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A task tried out by simulated people: begun by a press, followed on a page that can be left and come back to. */
@Controller
class TryController {

    private final Tasks tasks;
    private final TryOuts tryOuts;
    private final TryOutWords words;

    TryController(Tasks tasks, TryOuts tryOuts, TryOutWords words) {
        this.tasks = tasks;
        this.tryOuts = tryOuts;
        this.words = words;
    }

    @PostMapping("/tasks/{id:[0-9a-f-]{36}}/try")
    String begin(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id) {
        TaskVersion task = tasks.task(me.centreId(), id);
        return page(tryOuts.begin(me, task.practical(), task.firstSheet(), Optional.of(id)));
    }

    /** The address of one that was begun. */
    static String page(UUID tryOut) {
        return "redirect:/tasks/try-outs/" + tryOut;
    }

    @GetMapping("/tasks/try-outs/{id:[0-9a-f-]{36}}")
    String show(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam(required = false) @Nullable String part,
            Model model) {
        TryOutRow tryOut = tryOuts.tryOut(me, id);
        model.addAttribute("tryOut", tryOut);
        Optional.ofNullable(tryOut.result())
                .ifPresent(result -> model.addAttribute(
                        "tried", words.of(tryOut.practical(), tryOut.sheets(), TryOutResult.read(result))));
        return part == null ? "task/try-out" : "task/try-out :: progress";
    }
}
