package app.galdrin.core.measure;

import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.record.Fields;
import app.galdrin.core.record.Figures;
import app.galdrin.core.record.Range;
import app.galdrin.core.record.RecordKind;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.core.uncertainty.Propagation;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import java.util.random.RandomGenerator;
import org.hipparchus.analysis.differentiation.Gradient;

/**
 * Toe of every wheel from two strings along the vehicle, set up roughly and corrected by calculation (record kind
 * {@code toe.box}). With βL, βR the skew of each string to the centreline through the middles of both axles:
 *
 * <pre>
 * tan βL + tan βR = (Sf − Sr) / stationDistance
 * tan βL − tan βR = ((h_fl − h_fr) − (h_rl − h_rr)) / wheelbase
 * toe = asin((front gap − rear gap) / baseline) − β of the wheel's side
 * </pre>
 *
 * <p>Spacings and hub gaps are square to the vehicle, rim gaps square to the string.
 */
public final class ToeBox implements RecordKind {

    public static final String NAME = "toe.box";

    /** Places on the sketch, which are the names in the record. */
    public static final String SPACING_FRONT = "stringSpacingFront";

    public static final String SPACING_REAR = "stringSpacingRear";
    public static final String STATION_DISTANCE = "stationDistance";

    /** Most independent readings: two spacings, four hub gaps, eight rim gaps. */
    private static final int READINGS = 14;

    public static String hubGap(Wheel wheel) {
        return "hubGap." + wheel.key();
    }

    public static String frontGap(Wheel wheel) {
        return "wheels." + wheel.key() + ".frontGap";
    }

    public static String rearGap(Wheel wheel) {
        return "wheels." + wheel.key() + ".rearGap";
    }

    /**
     * The readings of one box, mm.
     *
     * @param spacingFront between the strings at the front station, positive
     * @param spacingRear between the strings at the rear station, positive
     * @param stationDistance from the rear station to the front one, along the vehicle, positive
     * @param wheelbase positive
     * @param hubGaps string to hub face, all four
     * @param wheels string to rim, of the wheels that were read
     * @param frontAxleToFrontStation how far the front station lies ahead of the front axle
     */
    public record Readings(
            double spacingFront,
            double spacingRear,
            double stationDistance,
            double wheelbase,
            PerWheel hubGaps,
            Map<Wheel, RimGaps> wheels,
            OptionalDouble frontAxleToFrontStation) {

        /** What a person reads, by place on the sketch; what the sheet of the vehicle gives is left out. */
        public Map<String, Double> byPlace() {
            Map<String, Double> places = new HashMap<>();
            places.put(SPACING_FRONT, spacingFront);
            places.put(SPACING_REAR, spacingRear);
            places.put(STATION_DISTANCE, stationDistance);
            for (Wheel wheel : Wheel.values()) {
                places.put(hubGap(wheel), hubGaps.at(wheel));
            }
            wheels.forEach((wheel, gaps) -> {
                places.put(frontGap(wheel), gaps.frontGap());
                places.put(rearGap(wheel), gaps.rearGap());
            });
            return places;
        }
    }

    /** Standard uncertainties of each spacing, hub gap and rim gap, mm. */
    public record ReadingUncertainty(double spacing, double hubGap, double gap) {}

    /**
     * What follows from the box; angles rad, lengths mm.
     *
     * @param skewLeft front end of the left string farther outboard: positive
     * @param skewRight likewise
     * @param toes of the wheels that were read, toe-in positive
     * @param totalFront where both front wheels were read; likewise rear
     * @param thrustAngle rear wheels together pointing right: positive
     * @param steerAhead front wheels together pointing right of the thrust line: positive
     * @param trackDifference front track − rear track at the hub faces
     * @param tracks front and rear track at the hub faces, where the front station is placed
     */
    public record Result(
            double skewLeft,
            double skewRight,
            Map<Wheel, Estimate> toes,
            Optional<Estimate> totalFront,
            Optional<Estimate> totalRear,
            Optional<Estimate> thrustAngle,
            Optional<Estimate> steerAhead,
            double trackDifference,
            Optional<Tracks> tracks) {}

