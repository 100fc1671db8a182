package app.galdrin.web.equipment.internal;

import app.galdrin.core.Keyed;
import app.galdrin.core.equipment.EquipmentKind;
import app.galdrin.core.equipment.WorkshopCheck;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.equipment.Equipment;
import app.galdrin.web.equipment.EquipmentWords;
import app.galdrin.web.equipment.PastDue;
import app.galdrin.web.equipment.Piece;
import app.galdrin.web.equipment.PieceCheck;
import app.galdrin.web.equipment.PieceForm;
import app.galdrin.web.words.Sentence;
import app.galdrin.web.words.Words;
import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
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

/** The equipment of a workshop, and each piece with its certificates and checks. */
@Controller
class EquipmentController {

    private static final String LIST = "redirect:/bays/equipment";
    private static final String ONE = "/bays/equipment/{id:[0-9a-f-]{36}}";
    private static final int LONGEST_NAME = 60;

    private final Equipment equipment;
    private final EquipmentWords words;

    EquipmentController(Equipment equipment, EquipmentWords words) {
        this.equipment = equipment;
        this.words = words;
    }

    /** A kind with its pieces. */
    record KindView(EquipmentKind kind, List<Piece> pieces) {}

    @GetMapping("/bays/equipment")
    String list(@AuthenticationPrincipal SignedIn me, Model model) {
        List<Piece> all = equipment.all(me.centreId());
        model.addAttribute(
                "kinds",
                EquipmentKind.all().stream()
                        .map(kind -> new KindView(kind, ofKind(all, kind)))
                        .filter(view -> !view.pieces().isEmpty())
                        .toList());
        model.addAttribute("all", EquipmentKind.all());
        model.addAttribute("rules", PastDue.values());
        model.addAttribute("pastDue", equipment.pastDue(me.centreId()));
        model.addAttribute("today", LocalDate.now(me.zoneId()));
        return "equipment/list";
    }

    private static List<Piece> ofKind(List<Piece> all, EquipmentKind kind) {
        return all.stream().filter(p -> p.now().kind().equals(kind.key())).toList();
    }

    /** Adds a piece; one without a name gets the next number of its kind. */
    @PostMapping("/bays/equipment")
    String add(
            @AuthenticationPrincipal SignedIn me,
            @RequestParam String kind,
            @RequestParam(defaultValue = "") String name,
            RedirectAttributes flash) {
        Optional<EquipmentKind> wanted = EquipmentKind.named(kind);
        String typed = name.strip();
        Sentence refused = null;
        if (wanted.isEmpty()) {
            refused = Sentence.of("equipment.kind.unknown", Words.quote(kind));
        } else if (typed.length() > LONGEST_NAME) {
            refused = Sentence.of("equipment.long", LONGEST_NAME);
        } else {
            String called = typed.isEmpty() ? equipment.nextName(me.centreId(), wanted.get()) : typed;
            Optional<UUID> added = equipment.add(me.centreId(), me.personId(), wanted.get(), called);
            if (added.isPresent()) {
                return LIST + "/" + added.get();
            }
            refused = Sentence.of("equipment.taken", words.kind(wanted.get()), called);
        }
        flash.addFlashAttribute("refused", refused);
        flash.addFlashAttribute("typedKind", kind);
        flash.addFlashAttribute("typedName", name);
        return LIST;
    }

    /** Adds one piece of every kind that is usual in a workshop and not there yet. */
    @PostMapping("/bays/equipment/usual")
    String usual(@AuthenticationPrincipal SignedIn me) {
        equipment.addUsual(me.centreId(), me.personId());
        return LIST;
    }

    @PostMapping("/bays/equipment/past-due")
    String pastDue(@AuthenticationPrincipal SignedIn me, @RequestParam String rule) {
        Keyed.find(PastDue.values(), rule).ifPresent(known -> equipment.setPastDue(me.centreId(), known));
        return LIST;
    }

    @GetMapping(ONE)
    String one(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id, Model model) {
        Piece piece = equipment.piece(me, id);
        LocalDate today = LocalDate.now(me.zoneId());
        return show(
                me, piece, PieceForm.of(piece.now()), CheckForm.on(piece.now().ofKind(), today), Map.of(), model);
    }

    private String show(
            SignedIn me, Piece piece, PieceForm form, CheckForm check, Map<String, Sentence> faults, Model model) {
        EquipmentKind kind = piece.now().ofKind();
        List<PieceCheck> checks = equipment.checks(me.centreId(), piece.id());
        model.addAttribute("piece", piece);
        model.addAttribute("kind", kind);
        model.addAttribute("form", form);
        model.addAttribute("check", check);
        model.addAttribute("faults", faults);
        model.addAttribute("checkKinds", WorkshopCheck.of(kind));
        model.addAttribute("history", equipment.history(me.centreId(), piece.id()));
        model.addAttribute("checks", checks);
        model.addAttribute("chart", checks.size() > 1 ? DriftChart.of(checks, piece.now()) : null);
        model.addAttribute("today", LocalDate.now(me.zoneId()));
        return "equipment/one";
    }

    /** Writes down what is known of a piece from now on. */
    @PostMapping(ONE)
    String revise(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @ModelAttribute PieceForm form,
            HttpServletResponse response,
            Model model) {
        Piece piece = equipment.piece(me, id);
        EquipmentKind kind = piece.now().ofKind();
        LocalDate today = LocalDate.now(me.zoneId());
        Map<String, Sentence> faults = form.faults(kind, today);
        if (!faults.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(me, piece, form, CheckForm.on(kind, today), faults, model);
        }
        equipment.revise(me.centreId(), me.personId(), id, form.toRevision(kind));
        return LIST + "/" + id;
    }

    /** Writes a check down. */
    @PostMapping(ONE + "/checks")
    String check(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @ModelAttribute CheckForm form,
            HttpServletResponse response,
            Model model) {
        Piece piece = equipment.piece(me, id);
        EquipmentKind kind = piece.now().ofKind();
        Map<String, Sentence> faults = form.faults(kind, LocalDate.now(me.zoneId()));
        if (!faults.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(me, piece, PieceForm.of(piece.now()), form, faults, model);
        }
        equipment.check(me, id, form.kindOfCheck(), form.firstOf(kind), form.secondOf(kind), form.onDay());
        return LIST + "/" + id + "#checks";
    }
}
