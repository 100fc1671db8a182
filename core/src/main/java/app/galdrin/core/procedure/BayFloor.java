package app.galdrin.core.procedure;

/**
 * The slope of a bay's floor as it was surveyed, in the frame of {@link app.galdrin.core.geometry.Floor}.
 *
 * @param bay its number, which names the source of doubt
 * @param pitch rad, −10° to 10°: the front of the bay is higher
 * @param roll rad, −10° to 10°: the left side is higher
 * @param standardUncertainty of each, rad, 0 or more
 */
public record BayFloor(int bay, double pitch, double roll, double standardUncertainty) {

    /** A bay nobody has surveyed: taken as level and exact. */
    public static final BayFloor UNSURVEYED = new BayFloor(0, 0, 0, 0);

    /** The same bay, its slopes multiplied. */
    BayFloor sloped(double factor) {
        return new BayFloor(bay, factor * pitch, factor * roll, standardUncertainty);
    }

    boolean level() {
        return pitch == 0 && roll == 0;
    }
}
