package app.galdrin.web.workshop.internal;

import app.galdrin.core.fault.FaultPlan.Difficulty;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.task.TaskBay;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import app.galdrin.web.workshop.internal.FaultDesk.KnownFigures;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Draws a fault for each vehicle of a task: different ones, equally hard to tell. */
@Controller
class FaultSetController {

    private final Tasks tasks;
    private final FaultDesk desk;
    private final FaultView view;

    FaultSetController(Tasks tasks, FaultDesk desk, FaultView view) {
        this.tasks = tasks;
        this.desk = desk;
        this.view = view;
    }

    /**
     * Fault of one vehicle.
     *
     * @param plan null where none was found
     * @param query of the page on which it is set
     */
    record VehicleFault(TaskBay place, FaultView.@Nullable Plan plan, String query) {}

    @GetMapping("/tasks/{id:[0-9a-f-]{36}}/faults")
    String page(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam Map<String, String> typed,
            Model model) {
        TaskVersion task = tasks.task(me.centreId(), id);
        var form = new FaultForm(
                Map.of("difficulty", typed.getOrDefault("difficulty", ""), "seed", typed.getOrDefault("seed", "")));
        List<VehicleFault> faults = new ArrayList<>();
        for (TaskBay place : tasks.bays(me.centreId(), id)) {
            faults.add(drawn(me, task, place, form.numbered(form.seed() + faults.size())));
        }
        model.addAttribute("task", task);
        model.addAttribute("form", form);
        model.addAttribute("faults", faults);
        model.addAttribute("difficulties", Difficulty.values());
        return "workshop/faults";
    }

    private VehicleFault drawn(SignedIn me, TaskVersion task, TaskBay place, FaultForm form) {
        KnownFigures now = desk.now(me, place);
        Optional<FaultForm> drawn = view.drawn(desk, task, place, now, form);
        FaultView.Plan plan = drawn.flatMap(
                        d -> view.plan(FaultDesk.assignment(task, place), desk.work(task, place, now, d)))
                .orElse(null);
        return new VehicleFault(place, plan, drawn.map(FaultForm::query).orElse(""));
    }
}
