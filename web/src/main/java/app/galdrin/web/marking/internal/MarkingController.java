package app.galdrin.web.marking.internal;

import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.task.Criterion;
import app.galdrin.web.account.People;
import app.galdrin.web.account.Role;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.marking.EvidenceWords;
import app.galdrin.web.marksheet.MarkSheets;
import app.galdrin.web.marksheet.SittingMarks;
import app.galdrin.web.moderation.Moderation;
import app.galdrin.web.moderation.Moderations;
import app.galdrin.web.sitting.Decisions;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.FoundReference;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.SittingEquipment;
import app.galdrin.web.sitting.SittingSummary;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.VehicleReferences;
import app.galdrin.web.task.Tasks;
import app.galdrin.web.words.Sentence;
import app.galdrin.web.words.Words;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
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
    private final VehicleReferences vehicles;
    private final Decisions decisions;
    private final SittingMarks sittingMarks;
    private final MarkSheets sheets;
    private final EvidenceWords evidence;
    private final MarkSheetPages pages;
    private final Words words;
    private final Witnesses witnessed;
    private final Tasks tasks;
    private final People people;
    private final Moderations moderations;
    private final ReferenceTraces traces;
    private final SittingEquipment equipment;

    MarkingController(
            Sittings sittings,
            VehicleReferences vehicles,
            Decisions decisions,
            SittingMarks sittingMarks,
            MarkSheets sheets,
            EvidenceWords evidence,
            MarkSheetPages pages,
            Words words,
            Witnesses witnessed,
            Tasks tasks,
            People people,
            Moderations moderations,
            ReferenceTraces traces,
            SittingEquipment equipment) {
        this.equipment = equipment;
        this.traces = traces;
        this.moderations = moderations;
        this.tasks = tasks;
        this.people = people;
        this.words = words;
        this.witnessed = witnessed;
        this.sittings = sittings;
        this.vehicles = vehicles;
        this.decisions = decisions;
        this.sittingMarks = sittingMarks;
        this.sheets = sheets;
        this.evidence = evidence;
        this.pages = pages;
    }

    @GetMapping("/marking/{id}")
    String desk(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id, Model model) {
        Sitting sitting = pages.practical(me, id);
        sittings.opened(me, sitting);
        MarkSheetPages.ShownEntries shown = pages.add(model, sitting);
        Log log = shown.log();
        int round = sittings.lastRound(sitting, log);
        model.addAttribute(
                "asLeftReference", vehicles.findReferenceAfter(sitting, round).isPresent());
        model.addAttribute(
                "askedAgain", vehicles.findReferenceAgain(sitting, round).isPresent());
        model.addAttribute("readAsLeft", vehicles.isReadAsLeft(sitting));
        model.addAttribute("returned", log.returned());
        model.addAttribute("stopped", log.stopped().orElse(""));
        model.addAttribute("witnessed", witnessed.of(me, sitting, log));
        model.addAttribute("history", sheets.history(sitting));
        model.addAttribute("traces", traces.of(me, (MarkSheet) Objects.requireNonNull(model.getAttribute("sheet"))));
        List<SittingEquipment.KindOfSitting> kinds =
                equipment.of(sitting, LocalDate.ofInstant(sitting.begunAt(), me.zoneId()));
        model.addAttribute("readWith", SittingEquipment.names(kinds));
        model.addAttribute("readPast", SittingEquipment.past(kinds));
        model.addAttribute("question", sittingMarks.referenceQuestion(sitting, shown.references()));
        model.addAttribute("late", log.lateWaiting());
        model.addAttribute("next", next(me, sitting).map(SittingSummary::id).orElse(null));
        model.addAttribute("mayMark", me.is(Role.INSTRUCTOR) && !sitting.state().released());
        model.addAttribute(
                "bays",
                tasks.bays(me.centreId(), sitting.task().id()).stream()
                        .filter(b -> b.number().isPresent())
                        .toList());
        model.addAttribute(
                "classmates",
                people.classMembers(me.centreId(), sitting.task().classId()).stream()
                        .filter(p -> !sitting.isOf(p.id()))
                        .toList());
        return "marking/desk";
    }

    /** The next sitting that waits to be released: of the same task first. */
    private Optional<SittingSummary> next(SignedIn me, Sitting sitting) {
        List<SittingSummary> waiting = sittings.toMark(me.centreId());
        int here = waiting.stream().map(SittingSummary::id).toList().indexOf(sitting.id());
        List<SittingSummary> inTurn = Stream.concat(
                        waiting.stream().skip(here + 1L), waiting.stream().limit(Math.max(here, 0)))
                .toList();
        return inTurn.stream()
                .filter(s -> s.taskId().equals(sitting.task().id()))
                .findFirst()
                .or(() -> inTurn.stream().findFirst());
    }

    /** A sheet as it was stored then. */
    @GetMapping("/marking/{id}/stored/{number}")
    String stored(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @PathVariable int number,
            @RequestParam(required = false) @Nullable UUID sample,
            Model model) {
        Sitting sitting = pages.practical(me, id);
        if (sample != null) {
            inSample(me, moderations.one(me, sample), id, model);
        }
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
        Log log = sittings.log(sitting.centreId(), sitting.id());
        model.addAttribute(
                "lines",
                sheet.lines().stream()
                        .map(l -> pages.line(sitting, l, log, evidence.tell(l.evidence())))
                        .toList());
        return "marking/stored";
    }

    /** Adds what a verifier has decided about a sheet of the sample, and which comes next. */
    private void inSample(SignedIn me, Moderation moderation, UUID id, Model model) {
        model.addAttribute("moderation", moderation);
        model.addAttribute(
                "sampled",
                moderations.sheets(moderation).stream()
                        .filter(s -> s.sittingId().equals(id))
                        .findFirst()
                        .orElseThrow(() -> new NotThere("sheet of the sample", id, me)));
        model.addAttribute("following", moderations.next(moderation, id).orElse(null));
        model.addAttribute("mayDecide", me.is(Role.VERIFIER));
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
        Optional<Sentence> refused = refused(given, marks, which.marks(), reason)
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
        Optional<Sentence> refused = why.isEmpty() || why.length() > LONGEST_REASON
                ? Optional.of(Sentence.of("marking.reason", LONGEST_REASON))
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

    private static Optional<Sentence> refused(Optional<BigDecimal> given, String marks, int available, String reason) {
        if (given.isEmpty()) {
            return Optional.of(Sentence.of("marking.marks", Words.quote(marks), available));
        }
        return reason.isBlank() || reason.length() > LONGEST_REASON
                ? Optional.of(Sentence.of("marking.reason", LONGEST_REASON))
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

    /** Signs, releases and goes on to the next of the task; what refuses is said at the sheet. */
    @PostMapping("/marking/{id}/sign-and-release")
    String onward(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String key,
            RedirectAttributes flash) {
        Sitting sitting = pages.practical(me, id);
        Optional<SittingSummary> next = next(me, sitting);
        Optional<Sentence> refused =
                sheets.sign(me, sitting, key).or(() -> sheets.release(me, sitting, key + "-release"));
        tell(flash, refused);
        if (refused.isEmpty()) {
            flash.addFlashAttribute("done", Sentence.of("desk.onward.done", sitting.names()));
        }
        return refused.isPresent()
                ? "redirect:/marking/" + id
                : next.map(s -> "redirect:/marking/" + s.id()).orElse("redirect:/marking");
    }

    /** Confirms the reference of a sitting although many lie off it the same way. */
    @PostMapping("/marking/{id}/reference-stands")
    String referenceStands(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String reason,
            @RequestParam String key,
            RedirectAttributes flash) {
        Sitting sitting = pages.practical(me, id);
        UUID reference = vehicles.findReference(me.centreId(), sitting.task().id(), sitting.stateId())
                .map(FoundReference::id)
                .orElseThrow(() -> new NotThere("reference", id, me));
        tell(flash, why(decisions.referenceStands(me, sittings.sitting(me, reference), reason, key)));
        return "redirect:/marking/" + id;
    }

    static Optional<Sentence> why(Entries.Outcome outcome) {
        return outcome instanceof Entries.Outcome.Refusal refused ? Optional.of(refused.why()) : Optional.empty();
    }

    @PostMapping("/marking/{id}/witness")
    String witness(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam String step,
            @RequestParam String item,
            @RequestParam String key,
            RedirectAttributes flash) {
        tell(flash, why(decisions.witness(me, pages.practical(me, id), step, item, key)));
        return "redirect:/marking/" + id;
    }

    static void tell(RedirectAttributes flash, Optional<Sentence> refused) {
        refused.ifPresent(why -> flash.addFlashAttribute("refused", why));
    }
}
