package app.galdrin.web.workshop.internal;

import app.galdrin.web.account.SignedIn;
import app.galdrin.web.bay.Bay;
import app.galdrin.web.bay.Bays;
import app.galdrin.web.bay.SurveyWords;
import app.galdrin.web.bay.SurveyWords.SurveyView;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.Sketches;
import app.galdrin.web.workshop.VehicleCard;
import app.galdrin.web.workshop.VehicleCards;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The bays seen from above, each with the vehicle that stands there. */
@Controller
class WorkshopController {

    private final Bays bays;
    private final SurveyWords surveys;
    private final VehicleCards cards;

    WorkshopController(Bays bays, SurveyWords surveys, VehicleCards cards) {
        this.bays = bays;
        this.surveys = surveys;
        this.cards = cards;
    }

    /**
     * A bay from above.
     *
     * @param survey of its floor, the newest; null where nobody has made one
     * @param vehicle the one that stands there; null where the bay is free
     */
    record BayView(
            Bay bay, @Nullable SurveyView survey, @Nullable VehicleView vehicle) {}

    /** A vehicle from above, front up. */
    record VehicleView(VehicleCard card, Drawing drawing) {
        static VehicleView of(VehicleCard card) {
            return new VehicleView(card, Sketches.above(card.sheet().sheet().geometry()));
        }
    }

    @GetMapping("/bays")
    String page(@AuthenticationPrincipal SignedIn me, Model model) {
        List<Bay> all = bays.all(me.centreId());
        List<VehicleView> vehicles = cards.all(me).stream().map(VehicleView::of).toList();
        model.addAttribute(
                "bays",
                all.stream()
                        .map(bay -> new BayView(
                                bay,
                                bay.survey().map(surveys::of).orElse(null),
                                standingIn(vehicles, bay.number()).orElse(null)))
                        .toList());
        model.addAttribute(
                "elsewhere", vehicles.stream().filter(v -> bayOf(v).isEmpty()).toList());
        model.addAttribute("free", free(all));
        return "workshop/bays";
    }

    private static Optional<VehicleView> standingIn(List<VehicleView> vehicles, int bay) {
        return vehicles.stream()
                .filter(v -> bayOf(v).filter(b -> b == bay).isPresent())
                .findFirst();
    }

    private static Optional<Integer> bayOf(VehicleView vehicle) {
        return Optional.ofNullable(vehicle.card().standing()).flatMap(s -> s.bayNumber());
    }

    /** The lowest number that no bay has. */
    private static int free(List<Bay> all) {
        return IntStream.rangeClosed(1, Bay.HIGHEST)
                .filter(n -> all.stream().noneMatch(bay -> bay.number() == n))
                .findFirst()
                .orElse(Bay.HIGHEST);
    }
}
