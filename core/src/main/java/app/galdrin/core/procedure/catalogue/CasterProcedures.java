package app.galdrin.core.procedure.catalogue;

import app.galdrin.core.answer.Sense;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Floor;
import app.galdrin.core.geometry.SteeringAxis;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.Assumption;
import app.galdrin.core.measure.CamberInclinometer;
import app.galdrin.core.measure.CamberInclinometer.Reference;
import app.galdrin.core.measure.CasterSweep;
import app.galdrin.core.measure.HandFormula;
import app.galdrin.core.measure.SweepHand;
import app.galdrin.core.measure.Use;
import app.galdrin.core.procedure.BayFloor.Slope;
import app.galdrin.core.procedure.DistinctPlaces;
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
import app.galdrin.core.procedure.Source.SetUp;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.record.FieldUnit;
import app.galdrin.core.spec.Limits;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;

/** Ways of measuring caster, and KPI with it, by what camber does while a wheel is steered. */
@AutoService(ProcedureList.class)
public final class CasterProcedures implements ProcedureList {

    /** More than a wheel is turned, deg. */
    private static final double MOST_STEER = 50;

    private static final double MOST_CAMBER = 20;

    private static final String LOCK = "lock";

    /** Stands of a sweep that goes without the one straight ahead where no KPI is asked. */
    private static final int WITH_AHEAD = 3;

    /** Returns how the plate was set to 0 with the wheel at its own toe, rad; our own working value. It shifts both angles alike. */
    private static SetUp plateZero(Wheel wheel) {
        return new SetUp("plate." + wheel.key(), Math.toRadians(0.3));
    }

    @Override
    public List<Procedure> procedures() {
        return List.of(
                new Sweep("sweep", "steer", "camber", false, onPlates(20, 20), SweepHand.forSweep(), onPlates())
                        .procedure(),
                new Sweep("sweep90", "steer", "camber90", true, onPlates(20, 20), SweepHand.forSweep(), onPlates())
                        .procedure(),
                new Sweep("sweepFive", "steer", "camber", false, FIVE, SweepHand.forSweep(), inSteps()).procedure(),
                new Sweep("fullLock", LOCK, "camber", false, onPlates(38, 32), SweepHand.forLocks(), atLocks())
                        .procedure());
    }

    /**
     * The position of a wheel when its camber is read.
     *
     * @param outward how far it is turned outward in a simulation, about, deg; 0 straight ahead, inward negative
     */
    private record Stand(String position, double outward) {
        boolean ahead() {
            return outward == 0;
        }
    }

    /** The five positions from one side to the other, so that the plate is not turned back and forth. */
    private static final List<Stand> FIVE = List.of(
            new Stand("out", 20),
            new Stand("halfOut", 10),
            new Stand("ahead", 0),
            new Stand("halfIn", -10),
            new Stand("in", -20));

    private static List<Stand> onPlates(double out, double in) {
        return List.of(new Stand("out", out), new Stand("ahead", 0), new Stand("in", -in));
    }

    private static Guide inSteps() {
        return Guide.of(
                        List.of("settled", "onPlates", "brakeHeld", "turnSlowly"),
                        List.of("platesFree", "angleReally", "weightsAway", "gaugeSeatedOnce"),
                        6,
                        10)
                .assuming(Assumption.WHEELS_HELD, Assumption.RUN_OUT_REMOVED);
    }

    private static Guide onPlates() {
        return Guide.of(
                        List.of("settled", "onPlates", "brakeHeld", "turnSlowly"),
                        List.of("platesFree", "angleReally", "weightsAway", "gaugeSeatedOnce"),
                        6,
                        6)
                .assuming(Assumption.WHEELS_HELD, Assumption.RUN_OUT_REMOVED, Assumption.KPI_KNOWN);
    }

    private static Guide atLocks() {
        return Guide.of(
                        List.of("settled", "onPlates", "brakeHeld", "lockToLock"),
                        List.of("platesFree", "bothLocksRead", "weightsAway", "gaugeSeatedOnce"),
                        5,
                        5)
                .assuming(Assumption.WHEELS_HELD, Assumption.RUN_OUT_REMOVED, Assumption.KPI_KNOWN);
    }

