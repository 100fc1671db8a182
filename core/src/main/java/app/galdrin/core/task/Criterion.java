package app.galdrin.core.task;

/** What a sitting is marked on, in the order of the work. */
public enum Criterion {
    CRITICAL_STEPS("criticalSteps", 1),
    PREPARATION("preparation", 0.5),
    READING("reading", 0.5),
    REPEATABILITY("repeatability", 0.5),
    WORKING("working", 0.5),
    VERDICT("verdict", 0.5),
    PLAN("plan", 0.5),
    AS_LEFT("asLeft", 1);

    private final String key;
    private final double creditToMeet;

    Criterion(String key, double creditToMeet) {
        this.key = key;
        this.creditToMeet = creditToMeet;
    }

    public String key() {
        return key;
    }

    /** Share of the marks from which the criterion counts as met. Safety and the vehicle's state are all or nothing. */
    public double creditToMeet() {
        return creditToMeet;
    }
}
