package app.galdrin.core.measure;

import java.util.Arrays;
import java.util.Comparator;

/**
 * Compares rotations of a wheel: those that count as the same position. Rotations are taken to one turn; going up in order, each belongs to
 * the last one that counted unless it is more than 5° above it; the last that counted is dropped again, and all that belongs
 * to it goes to the first, if it is within 5° of the first across the full turn.
 */
final class Rotations {

    private static final double TURN = 2 * Math.PI;
    private static final double SAME = Math.toRadians(5);

    /** Allowed for binary rounding, 1e-9°. */
    private static final double ROUNDING = Math.toRadians(1e-9);

    private final int[] groups;
    private final int distinct;
    private final double gap;

    /** {@code gap}: between the first two that counted, rad. */
    private Rotations(int[] groups, int distinct, double gap) {
        this.groups = groups;
        this.distinct = distinct;
        this.gap = gap;
    }

    /** Groups rotations (rad, any size); there must be one at least. */
    static Rotations of(double[] rotations) {
        double[] inTurn = new double[rotations.length];
        Integer[] order = new Integer[rotations.length];
        for (int i = 0; i < order.length; i++) {
            inTurn[i] = inTurn(rotations[i]);
            order[i] = i;
        }
        Arrays.sort(order, Comparator.comparingDouble(i -> inTurn[i]));
        int[] groups = new int[inTurn.length];
        double[] counted = new double[inTurn.length];
        int last = 0;
        counted[0] = inTurn[order[0]];
        for (int i : order) {
            if (inTurn[i] - counted[last] > SAME + ROUNDING) {
                counted[++last] = inTurn[i];
            }
            groups[i] = last;
        }
        if (last > 0 && counted[0] + TURN - counted[last] <= SAME + ROUNDING) {
            for (int i = 0; i < groups.length; i++) {
                groups[i] = groups[i] == last ? 0 : groups[i];
            }
            last--;
        }
        return new Rotations(groups, last + 1, last > 0 ? counted[1] - counted[0] : 0);
    }

    private static double inTurn(double rotation) {
        double rest = rotation % TURN;
        return rest < 0 ? rest + TURN : rest;
    }

    int distinct() {
        return distinct;
    }

    /** The position a reading belongs to, from 0. */
    int groupOf(int reading) {
        return groups[reading];
    }

    boolean twoOpposite() {
        return distinct == 2 && Math.abs(gap - Math.PI) <= SAME + ROUNDING;
    }
}
