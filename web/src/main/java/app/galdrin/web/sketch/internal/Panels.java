package app.galdrin.web.sketch.internal;

import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Place;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;

/**
 * A sheet of panels, a wheel each, for views that look at one wheel at a time, in the order of the walk: lying two in a row, upright one
 * below the other.
 */
final class Panels {

    static final double LYING_WIDTH = 840;
    static final double UPRIGHT_WIDTH = 390;

    private final boolean upright;
    private final double panelHeight;
    private final List<Wheel> wheels;
    private final Map<Wheel, List<Place>> places;

    Panels(List<Place> asked, boolean upright, double panelHeight) {
        this.upright = upright;
        this.panelHeight = panelHeight;
        this.places =
                asked.stream().collect(Collectors.groupingBy(p -> p.wheel().orElseThrow()));
        this.wheels =
                asked.stream().map(p -> p.wheel().orElseThrow()).distinct().toList();
    }

    boolean isUpright() {
        return upright;
    }

    List<Wheel> wheels() {
        return wheels;
    }

    List<Place> places(Wheel wheel) {
        return Objects.requireNonNull(places.get(wheel));
    }

    double width() {
        return upright ? UPRIGHT_WIDTH : LYING_WIDTH;
    }

    double panelWidth() {
        return upright || wheels.size() == 1 ? width() : LYING_WIDTH / 2;
    }

    double height() {
        int rows = upright ? wheels.size() : (wheels.size() + 1) / 2;
        return rows * panelHeight;
    }

    /** The left edge of a wheel's panel. */
    double x(Wheel wheel) {
        return upright ? 0 : (wheels.indexOf(wheel) % 2) * panelWidth();
    }

    /** The upper edge. */
    double y(Wheel wheel) {
        int row = upright ? wheels.indexOf(wheel) : wheels.indexOf(wheel) / 2;
        return row * panelHeight;
    }
}
