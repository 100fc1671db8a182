package app.galdrin.web.library.internal;

import app.galdrin.core.spec.Axle;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.QuantityLimits;
import app.galdrin.core.spec.SheetQuantity;
import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A line of a sheet, deg: the database holds what is printed, the core gets rad. */
public record SheetLineRow(
        UUID sheetId,
        String axle,
        String quantity,
        double min,
        double preferred,
        double max,
        @Nullable Double sideDifference,
        @Nullable String adjustableBy) {

    QuantityLimits toLimits() {
        return new QuantityLimits(
                axle.equals(Axle.FRONT.key()) ? Axle.FRONT : Axle.REAR,
                Arrays.stream(SheetQuantity.values())
                        .filter(q -> q.key().equals(quantity))
                        .findFirst()
                        .orElseThrow(),
                Limits.of(Math.toRadians(min), Math.toRadians(preferred), Math.toRadians(max)),
                sideDifference == null ? OptionalDouble.empty() : OptionalDouble.of(Math.toRadians(sideDifference)),
                Optional.ofNullable(adjustableBy));
    }

    public static SheetLineRow of(UUID sheetId, QuantityLimits line) {
        var limits = line.limits();
        return new SheetLineRow(
                sheetId,
                line.axle().key(),
                line.quantity().key(),
                degrees(limits.min().orElseThrow()),
                degrees(limits.preferred().orElseThrow()),
                degrees(limits.max().orElseThrow()),
                line.sideDifference().isPresent()
                        ? degrees(line.sideDifference().getAsDouble())
                        : null,
                line.adjustableBy().orElse(null));
    }

    /** What was printed: the way there and back leaves nothing in the last digits. */
    private static double degrees(double radians) {
        return Math.rint(Math.toDegrees(radians) * 1e9) / 1e9;
    }
}
