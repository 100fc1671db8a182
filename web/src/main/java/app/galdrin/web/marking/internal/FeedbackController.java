package app.galdrin.web.marking.internal;

import app.galdrin.core.marking.MarkSheet;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.marksheet.MarkSheets;
import app.galdrin.web.marksheet.SittingMarks;
import app.galdrin.web.papers.Papers;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sketch.Sketches;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The feedback an apprentice gets after release, and the same question once more. */
@Controller
class FeedbackController {

    private final Sittings sittings;
    private final SittingMarks sittingMarks;
    private final MarkSheets sheets;
    private final MarkSheetPages pages;
    private final Papers papers;
    private final SecondTries again;

    FeedbackController(
            Sittings sittings,
            SittingMarks sittingMarks,
            MarkSheets sheets,
            MarkSheetPages pages,
            Papers papers,
            SecondTries again) {
        this.sittings = sittings;
        this.sittingMarks = sittingMarks;
        this.sheets = sheets;
        this.pages = pages;
        this.papers = papers;
        this.again = again;
    }

    @GetMapping("/sittings/{id}/feedback")
    String feedback(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id, Model model) {
        Sitting sitting = pages.practical(me, id);
        if (!sitting.state().shown() && me.is(Role.APPRENTICE)) {
            model.addAttribute("sitting", sitting);
            return "marking/not-yet";
        }
        pages.add(model, sitting);
        MarkSheet sheet = (MarkSheet) Objects.requireNonNull(model.getAttribute("sheet"));
        model.addAttribute("first", first(model));
        model.addAttribute("remarked", sheets.remarked(sitting).orElse(null));
        boolean own = sitting.isOf(me.personId());
        UUID person = own ? me.personId() : sitting.people().get(0).id();
        model.addAttribute("again", again.of(sitting, person, sheet));
        model.addAttribute("mayTry", own);
        return "marking/feedback";
    }

    @SuppressWarnings("unchecked") // what the pages have just put there
    private static FirstThings first(Model model) {
        return FirstThings.of((List<LineView>) Objects.requireNonNull(model.getAttribute("lines")), (List<Places>)
                Objects.requireNonNull(model.getAttribute("places")));
    }

    /** The one try at a question with other numbers. */
    @PostMapping("/sittings/{id}/again")
    String again(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String figure,
            @RequestParam(defaultValue = "") String answer,
            RedirectAttributes flash) {
        Sitting sitting = pages.practical(me, id);
        if (!sitting.isOf(me.personId())) {
            throw new NotThere("own sitting", id, me);
        }
        Log log = sittings.log(sitting.centreId(), sitting.id());
        MarkSheet sheet = sheets.toShow(sitting, log, sittingMarks.references(sitting, log));
        again.answer(me, sitting, sheet, figure, answer).ifPresent(why -> {
            flash.addFlashAttribute("refused", why);
            flash.addFlashAttribute("refusedAt", figure);
            flash.addFlashAttribute("typedAnswer", answer);
        });
        return "redirect:/sittings/" + id + "/feedback#again";
    }

    @GetMapping("/sittings/{id}/feedback.pdf")
    ResponseEntity<byte[]> feedbackPaper(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id, Model model) {
        Sitting sitting = pages.practical(me, id);
        if (!sitting.state().shown() && me.is(Role.APPRENTICE)) {
            throw new NotThere("released feedback", id, me);
        }
        pages.add(model, sitting);
        model.addAttribute("zone", me.zoneId());
        model.addAttribute("ink", Sketches.INK);
        return papers.pdf("feedback", "feedback-" + sitting.task().title(), model.asMap());
    }
}
