package app.galdrin.core.quantity;

import app.galdrin.core.Keyed;

/** Form in which a centre shows lengths. What people type is read the same everywhere. */
public enum LengthDisplay implements Keyed {
    MILLIMETRES("mm", 0),
    SIXTEENTHS("in16", 16),
    THIRTY_SECONDS("in32", 32);

    private final String key;
    private final int parts;

    LengthDisplay(String key, int parts) {
        this.key = key;
        this.parts = parts;
    }

    /** The name in the database and the end of message keys. */
    @Override
    public String key() {
        return key;
    }

    /**
     * A length with its unit: {@code 30.2 mm}, or the nearest fraction and what it leaves over: {@code 1 3/16″ +0.04 mm}.
     *
     * @param millimetres mm
     */
    public String show(double millimetres) {
        return this == MILLIMETRES
                ? QuantityFormat.length(millimetres) + "\u00a0mm"
                : QuantityFormat.inches(millimetres, parts).withResidue();
    }

    /**
     * Returns what {@link #show} prints of a length, both mm; of a fraction what it leaves over is printed too.
     *
     * @param millimetres mm
     */
    public double rounded(double millimetres) {
        return QuantityFormat.rounded(millimetres, 2);
    }
}
