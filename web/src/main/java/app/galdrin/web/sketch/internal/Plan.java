package app.galdrin.web.sketch.internal;

import app.galdrin.core.geometry.Wheel;
import app.galdrin.web.sketch.Box;
import app.galdrin.web.sketch.Drawing;
import app.galdrin.web.sketch.Follow;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A vehicle seen from above while it is drawn. Points are given as {@code along} (behind the front axle) and {@code left}
 * (of the centreline), in drawing units; lying, the front points left and the left side down; upright, the front points
 * up.
 */
final class Plan {

    private final Pen pen;
    private final boolean upright;
    private final double originX;
    private final double originY;

    /** {@code originX}, {@code originY}: where the middle of the front axle stands on the drawing. */
    Plan(boolean upright, double originX, double originY) {
        this(new Pen(), upright, originX, originY);
    }

    /** One of several plans on a sheet. */
    Plan(Pen pen, boolean upright, double originX, double originY) {
        this.pen = pen;
        this.upright = upright;
        this.originX = originX;
        this.originY = originY;
    }

    Drawing drawing(double width, double height, Map<String, Box> fields) {
        return pen.drawing(width, height, fields);
    }

    Pen pen() {
        return pen;
    }

    /** Binds what is drawn next to an option that is chosen; with null it is drawn whatever is chosen. */
    void when(@Nullable String option) {
        pen.when(option);
    }

    double x(double along, double left) {
        return upright ? originX - left : originX + along;
    }

    double y(double along, double left) {
        return upright ? originY + along : originY + left;
    }

    void line(String style, double along1, double left1, double along2, double left2) {
        pen.line(style, x(along1, left1), y(along1, left1), x(along2, left2), y(along2, left2));
    }

    /** A closed outline through points given as along, left pairs. */
    void outline(String style, double... alongLeft) {
        pen.outline(style, mapped(alongLeft));
    }

    void polyline(String style, double... alongLeft) {
        pen.polyline(style, mapped(alongLeft));
    }

    private double[] mapped(double... alongLeft) {
        double[] xy = new double[alongLeft.length];
        for (int i = 0; i < xy.length; i += 2) {
            xy[i] = x(alongLeft[i], alongLeft[i + 1]);
            xy[i + 1] = y(alongLeft[i], alongLeft[i + 1]);
        }
        return xy;
    }

    /** A dimension line with an arrowhead at each end. */
    void dimension(double along1, double left1, double along2, double left2) {
        pen.dimension(x(along1, left1), y(along1, left1), x(along2, left2), y(along2, left2));
    }

    /** A line with an arrowhead at its end. */
    void pointer(double along1, double left1, double along2, double left2) {
        pen.pointer(x(along1, left1), y(along1, left1), x(along2, left2), y(along2, left2));
    }

    /** Factor by which a wheel turns on a plan. */
    static final int ENLARGED = 10;

    /** The most that a wheel is turned on a plan, deg. */
    private static final double MOST = 14;

    /** Returns what turns a wheel so much as it is written, about its middle; {@code toeIn} in degrees of toe-in for 1 at a place. */
    Follow turning(Wheel wheel, double along, double left, Map<String, Double> toeIn) {
        List<Follow.Term> terms = new ArrayList<>();
        // a left wheel's front goes to the right as it turns in, which on either layout is clockwise
        toeIn.forEach(
                (place, each) -> terms.add(Follow.Term.of(place, wheel.side().sign() * ENLARGED * each)));
        return Follow.turning(wheel.key(), x(along, left), y(along, left), 0, MOST, ENLARGED, terms);
    }

    /** A wheel with its rim as a heavy line and its hub as a tick. */
    void wheel(double along, double left, double tyreRadius, double rimRadius, double halfWidth) {
        double r = tyreRadius;
        double w = halfWidth;
        double c = Math.min(4, w / 2);
        outline(
                "tyre",
                along - r + c,
                left - w,
                along + r - c,
                left - w,
                along + r,
                left - w + c,
                along + r,
                left + w - c,
                along + r - c,
                left + w,
                along - r + c,
                left + w,
                along - r,
                left + w - c,
                along - r,
                left - w + c);
        double face = left + Math.signum(left) * w * 0.4;
        line("rim", along - rimRadius, face, along + rimRadius, face);
        line("hub", along, face - 4, along, face + 4);
    }

    /** The body and the axles, faint behind everything else. */
    void body(double wheelbase, double halfTrack, double scale) {
        double front = -0.24 * wheelbase;
        double rear = wheelbase * 1.26;
        double half = halfTrack + 70 * scale;
        double nose = half * 0.55;
        outline(
                "body",
                front,
                -nose,
                front * 0.55,
                -half,
                rear - 12,
                -half,
                rear,
                -half + 12,
                rear,
                half - 12,
                rear - 12,
                half,
                front * 0.55,
                half,
                front,
                nose);
        line("centreline", front - 14, 0, rear + 14, 0);
        line("axle", 0, -halfTrack, 0, halfTrack);
        line("axle", wheelbase, -halfTrack, wheelbase, halfTrack);
    }

    void label(String style, double along, double left, String anchor, String words) {
        pen.label(style, x(along, left), y(along, left), anchor, words);
    }

    void labelAt(String style, double x, double y, String anchor, String words) {
        pen.label(style, x, y, anchor, words);
    }
}
