package app.galdrin.web.equipment.internal;

import app.galdrin.web.equipment.EquipmentWords;
import app.galdrin.web.equipment.PieceCheck;
import app.galdrin.web.equipment.PieceRevision;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * Drawing of what the checks of a piece found, from the oldest to the newest: a dot a check over the days, with what its certificate says.
 *
 * @param points a dot a check, in the drawing's units
 * @param path through all of them
 * @param zero the height of nothing too much
 * @param top the upper edge of what the certificate holds
 * @param bottom its lower edge
 * @param most what the upper edge of the drawing stands for, mm or deg
 */
record DriftChart(List<Point> points, String path, double zero, double top, double bottom, double most) {

    /** Returns whether a check found more or less than the certificate holds. */
    public boolean isAnyOutside() {
        return points.stream().anyMatch(Point::isOutside);
    }

    static final int WIDTH = 480;
    static final int HEIGHT = 160;
    private static final int EDGE = 24;

    /** A check in the drawing; {@code isOutside} what the certificate holds. */
    record Point(double x, double y, boolean isOutside) {}

    /** Returns the drawing of two checks or more, the newest first. */
    static DriftChart of(List<PieceCheck> newestFirst, PieceRevision piece) {
        List<PieceCheck> checks = new ArrayList<>(newestFirst);
        Collections.reverse(checks);
        double within = EquipmentWords.COVERAGE * piece.offsetDoubt();
        double high = piece.offsetShown() + within;
        double low = piece.offsetShown() - within;
        double most =
                checks.stream().mapToDouble(c -> Math.abs(c.error())).max().orElse(0);
        most = Math.max(most, Math.max(Math.abs(high), Math.abs(low)));
        double scale = most == 0 ? 0 : (HEIGHT / 2.0 - EDGE / 2.0) / most;
        long days = Math.max(
                1,
                ChronoUnit.DAYS.between(
                        checks.get(0).doneOn(), checks.get(checks.size() - 1).doneOn()));
        List<Point> points = new ArrayList<>();
        StringBuilder path = new StringBuilder();
        for (PieceCheck check : checks) {
            double x = EDGE
                    + (WIDTH - 2.0 * EDGE)
                            * ChronoUnit.DAYS.between(checks.get(0).doneOn(), check.doneOn())
                            / days;
            double y = HEIGHT / 2.0 - scale * check.error();
            boolean outside = within > 0 && Math.abs(check.error() - piece.offsetShown()) > within;
            points.add(new Point(x, y, outside));
            path.append(path.length() == 0 ? "M" : " L").append(x).append(' ').append(y);
        }
        double zero = HEIGHT / 2.0;
        return new DriftChart(points, path.toString(), zero, zero - scale * high, zero - scale * low, most);
    }
}
