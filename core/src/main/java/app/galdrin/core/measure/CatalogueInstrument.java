package app.galdrin.core.measure;

import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.Unit;

/**
 * The instruments of a workshop and how well each reads in trained hands. The standard uncertainty of a reading is
 *
 * <pre>
 * u² = resolution² / 12 + handling² + surface²
 * </pre>
 *
 * <p>A figure rounded to a step is as likely anywhere within it, which gives step / √12 [GUM, F.2.2.1]; handling is the scatter of
 * laying the instrument on and lining up the eye; the surface adds what it hides. The handling figures are Galdrin's own
 * working values: a centre that has repeated readings of its own goes by those.
 */
public enum CatalogueInstrument {
    RULE_MILLIMETRES("ruleMillimetres", Quantity.LENGTH, 0.5, 0.26),
    RULE_SIXTEENTHS("ruleSixteenths", Quantity.LENGTH, Unit.IN.factor() / 16, 0.26),
    TAPE("tape", Quantity.LENGTH, 0.5, 0.48),
    VERNIER("vernier", Quantity.LENGTH, 0.05, 0.05),
    DIGITAL_CALLIPER("digitalCalliper", Quantity.LENGTH, 0.01, 0.05),
    LASER_AND_RULER("laserAndRuler", Quantity.LENGTH, 0.5, 0.4),
    SLIP_PLATE("slipPlate", Quantity.LENGTH, 0.1, 0.3),
    BUBBLE_LEVEL("bubbleLevel", Quantity.ANGLE, Math.toRadians(0.25), Math.toRadians(0.08)),
    DIGITAL_INCLINOMETER("digitalInclinometer", Quantity.ANGLE, Math.toRadians(0.05), Math.toRadians(0.05)),
    TURN_PLATE("turnPlate", Quantity.ANGLE, Math.toRadians(0.5), Math.toRadians(0.2)),
    FLAG_GAUGE("flagGauge", Quantity.ANGLE, Math.toRadians(5 / 60.0), Math.toRadians(0.03)),
    WHEEL_HEADS("wheelHeads", Quantity.ANGLE, Math.toRadians(0.01), Math.toRadians(0.01)),
    PROTRACTOR("protractor", Quantity.ANGLE, Math.toRadians(0.25), Math.toRadians(0.1));

    /** What the reading is taken from. */
    public enum Surface {
        /** A metal rim or another machined face. */
        RIM("rim", 0),
        /** A tyre tread: ribs that wander, lumps and lettering, mm. */
        TREAD("tread", 0.8);

        private final String key;
        private final double standardUncertainty;

        Surface(String key, double standardUncertainty) {
            this.key = key;
            this.standardUncertainty = standardUncertainty;
        }

        /** The end of message keys. */
        public String key() {
            return key;
        }

        /** What it adds to a length read from it, mm. */
        public double standardUncertainty() {
            return standardUncertainty;
        }
    }

    private final String key;
    private final Quantity quantity;
    private final double resolution;
    private final double handling;

    CatalogueInstrument(String key, Quantity quantity, double resolution, double handling) {
        this.key = key;
        this.quantity = quantity;
        this.resolution = resolution;
        this.handling = handling;
    }

    /** The end of message keys and the word in documents. */
    public String key() {
        return key;
    }

    /** {@link Quantity#LENGTH} reads in mm, {@link Quantity#ANGLE} in rad. */
    public Quantity quantity() {
        return quantity;
    }

    /** Smallest step that is read, mm or rad. */
    public double resolution() {
        return resolution;
    }

    /** Of a single reading from this surface, mm or rad; an angle is read from metal, whatever the surface. */
    public double standardUncertainty(Surface surface) {
        return Math.hypot(resolution / Math.sqrt(12), scatter(surface));
    }

    private double scatter(Surface surface) {
        return quantity == Quantity.LENGTH ? Math.hypot(handling, surface.standardUncertainty()) : handling;
    }

    /**
     * For a forward model: trained hands on metal with so many times their usual scatter (0 or more), in mm or rad, which round as
     * they read; 0 reads without scatter and rounds nothing.
     */
    public Instrument inHands(double handlingFactor) {
        return handlingFactor == 0 ? Instrument.PERFECT : new Instrument(resolution, handlingFactor * handling);
    }

    /** For a forward model: scatters by handling and surface, then rounds to the resolution. */
    public Instrument on(Surface surface) {
        return new Instrument(resolution, scatter(surface));
    }
}
