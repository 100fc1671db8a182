package app.galdrin.core.task;

import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.Standing;
import app.galdrin.core.spec.SpecificationSheet;

/** A practical on the vehicle and in the bay where it is sat. */
public record Assignment(Practical practical, SpecificationSheet sheet, BayFloor floor) {

    public static Assignment of(Practical practical, SpecificationSheet sheet) {
        return new Assignment(practical, sheet, BayFloor.UNSURVEYED);
    }

    public Standing standing() {
        return new Standing(sheet, floor);
    }
}
