package app.galdrin.web.workshop.internal;

import app.galdrin.web.account.SignedIn;
import app.galdrin.web.bay.VehicleStanding;
import app.galdrin.web.marksheet.ReadingList;
import app.galdrin.web.marksheet.ReadingList.WaitingReading;
import app.galdrin.web.workshop.VehicleCard;
import app.galdrin.web.workshop.VehicleCards;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The list of what an instructor has to read, bay by bay, before the vehicles are moved on. */
@Controller
class ReadingListController {

    private final VehicleCards cards;
    private final ReadingList list;

    ReadingListController(VehicleCards cards, ReadingList list) {
        this.cards = cards;
        this.list = list;
    }

    /** A vehicle in its bay, with what is to be read of it. */
    record BayReadings(int bay, VehicleCard card, List<WaitingReading> readings) {}

    @GetMapping("/bays/to-read")
    String page(@AuthenticationPrincipal SignedIn me, Model model) {
        List<BayReadings> bays = cards.all(me).stream()
                .filter(card -> card.standing() != null && card.standing().bay() != null)
                .map(card -> readings(me, card, Objects.requireNonNull(card.standing())))
                .filter(bay -> !bay.readings().isEmpty())
                .sorted(Comparator.comparing(BayReadings::bay))
                .toList();
        model.addAttribute("bays", bays);
        return "workshop/to-read";
    }

    private BayReadings readings(SignedIn me, VehicleCard card, VehicleStanding standing) {
        return new BayReadings(standing.bayNumber().orElseThrow(), card, list.of(me.centreId(), standing));
    }
}
