package app.galdrin.web.library;

import app.galdrin.core.geometry.Side;
import app.galdrin.core.spec.Linkage;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.VehicleGeometry;
import java.util.List;
import java.util.UUID;

/** A sheet's row, mm. */
record SheetRow(
        UUID id,
        UUID vehicleId,
        String make,
        String model,
        String body,
        String registration,
        Side driverSide,
        int version,
        double wheelbase,
        double frontTrack,
        double rearTrack,
        double rimDiameter,
        double tyreRadius,
        Linkage linkage,
        double rodPitch,
        boolean doubleThread,
        double armLength,
        double steeringRatio) {

    SheetVersion toVersion(List<SheetLineRow> lines, List<AdjusterRow> adjusters, List<AdjusterRow.EffectRow> effects) {
        var geometry = new VehicleGeometry(
                wheelbase,
                frontTrack,
                rearTrack,
                rimDiameter,
                tyreRadius,
                linkage,
                rodPitch,
                doubleThread,
                armLength,
                steeringRatio);
        var sheet = new SpecificationSheet(
                geometry,
                lines.stream()
                        .filter(l -> l.sheetId().equals(id))
                        .map(SheetLineRow::toLine)
                        .toList(),
                adjusters.stream()
                        .filter(a -> a.sheetId().equals(id))
                        .map(a -> a.toAdjuster(geometry, effects))
                        .toList());
        return new SheetVersion(id, vehicleId, make, model, body, registration, driverSide, version, sheet);
    }
}
