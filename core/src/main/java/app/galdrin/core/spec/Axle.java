package app.galdrin.core.spec;

/** An axle of a two-axle vehicle. */
public enum Axle {
    FRONT("front"),
    REAR("rear");

    private final String key;

    Axle(String key) {
        this.key = key;
    }

    public String key() {
        return key;
    }
}
