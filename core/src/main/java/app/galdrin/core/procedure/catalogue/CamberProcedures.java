package app.galdrin.core.procedure.catalogue;

import app.galdrin.core.answer.Sense;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Floor;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.Assumption;
import app.galdrin.core.measure.CamberInclinometer;
import app.galdrin.core.measure.CamberInclinometer.Reference;
import app.galdrin.core.measure.CamberOffset;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.measure.CatalogueInstrument.Surface;
import app.galdrin.core.measure.Instrument;
import app.galdrin.core.measure.Use;
import app.galdrin.core.procedure.BayFloor.Slope;
import app.galdrin.core.procedure.Correction;
import app.galdrin.core.procedure.End;
import app.galdrin.core.procedure.Evaluation;
import app.galdrin.core.procedure.Family;
import app.galdrin.core.procedure.Guide;
import app.galdrin.core.procedure.Hands;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.ProcedureList;
import app.galdrin.core.procedure.ReadingType;
import app.galdrin.core.procedure.ReadingType.Subject;
import app.galdrin.core.procedure.ShownReadings;
import app.galdrin.core.procedure.Simulation;
import app.galdrin.core.procedure.Source;
import app.galdrin.core.procedure.Source.FromPlumb;
import app.galdrin.core.procedure.Source.Mean;
import app.galdrin.core.procedure.Source.SetUp;
import app.galdrin.core.procedure.Truth;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Ways of measuring camber, on either axle. */
@AutoService(ProcedureList.class)
public final class CamberProcedures implements ProcedureList {

    /** More than any wheel leans, deg. */
    private static final double MOST_CAMBER = 15;

    private static final double MOST_SLOPE = 5;

    /** Standard uncertainty of the feet on a rim whose run-out was spun out, rad; our own working value. Repeats on the same spot don't average it. */
    private static final double SEATED = Math.toRadians(0.03);

    /** Standard uncertainty of a gauge's zero set across the floor, rad: as well as it reads. */
    private static final double ZEROED = CatalogueInstrument.usualFor(Use.LEVEL).standardUncertainty(Surface.RIM);

    private static SetUp seated(Wheel wheel) {
        return new SetUp("seat." + wheel.key(), SEATED);
    }

    private static final SetUp ZERO = new SetUp("zero", ZEROED);

    @Override
    public List<Procedure> procedures() {
        return List.of(zeroed(), arithmetic(), fromPlumb(), turned(), plumbRule());
    }

    /** Readings at a wheel, and how the record is made of them. */
    private interface AtWheel {
        /** Adds the wheel's places to the walk in order. */
        Map<String, Source> fields(Wheel wheel, List<Place> walk);
    }

    private static Procedure level(String key, Guide guide, AtWheel at, Simulation simulation) {
        List<Place> walk = new ArrayList<>();
        List<Evaluation> evaluations = new ArrayList<>();
        for (Wheel wheel : Data.ROUND) {
            Map<String, Source> fields = new LinkedHashMap<>();
            fields.put("side", new Source.Constant(wheel.side().key()));
            fields.putAll(at.fields(wheel, walk));
            evaluations.add(Evaluation.of(
                    CamberInclinometer.NAME, fields, Map.of("camber", FigureId.of(Measurand.CAMBER, wheel))));
        }
        return Procedure.of(key, Family.CAMBER, walk, evaluations, guide, simulation);
    }

    private static final String GAUGE = "gauge";

    private static Place gauge(Wheel wheel) {
        return Place.sensed(wheel.key() + ".gauge", wheel, GAUGE, MOST_CAMBER, Use.LEVEL, Sense.TOP_OUT, Sense.TOP_IN)
                .reading(reading -> reading.of(Subject.WHEEL_LEAN));
    }

    private static Place floor(Wheel wheel) {
        return Place.sensed(
                        wheel.key() + ".floor",
                        wheel,
                        "floor",
                        MOST_SLOPE,
                        Use.LEVEL,
                        Sense.FALLS_LEFT,
                        Sense.FALLS_RIGHT)
                .reading(reading -> reading.of(Subject.FLOOR_SLOPE));
    }

    private static Map<String, Source> record(Source reading, Reference reference, String floor, Source roll) {
        Map<String, Source> fields = new LinkedHashMap<>();
        fields.put("reading", reading);
        fields.put("reference", new Source.Constant(reference.key()));
        fields.put(floor, roll);
        return fields;
    }

