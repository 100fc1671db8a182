package app.galdrin.web.library;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.SheetLine;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A line of a sheet, deg or mm: the database holds what is printed, the core gets rad. */
record SheetLineRow(
        UUID sheetId,
        String axle,
        Measurand measurand,
        @Nullable Double min,
        @Nullable Double preferred,
        @Nullable Double max,
        @Nullable Double sideDifference,
        Adjustable adjustable) {

    SheetLine toLine() {
        Optional<Limits> limits = min == null && max == null
                ? Optional.empty()
                : Optional.of(new Limits(core(min), core(preferred), core(max)));
        return new SheetLine(Keyed.find(Axle.values(), axle), measurand, limits, core(sideDifference), adjustable);
    }

    private OptionalDouble core(@Nullable Double printed) {
        if (printed == null) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(measurand.quantity() == Quantity.ANGLE ? Math.toRadians(printed) : printed);
    }

    static SheetLineRow of(UUID sheetId, SheetLine line) {
        Optional<Limits> limits = line.limits();
        return new SheetLineRow(
                sheetId,
                line.axle().map(Axle::key).orElse(""),
                line.measurand(),
                printed(line, limits.map(Limits::min)),
                printed(line, limits.map(Limits::preferred)),
                printed(line, limits.map(Limits::max)),
                printed(line, Optional.of(line.sideDifference())),
                line.adjustable());
    }

    /** What was printed: the way there and back leaves nothing in the last digits. */
    private static @Nullable Double printed(SheetLine line, Optional<OptionalDouble> core) {
        if (core.isEmpty() || core.get().isEmpty()) {
            return null;
        }
        double value = core.get().getAsDouble();
        return Math.rint((line.measurand().quantity() == Quantity.ANGLE ? Math.toDegrees(value) : value) * 1e9) / 1e9;
    }
}
