package app.galdrin.web.sitting;

import app.galdrin.core.sitting.LineKey;
import app.galdrin.web.account.Role;
import java.math.BigDecimal;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * What lists and guards need to know of a sitting, one definition for the whole house. Written with each entry; {@link #after} over all
 * entries makes it anew.
 *
 * @param apprenticeEntries how many entries apprentices have written; staff's have a limit of their own
 * @param handedInAt when the sheet was handed in or stopped; null before, and again once it is given back
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
        boolean signed,
        @Nullable Instant releasedAt) {

    static SittingState begun(@Nullable Integer bay) {
        return new SittingState(0, 0, 0, null, 0, null, false, null, 0, 0, bay, false, null);
    }

    public boolean handedIn() {
        return handedInAt != null;
    }

    public boolean released() {
        return releasedAt != null;
    }

    /** The state once this entry is written. */
    SittingState after(Entry e, LineKey handIn) {
        boolean byApprentice = e.role() == Role.APPRENTICE;
        LineKey line = e.line();
        boolean ofTask = !StaffLine.isStaffLine(line);
        boolean changesMarks = !line.equals(StaffLine.FLAG) && !line.equals(StaffLine.RELEASE) && !e.late();
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
                line.equals(StaffLine.SIGN) ? !e.isStrike() : signed && !changesMarks,
                line.equals(StaffLine.RELEASE) ? e.receivedAt() : line.equals(StaffLine.RETURNED) ? null : releasedAt);
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
