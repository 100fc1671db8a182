package app.galdrin.web.task;

import app.galdrin.web.bay.VehicleStanding;
import app.galdrin.web.library.SheetVersion;
import java.util.Optional;
import java.util.UUID;

/**
 * A vehicle that a practical is sat on, with its sheet and where it stands now.
 *
 * @param sheet the version that the task uses
 */
public record TaskBay(SheetVersion sheet, VehicleStanding standing) {

    /** The number of its bay, 1 and up; 0 where it stands in none. */
    public int bay() {
        return number().orElse(0);
    }

    /** Its number; empty where it stands in no bay. */
    public Optional<Integer> number() {
        return standing.bayNumber();
    }

    /** The state it is in now. */
    public UUID stateId() {
        return standing.stateId();
    }
}
