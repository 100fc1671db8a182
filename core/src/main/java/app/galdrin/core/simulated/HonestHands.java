package app.galdrin.core.simulated;

import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.measure.CatalogueInstrument.Surface;
import app.galdrin.core.procedure.Hands;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Source.SetUp;
import app.galdrin.core.quantity.Quantity;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.random.RandomGenerator;

/**
 * One honest person's hands, with the habits of {@code docs/honest-hands.md}: what the eye makes of a scale, how an instrument is laid on
 * again for every reading, how a set-up is made once, and to which mark is read.
 */
public final class HonestHands implements Hands {

    /**
     * Scatter and resolution of one instrument; mm or deg.
     *
     * @param eye standard deviation of the eye between two marks
     * @param laidOn the most it is laid on wrongly, either way, mm or deg; a little is likelier than much (triangular)
     */
    public record Reading(double eye, double laidOn) {}

    /** Wander of a tape on a tread, mm either way, evenly: it is hooked again for every reading. */
    public static final double TREAD = 1.4;

    /** One person in so many reads no finer than a whole mark where an instrument shows halves of it. */
    public static final int COARSE_ONE_IN = 10;

    public static final Map<CatalogueInstrument, Reading> READINGS = new EnumMap<>(Map.ofEntries(
            Map.entry(CatalogueInstrument.RULE_MILLIMETRES, new Reading(0.15, 0.5)),
            Map.entry(CatalogueInstrument.RULE_SIXTEENTHS, new Reading(0.15, 0.5)),
            Map.entry(CatalogueInstrument.TAPE, new Reading(0.2, 1.0)),
            Map.entry(CatalogueInstrument.TAPE_SIXTEENTHS, new Reading(0.2, 1.0)),
            Map.entry(CatalogueInstrument.VERNIER, new Reading(0.02, 0.6)),
            Map.entry(CatalogueInstrument.DIGITAL_CALLIPER, new Reading(0, 0.6)),
            Map.entry(CatalogueInstrument.LASER_AND_RULER, new Reading(0.25, 0.7)),
            Map.entry(CatalogueInstrument.SLIP_PLATE, new Reading(0.05, 0.7)),
            Map.entry(CatalogueInstrument.DIGITAL_INCLINOMETER, new Reading(0, 0.12)),
            Map.entry(CatalogueInstrument.BUBBLE_LEVEL, new Reading(0.05, 0.15)),
            Map.entry(CatalogueInstrument.DIAL_ANGLE_FINDER, new Reading(0.1, 0.25)),
            Map.entry(CatalogueInstrument.VIAL_PROTRACTOR, new Reading(0.08, 0.15)),
            Map.entry(CatalogueInstrument.PHONE_LEVEL, new Reading(0, 0.35)),
            Map.entry(CatalogueInstrument.TURN_PLATE, new Reading(0.1, 0.4)),
            Map.entry(CatalogueInstrument.FLOOR_MARKS, new Reading(0.25, 1.3)),
            Map.entry(CatalogueInstrument.CHALK_AT_LOCKS, new Reading(0.5, 2)),
            Map.entry(CatalogueInstrument.FLAG_GAUGE, new Reading(0.015, 0.06)),
            Map.entry(CatalogueInstrument.FLAG_SCALE, new Reading(0.2, 0.5)),
            Map.entry(CatalogueInstrument.WHEEL_HEADS, new Reading(0, 0.025)),
            Map.entry(CatalogueInstrument.PROTRACTOR, new Reading(0.05, 0.2))));

    /** The most a set-up is off, either way, mm, by the first word of its key; a little is likelier than much (triangular). */
    public static final Map<String, Double> SET_LENGTHS = Map.ofEntries(
            Map.entry("straight", 0.7),
            Map.entry("bow", 0.3),
            Map.entry("notches", 0.7),
            Map.entry("scalesHung", 0.44),
            Map.entry("bend", 1.0),
            Map.entry("plates", 1.2),
            Map.entry("rigidFrames", 1.0),
            Map.entry("longBars", 2.0),
            Map.entry("outsideJig", 0.7),
            Map.entry("treadTape", 2.0),
            Map.entry("floorLaser", 3.0),
            Map.entry("hung", 0.7),
            Map.entry("ahead", 1.2),
            Map.entry("driven", 2.0));

    /** The same in degrees. */
    public static final Map<String, Double> SET_ANGLES = Map.of(
            "flagsHung", 0.05,
            "compensation", 0.035,
            "parallel", 0.07,
            "seat", 0.07,
            "zero", 0.13,
            "plate", 0.7,
            "face", 0.25);

    private final double clumsiness;
    private final RandomGenerator random;
    private final boolean coarse;
    private final Map<String, Double> set = new HashMap<>();

    /**
     * {@code clumsiness} is a factor on every habit of the hands, without unit: 1, or 1.5 for hands half as clumsy again.
     *
     * @param clumsiness factor on every habit of the hands: 1, or 1.5 for hands half as clumsy again
     */
    public HonestHands(double clumsiness, RandomGenerator random) {
        this.clumsiness = clumsiness;
        this.random = random;
        this.coarse = random.nextInt(COARSE_ONE_IN) == 0;
    }

    @Override
    public RandomGenerator random() {
        return random;
    }

    /** Made once and asked for as often as anyone likes. */
    @Override
    public double off(SetUp setUp) {
        return set.computeIfAbsent(setUp.key(), key -> clumsiness * triangular(most(key.split("\\.", 2)[0])));
    }

    /** Mm or rad. */
    private static double most(String word) {
        Double angle = SET_ANGLES.get(word);
        return angle == null
                ? Objects.requireNonNull(SET_LENGTHS.get(word), () -> "no habit of setting " + word)
                : Quantity.ANGLE.toCore(angle);
    }

    @Override
    public double read(Place place, double stands) {
        Reading habit = Objects.requireNonNull(READINGS.get(place.instrument()));
        double shown = stands + clumsiness * (habit.eye() * random.nextGaussian() + triangular(habit.laidOn()));
        if (place.surface() == Surface.TREAD) {
            shown += clumsiness * TREAD * (2 * random.nextDouble() - 1);
        }
        double step = step(place.instrument());
        return Math.rint(shown / step) * step;
    }

    private double step(CatalogueInstrument instrument) {
        boolean halves = instrument == CatalogueInstrument.RULE_MILLIMETRES || instrument == CatalogueInstrument.TAPE;
        return stepOf(instrument) * (coarse && halves ? 2 : 1);
    }

    /** One mark of an instrument, mm or deg. */
    public static double stepOf(CatalogueInstrument instrument) {
        return instrument.quantity().toDocument(instrument.resolution());
    }

    private double triangular(double most) {
        double one = random.nextDouble();
        double other = random.nextDouble();
        return most * (one - other);
    }
}
