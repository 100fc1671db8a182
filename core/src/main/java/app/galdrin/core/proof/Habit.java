package app.galdrin.core.proof;

import app.galdrin.core.Keyed;
import app.galdrin.core.proof.Paper.Writing;

/** Habit of rounding on the way to a worked figure; the last rounding is to the place that is asked. */
enum Habit implements Keyed {
    AT_THE_END("atTheEnd", false, false, false, Writing.NONE),
    EACH_REPEAT("eachRepeat", true, false, false, Writing.NONE),
    EACH_WHEEL("eachWheel", false, true, false, Writing.NONE),
    EACH_REPEAT_AND_WHEEL("eachRepeatAndWheel", true, true, false, Writing.NONE),
    MEANS_FIRST("meansFirst", false, false, true, Writing.NONE),
    WRITTEN_DOWN("writtenDown", false, true, false, new Writing(true, false, 0.01, Math.toDegrees(1))),
    MEANS_FIRST_WRITTEN("meansFirstWritten", false, true, true, new Writing(true, false, 0.001, Math.toDegrees(1))),
    CUT_OFF("cutOff", false, true, false, new Writing(true, true, 0.01, Math.toDegrees(1))),
    FACTOR_TO_TWO("factorToTwo", false, false, false, new Writing(false, false, 0.01, Math.toDegrees(1))),
    FACTOR_TO_THREE("factorToThree", false, false, false, new Writing(false, false, 0.001, Math.toDegrees(1))),
    FIFTY_SEVEN_POINT_THREE("fiftySevenPointThree", false, true, false, new Writing(true, false, 0.001, 57.3));

    private final String key;
    final boolean eachRepeat;
    final boolean eachWheel;
    final boolean meansFirst;
    final Writing writing;

    Habit(String key, boolean eachRepeat, boolean eachWheel, boolean meansFirst, Writing writing) {
        this.key = key;
        this.eachRepeat = eachRepeat;
        this.eachWheel = eachWheel;
        this.meansFirst = meansFirst;
        this.writing = writing;
    }

    @Override
    public String key() {
        return key;
    }
}