    /** Zeroed across the floor and then only read. */
    private static Procedure zeroed() {
        return level(
                "inclinometerZeroed",
                Guide.of(
                                List.of("settled", "zeroGauge", "gaugeOnRim"),
                                List.of("zeroAgain", "weightsAway", "rimSpun"),
                                3,
                                3)
                        .assuming(Assumption.RUN_OUT_REMOVED, Assumption.GAUGE_NOT_TURNED),
                (wheel, walk) -> {
                    Place gauge = gauge(wheel).reading(reading -> reading.with(ReadingType.Zero.SET));
                    walk.add(gauge);
                    return record(
                            new Source.ReadingWithSetup(new Source.PlaceReading(gauge, 1), seated(wheel)),
                            Reference.FLOOR,
                            "floorRoll",
                            ZERO);
                },
                (truth, s, hands) -> {
                    double off = hands.off(ZERO);
                    return shows(truth, s, hands, true, off);
                });
    }

    /** Never zeroed: the floor is read beside the wheel and taken off on paper. One that falls to the right has its left side higher. */
    private static Procedure arithmetic() {
        return level(
                "inclinometer",
                Guide.of(
                                List.of("settled", "gaugeOnRim", "floorBeside"),
                                List.of("ownZero", "weightsAway", "rimSpun"),
                                2,
                                5)
                        .assuming(Assumption.RUN_OUT_REMOVED),
                (wheel, walk) -> {
                    Place gauge = gauge(wheel);
                    Place floor = floor(wheel);
                    walk.addAll(List.of(gauge, floor));
                    return record(
                            new Source.ReadingWithSetup(new Source.PlaceReading(gauge, 1), seated(wheel)),
                            Reference.GRAVITY,
                            "floorRoll",
                            new Source.PlaceReading(floor, 1));
                },
                (truth, s, hands) -> shows(truth, s, hands, false, 0));
    }

    /** A gauge that shows 90 at plumb: how far it is from 90, and which way the top leans, which it does not say. */
    private static Procedure fromPlumb() {
        return level(
                "inclinometer90",
                Guide.of(
                                List.of("settled", "gaugeOnRim", "wayWritten", "floorBeside"),
                                List.of("ownZero", "weightsAway", "rimSpun"),
                                2,
                                5)
                        .assuming(Assumption.RUN_OUT_REMOVED),
                (wheel, walk) -> {
                    Place gauge = Place.sensed(
                                    wheel.key() + ".gauge",
                                    wheel,
                                    "gauge90",
                                    FromPlumb.UPRIGHT - MOST_CAMBER,
                                    FromPlumb.UPRIGHT + MOST_CAMBER,
                                    Use.LEVEL,
                                    Sense.TOP_OUT,
                                    Sense.TOP_IN)
                            .reading(reading ->
                                    reading.with(GAUGE).of(Subject.WHEEL_LEAN).fromPlumb());
                    Place floor = floor(wheel);
                    walk.addAll(List.of(gauge, floor));
                    Map<String, Source> fields = record(
                            new Source.ReadingWithSetup(new FromPlumb(gauge, true), seated(wheel)),
                            Reference.PLUMB_90,
                            "floorRoll",
                            new Source.PlaceReading(floor, 1));
                    fields.put("lean", new Source.SenseWord(gauge, "out", "in"));
                    return fields;
                },
                (truth, s, hands) -> {
                    var laying = shows(truth, s, hands, false, 0);
                    return () -> {
                        Map<String, Double> shown = new HashMap<>(laying.shows());
                        for (Wheel wheel : Data.ROUND) {
                            shown.computeIfPresent(
                                    wheel.key() + ".gauge",
                                    (id, leans) ->
                                            leans < 0 ? -(FromPlumb.UPRIGHT + leans) : FromPlumb.UPRIGHT - leans);
                        }
                        return shown;
                    };
                });
    }

    /** Read, turned end for end and read again: what the gauge shows of itself falls out. The floor is the bay's survey. */
    private static Procedure turned() {
        return level(
                "inclinometerTurned",
                Guide.of(
                                List.of("settled", "gaugeOnRim", "gaugeTurned"),
                                List.of("weightsAway", "rimSpun", "sameSpot"),
                                2,
                                6)
                        .assuming(Assumption.RUN_OUT_REMOVED, Assumption.FLOOR_SLOPE_KNOWN),
                (wheel, walk) -> {
                    Place once = gauge(wheel);
                    Place turned = Place.sensed(
                                    wheel.key() + ".turned",
                                    wheel,
                                    "gaugeTurned",
                                    MOST_CAMBER,
                                    Use.LEVEL,
                                    Sense.TOP_OUT,
                                    Sense.TOP_IN)
                            .reading(reading ->
                                    reading.with(GAUGE).of(Subject.WHEEL_LEAN).with(ReadingType.Zero.TURNED));
                    walk.addAll(List.of(once, turned));
                    return record(
                            new Source.ReadingWithSetup(
                                    new Mean(List.of(
                                            new Source.PlaceReading(once, 1), new Source.PlaceReading(turned, 1))),
                                    seated(wheel)),
                            Reference.GRAVITY,
                            "floorRoll",
                            new Source.Bay(Slope.ROLL));
                },
                (truth, s, hands) -> shows(truth, s, hands, false, 0));
    }

