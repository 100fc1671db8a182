package app.galdrin.core.proof;

import app.galdrin.core.Keyed;

/** What is counted, and the share it is to reach, 0 to 1. */
public enum ProofMeasure implements Keyed {
    /** Of honest sittings, those accused of a slip; by procedure. */
    HONEST_ACCUSED("honestAccused", 0, 0.001),
    /** The same of hands half as large again. */
    CLUMSY_ACCUSED("clumsyAccused", 0, 0.003),
    /** Of honest sittings, those that lose working marks, all habits of rounding alike often; by procedure. */
    HONEST_WORKING_LOST("honestWorkingLost", 0, 0.001),
    /** The same; by habit. */
    HABIT_WORKING_LOST("habitWorkingLost", 0, 0.001),
    /** Of honest sittings, those that lose repeatability marks; by procedure and number of repeats. */
    HONEST_REPEATABILITY_LOST("honestRepeatabilityLost", 0, 0.05),
    /** Of honest figures, those that lose reading marks; by procedure. */
    HONEST_READING_LOST("honestReadingLost", 0.03, 0.06),
    /** Of vehicles exactly at what is preferred, those that fail as left; by procedure. */
    EXACT_FAILS_AS_LEFT("exactFailsAsLeft", 0, 0.01),
    /** Of slips in the working that move a figure and that no other gives as well, those named alone; by slip, in all figures or in one. */
    SLIP_NAMED("slipNamed", 0.97, 1),
    /** Of slips at one wheel or in one repeat, those named alone; by slip. */
    PARTIAL_SLIP_NAMED("partialSlipNamed", 0.90, 1),
    /** Of the same, those given another slip's name. */
    PARTIAL_SLIP_MISNAMED("partialSlipMisnamed", 0, 0.03),
    /** Of slips in readings that move a figure and that no single place or wheel explains, those named; by slip. */
    READING_SLIP_NAMED("readingSlipNamed", 0.97, 1),
    /** Of senses chosen the wrong way that move a figure, those named; by procedure. */
    SENSE_SLIP_NAMED("senseSlipNamed", 0.97, 1),
    /** Of the same, those given another slip's name. */
    SENSE_SLIP_MISNAMED("senseSlipMisnamed", 0, 0.01),
    /** Of sheets with figures drawn evenly, those given some slip's name. */
    UNLISTED_NAMED("unlistedNamed", 0, 0.03),
    /** Of sheets with an error of the pen in a worked figure, those given some slip's name; by error. */
    HUMAN_ERROR_NAMED("humanErrorNamed", 0, 0.03),
    /** Of sheets with one place misread, in every repeat or in one, those given some slip's name; by procedure. */
    MISREAD_NAMED("misreadNamed", 0, 0.03),
    /** Of honest figures, those within U of the truth; by procedure. */
    COVERAGE("coverage", 0.93, 1),
    /** The same where rims and tyres run out by 0.5 mm. */
    RUN_OUT_COVERAGE("runOutCoverage", 0.93, 1),
    /** Of sheets that lack one entry, those that lose for it only where it is needed; by what is missing. */
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
