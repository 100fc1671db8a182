package app.galdrin.web.marking.internal;

import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.task.Criterion;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.layout.Said;
import app.galdrin.web.layout.Words;
import app.galdrin.web.marking.EvidenceWords;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.MarkSheets;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.SittingSummary;
import app.galdrin.web.sitting.Sittings;
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

/** The marking desk. */
@Controller
class MarkingController {

    private static final int LONGEST_REASON = 400;

    private final Sittings sittings;
    private final Entries entries;
    private final Works works;
    private final MarkSheets sheets;
    private final EvidenceWords evidence;
    private final MarkSheetPages pages;
    private final Words words;
    private final Witnessed witnessed;

    MarkingController(
            Sittings sittings,
            Entries entries,
            Works works,
            MarkSheets sheets,
            EvidenceWords evidence,
            MarkSheetPages pages,
            Words words,
            Witnessed witnessed) {
        this.words = words;
        this.witnessed = witnessed;
        this.sittings = sittings;
        this.entries = entries;
        this.works = works;
        this.sheets = sheets;
        this.evidence = evidence;
        this.pages = pages;
    }

    @GetMapping("/marking")
    String queue(@AuthenticationPrincipal SignedIn me, Model model) {
        List<SittingSummary> waiting = sittings.toMark(me.centreId());
        model.addAttribute("sittings", waiting);
        model.addAttribute("mayMark", me.is(Role.INSTRUCTOR));
        model.addAttribute("anySigned", waiting.stream().anyMatch(SittingSummary::signed));
        model.addAttribute("released", sittings.released(me.centreId()));
        model.addAttribute("toRead", sittings.toReadAgain(me.centreId()));
        return "marking/queue";
    }

    @GetMapping("/marking/{id}")
    String desk(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id, Model model) {
        Sitting sitting = pages.practical(me, id);
        Log log = pages.add(model, sitting);
        int round = sittings.lastRound(sitting, log);
        model.addAttribute(
                "asLeftReference", sittings.findReferenceAfter(sitting, round).isPresent());
        model.addAttribute(
                "askedAgain", sittings.findReferenceAgain(sitting, round).isPresent());
        model.addAttribute("readAsLeft", sittings.isReadAsLeft(sitting));
        model.addAttribute("returned", log.returned());
        model.addAttribute("stopped", log.stopped().orElse(""));
        model.addAttribute("witnessed", witnessed.of(me, sitting, log));
        model.addAttribute("history", sheets.history(sitting));
        model.addAttribute("question", works.referenceQuestion(sitting));
        model.addAttribute("late", log.lateWaiting());
        model.addAttribute("next", next(me, id).map(SittingSummary::id).orElse(null));
        model.addAttribute("mayMark", me.is(Role.INSTRUCTOR) && !sitting.state().released());
        return "marking/desk";
    }

    /** The next sitting that waits to be released. */
    private Optional<SittingSummary> next(SignedIn me, UUID id) {
        List<SittingSummary> waiting = sittings.toMark(me.centreId());
        int here = waiting.stream().map(SittingSummary::id).toList().indexOf(id);
        return waiting.stream()
                .skip(here + 1L)
                .findFirst()
                .or(() -> waiting.stream().findFirst())
                .filter(s -> !s.id().equals(id));
    }

    /** A sheet as it was stored then. */
    @GetMapping("/marking/{id}/stored/{number}")
    String stored(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id, @PathVariable int number, Model model) {
        Sitting sitting = pages.practical(me, id);
        MarkSheet sheet = sheets.stored(sitting, number).orElseThrow(() -> new NotThere("mark sheet", number, me));
        model.addAttribute("sitting", sitting);
        model.addAttribute("task", sitting.markedBy());
        model.addAttribute("sheet", sheet);
        model.addAttribute(
                "stored",
                sheets.history(sitting).stream()
                        .filter(s -> s.number() == number)
                        .findFirst()
                        .orElseThrow(() -> new NotThere("mark sheet", number, me)));
        model.addAttribute(
                "lines",
                sheet.lines().stream()
                        .map(l -> pages.line(sitting, l, evidence.tell(l.evidence())))
                        .toList());
        return "marking/stored";
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
        Sitting sitting = pages.practical(me, id);
        Criterion which = criterion(me, sitting, criterion);
        Optional<BigDecimal> given =
                number(marks).filter(n -> n.signum() >= 0 && n.compareTo(BigDecimal.valueOf(which.marks())) <= 0);
        Optional<Said> refused = refused(given, marks, which.marks(), reason)
                .or(() -> sheets.override(me, sitting, which.id(), given.orElseThrow(), reason, key));
        refused.ifPresent(why -> {
            flash.addFlashAttribute("refused", why);
            flash.addFlashAttribute("refusedAt", criterion);
            flash.addFlashAttribute("typedMarks", marks);
            flash.addFlashAttribute("typedReason", reason);
        });
        return "redirect:/marking/" + id + "#" + which.id().key().replace('.', '-');
    }

