package app.galdrin.core.marking;

/** Errors of the pen: the right figure with its point moved, or with two neighbouring digits exchanged. They explain figures without a slip. */
final class PenError {

    private static final double TEN = 10;

    private static final double SHOWN = 1e-9;

    /** Places from zero within which a figure is written as zero. */
    private static final double TOLD = 0.5;

    /** More digits than any figure has. */
    private static final double MOST = 1e9;

    private PenError() {}

    /** Returns whether one of them gives what was written, to its place. */
    static boolean explains(WorkedAnswer one) {
        return isMoved(one, one.right() * TEN) || isMoved(one, one.right() / TEN) || isExchanged(one);
    }

    /** Returns whether the decimal point was moved and the digits were kept, to no coarser a place. */
    private static boolean isMoved(WorkedAnswer one, double moved) {
        double finest = one.item().unit().step() * Math.max(1, Math.abs(moved / one.right()));
        boolean kept = one.place() <= finest * (1 + SHOWN);
        return kept && Math.abs(moved) > TOLD * one.place() && Math.abs(one.wrote() - moved) <= finest / 2 + SHOWN;
    }

    /** The digits counted from the place it was written to. */
    private static boolean isExchanged(WorkedAnswer one) {
        double right = Math.abs(one.right()) / one.place();
        double wrote = Math.abs(one.wrote()) / one.place();
        boolean sameSide = one.right() * one.wrote() > 0;
        boolean kept = one.place() <= one.item().unit().step() * (1 + SHOWN);
        return kept
                && sameSide
                && right > TEN
                && Math.max(right, wrote) < MOST
                && exchanged(Math.round(right), Math.round(wrote));
    }

    /** Two neighbouring digits a and b exchanged move a number by 9 (a − b) times their power of ten. */
    private static boolean exchanged(long right, long wrote) {
        for (long power = 1; power <= Math.max(right, wrote); power *= 10) {
            long first = right / (10 * power) % 10;
            long second = right / power % 10;
            if (first != second && wrote == right - 9 * (first - second) * power) {
                return true;
            }
        }
        return false;
    }
}