    /** Tracks at the hub faces, mm. */
    public record Tracks(double front, double rear) {}

    /** Works the readings; {@code u} is absent where no uncertainty is wanted. */
    public static Outcome<Result> evaluate(Readings r, Optional<ReadingUncertainty> u) {
        if (r.wheels().isEmpty()) {
            return Outcome.fault(FaultCode.INSUFFICIENT, "wheels");
        }
        Optional<Tracks> tracks = tracks(r);
        if (tracks.isPresent() && !(tracks.get().front() > 0 && tracks.get().rear() > 0)) {
            return Outcome.fault(FaultCode.INCONSISTENT, "hubGap");
        }
        for (Map.Entry<Wheel, RimGaps> wheel : new EnumMap<>(r.wheels()).entrySet()) {
            RimGaps gaps = wheel.getValue();
            if (!(Math.abs(gaps.frontGap() - gaps.rearGap()) < gaps.baseline())) {
                return Outcome.fault(
                        FaultCode.OUT_OF_RANGE, "wheels." + wheel.getKey().key() + ".baseline");
            }
        }
        return Outcome.of(new Calculation(r, u).result(tracks));
    }

    /** Tracks at the axles, with the spacing on the straight line through the two that were read. */
    private static Optional<Tracks> tracks(Readings r) {
        if (r.frontAxleToFrontStation().isEmpty()) {
            return Optional.empty();
        }
        double slope = (r.spacingFront() - r.spacingRear()) / r.stationDistance();
        double back = r.frontAxleToFrontStation().getAsDouble();
        double spacingAtFrontAxle = r.spacingFront() - slope * back;
        double spacingAtRearAxle = r.spacingFront() - slope * (back + r.wheelbase());
        return Optional.of(new Tracks(
                spacingAtFrontAxle - hubs(r, Wheel.FRONT_LEFT), spacingAtRearAxle - hubs(r, Wheel.REAR_LEFT)));
    }

    private static double hubs(Readings r, Wheel wheel) {
        return r.hubGaps().at(wheel) + r.hubGaps().at(wheel.opposite());
    }

    /** One run through the formulas, with every reading known to the propagation once. */
    private static final class Calculation {
        private final Readings readings;
        private final Propagation propagation;
        private final Gradient skewLeft;
        private final Gradient skewRight;
        private final Map<Wheel, Gradient> toes = new EnumMap<>(Wheel.class);

        Calculation(Readings r, Optional<ReadingUncertainty> u) {
            this.readings = r;
            this.propagation = u.isPresent() ? Propagation.of(READINGS) : Propagation.none();
            double uSpacing = u.map(ReadingUncertainty::spacing).orElse(0.0);
            double uHub = u.map(ReadingUncertainty::hubGap).orElse(0.0);
            double uGap = u.map(ReadingUncertainty::gap).orElse(0.0);
            Gradient opening = propagation
                    .reading(r.spacingFront(), uSpacing)
                    .subtract(propagation.reading(r.spacingRear(), uSpacing))
                    .divide(r.stationDistance());
            Gradient leaning = acrossHubs(Wheel.FRONT_LEFT, uHub)
                    .subtract(acrossHubs(Wheel.REAR_LEFT, uHub))
                    .divide(r.wheelbase());
            this.skewLeft = opening.add(leaning).divide(2).atan();
            this.skewRight = opening.subtract(leaning).divide(2).atan();
            new EnumMap<>(r.wheels()).forEach((wheel, gaps) -> toes.put(wheel, toe(wheel, gaps, uGap)));
        }

        private Gradient acrossHubs(Wheel left, double uHub) {
            return propagation
                    .reading(readings.hubGaps().at(left), uHub)
                    .subtract(propagation.reading(readings.hubGaps().at(left.opposite()), uHub));
        }

