package app.galdrin.core.proof;

import app.galdrin.core.Keyed;

/** Measure that is counted, and the share it has to reach, 0 to 1. */
public enum ProofMeasure implements Keyed {
    /** Honest sittings accused of a slip; by procedure. */
    HONEST_ACCUSED("honestAccused", 0, 0.001),
    /** The same with hands half as unsteady again. */
    CLUMSY_ACCUSED("clumsyAccused", 0, 0.003),
    /** Honest sittings that lose working marks, with all habits of rounding equally often; by procedure. */
    HONEST_WORKING_LOST("honestWorkingLost", 0, 0.001),
    /** The same; by habit. */
    HABIT_WORKING_LOST("habitWorkingLost", 0, 0.001),
    /** Honest sittings that lose repeatability marks; by procedure and number of repeats. */
    HONEST_REPEATABILITY_LOST("honestRepeatabilityLost", 0, 0.05),
    /** Honest figures that lose reading marks; by procedure. */
    HONEST_READING_LOST("honestReadingLost", 0.03, 0.06),
    /** Vehicles exactly at the preferred values that fail as left; by procedure. */
    EXACT_FAILS_AS_LEFT("exactFailsAsLeft", 0, 0.01),
    /** Slips in the working that are named alone, if they move a figure and no other slip gives the same; by slip, in all figures or in one. */
    SLIP_NAMED("slipNamed", 0.97, 1),
    /** Slips at one wheel or in one repeat that are named alone; by slip. */
    PARTIAL_SLIP_NAMED("partialSlipNamed", 0.90, 1),
    /** The same slips that are given another slip's name. */
    PARTIAL_SLIP_MISNAMED("partialSlipMisnamed", 0, 0.03),
    /** Slips in readings that are named, if they move a figure and no single place or wheel explains them; by slip. */
    READING_SLIP_NAMED("readingSlipNamed", 0.97, 1),
    /** Senses chosen the wrong way that are named, if they move a figure; by procedure. */
    SENSE_SLIP_NAMED("senseSlipNamed", 0.97, 1),
    /** The same slips that are given another slip's name. */
    SENSE_SLIP_MISNAMED("senseSlipMisnamed", 0, 0.01),
    /** Sheets with figures drawn evenly that are given a slip's name. */
    UNLISTED_NAMED("unlistedNamed", 0, 0.03),
    /** Sheets with an error of the pen in a worked figure that are given a slip's name; by error. */
    HUMAN_ERROR_NAMED("humanErrorNamed", 0, 0.03),
    /** Sheets with one place misread, in every repeat or in one, that are given a slip's name; by procedure. */
    MISREAD_NAMED("misreadNamed", 0, 0.03),
    /** Honest figures within U of the truth; by procedure. */
    COVERAGE("coverage", 0.93, 1),
    /** The same where rims and tyres run out by 0.5 mm. */
    RUN_OUT_COVERAGE("runOutCoverage", 0.93, 1),
    /** Sheets that lack one entry and lose for it only where it is needed; by what is missing. */
    MISSING_COSTS_ITSELF("missingCostsItself", 1, 1);

    private final String key;
    private final double least;
    private final double most;

    ProofMeasure(String key, double least, double most) {
        this.key = key;
        this.least = least;
        this.most = most;
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
}
