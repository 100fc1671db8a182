package app.galdrin.core.marking;

import app.galdrin.core.sitting.Answers;

/**
 * The instructor's own readings of the same vehicle, each of one of its states. Empty where they have not been taken.
 *
 * @param asFound before anyone adjusted: round 0
 * @param asLeft after this apprentice adjusted, on the lines of the last round
 * @param asLeftAgain the same once more with everything set up again, where the first left it in doubt
 * @param closed whether no more will be read: what stands decides, as it did when the marks were released
 */
public record References(Answers asFound, Answers asLeft, Answers asLeftAgain, boolean closed) {

    /** Creates references as found and as left, to which a second reading may be added. */
    public References(Answers asFound, Answers asLeft, Answers asLeftAgain) {
        this(asFound, asLeft, asLeftAgain, false);
    }

    /** Creates references of a vehicle that was read once as left. */
    public References(Answers asFound, Answers asLeft) {
        this(asFound, asLeft, Answers.none());
    }

    /** The same, to which nothing more will come. */
    public References toStand() {
        return new References(asFound, asLeft, asLeftAgain, true);
    }

    /** Returns that nothing was read. */
    public static References none() {
        return new References(Answers.none(), Answers.none());
    }
}
