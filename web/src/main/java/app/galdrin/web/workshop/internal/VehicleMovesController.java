package app.galdrin.web.workshop.internal;

import app.galdrin.core.Keyed;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.bay.Bay;
import app.galdrin.web.bay.Facing;
import app.galdrin.web.bay.StandingCause;
import app.galdrin.web.layout.WholeNumber;
import app.galdrin.web.sitting.VehicleMoves;
import app.galdrin.web.sitting.VehicleMoves.SeenVehicle;
import app.galdrin.web.words.Sentence;
import app.galdrin.web.words.Words;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** An instructor's word on a vehicle; each answers with the page that it was given on. */
@Controller
@RequestMapping("/bays/vehicles/{vehicle:[0-9a-f-]{36}}")
class VehicleMovesController {

    private static final String DAY = "day";

    private final VehicleMoves moves;

    VehicleMovesController(VehicleMoves moves) {
        this.moves = moves;
    }

    /** Moves it to another bay; an empty number moves it out of the bays. */
    @PostMapping("/place")
    String place(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID vehicle,
            @RequestParam int seen,
            @RequestParam String bay,
            @RequestParam(defaultValue = "farEnd") String facing,
            @RequestParam(defaultValue = "") String page,
            RedirectAttributes flash) {
        OptionalInt number = WholeNumber.read(bay, 1, Bay.HIGHEST);
        Optional<Sentence> refused = number.isEmpty() && !bay.isBlank()
                ? Optional.of(Sentence.of("vehicle.noSuchBay", Words.quote(bay)))
                : moves.place(
                        me,
                        new SeenVehicle(vehicle, seen),
                        number,
                        Keyed.find(Facing.values(), facing).orElse(Facing.FAR_END));
        return answer(vehicle, refused, page, flash);
    }

    /** Gives it a new setting: {@code cause} says whether a fault was set, or something was changed without a sheet. */
    @PostMapping("/set")
    String set(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID vehicle,
            @RequestParam int seen,
            @RequestParam(defaultValue = "preset") String cause,
            @RequestParam(defaultValue = "") String note,
            @RequestParam(defaultValue = "") String rideHeight,
            @RequestParam(defaultValue = "") String load,
            @RequestParam(defaultValue = "false") boolean sure,
            @RequestParam(defaultValue = "") String page,
            RedirectAttributes flash) {
        StandingCause kind = cause.equals(StandingCause.OUTSIDE.key()) ? StandingCause.OUTSIDE : StandingCause.PRESET;
        Optional<Sentence> refused = StanceForm.fault(rideHeight, load)
                .or(() -> moves.set(
                        me, new SeenVehicle(vehicle, seen), kind, note, StanceForm.stance(rideHeight, load), sure));
        if (refused.isPresent()) {
            flash.addFlashAttribute("typedHeight", rideHeight);
            flash.addFlashAttribute("typedLoad", load);
            flash.addFlashAttribute("typedNote", note);
            flash.addFlashAttribute("typedCause", kind.key());
            flash.addFlashAttribute("askSure", refused.get().key().equals(VehicleMoves.IN_USE));
        }
        return answer(vehicle, refused, page, flash);
    }

    /** Records that it was put back; {@code part} names each part that was turned back. */
    @PostMapping("/put-back")
    String putBack(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID vehicle,
            @RequestParam int seen,
            @RequestParam(required = false) @Nullable Set<String> part,
            @RequestParam(defaultValue = "") String page,
            RedirectAttributes flash) {
        Set<String> ticked = part == null ? Set.of() : part;
        flash.addFlashAttribute("ticked", ticked);
        return answer(vehicle, moves.putBack(me, new SeenVehicle(vehicle, seen), ticked), page, flash);
    }

    /** Gives it to the next sheet as it was left. */
    @PostMapping("/lend")
    String lend(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID vehicle,
            @RequestParam int seen,
            @RequestParam(defaultValue = "") String page,
            RedirectAttributes flash) {
        return answer(vehicle, moves.lend(me, new SeenVehicle(vehicle, seen)), page, flash);
    }

    private static String answer(UUID vehicle, Optional<Sentence> refused, String page, RedirectAttributes flash) {
        refused.ifPresent(why -> {
            flash.addFlashAttribute("vehicleRefused", why);
            flash.addFlashAttribute("refusedVehicle", vehicle);
        });
        return "redirect:" + path(page) + "#vehicle-" + vehicle;
    }

    /** The page that the word was given on: {@code day}, a task by its id, or else the bays. */
    private static String path(String page) {
        if (page.equals(DAY)) {
            return "/bays/day";
        }
        return page.matches("[0-9a-f-]{36}") ? "/tasks/" + page : "/bays";
    }
}
