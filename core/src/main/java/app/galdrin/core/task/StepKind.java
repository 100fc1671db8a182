package app.galdrin.core.task;

import app.galdrin.core.Keyed;

/** The kinds of step: a name in documents and message keys, and how each is read. */
public enum StepKind implements Keyed {
    CHECKLIST("checklist", Checklist::read),
    MEASURE("measure", Measure::read),
    WORK("work", Work::read),
    JUDGE("judge", Judge::read),
    PLAN("plan", Plan::read),
    ROUND("round", Round::read),
    HAND_IN("handIn", HandIn::read);

    private final String key;
    private final Step.Reading reading;

    StepKind(String key, Step.Reading reading) {
        this.key = key;
        this.reading = reading;
    }

    @Override
    public String key() {
        return key;
    }

    Step.Reading reading() {
        return reading;
    }
}
