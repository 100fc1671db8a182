package app.galdrin.core.task;

/** A toe figure of the front axle that a task may ask for. */
public enum Asked {
    TOTAL("total"),
    LEFT("left"),
    RIGHT("right");

    private final String key;

    Asked(String key) {
        this.key = key;
    }

    public String key() {
        return key;
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
