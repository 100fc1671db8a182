package app.galdrin.core.procedure.catalogue;

import app.galdrin.core.answer.Sense;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.FigurePosition;
import app.galdrin.core.figure.Location;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.Assumption;
import app.galdrin.core.measure.AxleSetback;
import app.galdrin.core.measure.Instrument;
import app.galdrin.core.measure.Use;
import app.galdrin.core.measure.WheelRunout;
import app.galdrin.core.procedure.Evaluation;
import app.galdrin.core.procedure.Family;
import app.galdrin.core.procedure.Guide;
import app.galdrin.core.procedure.Hands;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.ProcedureList;
import app.galdrin.core.procedure.ShownReadings;
import app.galdrin.core.procedure.Simulation;
import app.galdrin.core.procedure.Source;
import app.galdrin.core.procedure.Source.SetUp;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.steering.SteerTurnOut;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** Ways of telling how an axle stands in the vehicle, how true its wheels run and how they turn. */
@AutoService(ProcedureList.class)
public final class AxleProcedures implements ProcedureList {

    /** The shortest wheelbase, mm. */
    private static final double LEAST_WHEELBASE = 1000;

    private static final double MOST_WHEELBASE = 9000;
    private static final FigureId SETBACK = FigureId.of(Measurand.SETBACK, Axle.FRONT);

    @Override
    public List<Procedure> procedures() {
        return List.of(
                setback(),
                runOut(),
                turnOut("turnOut", "lockToLock", AxleProcedures::atLock, LOCK),
                turnOut("turnOutAtTwenty", "innerToTwenty", AxleProcedures::atTwenty, TWENTY));
    }

    /** Distance of the fronts from straight ahead, mm of wheelbase; our own working value. */
    private static final SetUp STRAIGHT = new SetUp("ahead", 0.5);

    /** The wheelbase of each side with a tape, from rear hub to front hub. */
    private static Procedure setback() {
        Place left = wheelbase(Wheel.FRONT_LEFT);
        Place right = wheelbase(Wheel.FRONT_RIGHT);
        Map<String, Source> fields = new LinkedHashMap<>();
        fields.put("wheelbaseLeft", new Source.ReadingWithSetup(new Source.PlaceReading(left, 1), STRAIGHT));
        fields.put("wheelbaseRight", new Source.PlaceReading(right, 1));
        fields.put("track", Data.FRONT_TRACK);
        return Procedure.of(
                "setback",
                Family.AXLE,
                List.of(left, right),
                List.of(Evaluation.of(AxleSetback.NAME, fields, Map.of("setback", SETBACK))),
                Guide.of(
                        List.of("settled", "steeringStraight", "tapeHubs"),
                        List.of("hubFaces", "tapesLevel", "steeringStill"),
                        1,
                        3),
                AxleProcedures::lay);
    }

    private static Place wheelbase(Wheel wheel) {
        return Place.length(
                wheel.key() + ".wheelbase", Location.of(wheel), "wheelbase", LEAST_WHEELBASE, MOST_WHEELBASE, Use.SPAN);
    }

    private static Simulation.Laying lay(Truth truth, MeasuringContext s, Hands hands) {
        VehicleGeometry g = s.sheet().geometry();
        double angle = Math.atan(truth.of(SETBACK) / g.frontTrack());
        var r = AxleSetback.forward(angle, g.wheelbase(), g.frontTrack(), Instrument.PERFECT, hands.random());
        Map<String, Double> places =
                Map.of("fl.wheelbase", r.wheelbaseLeft() + hands.off(STRAIGHT), "fr.wheelbase", r.wheelbaseRight());
        return () -> places;
    }

    /** More than any rim leans in a turn, deg. */
    private static final double MOST_LEAN = 15;

    private static final double[] QUARTERS = {0, 90, 180, 270};

    /** A level on the rim, the raised wheel turned a quarter at a time. */
    private static Procedure runOut() {
        List<Place> walk = new ArrayList<>();
        List<Evaluation> evaluations = new ArrayList<>();
        for (Wheel wheel : Data.ROUND) {
            Map<String, Source> fields = new LinkedHashMap<>();
            for (int i = 0; i < QUARTERS.length; i++) {
                Place quarter = Place.sensed(
                                quarter(wheel, i),
                                wheel,
                                "quarter" + (i + 1),
                                MOST_LEAN,
                                Use.LEVEL,
                                Sense.TOP_OUT,
                                Sense.TOP_IN)
                        .reading(reading -> reading.with("quarter"));
                walk.add(quarter);
                fields.put("positions." + i + ".rotation", new Source.Constant(QUARTERS[i]));
                fields.put("positions." + i + ".angle", new Source.PlaceReading(quarter, 1));
            }
            evaluations.add(new Evaluation(
                    WheelRunout.NAME,
                    fields,
                    Map.of("runout", FigureId.of(Measurand.RUN_OUT, wheel)),
                    List.of(),
                    List.of(),
                    List.of()));
        }
        return Procedure.of(
                "runOut",
                Family.AXLE,
                walk,
                evaluations,
                Guide.of(
                        List.of("raised", "gaugeClamped", "quarterTurns"),
                        List.of("bearingFirst", "backToStart", "gaugeUpright"),
                        4,
                        4),
                AxleProcedures::layRound);
    }

