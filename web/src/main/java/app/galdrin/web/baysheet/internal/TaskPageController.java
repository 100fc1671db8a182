package app.galdrin.web.baysheet.internal;

import app.galdrin.core.measure.ToeFigures;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Words;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.Stage;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** One task while it runs: the code to join by, the instructor's reference, and who is how far. */
@Controller
class TaskPageController {

    private final Tasks tasks;
    private final Sittings sittings;
    private final Words words;

    TaskPageController(Tasks tasks, Sittings sittings, Words words) {
        this.tasks = tasks;
        this.sittings = sittings;
        this.words = words;
    }

    /** The instructor's own figures, and whether they were taken before anyone adjusted. */
    record ReferenceView(int complete, int repeats, Optional<String> total, Optional<String> doubt) {}

    @GetMapping("/tasks/{id:[0-9a-f-]{36}}")
    String page(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam(required = false) @Nullable String people,
            Model model) {
        TaskVersion task = tasks.task(me.centreId(), id);
        model.addAttribute("task", task);
        model.addAttribute("sittings", sittings.ofTask(me.centreId(), id));
        if (people != null) {
            return "baysheet/task :: people";
        }
        model.addAttribute("opening", tasks.current(me.centreId(), id).orElse(null));
        model.addAttribute("reference", reference(me, task));
        return "baysheet/task";
    }

    private ReferenceView reference(SignedIn me, TaskVersion task) {
        var toe = task.toe();
        Log log = sittings.findReferenceAsFound(me.centreId(), task.id())
                .map(id -> sittings.log(me.centreId(), id))
                .orElseGet(() -> new Log(List.of()));
        List<ToeFigures> worked = toe.work(log.readings(Stage.AS_FOUND, toe.repeats()));
        Optional<ToeFigures> mean = worked.isEmpty() ? Optional.empty() : Optional.of(ToeFigures.mean(worked));
        return new ReferenceView(
                worked.size(),
                toe.repeats(),
                mean.map(m -> words.angle(m.total().value())),
                mean.map(m -> words.doubt(2 * m.total().standardUncertainty())));
    }
}
