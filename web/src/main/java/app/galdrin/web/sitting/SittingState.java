package app.galdrin.web.sitting;

import app.galdrin.core.sitting.LineKey;
import app.galdrin.web.account.Role;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * State of a sitting for lists and guards, defined once. Written with each entry; {@link #after} over all
 * entries makes it again.
 *
 * @param apprenticeEntries how many entries apprentices have written; staff's have a limit of their own
 * @param handedInAt when the sheet was handed in or stopped; null before, and again once it is given back
 * @param baySince when it came into that bay, whose survey of then it keeps; null for one from before surveys were kept
 * @param stopped whether the instructor has stopped it: it is over, and was not handed in
 * @param lateWaiting entries that came after the hand-in and wait for the instructor
 */
public record SittingState(
        int lastSeq,
        int apprenticeEntries,
        int staffEntries,
        @Nullable String lastStep,
        int lastRound,
        @Nullable Instant lastAt,
        boolean flagged,
        @Nullable Instant handedInAt,
        int lateWaiting,
        int extraMinutes,
        @Nullable Integer bay,
        @Nullable Instant baySince,
        boolean signed,
        @Nullable Instant releasedAt,
        boolean stopped) {

    /** Time for which a release with its whole task can be taken back; its apprentices see nothing before. */
    public static final Duration BEFORE_SHOWN = Duration.ofMinutes(10);

    static SittingState begun(@Nullable Integer bay, @Nullable Instant since) {
        return new SittingState(0, 0, 0, null, 0, null, false, null, 0, 0, bay, since, false, null, false);
    }

    public boolean handedIn() {
        return handedInAt != null;
    }

    public boolean released() {
        return releasedAt != null;
    }

    /** Returns whether the apprentice sees their marks: those released with their task can still be taken back for a while. */
    public boolean shown() {
        return releasedAt != null && !releasedAt.isAfter(Instant.now());
    }

    /** The state once this entry is written. */
    SittingState after(Entry e, LineKey handIn) {
        boolean byApprentice = e.role() == Role.APPRENTICE;
        LineKey line = e.line();
        boolean ofTask = !StaffLine.isOutsideTask(line);
        boolean changesMarks = !line.equals(StaffLine.FLAG) && !StaffLine.isRelease(line) && !e.late();
        return new SittingState(
                e.seq(),
                apprenticeEntries + (byApprentice ? 1 : 0),
                staffEntries + (byApprentice ? 0 : 1),
                ofTask && byApprentice ? line.step() : lastStep,
                ofTask && byApprentice ? line.round() : lastRound,
                e.receivedAt(),
                line.equals(StaffLine.FLAG) ? !e.isStrike() && e.written().equals(StaffLine.RAISED) : flagged,
                ends(e, handIn) ? (e.isStrike() ? null : e.receivedAt()) : handedInAt,
                lateWaiting(e),
                line.equals(StaffLine.EXTRA_TIME) && !e.isStrike() ? extraMinutes + number(e.value()) : extraMinutes,
                line.equals(StaffLine.BAY) && !e.isStrike() ? Integer.valueOf(number(e.value())) : bay,
                line.equals(StaffLine.BAY) && !e.isStrike() ? e.receivedAt() : baySince,
                line.equals(StaffLine.SIGN) ? !e.isStrike() : signed && !changesMarks,
                released(e),
                line.equals(StaffLine.STOPPED) ? !e.isStrike() : stopped);
    }

    private @Nullable Instant released(Entry e) {
        if (StaffLine.isRelease(e.line()) && !e.isStrike()) {
            return e.line().equals(StaffLine.RELEASE)
                    ? e.receivedAt()
                    : e.receivedAt().plus(BEFORE_SHOWN);
        }
        return StaffLine.isRelease(e.line()) || e.line().equals(StaffLine.RETURNED) ? null : releasedAt;
    }

    private static boolean ends(Entry e, LineKey handIn) {
        return e.line().equals(StaffLine.STOPPED) || e.line().equals(handIn) && !e.late();
    }

    private int lateWaiting(Entry e) {
        if (e.line().equals(StaffLine.ADMIT)) {
            return 0;
        }
        return lateWaiting + (e.late() ? 1 : 0);
    }

    private static int number(@Nullable BigDecimal value) {
        return value == null ? 0 : value.intValue();
    }
}