        private Gradient toe(Wheel wheel, RimGaps gaps, double uGap) {
            return propagation
                    .reading(gaps.frontGap(), uGap)
                    .subtract(propagation.reading(gaps.rearGap(), uGap))
                    .divide(gaps.baseline())
                    .asin()
                    .subtract(wheel.left() ? skewLeft : skewRight);
        }

        Result result(Optional<Tracks> tracks) {
            Map<Wheel, Estimate> estimates = new EnumMap<>(Wheel.class);
            toes.forEach((wheel, toe) -> estimates.put(wheel, propagation.estimate(toe)));
            Optional<Gradient> thrust = halfDifference(Wheel.REAR_LEFT);
            Optional<Gradient> ahead = halfDifference(Wheel.FRONT_LEFT)
                    .map(t -> thrust.map(t::subtract).orElse(t));
            return new Result(
                    skewLeft.getValue(),
                    skewRight.getValue(),
                    estimates,
                    total(Wheel.FRONT_LEFT),
                    total(Wheel.REAR_LEFT),
                    thrust.map(propagation::estimate),
                    ahead.map(propagation::estimate),
                    trackDifference(),
                    tracks);
        }

        private Optional<Estimate> total(Wheel left) {
            return toe(left).flatMap(l -> toe(left.opposite()).map(l::add)).map(propagation::estimate);
        }

        private Optional<Gradient> halfDifference(Wheel left) {
            return toe(left)
                    .flatMap(l -> toe(left.opposite()).map(l::subtract))
                    .map(difference -> difference.divide(2));
        }

        private Optional<Gradient> toe(Wheel wheel) {
            return Optional.ofNullable(toes.get(wheel));
        }

        private double trackDifference() {
            double opening = (readings.spacingFront() - readings.spacingRear())
                    * readings.wheelbase()
                    / readings.stationDistance();
            return opening - hubs(readings, Wheel.FRONT_LEFT) + hubs(readings, Wheel.REAR_LEFT);
        }
    }

    /**
     * How a box was set up round a vehicle, mm.
     *
     * @param frontAxleToFrontStation how far the front station lies ahead of the front axle
     * @param leftOffsetFront from the centreline to the left string at the front station; the others likewise
     */
    public record SetUp(
            double frontAxleToFrontStation,
            double stationDistance,
            double leftOffsetFront,
            double leftOffsetRear,
            double rightOffsetFront,
            double rightOffsetRear) {

        private double skew(boolean left) {
            double rise = left ? leftOffsetFront - leftOffsetRear : rightOffsetFront - rightOffsetRear;
            return Math.atan(rise / stationDistance);
        }

        /** Offset of a string from the centreline, {@code back} behind the front axle. */
        private double offset(boolean left, double back) {
            double front = left ? leftOffsetFront : rightOffsetFront;
            return front - Math.tan(skew(left)) * (frontAxleToFrontStation + back);
        }
    }

    /**
     * The true state of a vehicle in plan.
     *
     * @param toes rad, of the wheels that are to be read
     * @param tracks at the hub faces, mm
     */
    public record Truth(double wheelbase, Tracks tracks, double rimDiameter, Map<Wheel, Double> toes) {}

