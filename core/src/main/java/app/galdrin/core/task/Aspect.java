package app.galdrin.core.task;

import app.galdrin.core.Keyed;

/** Marked aspect of a step. A step under an aspect is a criterion. */
public enum Aspect implements Keyed {
    /** The safety-critical lines of a checklist. */
    CRITICAL("critical", 1),
    /** Its other lines. */
    DONE("done", 0.5),
    READING("reading", 0.5),
    REPEATABILITY("repeatability", 0.5),
    WORKING("working", 0.5),
    VERDICT("verdict", 0.5),
    PLAN("plan", 0.5),
    /** The order in which parts were moved. */
    ORDER("order", 0.5),
    AS_LEFT("asLeft", 1),
    /** Answers to what was asked. */
    ANSWER("answer", 0.5),
    /** Time of the work, where it has a limit. */
    TIME("time", 0.5);

    private final String key;
    private final double creditToMeet;

    Aspect(String key, double creditToMeet) {
        this.key = key;
        this.creditToMeet = creditToMeet;
    }

    @Override
    public String key() {
        return key;
    }

    /** Share of the marks from which it counts as met. Safety and the vehicle's state are all or nothing. */
    public double creditToMeet() {
        return creditToMeet;
    }
}
