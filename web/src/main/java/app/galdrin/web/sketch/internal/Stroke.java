package app.galdrin.web.sketch.internal;

import app.galdrin.web.sketch.Box;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** A straight stretch of a stroke that words must not stand on. {@code option} as in {@link Pen#when}. */
record Stroke(
        double x1,
        double y1,
        double x2,
        double y2,
        @Nullable String option) {

    /** Faint stroke of what is there already: the halo of words interrupts it. */
    private static final Set<String> FAINT = Set.of("body", "axle", "centreline", "hatch", "leader", "witness");

    static boolean isFaint(String style) {
        return FAINT.contains(style);
    }

    /** Returns whether it goes through a box: cut by its sides one after the other. */
    boolean crosses(Box box) {
        double from = 0;
        double to = 1;
        double[] step = {x2 - x1, y2 - y1};
        double[] at = {x1, y1};
        double[] low = {box.x(), box.y()};
        double[] high = {box.x() + box.width(), box.y() + box.height()};
        for (int i = 0; i < 2; i++) {
            if (step[i] == 0) {
                if (at[i] < low[i] || at[i] > high[i]) {
                    return false;
                }
            } else {
                double one = (low[i] - at[i]) / step[i];
                double other = (high[i] - at[i]) / step[i];
                from = Math.max(from, Math.min(one, other));
                to = Math.min(to, Math.max(one, other));
            }
        }
        return from < to;
    }
}
