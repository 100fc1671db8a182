package app.galdrin.core.spec;

import app.galdrin.core.Keyed;

/** Direction in which a part is moved. */
public enum Direction implements Keyed {
    LENGTHEN("lengthen"),
    SHORTEN("shorten"),
    OUTWARD("outward"),
    INWARD("inward"),
    TOP_OUT("topOutward"),
    TOP_IN("topInward"),
    ADD("add"),
    REMOVE("remove"),
    TO_THE_LEFT("toTheLeft"),
    TO_THE_RIGHT("toTheRight"),
    LEAVE("leave");

    private final String key;

    Direction(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }
}
