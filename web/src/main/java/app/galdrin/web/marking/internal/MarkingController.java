package app.galdrin.web.marking.internal;

import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.task.Criterion;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Keys;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.layout.Said;
import app.galdrin.web.layout.Words;
import app.galdrin.web.marking.EvidenceWords;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Purpose;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.SittingSummary;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.Slot;
import app.galdrin.web.sitting.Stage;
import app.galdrin.web.sitting.Works;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The marking desk, and the feedback an apprentice gets after release. */
@Controller
class MarkingController {

    private static final int LONGEST_REASON = 400;

    private final Sittings sittings;
    private final Works works;
    private final EvidenceWords evidence;

    MarkingController(Sittings sittings, Works works, EvidenceWords evidence) {
        this.sittings = sittings;
        this.works = works;
        this.evidence = evidence;
    }

    /** A line of the mark sheet with its evidence said. */
    record LineView(MarkLine line, List<EvidenceWords.Told> told) {}

    @GetMapping("/marking")
    String queue(@AuthenticationPrincipal SignedIn me, Model model) {
        model.addAttribute("sittings", sittings.handedIn(me.centreId()));
        return "marking/queue";
    }

    @GetMapping("/marking/{id}")
    String desk(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id, Model model) {
        Sitting sitting = practical(me, id);
        Log log = sittings.log(me.centreId(), id);
        MarkSheet sheet = addSheet(model, sitting, log);
        model.addAttribute("places", Places.compare(sitting, log, works.references(sitting, log)));
        model.addAttribute(
                "asLeftReference",
                sittings.findReferenceAsLeft(me.centreId(), id).isPresent());
        model.addAttribute("next", next(me, id).map(SittingSummary::id).orElse(null));
        model.addAttribute("mayMark", me.is(Role.INSTRUCTOR) && !log.released());
        model.addAttribute("sheet", sheet);
        return "marking/desk";
    }

    /** The next sitting that waits to be released. */
    private Optional<SittingSummary> next(SignedIn me, UUID id) {
        List<SittingSummary> waiting = sittings.handedIn(me.centreId()).stream()
                .filter(s -> !s.released())
                .toList();
        int here = waiting.stream().map(SittingSummary::id).toList().indexOf(id);
        return waiting.stream()
                .skip(here + 1L)
                .findFirst()
                .or(() -> waiting.stream().findFirst())
                .filter(s -> !s.id().equals(id));
    }

    @PostMapping("/marking/{id}/override")
    String override(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String criterion,
            @RequestParam String marks,
            @RequestParam String reason,
            @RequestParam String key,
            RedirectAttributes flash) {
        Sitting sitting = practical(me, id);
        Log log = sittings.log(me.centreId(), id);
        Criterion which = Keys.find(Criterion.values(), Criterion::key, criterion)
                .filter(c -> sitting.task().toe().scheme().isMarked(c))
                .orElseThrow(() -> new NotThere("criterion"));
        int available = sitting.task().toe().scheme().marksFor(which);
        Optional<BigDecimal> given = number(marks).filter(n -> n.signum() >= 0 && n.doubleValue() <= available);
        Optional<Said> refused = refusedOverride(log, given, marks, available, reason);
        if (refused.isPresent()) {
            flash.addFlashAttribute("refused", refused.get());
            flash.addFlashAttribute("refusedAt", criterion);
            flash.addFlashAttribute("typedMarks", marks);
            flash.addFlashAttribute("typedReason", reason);
        } else {
            var line = line(which.key(), reason, key);
            sittings.writeMark(me, sitting, line, given.orElseThrow().doubleValue());
        }
        return "redirect:/marking/" + id + "#" + criterion;
    }

    private static Optional<Said> refusedOverride(
            Log log, Optional<BigDecimal> given, String marks, int available, String reason) {
        if (log.released()) {
            return Optional.of(Said.of("marking.released"));
        }
        if (given.isEmpty()) {
            return Optional.of(Said.of("marking.marks", Words.quote(marks), available));
        }
        if (reason.isBlank() || reason.length() > LONGEST_REASON) {
            return Optional.of(Said.of("marking.reason", LONGEST_REASON));
        }
        return Optional.empty();
    }

    private static Optional<BigDecimal> number(String text) {
        String plain = text.strip().replace(',', '.');
        return plain.matches("[0-9]{1,3}(\\.[0-9])?") ? Optional.of(new BigDecimal(plain)) : Optional.empty();
    }

    @PostMapping("/marking/{id}/override/strike")
    String strikeOverride(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String criterion,
            @RequestParam String key) {
        Sitting sitting = practical(me, id);
        if (!sittings.log(me.centreId(), id).released()) {
            var slot = Slot.of(Stage.MARK, criterion);
            sittings.writeMark(me, sitting, new Sittings.Line(slot, "", true, key, "desk"), null);
        }
        return "redirect:/marking/" + id + "#" + criterion;
    }

    @PostMapping("/marking/{id}/sign")
    String sign(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id, @RequestParam String key) {
        Sitting sitting = practical(me, id);
        Log log = sittings.log(me.centreId(), id);
        if (log.handedIn() && !log.released()) {
            String total = works.markSheet(sitting, log).total().toPlainString();
            sittings.writeMark(me, sitting, line("sign", total, key), Double.valueOf(total));
        }
        return "redirect:/marking/" + id;
    }

    @PostMapping("/marking/{id}/release")
    String release(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String key,
            RedirectAttributes flash) {
        Sitting sitting = practical(me, id);
        Log log = sittings.log(me.centreId(), id);
        String total = works.markSheet(sitting, log).total().toPlainString();
        boolean signedAsItStands = log.at(Slot.of(Stage.MARK, "sign"))
                .filter(e -> e.written().equals(total))
                .isPresent();
        if (!signedAsItStands) {
            flash.addFlashAttribute("notSigned", true);
            return "redirect:/marking/" + id;
        }
        sittings.writeMark(me, sitting, line("release", total, key), Double.valueOf(total));
        return "redirect:/marking/" + id;
    }

    private static Sittings.Line line(String place, String text, String key) {
        return new Sittings.Line(Slot.of(Stage.MARK, place), text, false, key, "desk");
    }

    @GetMapping("/sittings/{id}/feedback")
    String feedback(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id, Model model) {
        Sitting sitting = practical(me, id);
        Log log = sittings.log(me.centreId(), id);
        if (!log.released() && me.is(Role.APPRENTICE)) {
            model.addAttribute("sitting", sitting);
            return "marking/not-yet";
        }
        addSheet(model, sitting, log);
        model.addAttribute("places", Places.compare(sitting, log, works.references(sitting, log)));
        return "marking/feedback";
    }

    private MarkSheet addSheet(Model model, Sitting sitting, Log log) {
        MarkSheet sheet = works.markSheet(sitting, log);
        model.addAttribute("sitting", sitting);
        model.addAttribute("task", sitting.task());
        model.addAttribute("log", log);
        model.addAttribute("sheet", sheet);
        var toe = sitting.task().toe();
        var asFound = log.readings(Stage.AS_FOUND, toe.repeats());
        model.addAttribute(
                "lines",
                sheet.lines().stream()
                        .map(l -> new LineView(l, evidence.tellWorkedThrough(toe, l.evidence(), asFound)))
                        .toList());
        return sheet;
    }

    private Sitting practical(SignedIn me, UUID id) {
        Sitting sitting = sittings.sitting(me, id);
        if (sitting.purpose() != Purpose.PRACTICAL) {
            throw new NotThere("sitting");
        }
        return sitting;
    }
}
