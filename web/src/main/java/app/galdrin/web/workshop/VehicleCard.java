package app.galdrin.web.workshop;

import app.galdrin.web.bay.OpenSitting;
import app.galdrin.web.bay.VehicleStanding;
import app.galdrin.web.library.SheetVersion;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A vehicle of the workshop as a page shows it.
 *
 * @param sheet the newest version of its sheet
 * @param standing null where nobody has used it yet
 * @param state a sentence that says in which state it is
 * @param open the sheets that are open on it, whatever their task
 * @param wayBack what has to be turned back, part by part; empty where nobody has adjusted it
 * @param note what else there is to say of the way back; null where there is nothing
 */
public record VehicleCard(
        SheetVersion sheet,
        @Nullable VehicleStanding standing,
        String state,
        List<OpenSitting> open,
        List<PartBack> wayBack,
        @Nullable String note) {

    /** A part that has to be turned back, and the sentence that says how. */
    public record PartBack(String part, String sentence) {}

    /** Its vehicle. */
    public UUID vehicleId() {
        return sheet.vehicleId();
    }

    /** The newest change the page knows of; 0 where nobody has used the vehicle yet. */
    public int seen() {
        return standing == null ? 0 : standing.seq();
    }

    /** Returns whether somebody has adjusted it since it was set. */
    public boolean isAdjusted() {
        return standing != null && standing.isAdjusted();
    }

    /** Returns whether it is backed in. */
    public boolean isBackedIn() {
        return standing != null && standing.isBackedIn();
    }
}
