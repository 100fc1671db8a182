package app.galdrin.web.baysheet.internal;

import app.galdrin.web.account.SignedIn;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.SittingEquipment;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.VehicleMoves;
import app.galdrin.web.words.Sentence;
import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A person's word on the workshop, given on a sheet: which equipment it is read with, and that its vehicle was put back. */
@Controller
class SheetWorkshopController {

    private final Sittings sittings;
    private final SittingEquipment equipment;
    private final VehicleMoves moves;

    SheetWorkshopController(Sittings sittings, SittingEquipment equipment, VehicleMoves moves) {
        this.sittings = sittings;
        this.equipment = equipment;
        this.moves = moves;
    }

    /** Another piece of equipment than was taken for the sheet. */
    @PostMapping("/sittings/{id:[0-9a-f-]{36}}/equipment")
    String equipment(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam UUID piece,
            @RequestParam(defaultValue = "") String step,
            RedirectAttributes flash) {
        Sitting sitting = sittings.sitting(me, id);
        equipment
                .choose(me, sitting, piece, LocalDate.now(me.zoneId()))
                .ifPresent(why -> flash.addFlashAttribute("refused", why));
        boolean isStep = sitting.task().practical().step(step).isPresent();
        return "redirect:/sittings/" + id + (isStep ? "?step=" + step : "");
    }

    /** Puts the vehicle back, by whoever adjusted it last; {@code part} names each part that was turned back. */
    @PostMapping("/sittings/{id:[0-9a-f-]{36}}/put-back")
    String putBack(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID id,
            @RequestParam int seen,
            @RequestParam(required = false) @Nullable Set<String> part,
            RedirectAttributes flash) {
        Sitting sitting = sittings.sitting(me, id);
        Set<String> ticked = part == null ? Set.of() : part;
        Optional<Sentence> refused = moves.putBack(me, sitting, seen, ticked);
        refused.ifPresent(why -> flash.addFlashAttribute("refused", why));
        flash.addFlashAttribute("ticked", ticked);
        flash.addFlashAttribute("wasPutBack", refused.isEmpty());
        return "redirect:/sittings/" + id;
    }
}
