package app.galdrin.core.workshop;

import java.util.Map;

/** Scatter of honest people who hold, set and read their tools: the sizes of {@code docs/honest-hands.md}, where each is derived. */
public final class Habits {

    private Habits() {}

    /**
     * Scatter and resolution of one instrument; mm or deg.
     *
     * @param eye standard deviation of the eye between two marks
     * @param laidOn the most it is laid on wrongly, either way, mm or deg; a little is likelier than much (triangular)
     */
    public record ReadingHabit(double eye, double laidOn) {}

    /** Wander of a tape on a tread, mm either way, evenly: it is hooked again for every reading. */
    public static final double TREAD = 1.4;

    /** One person in so many reads no finer than a whole mark where a rule shows halves of it. */
    public static final int COARSE_ONE_IN = 10;

    public static final Map<String, ReadingHabit> READINGS = Map.ofEntries(
            Map.entry("ruleMillimetres", new ReadingHabit(0.15, 0.5)),
            Map.entry("ruleSixteenths", new ReadingHabit(0.15, 0.5)),
            Map.entry("tape", new ReadingHabit(0.2, 1.0)),
            Map.entry("tapeSixteenths", new ReadingHabit(0.2, 1.0)),
            Map.entry("vernier", new ReadingHabit(0.02, 0.6)),
            Map.entry("digitalCalliper", new ReadingHabit(0, 0.6)),
            Map.entry("laserAndRuler", new ReadingHabit(0.25, 0.7)),
            Map.entry("slipPlate", new ReadingHabit(0.05, 0.7)),
            Map.entry("digitalInclinometer", new ReadingHabit(0, 0.12)),
            Map.entry("bubbleLevel", new ReadingHabit(0.05, 0.15)),
            Map.entry("dialAngleFinder", new ReadingHabit(0.1, 0.25)),
            Map.entry("vialProtractor", new ReadingHabit(0.08, 0.15)),
            Map.entry("phoneLevel", new ReadingHabit(0, 0.35)),
            Map.entry("turnPlate", new ReadingHabit(0.1, 0.4)),
            Map.entry("floorMarks", new ReadingHabit(0.25, 1.3)),
            Map.entry("chalkAtLocks", new ReadingHabit(0.5, 2)),
            Map.entry("flagGauge", new ReadingHabit(0.015, 0.06)),
            Map.entry("flagScale", new ReadingHabit(0.2, 0.5)),
            Map.entry("wheelHeads", new ReadingHabit(0, 0.025)),
            Map.entry("protractor", new ReadingHabit(0.05, 0.2)));

    /**
     * Set-up of one thing, once for all repeats.
     *
     * @param most either way, a little being likelier than much (triangular), mm; deg where {@code over} is 0
     * @param over what it lies on, mm, over which that is an angle; 0 where it is one, or where it is no angle at all
     */
    public record SetupHabit(double most, double over) {}

    /** A string touches something beside a wheel, or hangs off straight there. */
    public static final String STRING = "string";

    public static final Map<String, SetupHabit> SETTINGS = Map.ofEntries(
            Map.entry(STRING, new SetupHabit(0.7, 0)),
            Map.entry("notches", new SetupHabit(0.7, 0)),
            Map.entry("rearTyre", new SetupHabit(1.3, 600)),
            Map.entry("beam", new SetupHabit(0.07, 0)),
            Map.entry("plates", new SetupHabit(0.7, 560)),
            Map.entry("rigidFrames", new SetupHabit(0.45, 400)),
            Map.entry("longBars", new SetupHabit(0.35, 400)),
            Map.entry("outsideJig", new SetupHabit(0.7, 0)),
            Map.entry("treadTape", new SetupHabit(2.0, 0)),
            Map.entry("floorLaser", new SetupHabit(0.2, 400)),
            Map.entry("flagGauges", new SetupHabit(0.05, 0)),
            Map.entry("heads", new SetupHabit(0.035, 0)),
            Map.entry("gaugeFeet", new SetupHabit(0.07, 0)),
            Map.entry("floorZero", new SetupHabit(0.13, 0)),
            Map.entry("plumbLine", new SetupHabit(0.7, 416)),
            Map.entry("turnPlateZero", new SetupHabit(0.7, 0)),
            Map.entry("axisFace", new SetupHabit(0.25, 0)),
            Map.entry("straightAhead", new SetupHabit(1.2, 0)),
            Map.entry("pass", new SetupHabit(2.0, 0)));
}
