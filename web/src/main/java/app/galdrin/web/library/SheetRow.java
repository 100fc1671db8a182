package app.galdrin.web.library;

import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.spec.Fastener;
import app.galdrin.core.spec.FastenerUse;
import app.galdrin.core.spec.Linkage;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.Stance;
import app.galdrin.core.spec.Suspension;
import app.galdrin.core.spec.Vehicle;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.spec.WheelSize;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A sheet's row, mm; its wheels are like on both sides of an axle. */
record SheetRow(
        UUID id,
        UUID vehicleId,
        String make,
        String model,
        String body,
        String registration,
        Axle drivenAxle,
        Side driverSide,
        int version,
        double wheelbase,
        double frontTrack,
        double rearTrack,
        double frontRim,
        double frontTyre,
        double rearRim,
        double rearTyre,
        Linkage linkage,
        OptionalDouble rodPitch,
        boolean doubleThread,
        OptionalDouble armLength,
        OptionalDouble steeringRatio,
        @Nullable Suspension frontSuspension,
        @Nullable Suspension rearSuspension,
        OptionalDouble rideHeight,
        OptionalDouble loadKg,
        Instant createdAt,
        @Nullable String writtenBy,
        String reason) {

    /** Fastener of a row, N·m and degrees. */
    record FastenerRow(
            UUID sheetId,
            String name,
            int ordinal,
            @Nullable FastenerUse use,
            @Nullable String thread,
            OptionalDouble leastTorque,
            OptionalDouble mostTorque,
            OptionalDouble angle,
            boolean singleUse) {

        Fastener toFastener() {
            return new Fastener(
                    name,
                    Optional.ofNullable(use),
                    Optional.ofNullable(thread),
                    leastTorque,
                    mostTorque,
                    angle.isPresent() ? OptionalDouble.of(Math.toRadians(angle.getAsDouble())) : angle,
                    singleUse);
        }

        static FastenerRow of(UUID sheetId, int ordinal, Fastener f) {
            return new FastenerRow(
                    sheetId,
                    f.name(),
                    ordinal,
                    f.use().orElse(null),
                    f.thread().orElse(null),
                    f.least(),
                    f.most(),
                    f.angle().isPresent()
                            ? OptionalDouble.of(PrintedUnits.degrees(f.angle().getAsDouble()))
                            : f.angle(),
                    f.singleUse());
        }
    }

    SheetVersion toVersion(Parts parts) {
        var geometry = new VehicleGeometry(
                wheelbase,
                frontTrack,
                rearTrack,
                new WheelSize(frontRim, frontTyre),
                new WheelSize(rearRim, rearTyre),
                linkage,
                rodPitch,
                doubleThread,
                armLength,
                steeringRatio,
                Optional.ofNullable(frontSuspension),
                Optional.ofNullable(rearSuspension));
        return new SheetVersion(
                id,
                vehicleId,
                new Vehicle(make, model, body, registration, drivenAxle, driverSide),
                version,
                new SheetRevision(createdAt, writtenBy == null ? "" : writtenBy, reason),
                parts.of(id, geometry).at(new Stance(rideHeight, loadKg)));
    }

    /** The rows of several sheets. */
    record Parts(
            List<SheetLineRow> lines,
            List<AdjusterRow> adjusters,
            List<AdjusterRow.EffectRow> effects,
            List<FastenerRow> fasteners) {

        SpecificationSheet of(UUID id, VehicleGeometry geometry) {
            return new SpecificationSheet(
                    geometry,
                    lines.stream()
                            .filter(l -> l.sheetId().equals(id))
                            .map(SheetLineRow::toLine)
                            .toList(),
                    adjusters.stream()
                            .filter(a -> a.sheetId().equals(id))
                            .map(a -> a.toAdjuster(geometry, effects))
                            .toList(),
                    fasteners.stream()
                            .filter(f -> f.sheetId().equals(id))
                            .map(FastenerRow::toFastener)
                            .toList());
        }
    }
}
