package app.galdrin.core.marking;

import app.galdrin.core.Keyed;
import app.galdrin.core.procedure.slip.Drill;

/** A mistake in planning an adjustment. */
enum PlanSlip implements Keyed {
    WRONG_WAY("wrongWay"),
    WRONG_LINKAGE("wrongLinkage"),
    MOVED_TWICE("movedTwice"),
    WHOLE_ON_EACH_SIDE("wholeOnEachSide");

    private final String key;

    PlanSlip(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }

    Drill drill() {
        return this == WRONG_WAY || this == WRONG_LINKAGE ? Drill.WHICH_WAY : Drill.TOTALS;
    }
}
