package app.galdrin.core.simulated;

/**
 * Slip that somebody can make on a task's sheet, which a vehicle may be set to bring out.
 *
 * @param step id of the step whose marks name it
 * @param measure id of the measuring step whose readings it is made with; empty where it is made with figures of any
 * @param slip its key
 * @param habit of somebody who makes it and nothing else wrong
 */
public record ProvokedSlip(String step, String measure, String slip, Habit habit) {

    /** Names it among those of its task. */
    public String key() {
        return step + "/" + measure + "/" + slip;
    }
}
