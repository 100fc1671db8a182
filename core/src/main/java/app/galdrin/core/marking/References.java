package app.galdrin.core.marking;

import app.galdrin.core.sitting.Answers;

/**
 * The instructor's own readings of the same vehicle, each of one of its states. Empty where they have not been taken.
 *
 * @param asFound before anyone adjusted: round 0
 * @param asLeft after this apprentice adjusted, on the lines of his last round
 * @param asLeftAgain the same once more with everything set up anew, where the first left it in doubt
 */
public record References(Answers asFound, Answers asLeft, Answers asLeftAgain) {

    /** Of a vehicle as left that was read once. */
    public References(Answers asFound, Answers asLeft) {
        this(asFound, asLeft, Answers.none());
    }

    public static References none() {
        return new References(Answers.none(), Answers.none());
    }
}
