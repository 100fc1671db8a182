package app.galdrin.core.jobcard;

import app.galdrin.core.Keyed;
import java.util.List;

/**
 * Repair or event that a vehicle comes after, and the angles that have to be read for it: those that the parts taken off hold in place. Our
 * working rule; the maker's data decides.
 */
public enum Repair implements Keyed {
    NONE("none", Angle.TOE, Angle.CAMBER, Angle.CASTER),
    TRACK_ROD_END("trackRodEnd", Angle.TOE),
    STEERING_RACK("steeringRack", Angle.TOE, Angle.TURN_OUT),
    STRUT("strut", Angle.TOE, Angle.CAMBER, Angle.CASTER),
    LOWER_ARM("lowerArm", Angle.TOE, Angle.CAMBER, Angle.CASTER),
    KNUCKLE("knuckle", Angle.TOE, Angle.CAMBER, Angle.CASTER, Angle.KPI, Angle.TURN_OUT),
    SUBFRAME("subframe", Angle.TOE, Angle.CAMBER, Angle.CASTER, Angle.SETBACK, Angle.REAR_TOE, Angle.THRUST),
    REAR_ARM("rearArm", Angle.REAR_TOE, Angle.REAR_CAMBER, Angle.THRUST),
    SPRINGS("springs", Angle.TOE, Angle.CAMBER, Angle.CASTER, Angle.REAR_TOE, Angle.REAR_CAMBER, Angle.THRUST),
    KNOCK(
            "knock",
            Angle.TOE,
            Angle.CAMBER,
            Angle.CASTER,
            Angle.KPI,
            Angle.TURN_OUT,
            Angle.SETBACK,
            Angle.REAR_TOE,
            Angle.REAR_CAMBER,
            Angle.THRUST);

    private final String key;
    private final List<Angle> needs;

    Repair(String key, Angle... needs) {
        this.key = key;
        this.needs = List.of(needs);
    }

    @Override
    public String key() {
        return key;
    }

    /** Returns whether an angle has to be read after it. */
    public boolean needs(Angle angle) {
        return needs.contains(angle);
    }
}
