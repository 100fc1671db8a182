package app.galdrin.web.demo.internal;

import app.galdrin.core.measure.Instrument;
import app.galdrin.core.measure.ToeAcross;
import app.galdrin.core.measure.ToeBox;
import app.galdrin.core.measure.ToeMethod;
import app.galdrin.core.measure.ToeMethods;
import app.galdrin.core.measure.Wheel;
import app.galdrin.core.spec.VehicleGeometry;
import java.util.EnumMap;
import java.util.Map;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;

/** What people read off a vehicle in a known state, made with the forward models; the same seed reads the same. */
final class DemoReadings {

    private static final Instrument RULE = new Instrument(0.5, 0.25);
    private static final double OUTSIDE_THE_RIM = 65;

    private final VehicleGeometry geometry;
    private final RandomGenerator random;
    private final ToeBox.SetUp setUp;

    DemoReadings(VehicleGeometry geometry, long seed) {
        this.geometry = geometry;
        this.random = RandomGeneratorFactory.of("Xoshiro256PlusPlus").create(seed);
        double half = geometry.frontTrack() / 2 + OUTSIDE_THE_RIM;
        this.setUp = new ToeBox.SetUp(
                620, geometry.wheelbase() + 1300, half + off(), half + off(), half + off(), half + off());
    }

    /** Nobody sets a string to the millimetre. */
    private double off() {
        return Math.rint(random.nextDouble() * 16 - 8);
    }

    /** One repeat, mm by place; toes of the front wheels in degrees. */
    Map<String, Double> read(ToeMethod method, double left, double right) {
        return method == ToeMethods.of("strings") ? strings(left, right) : plates(left + right);
    }

    private Map<String, Double> strings(double left, double right) {
        Map<Wheel, Double> toes = new EnumMap<>(Wheel.class);
        toes.put(Wheel.FRONT_LEFT, Math.toRadians(left));
        toes.put(Wheel.FRONT_RIGHT, Math.toRadians(right));
        toes.put(Wheel.REAR_LEFT, Math.toRadians(0.12));
        toes.put(Wheel.REAR_RIGHT, Math.toRadians(0.12));
        var tracks = new ToeBox.Tracks(geometry.frontTrack(), geometry.rearTrack());
        var truth = new ToeBox.Truth(geometry.wheelbase(), tracks, geometry.rimDiameter(), toes);
        return ToeBox.forward(truth, setUp, RULE, RULE, random).byPlace();
    }

    private Map<String, Double> plates(double total) {
        double between = geometry.frontTrack() + 240;
        var r = ToeAcross.forward(
                Math.toRadians(total), between, ToeAcross.PLATE_SLOT_DISTANCE, ToeAcross.Reading.SPAN, RULE, random);
        return Map.of(
                ToeAcross.FRONT_DISTANCE.name(), r.frontDistance(), ToeAcross.REAR_DISTANCE.name(), r.rearDistance());
    }
}