    /**
     * Camber read with the wheel turned out and turned in gives caster, with the sheet's KPI; straight ahead beside them gives KPI too.
     *
     * @param steer what the angles are called; {@code camber} likewise
     * @param from90 whether the gauge shows 90 at plumb
     * @param stands in walking order, the farthest out first and the farthest in last; of three, the middle one is read for KPI alone
     */
    private record Sweep(
            String key,
            String steer,
            String camber,
            boolean from90,
            List<Stand> stands,
            List<SweepHand> hands,
            Guide guide) {

        Procedure procedure() {
            List<Place> walk = new ArrayList<>();
            List<Evaluation> evaluations = new ArrayList<>();
            for (Wheel wheel : Data.FRONTS) {
                List<Position> positions = new ArrayList<>();
                List<Evaluation> straight = new ArrayList<>();
                for (Stand stand : stands) {
                    Place camber = camber(wheel, stand.position());
                    if (stand.ahead()) {
                        positions.add(new Position(new Source.Constant(0.0), shown(camber)));
                        straight.add(straightAhead(wheel, shown(camber)));
                    } else {
                        Place steer = steer(wheel, stand.position());
                        walk.add(steer);
                        int sign = (int) Math.signum(stand.outward())
                                * wheel.side().sign();
                        positions.add(new Position(zeroed(wheel, new Source.PlaceReading(steer, sign)), shown(camber)));
                    }
                    walk.add(camber);
                }
                FigureId caster = FigureId.of(Measurand.CASTER, wheel);
                FigureId kpi = FigureId.of(Measurand.KPI, wheel);
                if (stands.size() == WITH_AHEAD) {
                    List<Position> ends = List.of(positions.get(0), positions.get(positions.size() - 1));
                    evaluations.add(swept(wheel, ends, Map.of("caster", caster)));
                }
                evaluations.add(swept(wheel, positions, Map.of("caster", caster, "kpi", kpi)));
                evaluations.addAll(straight);
            }
            return Procedure.of(key, Family.CASTER, walk, evaluations, guide, this::lay)
                    .notWorking(Measurand.KPI)
                    .unlike(unlike());
        }

        /** Returns the places that always differ: at full lock the wheels turn about different circles. */
        private List<DistinctPlaces> unlike() {
            return steer.equals(LOCK)
                    ? Data.FRONTS.stream()
                            .map(wheel -> new DistinctPlaces(steer(wheel, "out"), steer(wheel, "in")))
                            .toList()
                    : List.of();
        }

        private static Source zeroed(Wheel wheel, Source.PlaceReading steer) {
            return new Source.ReadingWithSetup(steer, plateZero(wheel));
        }

        private Source shown(Place camber) {
            return from90 ? new FromPlumb(camber, false) : new Source.PlaceReading(camber, 1);
        }

        private Place steer(Wheel wheel, String position) {
            String id = wheel.key() + "." + position + ".steer";
            return Place.angle(id, wheel, steer, 0, MOST_STEER, Use.STEER).reading(reading -> reading.turned(position));
        }

        private Place camber(Wheel wheel, String position) {
            double least = from90 ? FromPlumb.UPRIGHT - MOST_CAMBER : 0;
            double most = from90 ? FromPlumb.UPRIGHT + MOST_CAMBER : MOST_CAMBER;
            String id = wheel.key() + "." + position + ".camber";
            return Place.sensed(id, wheel, camber, least, most, Use.LEVEL, Sense.TOP_OUT, Sense.TOP_IN)
                    .reading(reading -> leaning(reading).turned(position));
        }

        private ReadingType leaning(ReadingType reading) {
            ReadingType lean = reading.with("camber").of(Subject.WHEEL_LEAN);
            return from90 ? lean.fromPlumb() : lean;
        }

        private Evaluation swept(Wheel wheel, List<Position> positions, Map<String, FigureId> figures) {
            Map<String, Source> fields = new LinkedHashMap<>();
            fields.put("side", new Source.Constant(wheel.side().key()));
            for (int i = 0; i < positions.size(); i++) {
                fields.put("readings." + i + ".steer", positions.get(i).steer());
                fields.put("readings." + i + ".camber", positions.get(i).camber());
            }
            fields.put("floorPitch", new Source.Bay(Slope.PITCH));
            fields.put("floorRoll", new Source.Bay(Slope.ROLL));
            fields.put("kpi", positions.size() > 2 ? new Source.Spare(sheetKpi(wheel)) : sheetKpi(wheel));
            FigureId caster = FigureId.of(Measurand.CASTER, wheel);
            List<HandFormula> formulas =
                    hands.stream().map(h -> h.formula(caster)).toList();
            return new Evaluation(CasterSweep.NAME, fields, figures, List.of(), formulas, List.of());
        }

        /** The gauge straight ahead shows the camber itself, with the floor in it. */
        private static Evaluation straightAhead(Wheel wheel, Source reading) {
            Map<String, Source> fields = new LinkedHashMap<>();
            fields.put("side", new Source.Constant(wheel.side().key()));
            fields.put("reading", reading);
            fields.put("reference", new Source.Constant(Reference.GRAVITY.key()));
            fields.put("floorRoll", new Source.Bay(Slope.ROLL));
            return Evaluation.of(
                    CamberInclinometer.NAME, fields, Map.of("camber", FigureId.of(Measurand.CAMBER, wheel)));
        }

        private Simulation.Laying lay(Truth truth, MeasuringContext s, Hands hands) {
            var floor = new Floor(s.floor().pitch(), s.floor().roll());
            Map<Wheel, Double> zeros = new HashMap<>();
            Data.FRONTS.forEach(wheel -> zeros.put(wheel, hands.off(plateZero(wheel))));
            return () -> {
                var places = new ShownReadings();
                for (Wheel wheel : Data.FRONTS) {
                    var axis = new SteeringAxis(truth.of(Measurand.CASTER, wheel), truth.of(Measurand.KPI, wheel));
                    double camber = truth.of(Measurand.CAMBER, wheel);
                    double zero = zeros.getOrDefault(wheel, 0.0) * wheel.side().sign();
                    for (Stand stand : stands) {
                        String position = stand.position();
                        double outward = outward(stand, hands.random());
                        double steer = wheel.side().sign() * outward;
                        double seen = floor.inclinometerReading(
                                axis.camber(camber, steer, wheel.side()),
                                SteeringAxis.toe(steer, wheel.side()),
                                wheel.side());
                        String gauge = wheel.key() + "." + position + ".camber";
                        if (from90) {
                            places.fromPlumb(gauge, seen);
                        } else {
                            places.angle(gauge, seen);
                        }
                        places.angle(
                                wheel.key() + "." + position + ".steer",
                                Math.abs(outward - (stand.ahead() ? 0 : zero)));
                    }
                }
                return places.byPlace();
            };
        }

        /** Returns how far a wheel is turned outward, rad; nobody turns it twice alike. */
        private static double outward(Stand stand, RandomGenerator random) {
            double about = random.nextDouble() - 0.5;
            return stand.ahead() ? 0 : Quantity.ANGLE.toCore(stand.outward() + Math.signum(stand.outward()) * about);
        }
    }

    /** The position of a wheel and the reading of the gauge. */
    private record Position(Source steer, Source camber) {}

    /** The sheet's KPI with its tolerance as an even spread: width / √12 [GUM, F.2.2.1]. */
    private static Source.Datum sheetKpi(Wheel wheel) {
        FigureId kpi = FigureId.of(Measurand.KPI, wheel);
        return new Source.Datum(
                kpi.key(),
                FieldUnit.ANGLE,
                s -> s.sheet().preferred(kpi).stream()
                        .mapToObj(FieldUnit.ANGLE::toRecord)
                        .findFirst(),
                s -> s.sheet().limits(kpi).map(CasterProcedures::width).orElse(UNTOLERATED) / Math.sqrt(12));
    }

    /** Range of a KPI printed without a tolerance, both ways together, deg; our own working value. */
    private static final double UNTOLERATED = 1;

    private static double width(Limits limits) {
        return limits.min().isPresent() && limits.max().isPresent()
                ? FieldUnit.ANGLE.toRecord(
                        limits.max().getAsDouble() - limits.min().getAsDouble())
                : 0;
    }
}
