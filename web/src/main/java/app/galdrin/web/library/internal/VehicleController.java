package app.galdrin.web.library.internal;

import app.galdrin.web.account.SignedIn;
import app.galdrin.web.library.Library;
import app.galdrin.web.library.SheetPage;
import app.galdrin.web.library.SheetVersion;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Vehicles and their specification sheets, to be read by everyone of the centre. */
@Controller
class VehicleController {

    private final Library library;
    private final SheetPage page;

    VehicleController(Library library, SheetPage page) {
        this.library = library;
        this.page = page;
    }

    @GetMapping("/vehicles")
    String all(@AuthenticationPrincipal SignedIn me, Model model) {
        model.addAttribute("sheets", library.newestSheets(me.centreId()));
        model.addAttribute("zone", me.zoneId());
        return "library/all";
    }

    /** One version of a sheet; a newer one has an address of its own. */
    @GetMapping("/vehicles/{sheetId}")
    String one(
            @AuthenticationPrincipal SignedIn me,
            @PathVariable UUID sheetId,
            @RequestParam(required = false) @Nullable UUID against,
            Model model) {
        SheetVersion sheet = library.sheet(me.centreId(), sheetId);
        return page.show(me, sheet, library.versions(me.centreId(), sheet.vehicleId()), against, model);
    }
}
