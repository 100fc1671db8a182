package app.galdrin.web.marking.internal;

import app.galdrin.web.account.SignedIn;
import app.galdrin.web.sitting.Decisions;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Names;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.words.Sentence;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Decisions of an instructor about a sitting, beside its marks: its end, its time, its bay, and its owner. */
@Controller
class DecisionController {

    private final Sittings sittings;
    private final Decisions decisions;
    private final Names names;
    private final MarkSheetPages pages;

    DecisionController(Sittings sittings, Decisions decisions, Names names, MarkSheetPages pages) {
        this.sittings = sittings;
        this.decisions = decisions;
        this.names = names;
        this.pages = pages;
    }

    /** Returns what an instructor decides about a sitting, beside its marks. */
    @PostMapping("/marking/{id}/{decision:stop|give-back|admit|extra-time|move|go-on|again}")
    String decide(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @PathVariable String decision,
            @RequestParam(defaultValue = "") String reason,
            @RequestParam(defaultValue = "") String number,
            @RequestParam String key,
            RedirectAttributes flash) {
        Sitting sitting = pages.practical(me, id);
        if (decision.equals("again")) {
            return "redirect:/marking/" + sittings.sitAgain(me, sitting);
        }
        Entries.Outcome outcome = switch (decision) {
            case "stop" -> decisions.stop(me, sitting, reason, key);
            case "give-back" -> decisions.giveBack(me, sitting, reason, key);
            case "admit" -> decisions.admitLate(me, sitting, reason, key);
            case "extra-time" -> decisions.giveTime(me, sitting, number, reason, key);
            case "go-on" -> decisions.goOnAt(me, sitting, number, key);
            default -> decisions.moveTo(me, sitting, number, key);
        };
        MarkingController.tell(flash, MarkingController.why(outcome));
        return "redirect:/marking/" + id;
    }

    /** Puts right a sheet on which somebody writes under another's name. */
    @PostMapping("/marking/{id}/owner")
    String belongs(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam UUID person,
            @RequestParam String reason,
            @RequestParam String key,
            RedirectAttributes flash) {
        Optional<Sentence> refused = names.belongsTo(me, pages.practical(me, id), person, reason, key);
        MarkingController.tell(flash, refused);
        if (refused.isEmpty()) {
            flash.addFlashAttribute("done", Sentence.of("names.done"));
        }
        return "redirect:/marking/" + id;
    }

    /** Lets anyone who sits a sheet join it once more by the code, after a device has died. */
    @PostMapping("/marking/{id}/readmit")
    String welcome(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String back,
            RedirectAttributes flash) {
        Sitting sitting = pages.practical(me, id);
        names.welcome(me, sitting);
        flash.addFlashAttribute("done", Sentence.of("names.welcome", sitting.names()));
        return "redirect:" + (back.equals("task") ? "/tasks/" + sitting.task().id() : "/marking/" + id);
    }
}
