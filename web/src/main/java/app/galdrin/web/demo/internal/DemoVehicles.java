package app.galdrin.web.demo.internal;

import app.galdrin.core.spec.Axle;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.Linkage;
import app.galdrin.core.spec.QuantityLimits;
import app.galdrin.core.spec.SheetQuantity;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.web.library.NewVehicle;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** The made-up vehicles of the demo workshop with their sheets: mm and degrees as a sheet is printed. */
final class DemoVehicles {

    private static final String RODS = "trackRods";

    private DemoVehicles() {}

    static final NewVehicle PARCEL_VAN = new NewVehicle(
            "Quendle",
            "Parcel 9",
            "small van",
            "MW 214 Q",
            "front",
            new SpecificationSheet(
                    new VehicleGeometry(2760, 1484, 1466, 416, 301, Linkage.BEHIND, 1.5, false, 136.0, 17.8),
                    List.of(
                            line(Axle.FRONT, SheetQuantity.CASTER, 2.9, 3.5, 4.1, 0.6, null),
                            line(Axle.FRONT, SheetQuantity.CAMBER, -0.9, -0.4, 0.1, 0.5, "topMountSlot"),
                            line(Axle.FRONT, SheetQuantity.KPI, 11.8, 12.5, 13.2, 0.6, null),
                            line(Axle.FRONT, SheetQuantity.TOE, -0.11, -0.04, 0.03, 0.1, RODS),
                            line(Axle.FRONT, SheetQuantity.TOTAL_TOE, -0.22, -0.08, 0.06, null, RODS),
                            line(Axle.REAR, SheetQuantity.CAMBER, -1.6, -1.1, -0.6, 0.5, null),
                            line(Axle.REAR, SheetQuantity.TOE, 0.0, 0.12, 0.24, 0.15, null),
                            line(Axle.REAR, SheetQuantity.TOTAL_TOE, 0.0, 0.24, 0.48, null, null))));

    static final NewVehicle MINIBUS = new NewVehicle(
            "Brastow",
            "Tolvi",
            "wheelchair-access minibus",
            "MW 088 B",
            "rear",
            new SpecificationSheet(
                    new VehicleGeometry(3350, 1664, 1640, 441, 346, Linkage.AHEAD, 1.5, false, 127.6, 17.4),
                    List.of(
                            line(Axle.FRONT, SheetQuantity.CASTER, 3.8, 4.4, 5.0, 0.5, "lowerCams"),
                            line(Axle.FRONT, SheetQuantity.CAMBER, -0.75, -0.25, 0.25, 0.5, "lowerCams"),
                            line(Axle.FRONT, SheetQuantity.KPI, 8.3, 9.0, 9.7, 0.6, null),
                            line(Axle.FRONT, SheetQuantity.TOE, 0.0, 0.08, 0.16, 0.1, RODS),
                            line(Axle.FRONT, SheetQuantity.TOTAL_TOE, 0.0, 0.16, 0.32, null, RODS),
                            line(Axle.REAR, SheetQuantity.CAMBER, -0.3, 0.0, 0.3, 0.3, null),
                            line(Axle.REAR, SheetQuantity.TOE, -0.1, 0.0, 0.1, 0.1, null),
                            line(Axle.REAR, SheetQuantity.TOTAL_TOE, -0.15, 0.0, 0.15, null, null))));

    private static QuantityLimits line(
            Axle axle,
            SheetQuantity quantity,
            double min,
            double preferred,
            double max,
            @Nullable Double sideDifference,
            @Nullable String adjustableBy) {
        var limits = Limits.of(Math.toRadians(min), Math.toRadians(preferred), Math.toRadians(max));
        var difference =
                sideDifference == null ? OptionalDouble.empty() : OptionalDouble.of(Math.toRadians(sideDifference));
        return new QuantityLimits(axle, quantity, limits, difference, Optional.ofNullable(adjustableBy));
    }
}
