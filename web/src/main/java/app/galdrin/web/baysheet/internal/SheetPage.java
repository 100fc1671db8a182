package app.galdrin.web.baysheet.internal;

import app.galdrin.web.baysheet.StepView;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.StaffLine;
import app.galdrin.web.sitting.Tape;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * The sheet: every step in its order, one of which is shown.
 *
 * @param form names this showing of it, so that a form of it that is sent twice is written once
 * @param lastSeq how many entries the sitting had when it was shown
 * @param disputed lines on which two people wrote without seeing one another, named
 * @param stopped why the instructor has stopped it; empty where they have not
 */
public record SheetPage(
        Sitting sitting,
        List<StepView> steps,
        String shown,
        UUID form,
        int lastSeq,
        List<String> disputed,
        String stopped) {

    public boolean isShown(StepView step) {
        return step.id().equals(shown);
    }

    public StepView current() {
        return steps.stream().filter(this::isShown).findFirst().orElseThrow();
    }

    /** The step after one, if there is one. */
    public Optional<StepView> after(StepView step) {
        int here = steps.indexOf(step);
        return here + 1 < steps.size() ? Optional.of(steps.get(here + 1)) : Optional.empty();
    }

    /** The line of the flag that calls the instructor, for the script. */
    public String callLine() {
        return StaffLine.FLAG.key();
    }

    /** Returns how the lines of the calculators' tapes begin, for the script. */
    public String tapeLines() {
        return Tape.LINES;
    }
}