    private static String quarter(Wheel wheel, int index) {
        return wheel.key() + ".quarter" + (index + 1);
    }

    private static Simulation.Laying layRound(Truth truth, MeasuringContext s, Hands hands) {
        var places = new ShownReadings();
        for (Wheel wheel : Data.ROUND) {
            double greatestAt = 2 * Math.PI * hands.random().nextDouble();
            double[] rotations = {0, Math.PI / 2, Math.PI, 3 * Math.PI / 2};
            var positions = WheelRunout.forward(
                    truth.of(Measurand.CAMBER, wheel),
                    truth.of(Measurand.RUN_OUT, wheel),
                    greatestAt,
                    rotations,
                    Instrument.PERFECT,
                    hands.random());
            for (int i = 0; i < rotations.length; i++) {
                places.angle(quarter(wheel, i), positions.get(i).angle());
            }
        }
        return places::byPlace;
    }

    /** More than any wheel turns and less than a lock that is one, deg. */
    private static final double LEAST_LOCK = 10;

    private static final double MOST_LOCK = 60;

    /** Returns how a plate was set to 0 with its wheel straight ahead, rad; our own working value. It shifts both locks alike. */
    private static SetUp plateZero(Wheel wheel) {
        return new SetUp("plate." + wheel.key(), Math.toRadians(0.3));
    }

    /**
     * Turns both plates to both sides: the wheel on the side that is steered to is the inner one and turns more.
     *
     * @param step what is done to turn them
     * @param at the turn-out to a side
     * @param turned how far the inner wheel is turned in a simulation, rad
     */
    private static Procedure turnOut(String key, String step, Function<Side, FigureId> at, double turned) {
        List<Place> walk = new ArrayList<>();
        List<Evaluation> evaluations = new ArrayList<>();
        for (Side lock : Side.values()) {
            Wheel inner = Wheel.of(Axle.FRONT, lock);
            Wheel outer = inner.opposite();
            Place in = turned(inner, "plateInner");
            Place out = turned(outer, "plateOuter");
            walk.addAll(List.of(in, out));
            Map<String, Source> fields = new LinkedHashMap<>();
            fields.put("inner", new Source.ReadingWithSetup(new Source.PlaceReading(in, 1), plateZero(inner)));
            fields.put("outer", new Source.ReadingWithSetup(new Source.PlaceReading(out, 1), plateZero(outer)));
            fields.put("kingpinTrack", Data.FRONT_TRACK);
            fields.put("wheelbase", Data.WHEELBASE);
            evaluations.add(Evaluation.of(SteerTurnOut.NAME, fields, Map.of("toeOutOnTurn", at.apply(lock))));
        }
        return Procedure.of(
                key,
                Family.STEERING,
                walk,
                evaluations,
                Guide.of(
                                List.of("settled", "onPlates", "brakeHeld", step),
                                List.of("platesFree", "platesZeroed", "locksEqual"),
                                4,
                                4)
                        .assuming(Assumption.WHEELS_HELD),
                (truth, s, hands) -> layTurned(truth, at, turned, hands));
    }

    /** The turn-out at a lock. */
    private static FigureId atLock(Side lock) {
        FigurePosition.Kind kind = lock == Side.LEFT ? FigurePosition.Kind.LEFT_LOCK : FigurePosition.Kind.RIGHT_LOCK;
        return new FigureId(Measurand.TURN_OUT, Location.FRONT, new FigurePosition(kind, 0));
    }

    /** The turn-out with the inner wheel turned by twenty degrees, at which most sheets give it. */
    private static FigureId atTwenty(Side side) {
        FigurePosition.Kind kind =
                side == Side.LEFT ? FigurePosition.Kind.STEERED_LEFT : FigurePosition.Kind.STEERED_RIGHT;
        return new FigureId(Measurand.TURN_OUT, Location.FRONT, new FigurePosition(kind, 20));
    }

    private static final double TWENTY = Math.toRadians(20);

    private static Place turned(Wheel wheel, String reading) {
        return Place.angle(wheel.key() + "." + reading, wheel, reading, LEAST_LOCK, MOST_LOCK, Use.STEER)
                .reading(type -> type.with("plate"));
    }

    /** The lock of the inner wheel in a simulation, rad. */
    private static final double LOCK = Math.toRadians(36);

    private static Simulation.Laying layTurned(Truth truth, Function<Side, FigureId> at, double turned, Hands hands) {
        Map<Side, Double> zeros = new HashMap<>();
        for (Side side : Side.values()) {
            zeros.put(side, hands.off(plateZero(Wheel.of(Axle.FRONT, side))));
        }
        var places = new ShownReadings();
        for (Side lock : Side.values()) {
            Wheel inner = Wheel.of(Axle.FRONT, lock);
            double in = turned + zeros.getOrDefault(lock, 0.0);
            double out = turned - truth.of(at.apply(lock)) + zeros.getOrDefault(lock.other(), 0.0);
            places.angle(inner.key() + ".plateInner", in);
            places.angle(inner.opposite().key() + ".plateOuter", out);
        }
        return places::byPlace;
    }
}
