package app.galdrin.web.workshop.internal;

import app.galdrin.core.fault.FaultPlan.Difficulty;
import app.galdrin.core.spec.PartMoves;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.bay.PartMove;
import app.galdrin.web.bay.StandingCause;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.papers.Papers;
import app.galdrin.web.sitting.VehicleMoves;
import app.galdrin.web.sitting.VehicleMoves.SeenVehicle;
import app.galdrin.web.task.TaskBay;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import app.galdrin.web.words.Sentence;
import app.galdrin.web.workshop.VehicleCards;
import app.galdrin.web.workshop.internal.FaultDesk.KnownFigures;
import app.galdrin.web.workshop.internal.FaultDesk.WorkedFault;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Sets a fault on a vehicle for a task: what to turn, what the vehicle reads then, whether the task sees it, and how to put it back. */
@Controller
@RequestMapping("/tasks/{id:[0-9a-f-]{36}}/fault/{vehicle:[0-9a-f-]{36}}")
class FaultController {

    private final Tasks tasks;
    private final FaultDesk desk;
    private final FaultView view;
    private final VehicleMoves moves;
    private final VehicleCards cards;
    private final Papers papers;

    FaultController(
            Tasks tasks, FaultDesk desk, FaultView view, VehicleMoves moves, VehicleCards cards, Papers papers) {
        this.tasks = tasks;
        this.desk = desk;
        this.view = view;
        this.moves = moves;
        this.cards = cards;
        this.papers = papers;
    }

    /** Subject of one request. */
    private record Subject(TaskVersion task, TaskBay place, KnownFigures now, FaultForm form) {
        SpecificationSheet sheet() {
            return place.sheet().sheet();
        }
    }

    private Subject subject(SignedIn me, UUID id, UUID vehicle, Map<String, String> typed) {
        TaskVersion task = tasks.task(me.centreId(), id);
        TaskBay place = tasks.bays(me.centreId(), id).stream()
                .filter(b -> b.sheet().vehicleId().equals(vehicle))
                .findFirst()
                .orElseThrow(() -> new NotThere("vehicle of the task", vehicle, me));
        return new Subject(task, place, desk.now(me, place), new FaultForm(typed));
    }

    /** The form; {@code do} is {@code draw} to have a fault drawn, {@code plan} to work out what was typed. */
    @GetMapping
    String page(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @PathVariable UUID vehicle,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        Subject subject = subject(me, id, vehicle, typed);
        String press = typed.getOrDefault("do", "");
        Map<String, Sentence> faults = subject.form().faults(FaultDesk.asked(subject.sheet()));
        if (press.equals("draw") && faults.isEmpty()) {
            Optional<Subject> drawn = drawn(subject);
            model.addAttribute(
                    "refusals",
                    drawn.isEmpty()
                            ? List.of(Sentence.of(
                                    subject.form().slip().isEmpty() ? "setFault.noDraw" : "setFault.noSlip"))
                            : List.of());
            return show(me, drawn.orElse(subject), faults, drawn.isPresent(), model);
        }
        if (!faults.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        }
        return show(me, subject, faults, press.equals("plan") && faults.isEmpty(), model);
    }

    /** The same with a drawn fault in its fields. */
    private Optional<Subject> drawn(Subject subject) {
        return view.drawn(desk, subject.task(), subject.place(), subject.now(), subject.form())
                .map(form -> new Subject(subject.task(), subject.place(), subject.now(), form));
    }

    private String show(SignedIn me, Subject subject, Map<String, Sentence> faults, boolean isWorked, Model model) {
        model.addAttribute("task", subject.task());
        model.addAttribute(
                "card", cards.card(me, subject.place().sheet(), subject.place().standing()));
        model.addAttribute("bay", subject.place().bay());
        model.addAttribute("form", subject.form());
        model.addAttribute("query", subject.form().query());
        model.addAttribute("faults", faults);
        model.addAttribute("difficulties", Difficulty.values());
        model.addAttribute("slips", view.slips(FaultDesk.assignment(subject.task(), subject.place())));
        model.addAttribute("rows", view.rows(subject.sheet(), subject.now(), subject.form(), faults));
        if (isWorked) {
            WorkedFault worked = desk.work(subject.task(), subject.place(), subject.now(), subject.form());
            model.addAttribute("refusals", view.refusals(worked));
            model.addAttribute(
                    "plan",
                    view.plan(FaultDesk.assignment(subject.task(), subject.place()), worked)
                            .orElse(null));
        }
        return "workshop/fault";
    }

    /** The instructor has turned what the plan says: the vehicle is in a state of its own, and keeps the moves. */
    @PostMapping
    String set(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @PathVariable UUID vehicle,
            @RequestParam int seen,
            @RequestParam(defaultValue = "") String note,
            @RequestParam(defaultValue = "false") boolean sure,
            @RequestParam Map<String, String> typed,
            Model model,
            RedirectAttributes flash) {
        Subject subject = subject(me, id, vehicle, typed);
        PartMoves planned =
                planned(subject).orElseThrow(() -> new NotThere("fault that can be set", typed.toString(), me));
        List<PartMove> made = new ArrayList<>();
        planned.units().forEach((part, units) -> made.add(new PartMove(part.id(), units)));
        Optional<Sentence> refused =
                moves.set(me, new SeenVehicle(vehicle, seen), StandingCause.PRESET, note, made, sure);
        if (refused.isPresent()) {
            model.addAttribute("refused", refused.get());
            model.addAttribute("askSure", refused.get().key().equals(VehicleMoves.IN_USE));
            return show(me, subject, Map.of(), true, model);
        }
        return "redirect:/tasks/" + id + "#vehicle-" + vehicle;
    }

    /** Returns the fault of a form that can be read. */
    private Optional<WorkedFault> worked(Subject subject) {
        return subject.form().faults(FaultDesk.asked(subject.sheet())).isEmpty()
                ? Optional.of(desk.work(subject.task(), subject.place(), subject.now(), subject.form()))
                : Optional.empty();
    }

    private Optional<PartMoves> planned(Subject subject) {
        return worked(subject).filter(WorkedFault::isSeen).flatMap(worked -> FaultView.moves(worked.plan()));
    }

    /** A page for the bay without the answer, or one for the instructor with it. */
    @GetMapping("/{paper:bay|answer}.pdf")
    ResponseEntity<byte[]> paper(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @PathVariable UUID vehicle,
            @PathVariable String paper,
            @RequestParam Map<String, String> typed) {
        Subject subject = subject(me, id, vehicle, typed);
        Map<String, Object> model = new HashMap<>();
        model.put("task", subject.task());
        model.put("place", subject.place());
        tasks.current(me.centreId(), id).ifPresent(opening -> model.put("code", opening.code()));
        if (paper.equals("answer")) {
            model.put(
                    "plan",
                    worked(subject)
                            .flatMap(worked -> view.plan(FaultDesk.assignment(subject.task(), subject.place()), worked))
                            .orElseThrow(() -> new NotThere("fault that can be set", typed.toString(), me)));
        }
        return papers.pdf(
                "fault", "fault-" + paper + "-" + subject.place().sheet().registration(), model);
    }
}
