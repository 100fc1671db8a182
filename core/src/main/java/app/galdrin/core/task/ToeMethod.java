package app.galdrin.core.task;

import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.measure.PerWheel;
import app.galdrin.core.measure.RimGaps;
import app.galdrin.core.measure.ToeAcross;
import app.galdrin.core.measure.ToeBox;
import app.galdrin.core.measure.Wheel;
import app.galdrin.core.spec.VehicleGeometry;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A way of measuring front toe, with what it can see, the places it reads in the order they are walked to, and how well
 * it reads.
 */
public enum ToeMethod {

    /** Plates against both tyres and two tapes between them. */
    PLATES("plates", Set.of(Asked.TOTAL)) {
        @Override
        public List<Place> places() {
            return List.of(
                    new Place(ToeAcross.FRONT_DISTANCE.name(), true, 500, 3500),
                    new Place(ToeAcross.REAR_DISTANCE.name(), true, 500, 3500));
        }

        @Override
        public double baseline(VehicleGeometry geometry) {
            return PLATE_SLOT_DISTANCE;
        }

        @Override
        public double standardUncertainty() {
            return 0.5;
        }

        @Override
        protected Outcome<ToeFigures> workComplete(Map<String, Double> r, VehicleGeometry geometry) {
            var readings = ToeAcross.Readings.spans(
                    at(r, ToeAcross.FRONT_DISTANCE.name()), at(r, ToeAcross.REAR_DISTANCE.name()), baseline(geometry));
            return ToeAcross.evaluate(readings, standardUncertainty())
                    .map(result ->
                            new ToeFigures(result.totalToe(), Optional.empty(), Optional.empty(), Optional.empty()));
        }
    },

    /** Two strings along the vehicle; rough parallelism is corrected by calculation. */
    STRINGS("strings", Set.of(Asked.TOTAL, Asked.LEFT, Asked.RIGHT)) {
        @Override
        public List<Place> places() {
            return Stream.of(
                            alongSide(Wheel.FRONT_LEFT, true),
                            alongSide(Wheel.REAR_LEFT, true),
                            Stream.of(new Place(ToeBox.SPACING_REAR.name(), true, 500, 4000)),
                            alongSide(Wheel.REAR_RIGHT, false),
                            alongSide(Wheel.FRONT_RIGHT, false),
                            Stream.of(
                                    new Place(ToeBox.SPACING_FRONT.name(), true, 500, 4000),
                                    new Place(ToeBox.STATION_DISTANCE.name(), false, 500, 12000)))
                    .flatMap(s -> s)
                    .toList();
        }

        /** Down the left side the front of a rim is met first, up the right side its rear. */
        private Stream<Place> alongSide(Wheel wheel, boolean frontFirst) {
            var front = new Place(ToeBox.frontGap(wheel), true, 0, 1000);
            var hub = new Place(ToeBox.hubGap(wheel), true, 0, 1000);
            var rear = new Place(ToeBox.rearGap(wheel), true, 0, 1000);
            return frontFirst ? Stream.of(front, hub, rear) : Stream.of(rear, hub, front);
        }

        @Override
        public double baseline(VehicleGeometry geometry) {
            return geometry.rimDiameter();
        }

        @Override
        public double standardUncertainty() {
            return 0.3;
        }

        @Override
        protected Outcome<ToeFigures> workComplete(Map<String, Double> r, VehicleGeometry geometry) {
            Map<Wheel, RimGaps> wheels = new EnumMap<>(Wheel.class);
            for (Wheel wheel : Wheel.values()) {
                wheels.put(
                        wheel,
                        new RimGaps(at(r, ToeBox.frontGap(wheel)), at(r, ToeBox.rearGap(wheel)), baseline(geometry)));
            }
            var readings = new ToeBox.Readings(
                    at(r, ToeBox.SPACING_FRONT.name()),
                    at(r, ToeBox.SPACING_REAR.name()),
                    at(r, ToeBox.STATION_DISTANCE.name()),
                    geometry.wheelbase(),
                    PerWheel.of(wheel -> at(r, ToeBox.hubGap(wheel))),
                    wheels,
                    OptionalDouble.empty());
            double u = standardUncertainty();
            return ToeBox.evaluate(readings, new ToeBox.ReadingUncertainty(u, u, u))
                    .map(result -> new ToeFigures(
                            result.totalFront().orElseThrow(),
                            Optional.ofNullable(result.toes().get(Wheel.FRONT_LEFT)),
                            Optional.ofNullable(result.toes().get(Wheel.FRONT_RIGHT)),
                            Optional.of(new ToeFigures.Skews(result.skewLeft(), result.skewRight()))));
        }
    };

    /** Between the two tape slots of the college's plates, mm. */
    public static final double PLATE_SLOT_DISTANCE = 500;

    private final String key;
    private final Set<Asked> sees;

    ToeMethod(String key, Set<Asked> sees) {
        this.key = key;
        this.sees = sees;
    }

    public String key() {
        return key;
    }

    /** What this method can tell; the rest it is blind to. */
    public Set<Asked> sees() {
        return sees;
    }

    public boolean canAnswer(ToeAsked asked) {
        return sees.containsAll(asked.figures());
    }

    /** The places in walking order. */
    public abstract List<Place> places();

    /** Between the two points on a wheel that are compared, mm. */
    public abstract double baseline(VehicleGeometry geometry);

    /** Standard uncertainty of one reading in trained hands, mm: rule or tape read to half a millimetre, and its laying on. */
    public abstract double standardUncertainty();

    /**
     * Works one set of readings.
     *
     * @param readings mm by place
     * @return {@code missing} at the first place in walking order that has no reading
     */
    public Outcome<ToeFigures> work(Map<String, Double> readings, VehicleGeometry geometry) {
        for (Place place : places()) {
            if (!readings.containsKey(place.id())) {
                return Outcome.fault(FaultCode.MISSING, place.id());
            }
        }
        return workComplete(readings, geometry);
    }

    protected abstract Outcome<ToeFigures> workComplete(Map<String, Double> readings, VehicleGeometry geometry);

    private static double at(Map<String, Double> readings, String place) {
        Double reading = readings.get(place);
        if (reading == null) {
            throw new IllegalStateException("no reading at " + place);
        }
        return reading;
    }
}
