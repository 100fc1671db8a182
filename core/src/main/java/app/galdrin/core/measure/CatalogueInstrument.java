package app.galdrin.core.measure;

import app.galdrin.core.Keyed;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.Unit;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

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
public enum CatalogueInstrument implements Keyed {
    RULE_MILLIMETRES("ruleMillimetres", Unit.MM, 0.5, 0.26, Use.GAP, Use.SPACING),
    RULE_SIXTEENTHS("ruleSixteenths", Unit.IN, Unit.IN.factor() / 16, 0.26, Use.GAP, Use.SPACING, Use.BEAM),
    TAPE("tape", Unit.MM, 0.5, 0.48, Use.SPAN, Use.SPACING),
    TAPE_SIXTEENTHS("tapeSixteenths", Unit.IN, Unit.IN.factor() / 16, 0.48, Use.SPAN, Use.SPACING),
    /** A string gives way under its jaw, whatever its scale shows. */
    VERNIER("vernier", Unit.MM, 0.05, 0.25, Use.GAP),
    DIGITAL_CALLIPER("digitalCalliper", Unit.MM, 0.01, 0.25, Use.GAP),
    LASER_AND_RULER("laserAndRuler", Unit.MM, 0.5, 0.4, Use.BEAM),
    SLIP_PLATE("slipPlate", Unit.MM, 0.1, 0.3, Use.SLIP),
    DIGITAL_INCLINOMETER("digitalInclinometer", Unit.DEG, 0.05, 0.05, Use.LEVEL, Use.AXIS),
    BUBBLE_LEVEL("bubbleLevel", Unit.DEG, 0.25, 0.08, Use.LEVEL),
    DIAL_ANGLE_FINDER("dialAngleFinder", Unit.DEG, 0.5, 0.15, Use.LEVEL, Use.AXIS),
    VIAL_PROTRACTOR("vialProtractor", Unit.DEG, 0.5, 0.1, Use.LEVEL, Use.AXIS),
    PHONE_LEVEL("phoneLevel", Unit.DEG, 1, 0.15, Use.LEVEL, Use.AXIS),
    TURN_PLATE("turnPlate", Unit.DEG, 0.5, 0.2, Use.STEER),
    FLOOR_MARKS("floorMarks", Unit.DEG, 1, 0.6, Use.STEER),
    CHALK_AT_LOCKS("chalkAtLocks", Unit.DEG, 1, 1, Use.STEER),
    FLAG_GAUGE("flagGauge", Unit.ARCMIN, 5 / 60.0, 0.03, Use.FLAG),
    FLAG_SCALE("flagScale", Unit.MM, 0.5, 0.26, Use.FLAG_SCALE),
    WHEEL_HEADS("wheelHeads", Unit.DEG, 0.01, 0.01, Use.HEAD),
    PROTRACTOR("protractor", Unit.DEG, 0.25, 0.1, Use.AXIS);

    /** Surface that the reading is taken from. */
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

        /** Returns what it adds to a length read from it, mm. */
        public double standardUncertainty() {
            return standardUncertainty;
        }
    }

    private final String key;
    private final Unit unit;
    private final double resolution;
    private final double handling;
    private final Set<Use> uses;

    /** {@code resolution} and {@code handling} in mm or degrees. */
    CatalogueInstrument(String key, Unit unit, double resolution, double handling, Use... uses) {
        this.key = key;
        this.unit = unit;
        this.resolution = unit.quantity().toCore(resolution);
        this.handling = unit.quantity().toCore(handling);
        this.uses = Set.of(uses);
    }

    /** The end of message keys and the word in documents. */
    @Override
    public String key() {
        return key;
    }

    /** {@link Quantity#LENGTH} reads in mm, {@link Quantity#ANGLE} in rad. */
    public Quantity quantity() {
        return unit.quantity();
    }

    /** Returns what a figure read on it counts as where no unit is written. */
    public Unit unit() {
        return unit;
    }

    /** Returns what it does for. */
    public Set<Use> uses() {
        return uses;
    }

    /** Smallest step that is read, mm or rad. */
    public double resolution() {
        return resolution;
    }

    /** Returns the standard uncertainty of a single reading from this surface, mm or rad. An angle is read from metal, whatever the surface. */
    public double standardUncertainty(Surface surface) {
        return standardUncertainty(surface, resolution);
    }

    /**
     * The same of one whose scale has another smallest step.
     *
     * @param step mm or rad, 0 or more
     */
    public double standardUncertainty(Surface surface, double step) {
        return Math.hypot(step / Math.sqrt(12), scatter(surface));
    }

    private double scatter(Surface surface) {
        return quantity() == Quantity.LENGTH ? Math.hypot(handling, surface.standardUncertainty()) : handling;
    }

    /**
     * Returns the instrument for a forward model: trained hands on a surface with so many times their usual scatter (0 or more), in mm or rad, which
     * round as they read; 0 reads without scatter and rounds nothing.
     *
     * @param handlingFactor factor on the scatter of trained hands, 0 or more
     */
    public Instrument inHands(double handlingFactor, Surface surface) {
        return handlingFactor == 0 ? Instrument.PERFECT : new Instrument(resolution, handlingFactor * scatter(surface));
    }

    /** Returns the instrument for a forward model: it scatters by handling and surface, then rounds to the resolution. */
    public Instrument on(Surface surface) {
        return new Instrument(resolution, scatter(surface));
    }

    /** Returns the instrument that something is done with where nobody says otherwise. */
    public static CatalogueInstrument usualFor(Use use) {
        return switch (use) {
            case GAP, SPACING -> RULE_MILLIMETRES;
            case SPAN -> TAPE;
            case BEAM -> LASER_AND_RULER;
            case LEVEL -> DIGITAL_INCLINOMETER;
            case STEER -> TURN_PLATE;
            case AXIS -> PROTRACTOR;
            case FLAG -> FLAG_GAUGE;
            case FLAG_SCALE -> FLAG_SCALE;
            case HEAD -> WHEEL_HEADS;
            case SLIP -> SLIP_PLATE;
        };
    }

    /** Returns the instruments that do for a use. */
    public static List<CatalogueInstrument> allFor(Use use) {
        return Stream.of(values()).filter(i -> i.uses().contains(use)).toList();
    }
}