    /** {@code off}: how far off a gauge was zeroed, rad, the left side shown too high. */
    private static Simulation.Laying shows(Truth truth, MeasuringContext s, Hands hands, boolean zeroed, double off) {
        Floor floor = new Floor(0, s.floor().roll());
        var places = new ShownReadings();
        for (Wheel wheel : Data.ROUND) {
            double seen = floor.inclinometerReading(truth.of(Measurand.CAMBER, wheel), 0, wheel.side())
                    + hands.off(seated(wheel));
            double zero = zeroed ? wheel.side().sign() * (s.floor().roll() + off) : 0;
            places.angle(wheel.key() + ".gauge", seen + zero);
            places.angle(wheel.key() + ".turned", seen);
            places.angle(wheel.key() + ".floor", s.floor().roll());
        }
        return places::byPlace;
    }

    /**
     * A plumb line outboard of the wheel and a rule to the rim's edge, top and bottom. It tells the lean against gravity; on a floor whose
     * left side is higher a left wheel leans that much farther out of the vehicle's own upright than the line shows, a right one less.
     */
    private static Procedure plumbRule() {
        List<Place> walk = new ArrayList<>();
        List<Evaluation> evaluations = new ArrayList<>();
        for (Wheel wheel : Data.ROUND) {
            Place top = Place.gap(wheel.key() + ".topGap", wheel, End.TOP, "plumb");
            Place bottom = Place.gap(wheel.key() + ".bottomGap", wheel, End.BOTTOM, "plumb");
            walk.addAll(List.of(top, bottom));
            Map<String, Source> fields = new LinkedHashMap<>();
            fields.put("topGap", new Source.ReadingWithSetup(new Source.PlaceReading(top, 1), hung(wheel)));
            fields.put("bottomGap", new Source.PlaceReading(bottom, 1));
            fields.put("length", Data.rim(wheel.axle()));
            evaluations.add(Evaluation.of(
                            CamberOffset.NAME, fields, Map.of("camber", FigureId.of(Measurand.CAMBER, wheel)))
                    .with(new Correction(
                            "camber",
                            "floor.roll." + wheel.side().key(),
                            new Source.Bay(Slope.ROLL),
                            wheel.side().sign())));
        }
        return Procedure.of(
                        "plumbRule",
                        Family.CAMBER,
                        walk,
                        evaluations,
                        Guide.of(
                                        List.of("settled", "plumbHung", "ruleSquare"),
                                        List.of("lineStill", "weightsAway", "rimSpun"),
                                        3,
                                        6)
                                .assuming(Assumption.FLOOR_SLOPE_KNOWN, Assumption.RUN_OUT_REMOVED),
                        CamberProcedures::hang)
                .over(s -> Data.rim(Axle.FRONT).known(s));
    }

    /** A line that touches something or a rim that runs out, as mm between top and bottom; our own working value. */
    private static SetUp hung(Wheel wheel) {
        return new SetUp("hung." + wheel.key(), 0.3);
    }

    /** The gap from the line to the rim at hub height, mm. */
    private static final double GAP_AT_HUB = 60;

    private static Simulation.Laying hang(Truth truth, MeasuringContext s, Hands hands) {
        var places = new ShownReadings();
        for (Wheel wheel : Data.ROUND) {
            double rim = s.sheet().geometry().rim(wheel.axle());
            double against = truth.of(Measurand.CAMBER, wheel)
                    - wheel.side().sign() * s.floor().roll();
            var r = CamberOffset.forward(against, GAP_AT_HUB, rim, Instrument.PERFECT, hands.random());
            places.length(wheel.key() + ".topGap", r.topGap() + hands.off(hung(wheel)));
            places.length(wheel.key() + ".bottomGap", r.bottomGap());
        }
        return places::byPlace;
    }
}
