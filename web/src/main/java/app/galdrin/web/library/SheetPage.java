package app.galdrin.web.library;

import app.galdrin.web.account.SignedIn;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.ui.Model;

/** The page of a vehicle's sheet: figures, geometry, parts and torques. */
public interface SheetPage {

    /**
     * Shows a version among the versions of its vehicle.
     *
     * @param against the version that it is compared with; null where none is asked for
     * @return the name of its template
     */
    String show(SignedIn me, SheetVersion sheet, List<SheetVersion> versions, @Nullable UUID against, Model model);

    /** Shows the sheet that a sitting is on: to read alone, with the way back. */
    default String showTo(SignedIn me, SheetVersion sheet, UUID sitting, Model model) {
        model.addAttribute("sitting", sitting);
        return show(me, sheet, List.of(sheet), null, model);
    }
}
