package app.galdrin.core.procedure;

import app.galdrin.core.Keyed;

/** Purpose of procedures; the bench lists them under it. */
public enum Family implements Keyed {
    CASTER("caster"),
    CAMBER("camber"),
    TOE("toe"),
    AXLE("axle"),
    STEERING("steering");

    private final String key;

    Family(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
