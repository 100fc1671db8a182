package app.galdrin.core.measure;

/** A toe figure of the front axle that a task may ask for. */
public enum Asked {
    TOTAL("total", Seen.TOTAL_TOE),
    LEFT("left", Seen.EACH_TOE),
    RIGHT("right", Seen.EACH_TOE);

    private final String key;
    private final Seen needs;

    Asked(String key, Seen needs) {
        this.key = key;
        this.needs = needs;
    }

    public String key() {
        return key;
    }

    /** What a method must see to tell it. */
    public Seen needs() {
        return needs;
    }

    /** The same figure of the other wheel; the total is its own. */
    public Asked otherSide() {
        return switch (this) {
            case TOTAL -> TOTAL;
            case LEFT -> RIGHT;
            case RIGHT -> LEFT;
        };
    }
}
