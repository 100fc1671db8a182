package app.galdrin.web.marking.internal;

import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.library.Library;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.remark.MarkChange;
import app.galdrin.web.remark.Remark;
import app.galdrin.web.remark.RemarkState;
import app.galdrin.web.remark.Remarks;
import app.galdrin.web.remark.Remarks.LineBefore;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import app.galdrin.web.words.Sentence;
import app.galdrin.web.words.StepWords;
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

/** Re-marking: what would change is worked out and shown before anything does. */
@Controller
class RemarkController {

    private final Remarks remarks;
    private final Tasks tasks;
    private final Library library;
    private final StepWords steps;

    RemarkController(Remarks remarks, Tasks tasks, Library library, StepWords steps) {
        this.remarks = remarks;
        this.tasks = tasks;
        this.library = library;
        this.steps = steps;
    }

    /** Asks for re-marking by the scheme of a version, for all versions with the same steps. */
    @GetMapping("/marking/re-mark/{taskId}")
    String ask(@AuthenticationPrincipal SignedIn me, @PathVariable UUID taskId, Model model) {
        TaskVersion version = tasks.task(me.centreId(), taskId);
        model.addAttribute("task", version);
        model.addAttribute("versions", remarks.alike(version));
        model.addAttribute("all", tasks.versions(version).size());
        model.addAttribute("concerned", remarks.concerned(version, Optional.empty()));
        model.addAttribute("sheets", sheets(me, version));
        model.addAttribute("before", remarks.ofTask(version));
        model.addAttribute("mayMark", me.is(Role.INSTRUCTOR));
        return "marking/re-mark";
    }

    /** All versions of the sheets of the vehicles it may be sat on. */
    private List<SheetVersion> sheets(SignedIn me, TaskVersion task) {
        return task.sheets().stream()
                .map(SheetVersion::vehicleId)
                .distinct()
                .flatMap(vehicle -> library.versions(me.centreId(), vehicle).stream())
                .toList();
    }

    @PostMapping("/marking/re-mark/{taskId}")
    String begin(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID taskId,
            @RequestParam(required = false) @Nullable UUID sheet,
            @RequestParam(defaultValue = "") String reason,
            RedirectAttributes flash) {
        TaskVersion version = tasks.task(me.centreId(), taskId);
        Optional<SheetVersion> on = Optional.ofNullable(sheet)
                .map(id -> sheets(me, version).stream()
                        .filter(s -> s.id().equals(id))
                        .findFirst()
                        .orElseThrow(() -> new NotThere("sheet of the task", id, me)));
        Optional<Remarks.Begun> begun = remarks.begin(me, version, on, reason);
        begun.filter(Remarks.Begun::already)
                .ifPresent(b -> flash.addFlashAttribute("refused", Sentence.of("remark.atWork")));
        if (begun.isEmpty()) {
            flash.addFlashAttribute("refused", Sentence.of("remark.refused"));
            flash.addFlashAttribute("typedReason", reason);
        }
        return begun.map(b -> "redirect:/marking/re-mark/job/" + b.id()).orElse("redirect:/marking/re-mark/" + taskId);
    }

    /** Someone's sheet before and after, with the criteria that differ. */
    record ChangedView(MarkChange marks, List<CriterionView> lines) {}

    /** A criterion that differs. */
    record CriterionView(String name, LineBefore line) {}

    @GetMapping("/marking/re-mark/job/{id}")
    String run(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "0") int from,
            @RequestParam(required = false) @Nullable String part,
            Model model) {
        Remark remark = remarks.remark(me, id);
        TaskVersion version = tasks.task(me.centreId(), remark.taskId());
        List<MarkChange> changed =
                remark.state() == RemarkState.READY ? remarks.changed(remark, Math.max(0, from)) : List.of();
        model.addAttribute("remark", remark);
        model.addAttribute("task", version);
        model.addAttribute("onSheet", remarks.sheet(remark).orElse(null));
        model.addAttribute("from", from);
        model.addAttribute("page", Remarks.page());
        model.addAttribute("changed", views(version, changed, remarks.lines(remark, changed)));
        model.addAttribute("mayMark", me.is(Role.INSTRUCTOR));
        return part == null ? "marking/re-mark-job" : "marking/re-mark-job :: progress";
    }

    private List<ChangedView> views(
            TaskVersion version, List<MarkChange> changed, Map<String, List<LineBefore>> lines) {
        return changed.stream()
                .map(c -> new ChangedView(
                        c,
                        lines.getOrDefault(c.sittingId() + "/" + c.personId(), List.of()).stream()
                                .map(l -> new CriterionView(steps.criterion(version.practical(), l.criterion()), l))
                                .toList()))
                .toList();
    }

    @PostMapping("/marking/re-mark/job/{id}/{what:apply|cancel}")
    String decide(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @PathVariable String what,
            RedirectAttributes flash) {
        Remark remark = remarks.remark(me, id);
        if (what.equals("apply")) {
            remarks.apply(me, remark.id()).ifPresent(why -> flash.addFlashAttribute("refused", why));
        } else {
            remarks.cancel(me, remark.id());
        }
        return "redirect:/marking/re-mark/job/" + id;
    }
}
