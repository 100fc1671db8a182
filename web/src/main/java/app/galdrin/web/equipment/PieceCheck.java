package app.galdrin.web.equipment;

import app.galdrin.core.equipment.WorkshopCheck;
import java.time.LocalDate;

/**
 * A check of a piece that the workshop did by itself.
 *
 * @param firstReading mm or deg
 * @param secondReading mm or deg
 * @param madeBy who wrote it
 */
public record PieceCheck(
        WorkshopCheck kind, double firstReading, double secondReading, LocalDate doneOn, String madeBy) {

    /** Returns what the piece shows too much, mm or deg. */
    public double error() {
        return kind.error(firstReading, secondReading);
    }
}
