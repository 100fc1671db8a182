package app.galdrin.web.workshop.internal;

import app.galdrin.core.equipment.EquipmentKind;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.equipment.Equipment;
import app.galdrin.web.equipment.Piece;
import app.galdrin.web.equipment.PieceForm;
import app.galdrin.web.words.Sentence;
import app.galdrin.web.words.Words;
import app.galdrin.web.workshop.internal.EquipmentFinding.FoundSheet;
import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A piece of equipment that was found wrong: the sheets it was used on, and what its true figures change. */
@Controller
class EquipmentFindingController {

    private static final String PAGE = "/bays/equipment/{id:[0-9a-f-]{36}}/wrong";

    /** Days that are looked back where nobody says since when. */
    private static final int USUAL_DAYS = 30;

    private final Equipment equipment;
    private final EquipmentFinding finding;

    EquipmentFindingController(Equipment equipment, EquipmentFinding finding) {
        this.equipment = equipment;
        this.finding = finding;
    }

    /** Lists the sheets; with {@code trial} also what the typed figures would change. */
    @GetMapping(PAGE)
    String page(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String since,
            @RequestParam(defaultValue = "false") boolean trial,
            @ModelAttribute PieceForm typed,
            Model model) {
        Piece piece = equipment.piece(me, id);
        LocalDate today = LocalDate.now(me.zoneId());
        String day = since.isBlank() ? today.minusDays(USUAL_DAYS).toString() : since;
        PieceForm form = trial ? typed.datedAs(piece.now()) : PieceForm.of(piece.now());
        return show(me, piece, day, trial, form, faults(piece, form, day, today), model);
    }

    private static Map<String, Sentence> faults(Piece piece, PieceForm form, String since, LocalDate today) {
        Map<String, Sentence> faults =
                new LinkedHashMap<>(form.faults(piece.now().ofKind(), today));
        if (day(since).filter(d -> !d.isAfter(today) && d.getYear() >= 2000).isEmpty()) {
            faults.put("since", Sentence.of("equipment.day.wrong", Words.quote(since)));
        }
        return faults;
    }

    private static Optional<LocalDate> day(String typed) {
        try {
            return Optional.of(LocalDate.parse(typed));
        } catch (DateTimeParseException e) {
            return Optional.empty(); // the fault says what was read
        }
    }

    private String show(
            SignedIn me,
            Piece piece,
            String since,
            boolean trial,
            PieceForm form,
            Map<String, Sentence> faults,
            Model model) {
        EquipmentKind kind = piece.now().ofKind();
        List<FoundSheet> found = List.of();
        if (faults.isEmpty()) {
            LocalDate from = day(since).orElseThrow();
            found = trial ? finding.trial(me, piece, form.toRevision(kind), from) : finding.sheets(me, piece, from);
        }
        model.addAttribute("piece", piece);
        model.addAttribute("kind", kind);
        model.addAttribute("form", form);
        model.addAttribute("since", since);
        model.addAttribute("faults", faults);
        model.addAttribute("isTrial", trial && faults.isEmpty());
        model.addAttribute(
                "found",
                found.stream()
                        .sorted(Comparator.comparing((FoundSheet sheet) -> !sheet.isChanged()))
                        .toList());
        model.addAttribute(
                "readings",
                found.stream().filter(sheet -> sheet.sitting().isReference()).count());
        model.addAttribute("most", EquipmentFinding.MOST);
        model.addAttribute(
                "changed", found.stream().filter(FoundSheet::isChanged).count());
        return "workshop/wrong";
    }

    /** Uses the typed figures for the sheets since a day. */
    @PostMapping(PAGE)
    String apply(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String since,
            @ModelAttribute PieceForm typed,
            HttpServletResponse response,
            RedirectAttributes flash,
            Model model) {
        Piece piece = equipment.piece(me, id);
        PieceForm form = typed.datedAs(piece.now());
        Map<String, Sentence> faults = faults(piece, form, since, LocalDate.now(me.zoneId()));
        if (!faults.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(me, piece, since, true, form, faults, model);
        }
        LocalDate from = day(since).orElseThrow();
        finding.apply(me, piece, form.toRevision(piece.now().ofKind()), from);
        flash.addFlashAttribute("done", Sentence.of("equipment.wrong.applied", since));
        return "redirect:/bays/equipment/" + id + "/wrong?since=" + from;
    }
}
