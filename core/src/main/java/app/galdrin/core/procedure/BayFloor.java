package app.galdrin.core.procedure;

import app.galdrin.core.Keyed;
import app.galdrin.core.uncertainty.DoubtSource;

/**
 * The slope of the floor in a bay, in the frame of {@link app.galdrin.core.geometry.Floor}.
 *
 * @param bay its number, which names the source of doubt; 0 where nobody names bays
 * @param pitch rad, −10° to 10°: the front of the vehicle is higher; 0 where it is not known
 * @param roll rad, −10° to 10°: the left side is higher; 0 where it is not known
 * @param standardUncertainty of each, rad, 0 or more
 * @param origin how it is known
 */
public record BayFloor(int bay, double pitch, double roll, double standardUncertainty, Origin origin) {

    /** Origin of a slope. */
    public enum Origin {
        /** Surveyed: the same for everyone who measures in the bay. */
        SURVEYED,
        /** Read by the person who measured there. */
        READ,
        /** Slope that nobody has surveyed; it has to be read. */
        NOT_KNOWN
    }

    /** A slope of the floor, as a line of a sheet and in the sources of a calculation. */
    public enum Slope implements Keyed {
        PITCH("floorPitch", "pitch"),
        ROLL("floorRoll", "roll");

        private final String key;
        private final String source;

        Slope(String key, String source) {
            this.key = key;
            this.source = source;
        }

        @Override
        public String key() {
            return key;
        }
    }

    /** Level and exact, as it is said to be: where no slope matters, and in documents that say nothing of a floor. */
    public static final BayFloor LEVEL = new BayFloor(0, 0, 0, 0);

    /** Creates a surveyed floor; {@code pitch}, {@code roll} and their uncertainty in rad. */
    public BayFloor(int bay, double pitch, double roll, double standardUncertainty) {
        this(bay, pitch, roll, standardUncertainty, Origin.SURVEYED);
    }

    /** The floor of a bay that nobody has surveyed. */
    public static BayFloor unsurveyed(int bay) {
        return new BayFloor(bay, 0, 0, 0, Origin.NOT_KNOWN);
    }

    /**
     * The same bay, its slopes read where the vehicle stands; rad.
     *
     * @param alongVehicle rad, the front higher positive
     * @param acrossVehicle rad, the left side higher positive
     * @param doubt standard uncertainty of each, rad, 0 or more
     */
    public BayFloor read(double alongVehicle, double acrossVehicle, double doubt) {
        return new BayFloor(bay, alongVehicle, acrossVehicle, doubt, Origin.READ);
    }

    /** Returns whether somebody has surveyed or read it. */
    public boolean isKnown() {
        return origin != Origin.NOT_KNOWN;
    }

    /** rad. */
    double of(Slope slope) {
        return slope == Slope.PITCH ? pitch : roll;
    }

    /** A slope as a source of doubt: a survey is shared by all who measure there, a reading is one's own. */
    DoubtSource source(Slope slope) {
        return origin == Origin.READ
                ? DoubtSource.shared(DoubtSource.Origin.SET_UP, "setUp.floorRead." + slope.source)
                : DoubtSource.shared(DoubtSource.Origin.BAY, "bay." + slope.source + "." + bay);
    }

    /**
     * The same bay, its slopes multiplied.
     *
     * @param factor without unit
     */
    public BayFloor sloped(double factor) {
        return new BayFloor(bay, factor * pitch, factor * roll, standardUncertainty, origin);
    }

    /** Returns whether it is said to have no slope. */
    public boolean level() {
        return pitch == 0 && roll == 0;
    }
}
