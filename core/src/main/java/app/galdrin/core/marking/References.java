package app.galdrin.core.marking;

import app.galdrin.core.sitting.Answers;

/**
 * The instructor's own readings of the same vehicle, each of one of its states. Empty where they have not been taken.
 *
 * @param asFound before anyone adjusted: round 0
 * @param asLeft after this apprentice adjusted, on the lines of his last round
 */
public record References(Answers asFound, Answers asLeft) {

    public static References none() {
        return new References(Answers.none(), Answers.none());
    }
}
