package app.galdrin.core.jobcard;

import app.galdrin.core.Keyed;

/** Angle that may have to be read after a repair. */
public enum Angle implements Keyed {
    TOE("toe"),
    CAMBER("camber"),
    CASTER("caster"),
    KPI("kpi"),
    TURN_OUT("turnOut"),
    SETBACK("setback"),
    REAR_TOE("rearToe"),
    REAR_CAMBER("rearCamber"),
    THRUST("thrust");

    private final String key;

    Angle(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
