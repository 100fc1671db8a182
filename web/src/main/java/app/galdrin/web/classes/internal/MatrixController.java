package app.galdrin.web.classes.internal;

import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.StepWords;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** A class and a task on one sheet. */
@Controller
class MatrixController {

    private static final int MOST_PEOPLE = 400;
    private static final int MOST_CELLS = MOST_PEOPLE * 60;
    private static final int MOST_SLIPS = 40;
    private static final String BY_NAME = "name";

    private final MatrixMapper mapper;
    private final Tasks tasks;
    private final StepWords steps;

    MatrixController(MatrixMapper mapper, Tasks tasks, StepWords steps) {
        this.mapper = mapper;
        this.tasks = tasks;
        this.steps = steps;
    }

    @GetMapping("/marking/class/{taskId}")
    String matrix(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID taskId,
            @RequestParam(defaultValue = "need") String sort,
            Model model) {
        TaskVersion task = tasks.task(me.centreId(), taskId);
        boolean byNeed = !sort.equals(BY_NAME);
        model.addAttribute("task", task);
        model.addAttribute("byNeed", byNeed);
        model.addAttribute(
                "matrix",
                MatrixView.of(
                        mapper.people(me.centreId(), taskId, MOST_PEOPLE),
                        mapper.cells(me.centreId(), taskId, MOST_CELLS),
                        byNeed,
                        id -> steps.criterion(task.practical(), id)));
        model.addAttribute("slips", mapper.slips(me.centreId(), taskId, MOST_SLIPS));
        return "classes/matrix";
    }
}
