package app.galdrin.core.spec;

import java.util.List;
import java.util.Optional;

/** One version of a vehicle's specification sheet. Never changed once a task uses it. */
public record SpecificationSheet(VehicleGeometry geometry, List<QuantityLimits> lines) {

    public SpecificationSheet {
        lines = List.copyOf(lines);
    }

    public Optional<QuantityLimits> line(Axle axle, SheetQuantity quantity) {
        return lines.stream()
                .filter(l -> l.axle() == axle && l.quantity() == quantity)
                .findFirst();
    }
}
