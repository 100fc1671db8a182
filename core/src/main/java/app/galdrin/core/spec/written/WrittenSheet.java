package app.galdrin.core.spec.written;

import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.Vehicle;
import java.util.List;

/** What a sheet was read as. */
public sealed interface WrittenSheet {

    record ParsedSheet(Vehicle vehicle, SpecificationSheet sheet) implements WrittenSheet {}

    /** Everything that is wrong, in the order of its rows. */
    record Refusal(List<SheetFault> faults) implements WrittenSheet {
        public Refusal {
            faults = List.copyOf(faults);
        }
    }
}
