package app.galdrin.core.procedure;

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
import app.galdrin.core.procedure.Source.AsLaid;
import app.galdrin.core.procedure.Source.Fixed;
import app.galdrin.core.procedure.Source.FromPlumb;
import app.galdrin.core.procedure.Source.Read;
import app.galdrin.core.procedure.Source.SetUp;
import app.galdrin.core.record.FieldUnit;
import app.galdrin.core.spec.Limits;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.random.RandomGenerator;

/** Ways of measuring caster, and KPI with it, by what camber does while a wheel is steered. */
@AutoService(ProcedureList.class)
public final class CasterProcedures implements ProcedureList {

    /** More than a wheel is turned, deg. */
    private static final double MOST_STEER = 50;

    private static final double MOST_CAMBER = 20;

    private static final String LOCK = "lock";

    /** How the plate was set to 0 with the wheel at its own toe, rad; our own working value. It shifts both angles alike. */
    private static SetUp plateZero(Wheel wheel) {
        return new SetUp("plate." + wheel.key(), Math.toRadians(0.3));
    }

    @Override
    public List<Procedure> procedures() {
        return List.of(
                new Sweep("sweep", "steer", "camber", false, 20, 20, SweepHand.forSweep(), onPlates()).procedure(),
                new Sweep("sweep90", "steer", "camber90", true, 20, 20, SweepHand.forSweep(), onPlates()).procedure(),
                new Sweep("fullLock", LOCK, "camber", false, 38, 32, SweepHand.forLocks(), atLocks()).procedure());
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
     * @param out to which a wheel is turned out in a simulation, about, deg; {@code in} likewise
     */
    private record Sweep(
            String key,
            String steer,
            String camber,
            boolean from90,
            double out,
            double in,
            List<SweepHand> hands,
            Guide guide) {

        Procedure procedure() {
            List<Place> walk = new ArrayList<>();
            List<Evaluation> evaluations = new ArrayList<>();
            for (Wheel wheel : Data.FRONTS) {
                Place outSteer = steer(wheel, "out");
                Place outCamber = camber(wheel, "out");
                Place ahead = camber(wheel, "ahead");
                Place inSteer = steer(wheel, "in");
                Place inCamber = camber(wheel, "in");
                walk.addAll(List.of(outSteer, outCamber, ahead, inSteer, inCamber));
                int side = wheel.side().sign();
                var turnedOut = new Position(zeroed(wheel, new Read(outSteer, side)), shown(outCamber));
                var straight = new Position(new Fixed(0.0), shown(ahead));
                var turnedIn = new Position(zeroed(wheel, new Read(inSteer, -side)), shown(inCamber));
                FigureId caster = FigureId.of(Measurand.CASTER, wheel);
                FigureId kpi = FigureId.of(Measurand.KPI, wheel);
                evaluations.add(swept(wheel, List.of(turnedOut, turnedIn), Map.of("caster", caster)));
                evaluations.add(
                        swept(wheel, List.of(turnedOut, straight, turnedIn), Map.of("caster", caster, "kpi", kpi)));
                evaluations.add(straightAhead(wheel, shown(ahead)));
            }
            return Procedure.of(key, Family.CASTER, walk, evaluations, guide, this::lay)
                    .notWorking(Measurand.KPI)
                    .unlike(unlike());
        }

        /** At full lock the two angles of a wheel always differ, since the wheels turn about different circles. */
        private List<Unlike> unlike() {
            return steer.equals(LOCK)
                    ? Data.FRONTS.stream()
                            .map(wheel -> new Unlike(steer(wheel, "out"), steer(wheel, "in")))
                            .toList()
                    : List.of();
        }

        private static Source zeroed(Wheel wheel, Read steer) {
            return new AsLaid(steer, plateZero(wheel));
        }

        private Source shown(Place camber) {
            return from90 ? new FromPlumb(camber, false) : new Read(camber, 1);
        }

        private Place steer(Wheel wheel, String position) {
            String id = wheel.key() + "." + position + ".steer";
            return Place.angle(id, wheel, steer + "." + position, 0, MOST_STEER, Use.STEER);
        }

        private Place camber(Wheel wheel, String position) {
            double least = from90 ? FromPlumb.UPRIGHT - MOST_CAMBER : 0;
            double most = from90 ? FromPlumb.UPRIGHT + MOST_CAMBER : MOST_CAMBER;
            String id = wheel.key() + "." + position + ".camber";
            return Place.sensed(
                    id, wheel, camber + "." + position, least, most, Use.LEVEL, Sense.TOP_OUT, Sense.TOP_IN);
        }

        private Evaluation swept(Wheel wheel, List<Position> positions, Map<String, FigureId> figures) {
            Map<String, Source> fields = new LinkedHashMap<>();
            fields.put("side", new Fixed(wheel.side().key()));
            for (int i = 0; i < positions.size(); i++) {
                fields.put("readings." + i + ".steer", positions.get(i).steer());
                fields.put("readings." + i + ".camber", positions.get(i).camber());
            }
            fields.put("floorPitch", new Source.Bay(true));
            fields.put("floorRoll", new Source.Bay(false));
            fields.put("kpi", positions.size() > 2 ? new Source.Spare(sheetKpi(wheel)) : sheetKpi(wheel));
            FigureId caster = FigureId.of(Measurand.CASTER, wheel);
            List<HandFormula> formulas =
                    hands.stream().map(h -> h.formula(caster)).toList();
            return new Evaluation(CasterSweep.NAME, fields, figures, List.of(), formulas, List.of());
        }

        /** The gauge straight ahead shows the camber itself, with the floor in it. */
        private static Evaluation straightAhead(Wheel wheel, Source reading) {
            Map<String, Source> fields = new LinkedHashMap<>();
            fields.put("side", new Fixed(wheel.side().key()));
            fields.put("reading", reading);
            fields.put("reference", new Fixed(Reference.GRAVITY.key()));
            fields.put("floorRoll", new Source.Bay(false));
            return Evaluation.of(
                    CamberInclinometer.NAME, fields, Map.of("camber", FigureId.of(Measurand.CAMBER, wheel)));
        }

        private Simulation.Laying lay(Truth truth, Standing s, double handling, RandomGenerator random) {
            var floor = new Floor(s.floor().pitch(), s.floor().roll());
            Map<Wheel, Double> zeros = new HashMap<>();
            Data.FRONTS.forEach(wheel -> zeros.put(wheel, plateZero(wheel).made(handling, random)));
            return () -> {
                Map<String, Double> places = new HashMap<>();
                for (Wheel wheel : Data.FRONTS) {
                    var axis = new SteeringAxis(truth.of(Measurand.CASTER, wheel), truth.of(Measurand.KPI, wheel));
                    double camber = truth.of(Measurand.CAMBER, wheel);
                    double zero = zeros.getOrDefault(wheel, 0.0) * wheel.side().sign();
                    for (String position : List.of("out", "ahead", "in")) {
                        double outward = outward(position, random);
                        double steer = wheel.side().sign() * outward;
                        double seen = floor.inclinometerReading(
                                axis.camber(camber, steer, wheel.side()),
                                SteeringAxis.toe(steer, wheel.side()),
                                wheel.side());
                        double leans = Math.toDegrees(seen);
                        double shown =
                                !from90 ? leans : leans < 0 ? -(FromPlumb.UPRIGHT + leans) : FromPlumb.UPRIGHT - leans;
                        places.put(wheel.key() + "." + position + ".camber", shown);
                        places.put(
                                wheel.key() + "." + position + ".steer",
                                Math.abs(Math.toDegrees(outward - (position.equals("ahead") ? 0 : zero))));
                    }
                }
                return places;
            };
        }

        /** How far a wheel is turned outward, rad; nobody turns it twice alike. */
        private double outward(String position, RandomGenerator random) {
            double about = random.nextDouble() - 0.5;
            return switch (position) {
                case "out" -> Math.toRadians(out + about);
                case "in" -> -Math.toRadians(in + about);
                default -> 0;
            };
        }
    }

    /** Where a wheel stood and what the gauge showed. */
    private record Position(Source steer, Source camber) {}

    /** The sheet's KPI with its tolerance as an even spread: width / √12 [GUM, F.2.2.1]. */
    private static Source.Datum sheetKpi(Wheel wheel) {
        FigureId kpi = FigureId.of(Measurand.KPI, wheel);
        return new Source.Datum(
                kpi.key(),
                FieldUnit.ANGLE,
                s -> s.sheet()
                        .limits(kpi)
                        .map(Limits::target)
                        .flatMap(t -> t.isPresent() ? Optional.of(Math.toDegrees(t.getAsDouble())) : Optional.empty()),
                s -> s.sheet().limits(kpi).map(CasterProcedures::spread).orElse(0.0));
    }

    private static double spread(Limits limits) {
        return limits.min().isPresent() && limits.max().isPresent()
                ? Math.toDegrees(limits.max().getAsDouble() - limits.min().getAsDouble()) / Math.sqrt(12)
                : 0;
    }
}
