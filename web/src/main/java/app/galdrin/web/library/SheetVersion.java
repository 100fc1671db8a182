package app.galdrin.web.library;

import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.Vehicle;
import app.galdrin.core.spec.written.SheetDraft;
import app.galdrin.core.spec.written.SheetWriter;
import java.util.UUID;

/**
 * One version of a vehicle's specification sheet.
 *
 * @param version 1 and up; printed as a letter, the way drawings carry their issue
 */
public record SheetVersion(
        UUID id, UUID vehicleId, Vehicle vehicle, int version, SheetRevision written, SpecificationSheet sheet) {

    public String vehicleName() {
        return vehicle.name();
    }

    public String registration() {
        return vehicle.registration();
    }

    /** Returns the sheet as it is written. */
    public SheetDraft draft() {
        return SheetWriter.draft(vehicle, sheet);
    }

    public String issue() {
        return issue(version);
    }

    /** A, B, … Z, then the number. */
    public static String issue(int version) {
        return version <= 26 ? String.valueOf((char) ('A' + version - 1)) : Integer.toString(version);
    }
}
