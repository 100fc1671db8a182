package app.galdrin.core.proof;

import app.galdrin.core.Keyed;

/** What is counted, and the share it is to reach, 0 to 1. */
public enum Measured implements Keyed {
    /** Of honest sittings, those accused of a slip. */
    HONEST_ACCUSED("honestAccused", 0, 0.001),
    /** Of honest sittings, those that lose working marks. */
    HONEST_WORKING_LOST("honestWorkingLost", 0, 0.001),
    /** Of honest sittings, those that lose repeatability marks, by the number of repeats; the worst counts. */
    HONEST_REPEATABILITY_LOST("honestRepeatabilityLost", 0, 0.05, true),
    /** Of honest figures, those that lose reading marks. */
    HONEST_READING_LOST("honestReadingLost", 0.03, 0.06),
    /** Of vehicles exactly at what is preferred, those that fail as left. */
    EXACT_FAILS_AS_LEFT("exactFailsAsLeft", 0, 0.01),
    /** Of listed slips in the working that move a figure, those named, alone or with what fits equally; by slip. */
    SLIP_NAMED("slipNamed", 0.99, 1),
    /** Of the same, those that are said to be possible only: few slips could explain as much by chance. Not held to anything. */
    SLIP_ONLY_POSSIBLE("slipOnlyPossible", 0, 1),
    /** Of slips in readings that move a figure, those named; by slip. */
    READING_SLIP_NAMED("readingSlipNamed", 0.97, 1),
    /** Of sheets with an error that is none of the listed slips, those given some slip's name. */
    UNLISTED_NAMED("unlistedNamed", 0, 0.03),
    /** Of honest figures, those within U of the truth, by procedure. */
    COVERAGE("coverage", 0.93, 0.97);

    private final String key;
    private final double least;
    private final double most;
    private final boolean worst;

    Measured(String key, double least, double most) {
        this(key, least, most, false);
    }

    Measured(String key, double least, double most, boolean worst) {
        this.key = key;
        this.least = least;
        this.most = most;
        this.worst = worst;
    }

    @Override
    public String key() {
        return key;
    }

    /** The least share there should be, 0 to 1. */
    public double least() {
        return least;
    }

    /** The greatest share there should be, 0 to 1. */
    public double most() {
        return most;
    }

    /** Whether the greatest share within it is what counts, and not that of all together. */
    boolean worst() {
        return worst;
    }
}
