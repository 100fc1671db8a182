package app.galdrin.core.spec.written;

import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.Vehicle;
import java.util.List;

/** A sheet as it was read. */
public sealed interface WrittenSheet {

    record ParsedSheet(Vehicle vehicle, SpecificationSheet sheet) implements WrittenSheet {}

    /** All faults, in the order of the rows. */
    record Refusal(List<SheetFault> faults) implements WrittenSheet {
        public Refusal {
            faults = List.copyOf(faults);
        }
    }
}
