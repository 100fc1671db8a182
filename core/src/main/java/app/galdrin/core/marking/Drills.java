package app.galdrin.core.marking;

import app.galdrin.core.procedure.slip.Drill;
import app.galdrin.core.procedure.slip.Slip;
import app.galdrin.core.procedure.slip.Slips;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Every slip that a mark sheet can name, with what is practised against it. */
public final class Drills {

    private static final Map<String, Drill> BY_SLIP = bySlip();

    private Drills() {}

    private static Map<String, Drill> bySlip() {
        Map<String, Drill> drills = new HashMap<>();
        for (Slip slip : Slips.all()) {
            drills.put(slip.key(), slip.drill());
        }
        for (PlanSlip slip : PlanSlip.values()) {
            drills.put(slip.key(), slip.drill());
        }
        for (LimitSlip slip : LimitSlip.ALL) {
            drills.put(slip.key(), Drill.LIMITS);
        }
        return Map.copyOf(drills);
    }

    /** Keys of all slips there are, of readings, workings, plans and verdicts. */
    public static Set<String> slips() {
        return BY_SLIP.keySet();
    }

    /** Empty for a slip that nobody knows any more. */
    public static Optional<Drill> against(String slip) {
        return Optional.ofNullable(BY_SLIP.get(slip));
    }
}
