package app.galdrin.web.baysheet.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Measure;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.StepWords;
import app.galdrin.web.layout.Words;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.SittingSummary;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.TaskBay;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import java.util.ArrayList;
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

/** One task while it runs: the code to join by, its bays with the instructor's references, and who is how far. */
@Controller
class TaskPageController {

    private final Tasks tasks;
    private final Sittings sittings;
    private final Words words;
    private final StepWords names;

    TaskPageController(Tasks tasks, Sittings sittings, Words words, StepWords names) {
        this.tasks = tasks;
        this.sittings = sittings;
        this.words = words;
        this.names = names;
    }

    /** A bay with what the instructor has read of its vehicle as it stands, a sentence a figure. */
    record BayView(TaskBay bay, int complete, int repeats, List<String> figures) {}

    /** Somebody at a bay, and the title of the step he wrote in last. */
    record PersonView(SittingSummary sitting, String step) {}

    @GetMapping("/tasks/{id:[0-9a-f-]{36}}")
    String page(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam(required = false) @Nullable String people,
            Model model) {
        TaskVersion task = tasks.task(me.centreId(), id);
        model.addAttribute("task", task);
        model.addAttribute(
                "sittings",
                sittings.ofTask(me.centreId(), id).stream()
                        .map(s -> new PersonView(s, step(task, s)))
                        .toList());
        if (people != null) {
            return "baysheet/task :: people";
        }
        model.addAttribute("versions", tasks.versions(task));
        model.addAttribute("retired", tasks.retired(task));
        model.addAttribute("opening", tasks.current(me.centreId(), id).orElse(null));
        model.addAttribute("canReopen", tasks.canReopen(me.centreId(), id));
        model.addAttribute(
                "bays",
                tasks.bays(me.centreId(), id).stream()
                        .map(b -> bay(me, task, b))
                        .toList());
        return "baysheet/task";
    }

    private String step(TaskVersion task, SittingSummary sitting) {
        return Optional.ofNullable(sitting.lastStep())
                .flatMap(task.practical()::step)
                .map(names::title)
                .orElse("–");
    }

    private BayView bay(SignedIn me, TaskVersion task, TaskBay bay) {
        Log log = sittings.findReference(me.centreId(), task.id(), bay.stateId())
                .map(id -> sittings.log(me.centreId(), id))
                .orElseGet(() -> new Log(List.of()));
        var assignment = Assignment.of(task.practical(), bay.sheet().sheet());
        var own = new OwnFigures(assignment, log.answers());
        int complete = 0;
        int repeats = 0;
        List<String> figures = new ArrayList<>();
        for (var step : task.practical().steps()) {
            if (step instanceof Measure measure) {
                complete += own.repeats(measure, 0).size();
                repeats += measure.repeats();
                measure.figures().forEach(f -> own.mean(measure, 0, f).ifPresent(v -> figures.add(said(f, v))));
            }
        }
        return new BayView(bay, complete, repeats, figures);
    }

    private String said(FigureId figure, Estimate value) {
        return words.text(
                "task.reference.figure",
                words.name(figure),
                words.figure(value.value(), figure),
                words.doubt(2 * value.standardUncertainty(), figure));
    }
}