    /** Signs that the vehicle as left is accepted although its readings leave it in doubt. */
    @PostMapping("/marking/{id}/accept-in-doubt")
    String acceptInDoubt(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String criterion,
            @RequestParam String reason,
            @RequestParam String key,
            RedirectAttributes flash) {
        Sitting sitting = pages.practical(me, id);
        Criterion which = criterion(me, sitting, criterion);
        String why = reason.strip();
        Optional<Said> refused = why.isEmpty() || why.length() > LONGEST_REASON
                ? Optional.of(Said.of("marking.reason", LONGEST_REASON))
                : sheets.acceptInDoubt(me, sitting, which.id(), words.text("desk.acceptedInDoubt", why), key);
        refused.ifPresent(said -> {
            flash.addFlashAttribute("refused", said);
            flash.addFlashAttribute("refusedAt", criterion);
            flash.addFlashAttribute("typedDoubt", reason);
        });
        return "redirect:/marking/" + id + "#" + which.id().key().replace('.', '-');
    }

    private static Criterion criterion(SignedIn me, Sitting sitting, String key) {
        return Criterion.Id.parse(key)
                .flatMap(sitting.markedBy().practical().scheme()::criterion)
                .orElseThrow(() -> new NotThere("criterion", Words.quote(key), me));
    }

    private static Optional<Said> refused(Optional<BigDecimal> given, String marks, int available, String reason) {
        if (given.isEmpty()) {
            return Optional.of(Said.of("marking.marks", Words.quote(marks), available));
        }
        return reason.isBlank() || reason.length() > LONGEST_REASON
                ? Optional.of(Said.of("marking.reason", LONGEST_REASON))
                : Optional.empty();
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
            @RequestParam String key,
            RedirectAttributes flash) {
        Sitting sitting = pages.practical(me, id);
        Criterion which = criterion(me, sitting, criterion);
        tell(flash, sheets.strikeOverride(me, sitting, which.id(), key));
        return "redirect:/marking/" + id + "#" + which.id().key().replace('.', '-');
    }

    @PostMapping("/marking/{id}/sign")
    String sign(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String key,
            RedirectAttributes flash) {
        tell(flash, sheets.sign(me, pages.practical(me, id), key));
        return "redirect:/marking/" + id;
    }

    @PostMapping("/marking/{id}/release")
    String release(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String key,
            RedirectAttributes flash) {
        tell(flash, sheets.release(me, pages.practical(me, id), key));
        return "redirect:/marking/" + id;
    }

    /** Releases everything that is signed as it stands; says how many, and how many wait for something. */
    @PostMapping("/marking/release-all")
    String releaseAll(@AuthenticationPrincipal SignedIn me, RedirectAttributes flash) {
        int released = 0;
        int waiting = 0;
        for (SittingSummary summary : sittings.toMark(me.centreId())) {
            if (summary.signed()) {
                boolean done = sheets.release(
                                me,
                                pages.practical(me, summary.id()),
                                UUID.randomUUID().toString())
                        .isEmpty();
                released += done ? 1 : 0;
                waiting += done ? 0 : 1;
            }
        }
        flash.addFlashAttribute("done", Said.of("marking.releasedAll", released, waiting));
        return "redirect:/marking";
    }

    /** That the reference of a sitting stands, though many lie off it the same way. */
    @PostMapping("/marking/{id}/reference-stands")
    String referenceStands(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String reason,
            @RequestParam String key,
            RedirectAttributes flash) {
        Sitting sitting = pages.practical(me, id);
        UUID reference = sittings.findReference(me.centreId(), sitting.task().id(), sitting.stateId())
                .orElseThrow(() -> new NotThere("reference", id, me));
        tell(flash, why(entries.referenceStands(me, sittings.sitting(me, reference), reason, key)));
        return "redirect:/marking/" + id;
    }

    private static Optional<Said> why(Entries.Outcome outcome) {
        return outcome instanceof Entries.Outcome.Refused refused ? Optional.of(refused.why()) : Optional.empty();
    }

    @PostMapping("/marking/{id}/witness")
    String witness(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String step,
            @RequestParam String item,
            @RequestParam String key,
            RedirectAttributes flash) {
        tell(flash, why(entries.witness(me, pages.practical(me, id), step, item, key)));
        return "redirect:/marking/" + id;
    }

    /** What an instructor decides about a sitting, beside its marks. */
    @PostMapping("/marking/{id}/{decision:stop|give-back|admit|extra-time|move|again}")
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
            case "stop" -> entries.stop(me, sitting, reason, key);
            case "give-back" -> entries.giveBack(me, sitting, reason, key);
            case "admit" -> entries.admitLate(me, sitting, reason, key);
            case "extra-time" -> entries.giveTime(me, sitting, number, reason, key);
            default -> entries.moveTo(me, sitting, number, key);
        };
        tell(flash, why(outcome));
        return "redirect:/marking/" + id;
    }

    private static void tell(RedirectAttributes flash, Optional<Said> refused) {
        refused.ifPresent(why -> flash.addFlashAttribute("refused", why));
    }
}
