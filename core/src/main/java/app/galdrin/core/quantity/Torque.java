package app.galdrin.core.quantity;

import app.galdrin.core.Keyed;

/** Units of torque. 1 lbf = 4.4482216152605 N, 1 in = 25.4 mm, 1 kgf = 9.80665 N, all exact [SP811]. */
public enum Torque implements Keyed {
    NEWTON_METRE("N\u00b7m", 1),
    POUND_FOOT("lbf\u00b7ft", 4.4482216152605 * 0.3048),
    POUND_INCH("lbf\u00b7in", 4.4482216152605 * 0.0254),
    KILOPOND_METRE("kgf\u00b7m", 9.80665);

    private final String symbol;
    private final double newtonMetres;

    Torque(String symbol, double newtonMetres) {
        this.symbol = symbol;
        this.newtonMetres = newtonMetres;
    }

    /** As it is written, with a middle dot. */
    @Override
    public String key() {
        return symbol;
    }

    /** Newton metres in one of this unit. */
    public double newtonMetres() {
        return newtonMetres;
    }

    /** A torque in this unit, in another. */
    public double convert(double value, Torque to) {
        return value * newtonMetres / to.newtonMetres;
    }
}
