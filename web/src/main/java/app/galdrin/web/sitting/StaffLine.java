package app.galdrin.web.sitting;

import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Criterion;
import java.util.Optional;

/** The lines that belong to no step of the task: calling the instructor, decisions about the sitting, and their marks. */
public final class StaffLine {

    private static final String STAFF = "_staff";
    public static final String MARK = "_mark";
    private static final String WITNESS = "_witness";

    /** The flag that calls the instructor: {@link #RAISED} or {@link #ANSWERED}. */
    public static final LineKey FLAG = LineKey.of(STAFF, "needsYou");

    /** Late entries count from here on; the text is the reason. */
    public static final LineKey ADMIT = LineKey.of(STAFF, "admit");

    /** Minutes given beyond the limit. */
    public static final LineKey EXTRA_TIME = LineKey.of(STAFF, "extraTime");

    /** The bay the sitting goes on in. */
    public static final LineKey BAY = LineKey.of(STAFF, "bay");

    /** The sheet goes on at another vehicle: what was written before was of the one it was at; the text is the bay it was in. */
    public static final LineKey ANEW = LineKey.of(STAFF, "anew");

    /** The owner of the sheet where names were mixed up; the text says from whom to whom and why. */
    public static final LineKey BELONGS = LineKey.of(STAFF, "belongs");

    /** The confirmation of a reference although many lie off it the same way; the text is the reason. */
    public static final LineKey STANDS = LineKey.of(STAFF, "stands");

    /** The verifier gives the marks back; the text is the reason. They are signed and released again. */
    public static final LineKey RETURNED = LineKey.of(STAFF, "returned");

    /** The instructor has stopped the sitting at once; the text is the reason. It is over, and nobody is competent by it. */
    public static final LineKey STOPPED = LineKey.of(STAFF, "stopped");

    public static final LineKey SIGN = LineKey.of(MARK, "sign");
    public static final LineKey RELEASE = LineKey.of(MARK, "release");

    /** A release with all that is signed of its task: shown to the apprentice after {@link SittingState#BEFORE_SHOWN}, taken back until then. */
    public static final LineKey RELEASE_SOON = LineKey.of(MARK, "releaseSoon");

    public static final String RAISED = "raised";
    public static final String ANSWERED = "answered";

    private StaffLine() {}

    /** Returns the line that says that staff witnessed an item of a checklist. */
    public static LineKey witness(String step, String item) {
        return LineKey.of(WITNESS, step + "." + item);
    }

    /** Returns whether a line says something of the vehicle that a sheet is at: one of the task, or what staff witnessed there. */
    static boolean isOfVehicle(LineKey key) {
        return !isOutsideTask(key) || key.step().equals(WITNESS);
    }

    /** Returns the line of a criterion's mark given by hand. */
    public static LineKey override(Criterion.Id criterion) {
        return LineKey.of(MARK, criterion.key());
    }

    /** The criterion of a mark given by hand. */
    static Optional<Criterion.Id> criterion(LineKey key) {
        return key.step().equals(MARK) && !key.equals(SIGN) && !isRelease(key)
                ? Criterion.Id.parse(key.line())
                : Optional.empty();
    }

    static boolean isRelease(LineKey key) {
        return key.equals(RELEASE) || key.equals(RELEASE_SOON);
    }

    /** Returns whether a line is none of the task: one of these, or of the calculator's tape. It is no answer. */
    public static boolean isOutsideTask(LineKey key) {
        return key.step().startsWith("_");
    }
}
