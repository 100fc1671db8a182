package app.galdrin.web.baysheet.internal;

import app.galdrin.web.account.SignedIn;
import app.galdrin.web.library.SheetPage;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Shows whoever sees a sitting the data of its vehicle, by which the work is done: limits, parts and torques. */
@Controller
class VehicleDataController {

    private final Sittings sittings;
    private final SheetPage page;

    VehicleDataController(Sittings sittings, SheetPage page) {
        this.sittings = sittings;
        this.page = page;
    }

    @GetMapping("/sittings/{id:[0-9a-f-]{36}}/vehicle")
    String vehicle(@AuthenticationPrincipal SignedIn me, @PathVariable UUID id, Model model) {
        Sitting sitting = sittings.sitting(me, id);
        return page.showTo(me, sitting.sheet(), sitting.id(), model);
    }
}
