package app.galdrin.core.condition;

import app.galdrin.core.Keyed;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.Suspension;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Joint of a front axle that can have play. */
public enum Joint implements Keyed {
    BALL_JOINT("ballJoint", false),
    KINGPIN("kingpin", true),
    ROD_END("rodEnd", null),
    RACK_END("rackEnd", false),
    BEARING("bearing", null),
    BUSH("bush", false);

    private final String key;
    private final Optional<Boolean> ofBeam;

    /** {@code ofBeam}: whether beam axles alone have it, or all others; null where every axle has it. */
    Joint(String key, @Nullable Boolean ofBeam) {
        this.key = key;
        this.ofBeam = Optional.ofNullable(ofBeam);
    }

    @Override
    public String key() {
        return key;
    }

    /** Returns the joints that a vehicle has. */
    public static List<Joint> all(SpecificationSheet sheet) {
        boolean isBeam = sheet.geometry().frontSuspension().equals(Optional.of(Suspension.BEAM));
        return List.of(values()).stream()
                .filter(joint -> joint.ofBeam.isEmpty() || joint.ofBeam.get() == isBeam)
                .toList();
    }
}
