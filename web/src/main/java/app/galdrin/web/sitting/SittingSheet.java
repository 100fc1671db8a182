package app.galdrin.web.sitting;

import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.task.Assignment;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.UUID;

/** The lines of a sitting's sheet. They follow from its task and its vehicle's sheet, which never change, and every entry asks for them. */
public final class SittingSheet {

    private static final int MOST_KEPT = 500;

    private static final Cache<TaskOnSheet, Sheet> SHEETS =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

    private record TaskOnSheet(UUID taskId, UUID sheetId, boolean floorKnown) {}

    private SittingSheet() {}

    /** Returns the sheet of a sitting. */
    public static Sheet of(Sitting sitting) {
        boolean floorKnown = sitting.floor().isKnown();
        var key = new TaskOnSheet(sitting.task().id(), sitting.sheet().id(), floorKnown);
        return SHEETS.get(
                key,
                ids -> new Sheet(new Assignment(
                        sitting.task().practical(),
                        sitting.sheet().sheet(),
                        floorKnown ? BayFloor.LEVEL : BayFloor.unsurveyed(0))));
    }
}
