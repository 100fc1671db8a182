package app.galdrin.web.baysheet.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Measure;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.web.account.People;
import app.galdrin.web.account.Person;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.bay.Bays;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.sitting.FoundReference;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.SittingSummary;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.VehicleMoves;
import app.galdrin.web.sitting.VehicleReferences;
import app.galdrin.web.task.Opening;
import app.galdrin.web.task.TaskBay;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import app.galdrin.web.words.Sentence;
import app.galdrin.web.words.StepWords;
import app.galdrin.web.words.Words;
import app.galdrin.web.workshop.VehicleCard;
import app.galdrin.web.workshop.VehicleCards;
import java.util.ArrayList;
import java.util.Comparator;
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
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** One task while it runs: the code to join by, its bays with the instructor's references, and who is how far. */
@Controller
class TaskPageController {

    private final Tasks tasks;
    private final Sittings sittings;
    private final VehicleReferences vehicles;
    private final Words words;
    private final StepWords names;
    private final Bays bays;
    private final People people;
    private final VehicleCards cards;
    private final VehicleMoves vehicleMoves;

    TaskPageController(
            Tasks tasks,
            Sittings sittings,
            VehicleReferences vehicles,
            Words words,
            StepWords names,
            Bays bays,
            People people,
            VehicleCards cards,
            VehicleMoves vehicleMoves) {
        this.cards = cards;
        this.vehicleMoves = vehicleMoves;
        this.bays = bays;
        this.people = people;
        this.tasks = tasks;
        this.sittings = sittings;
        this.vehicles = vehicles;
        this.words = words;
        this.names = names;
    }

    /**
     * A bay with what the instructor has read of its vehicle as it stands, a sentence a figure.
     *
     * @param before whether it was read before it was adjusted and put back
     * @param card of its vehicle
     */
    record BayView(TaskBay bay, int complete, int repeats, List<String> figures, boolean before, VehicleCard card) {}

    /** Person at a bay, and the title of the step last written in. */
    record PersonView(SittingSummary sitting, String step) {}

    @GetMapping("/tasks/{id:[0-9a-f-]{36}}")
    String page(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam(name = "people", required = false) @Nullable String part,
            Model model) {
        TaskVersion task = tasks.task(me.centreId(), id);
        model.addAttribute("task", task);
        model.addAttribute("lastTried", tasks.lastTryOut(me.centreId(), id).orElse(null));
        List<SittingSummary> all = sittings.ofTask(me.centreId(), id);
        model.addAttribute(
                "sittings",
                all.stream()
                        .sorted(Comparator.comparing((SittingSummary s) -> !s.flagged())) // who calls comes first
                        .map(s -> new PersonView(s, step(task, s)))
                        .toList());
        model.addAttribute("calls", all.stream().filter(SittingSummary::flagged).count());
        Optional<Opening> opening = tasks.current(me.centreId(), id);
        model.addAttribute("notJoined", opening.map(this::notJoined).orElse(List.of()));
        model.addAttribute("sameBrowser", opening.map(sittings::sameBrowser).orElse(Map.of()));
        if (part != null) {
            return "baysheet/task :: people";
        }
        model.addAttribute("versions", tasks.versions(task));
        model.addAttribute("retired", tasks.retired(task));
        model.addAttribute("centreBays", bays.all(me.centreId()));
        model.addAttribute("opening", opening.orElse(null));
        model.addAttribute("canReopen", tasks.canReopen(me.centreId(), id));
        model.addAttribute(
                "bays",
                tasks.bays(me.centreId(), id).stream()
                        .map(b -> bay(me, task, b))
                        .toList());
        return "baysheet/task";
    }

    /** Returns who of the class has not joined the opening. */
    private List<String> notJoined(Opening opening) {
        UUID classId = tasks.task(opening.centreId(), opening.taskId()).classId();
        List<UUID> joined = sittings.peopleIn(opening);
        return people.classMembers(opening.centreId(), classId).stream()
                .filter(p -> !joined.contains(p.id()))
                .map(Person::displayName)
                .toList();
    }

    private String step(TaskVersion task, SittingSummary sitting) {
        return Optional.ofNullable(sitting.lastStep())
                .flatMap(task.practical()::step)
                .map(names::title)
                .orElse("–");
    }

    private BayView bay(SignedIn me, TaskVersion task, TaskBay bay) {
        Optional<FoundReference> found = vehicles.findReference(me.centreId(), task.id(), bay.stateId());
        Optional<Sitting> reference = found.map(f -> sittings.sitting(me, f.id()));
        Answers read = reference
                .map(r -> vehicles.asRead(
                        me.centreId(),
                        found.orElseThrow(),
                        bay.stateId(),
                        bay.sheet().sheet(),
                        sittings.log(r).answers()))
                .orElse(Answers.none());
        var assignment = new Assignment(
                task.practical(),
                bay.sheet().sheet(),
                reference.map(Sitting::floor).orElse(BayFloor.LEVEL));
        var own = new OwnFigures(assignment, read);
        int complete = 0;
        int repeats = 0;
        List<String> figures = new ArrayList<>();
        for (Measure measure : task.practical().measures(0)) {
            complete += own.repeats(measure, 0).size();
            repeats += measure.repeats();
            words.printed(own.means(measure, 0)).forEach((figure, value) -> figures.add(said(figure, value)));
        }
        VehicleCard card = cards.card(me, bay.sheet(), bay.standing());
        boolean isBefore = found.filter(f -> !f.stateId().equals(bay.stateId())).isPresent();
        return new BayView(bay, complete, repeats, figures, isBefore, card);
    }

    /** Uses a vehicle for the task: it stands in a bay, and may have been set anew there. */
    @PostMapping("/tasks/{id:[0-9a-f-]{36}}/bays")
    String vehicle(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String bay,
            @RequestParam UUID sheet,
            @RequestParam(defaultValue = "") String note,
            @RequestParam(defaultValue = "false") boolean anew,
            @RequestParam(defaultValue = "false") boolean sure,
            RedirectAttributes flash) {
        TaskVersion task = tasks.task(me.centreId(), id);
        SheetVersion version = task.sheets().stream()
                .filter(s -> s.id().equals(sheet))
                .findFirst()
                .orElseThrow(() -> new NotThere("sheet of the task", sheet, me));
        Optional<Sentence> refused = vehicleMoves.useInBay(me, task.id(), version, bay, anew, note, sure);
        if (refused.isPresent()) {
            flash.addFlashAttribute("refused", refused.get());
            flash.addFlashAttribute("askSure", refused.get().key().equals(VehicleMoves.IN_USE));
            flash.addFlashAttribute("typedBay", bay);
            flash.addFlashAttribute("typedSheet", sheet);
            flash.addFlashAttribute("typedNote", note);
            flash.addFlashAttribute("typedAnew", anew);
            return "redirect:/tasks/" + id + "#bays-change";
        }
        return "redirect:/tasks/" + id;
    }

    private String said(FigureId figure, Estimate value) {
        return words.text(
                "task.reference.figure",
                words.name(figure),
                words.figure(value.value(), figure),
                words.doubt(2 * value.standardUncertainty(), figure));
    }
}
