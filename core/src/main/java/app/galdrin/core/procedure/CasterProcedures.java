package app.galdrin.core.procedure;

import app.galdrin.core.answer.Sense;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Floor;
import app.galdrin.core.geometry.SteeringAxis;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.Assumption;
import app.galdrin.core.measure.CasterSweep;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.measure.Instrument;
import app.galdrin.core.measure.SweepHand;
import app.galdrin.core.procedure.Source.Fixed;
import app.galdrin.core.procedure.Source.Read;
import app.galdrin.core.record.FieldUnit;
import app.galdrin.core.spec.Limits;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.random.RandomGenerator;

/** Ways of measuring caster and KPI. */
@AutoService(ProcedureList.class)
public final class CasterProcedures implements ProcedureList {

    /** More than a plate is turned in a sweep, deg. */
    private static final double MOST_STEER = 45;

    private static final double MOST_CAMBER = 20;
    private static final CatalogueInstrument GAUGE = CatalogueInstrument.DIGITAL_INCLINOMETER;
    private static final CatalogueInstrument PLATE = CatalogueInstrument.TURN_PLATE;

    @Override
    public List<Procedure> procedures() {
        return List.of(sweep());
    }

    /** Turned out and turned in give caster, with the sheet's KPI; straight ahead beside them gives KPI too. */
    private static Procedure sweep() {
        List<Place> walk = new ArrayList<>();
        List<Evaluation> evaluations = new ArrayList<>();
        for (Wheel wheel : List.of(Wheel.FRONT_LEFT, Wheel.FRONT_RIGHT)) {
            Place outSteer = steer(wheel, "out");
            Place outCamber = camber(wheel, "out");
            Place ahead = camber(wheel, "ahead");
            Place inSteer = steer(wheel, "in");
            Place inCamber = camber(wheel, "in");
            walk.addAll(List.of(outSteer, outCamber, ahead, inSteer, inCamber));
            int out = wheel.side().sign();
            var turnedOut = new Position(new Read(outSteer, out), new Read(outCamber, 1));
            var straight = new Position(new Fixed(0.0), new Read(ahead, 1));
            var turnedIn = new Position(new Read(inSteer, -out), new Read(inCamber, 1));
            FigureId caster = FigureId.of(Measurand.CASTER, wheel);
            FigureId kpi = FigureId.of(Measurand.KPI, wheel);
            evaluations.add(evaluation(wheel, List.of(turnedOut, turnedIn), Map.of("caster", caster)));
            evaluations.add(
                    evaluation(wheel, List.of(turnedOut, straight, turnedIn), Map.of("caster", caster, "kpi", kpi)));
        }
        return new Procedure(
                "sweep",
                Family.CASTER,
                walk,
                evaluations,
                Set.of(Assumption.WHEELS_HELD, Assumption.RUN_OUT_REMOVED),
                Set.of(Measurand.KPI),
                s -> Optional.empty(),
                CasterProcedures::lay);
    }

    /** Where a wheel stood and what the gauge showed. */
    private record Position(Source steer, Source camber) {}

    private static Place steer(Wheel wheel, String position) {
        return Place.angle(wheel.key() + "." + position + ".steer", wheel, "steer." + position, MOST_STEER, PLATE);
    }

    private static Place camber(Wheel wheel, String position) {
        return Place.sensed(
                wheel.key() + "." + position + ".camber",
                wheel,
                "camber." + position,
                MOST_CAMBER,
                GAUGE,
                Sense.TOP_OUT,
                Sense.TOP_IN);
    }

    private static Evaluation evaluation(Wheel wheel, List<Position> positions, Map<String, FigureId> figures) {
        Map<String, Source> fields = new LinkedHashMap<>();
        fields.put("side", new Fixed(wheel.side().key()));
        for (int i = 0; i < positions.size(); i++) {
            fields.put("readings." + i + ".steer", positions.get(i).steer());
            fields.put("readings." + i + ".camber", positions.get(i).camber());
        }
        fields.put("floorPitch", new Source.Bay(true));
        fields.put("floorRoll", new Source.Bay(false));
        fields.put("kpi", sheetKpi(wheel));
        return new Evaluation(
                CasterSweep.NAME,
                fields,
                figures,
                List.of(),
                SweepHand.of(FigureId.of(Measurand.CASTER, wheel)),
                List.of());
    }

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

    /** The angles a plate is turned to, deg: about twenty, never exactly. */
    private static final double ABOUT = 20;

    private static Simulation.Laying lay(Truth truth, Standing s, double handling, RandomGenerator random) {
        Instrument gauge = GAUGE.inHands(handling);
        Instrument plate = PLATE.inHands(handling);
        var floor = new Floor(s.floor().pitch(), s.floor().roll());
        return () -> {
            Map<String, Double> places = new HashMap<>();
            for (Wheel wheel : List.of(Wheel.FRONT_LEFT, Wheel.FRONT_RIGHT)) {
                var axis = new SteeringAxis(truth.of(Measurand.CASTER, wheel), truth.of(Measurand.KPI, wheel));
                double camber = truth.of(Measurand.CAMBER, wheel);
                for (String position : List.of("out", "ahead", "in")) {
                    double turned = position.equals("ahead") ? 0 : Math.toRadians(ABOUT + random.nextDouble() - 0.5);
                    double steer = wheel.side().sign() * (position.equals("in") ? -turned : turned);
                    double seen = floor.inclinometerReading(
                            axis.camber(camber, steer, wheel.side()),
                            SteeringAxis.toe(steer, wheel.side()),
                            wheel.side());
                    places.put(wheel.key() + "." + position + ".camber", Math.toDegrees(gauge.read(seen, random)));
                    places.put(wheel.key() + "." + position + ".steer", Math.toDegrees(plate.read(turned, random)));
                }
                places.remove(wheel.key() + ".ahead.steer");
            }
            return places;
        };
    }
}
