package app.galdrin.web.library.internal;

import app.galdrin.core.spec.Linkage;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.web.library.SheetVersion;
import java.util.List;
import java.util.UUID;

/** A sheet's row, mm. */
public record SheetRow(
        UUID id,
        UUID vehicleId,
        String make,
        String model,
        String body,
        String registration,
        int version,
        double wheelbase,
        double frontTrack,
        double rearTrack,
        double rimDiameter,
        double tyreRadius,
        String linkage,
        double rodPitch,
        boolean doubleThread,
        double armLength,
        double steeringRatio) {

    public SheetVersion toVersion(List<SheetLineRow> lines) {
        var geometry = new VehicleGeometry(
                wheelbase,
                frontTrack,
                rearTrack,
                rimDiameter,
                tyreRadius,
                linkage.equals(Linkage.BEHIND.key()) ? Linkage.BEHIND : Linkage.AHEAD,
                rodPitch,
                doubleThread,
                armLength,
                steeringRatio);
        var limits = lines.stream().map(SheetLineRow::toLimits).toList();
        var sheet = new SpecificationSheet(geometry, limits);
        return new SheetVersion(id, vehicleId, make, model, body, registration, version, sheet);
    }
}