    /** The forward model: what is read from a box set up like this round such a vehicle, the tape for the spacings. */
    public static Readings forward(Truth truth, SetUp setUp, Instrument tape, Instrument rule, RandomGenerator noise) {
        PerWheel trueHubGaps = PerWheel.of(wheel -> {
            double back = wheel.front() ? 0 : truth.wheelbase();
            double track =
                    wheel.front() ? truth.tracks().front() : truth.tracks().rear();
            return setUp.offset(wheel.left(), back) - track / 2;
        });
        PerWheel hubGaps = PerWheel.of(wheel -> rule.read(trueHubGaps.at(wheel), noise));
        Map<Wheel, RimGaps> wheels = new EnumMap<>(Wheel.class);
        new EnumMap<>(truth.toes()).forEach((wheel, toe) -> {
            double skew = setUp.skew(wheel.left());
            double squareToString = trueHubGaps.at(wheel) * Math.cos(skew);
            var line = ToeLine.forward(
                    toe, squareToString, truth.rimDiameter(), ToeLine.LineSide.OUTBOARD, skew, rule, noise);
            wheels.put(wheel, line.gaps());
        });
        return new Readings(
                tape.read(setUp.leftOffsetFront() + setUp.rightOffsetFront(), noise),
                tape.read(setUp.leftOffsetRear() + setUp.rightOffsetRear(), noise),
                setUp.stationDistance(),
                truth.wheelbase(),
                hubGaps,
                wheels,
                OptionalDouble.of(setUp.frontAxleToFrontStation()));
    }

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public Outcome<Figures> evaluate(Fields in) {
        in.only(
                SPACING_FRONT,
                SPACING_REAR,
                STATION_DISTANCE,
                "wheelbase",
                "hubGap",
                "wheels",
                "frontAxleToFrontStation",
                "u");
        var readings = new Readings(
                in.number(SPACING_FRONT, Range.LENGTH),
                in.number(SPACING_REAR, Range.LENGTH),
                in.number(STATION_DISTANCE, Range.LENGTH),
                in.number("wheelbase", Range.LENGTH),
                hubGaps(in.object("hubGap")),
                wheels(in.object("wheels")),
                in.optionalNumber("frontAxleToFrontStation", Range.OFFSET));
        var u = in.uncertainties("spacing", "hubGap", "gap");
        Optional<ReadingUncertainty> wanted = u.given()
                ? Optional.of(new ReadingUncertainty(u.length("spacing"), u.length("hubGap"), u.length("gap")))
                : Optional.empty();
        return in.then(() -> evaluate(readings, wanted))
                .map(result -> figures(result).uncertainties(u, f -> angles(f, result, Estimate::standardUncertainty)));
    }

    private static PerWheel hubGaps(Fields in) {
        in.only("fl", "fr", "rl", "rr");
        return PerWheel.of(wheel -> in.number(wheel.key(), Range.GAP));
    }

    private static Map<Wheel, RimGaps> wheels(Fields in) {
        in.only("fl", "fr", "rl", "rr");
        Map<Wheel, RimGaps> wheels = new EnumMap<>(Wheel.class);
        for (Wheel wheel : Wheel.values()) {
            in.optionalObject(wheel.key()).ifPresent(gaps -> {
                gaps.only("frontGap", "rearGap", "baseline");
                wheels.put(
                        wheel,
                        new RimGaps(
                                gaps.number("frontGap", Range.GAP),
                                gaps.number("rearGap", Range.GAP),
                                gaps.number("baseline", Range.LENGTH)));
            });
        }
        return wheels;
    }

    private static Figures figures(Result result) {
        var out = new Figures();
        out.object("skew", new Figures().angle("left", result.skewLeft()).angle("right", result.skewRight()));
        angles(out, result, Estimate::value);
        out.number("trackDifference", result.trackDifference());
        result.tracks().ifPresent(t -> out.number("frontTrack", t.front()).number("rearTrack", t.rear()));
        return out;
    }

    /** The figures that carry an uncertainty, in the shape they have in the result and again under {@code u}. */
    private static void angles(Figures out, Result result, ToDoubleFunction<Estimate> part) {
        var toe = new Figures();
        result.toes().forEach((wheel, t) -> toe.angle(wheel.key(), part.applyAsDouble(t)));
        out.object("toe", toe);
        if (result.totalFront().isPresent() || result.totalRear().isPresent()) {
            var total = new Figures();
            result.totalFront().ifPresent(t -> total.angle("front", part.applyAsDouble(t)));
            result.totalRear().ifPresent(t -> total.angle("rear", part.applyAsDouble(t)));
            out.object("totalToe", total);
        }
        result.thrustAngle().ifPresent(t -> out.angle("thrustAngle", part.applyAsDouble(t)));
        result.steerAhead().ifPresent(t -> out.angle("steerAhead", part.applyAsDouble(t)));
    }
}
