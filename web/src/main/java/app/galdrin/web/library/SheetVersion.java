package app.galdrin.web.library;

import app.galdrin.core.geometry.Side;
import app.galdrin.core.spec.SpecificationSheet;
import java.util.UUID;

/**
 * One version of a vehicle's specification sheet.
 *
 * @param driverSide where the driver sits
 * @param version 1 and up; printed as a letter, the way drawings carry their issue
 */
public record SheetVersion(
        UUID id,
        UUID vehicleId,
        String make,
        String model,
        String body,
        String registration,
        Side driverSide,
        int version,
        SpecificationSheet sheet) {

    public String vehicleName() {
        return make + " " + model;
    }

    /** A, B, … Z, then the number. */
    public String issue() {
        return version <= 26 ? String.valueOf((char) ('A' + version - 1)) : Integer.toString(version);
    }
}
