package app.galdrin.core.marking;

import app.galdrin.core.sitting.Answers;
import java.util.Optional;

/**
 * Readings of the same vehicle that a sitting is marked against, each of one of its states. Empty where they have not been taken.
 *
 * @param asFound the instructor's before anyone adjusted: round 0
 * @param asLeft the instructor's after this apprentice adjusted, on the lines of the last round
 * @param asLeftAgain the same once more with everything set up again, where the first left it in doubt
 * @param closed whether no more will be read: what stands decides, as it did when the marks were released
 * @param states everybody's readings in place of the instructor's alone
 */
public record References(
        Answers asFound, Answers asLeft, Answers asLeftAgain, boolean closed, Optional<StateReferences> states) {

    /** Creates an instructor's references as found and as left, to which a second reading may be added. */
    public References(Answers asFound, Answers asLeft, Answers asLeftAgain) {
        this(asFound, asLeft, asLeftAgain, false, Optional.empty());
    }

    /** Creates references of a vehicle that was read once as left. */
    public References(Answers asFound, Answers asLeft) {
        this(asFound, asLeft, Answers.none());
    }

    /** The same, to which nothing more will come. */
    public References toStand() {
        return new References(asFound, asLeft, asLeftAgain, true, states);
    }

    /** The same vehicle, known from everybody's readings. */
    public References with(StateReferences everybodys) {
        return new References(asFound, asLeft, asLeftAgain, closed, Optional.of(everybodys));
    }

    /** The same, the instructor's own readings alone. */
    public References instructorsAlone() {
        return new References(asFound, asLeft, asLeftAgain, closed, Optional.empty());
    }

    /** Returns that nothing was read. */
    public static References none() {
        return new References(Answers.none(), Answers.none());
    }
}
