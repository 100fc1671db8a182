package app.galdrin.web.classes.internal;

import app.galdrin.core.marking.CopyingQuestion;
import app.galdrin.core.sitting.Answers;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.marksheet.SittingMarks;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import app.galdrin.web.words.StepWords;
import app.galdrin.web.words.Words;
import java.util.List;
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

    /** Pair by pair; a class has no more. */
    private static final int MOST_COMPARED = 60;

    private static final double VERY_MANY = 1e6;
    private static final String BY_NAME = "name";

    private final MatrixMapper mapper;
    private final Tasks tasks;
    private final Sittings sittings;
    private final SittingMarks sittingMarks;
    private final StepWords steps;
    private final Words words;

    MatrixController(
            MatrixMapper mapper,
            Tasks tasks,
            Sittings sittings,
            SittingMarks sittingMarks,
            StepWords steps,
            Words words) {
        this.mapper = mapper;
        this.tasks = tasks;
        this.sittings = sittings;
        this.sittingMarks = sittingMarks;
        this.steps = steps;
        this.words = words;
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

    /** Two people whose sheets have more in common than chance gives; {@code oneIn} says how seldom. */
    public record Alike(MatrixMapper.Person first, MatrixMapper.Person second, int matches, int both, String oneIn) {}

    /** Asked for by itself: every reading of a class is read for it. */
    @GetMapping("/marking/class/{taskId}/matching-readings")
    String alike(@AuthenticationPrincipal SignedIn me, @PathVariable UUID taskId, Model model) {
        TaskVersion task = tasks.task(me.centreId(), taskId);
        List<MatrixMapper.Person> people = mapper.people(me.centreId(), taskId, MOST_COMPARED);
        model.addAttribute("task", task);
        model.addAttribute("sheets", people.size());
        model.addAttribute("pairs", people.isEmpty() ? List.of() : alike(me, people));
        return "classes/matching-readings";
    }

    private List<Alike> alike(SignedIn me, List<MatrixMapper.Person> people) {
        var assignment =
                sittingMarks.assignment(sittings.sitting(me, people.get(0).sittingId()));
        List<Answers> sheets = people.stream()
                .map(p -> sittings.log(me.centreId(), p.sittingId()).answers())
                .toList();
        return CopyingQuestion.of(assignment, sheets).stream()
                .filter(pair -> !people.get(pair.first())
                        .sittingId()
                        .equals(people.get(pair.second()).sittingId()))
                .map(pair -> new Alike(
                        people.get(pair.first()),
                        people.get(pair.second()),
                        pair.matches(),
                        pair.both(),
                        oneIn(pair.chance())))
                .toList();
    }

    private String oneIn(double chance) {
        return chance < 1 / VERY_MANY
                ? words.text("matchingReadings.veryMany")
                : String.valueOf(Math.round(1 / chance));
    }
}
