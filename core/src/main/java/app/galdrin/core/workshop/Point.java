package app.galdrin.core.workshop;

/** A point or a direction in space, mm. */
record Point(double x, double y, double z) {

    static final Point UP = new Point(0, 0, 1);

    Point plus(Point other) {
        return new Point(x + other.x, y + other.y, z + other.z);
    }

    Point minus(Point other) {
        return plus(other.times(-1));
    }

    /** {@code factor} without unit. */
    Point times(double factor) {
        return new Point(factor * x, factor * y, factor * z);
    }

    /** mm². */
    double dot(Point other) {
        return x * other.x + y * other.y + z * other.z;
    }

    private Point cross(Point o) {
        return new Point(y * o.z - z * o.y, z * o.x - x * o.z, x * o.y - y * o.x);
    }

    /** mm. */
    double length() {
        return Math.sqrt(dot(this));
    }

    /** The direction to it, of length 1. */
    Point direction() {
        return times(1 / length());
    }

    /** Turned about a direction of length 1 through the origin by an angle, rad, as a screw turns [Rodrigues]. */
    Point turned(Point axis, double angle) {
        double cos = Math.cos(angle);
        return times(cos).plus(axis.cross(this).times(Math.sin(angle))).plus(axis.times(axis.dot(this) * (1 - cos)));
    }
}
