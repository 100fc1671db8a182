package app.galdrin.core.procedure;

import app.galdrin.core.answer.Sense;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Floor;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.Assumption;
import app.galdrin.core.measure.CamberInclinometer;
import app.galdrin.core.measure.CamberOffset;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.measure.Instrument;
import app.galdrin.core.procedure.Source.Fixed;
import app.galdrin.core.procedure.Source.Read;
import app.galdrin.core.procedure.Source.SetUp;
import app.galdrin.core.record.FieldUnit;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.random.RandomGenerator;

/** Ways of measuring camber. */
@AutoService(ProcedureList.class)
public final class CamberProcedures implements ProcedureList {

    /** More than any wheel leans, deg. */
    private static final double MOST_CAMBER = 15;

    private static final double MOST_SLOPE = 5;
    private static final CatalogueInstrument GAUGE = CatalogueInstrument.DIGITAL_INCLINOMETER;

    @Override
    public List<Procedure> procedures() {
        return List.of(inclinometer("inclinometerZeroed", true), inclinometer("inclinometer", false), plumbRule());
    }

    /** Round the vehicle from the left front wheel. */
    private static final List<Wheel> WALK =
            List.of(Wheel.FRONT_LEFT, Wheel.REAR_LEFT, Wheel.REAR_RIGHT, Wheel.FRONT_RIGHT);

    /** Zeroed across the floor and then only read; or never zeroed, with the floor read beside the wheel and taken off on paper. */
    private static Procedure inclinometer(String key, boolean zeroed) {
        List<Place> walk = new ArrayList<>();
        List<Evaluation> evaluations = new ArrayList<>();
        for (Wheel wheel : WALK) {
            Place gauge = Place.sensed(
                    wheel.key() + ".gauge", wheel, "gauge", MOST_CAMBER, GAUGE, Sense.TOP_OUT, Sense.TOP_IN);
            Place floor = Place.sensed(
                    wheel.key() + ".floor", wheel, "floor", MOST_SLOPE, GAUGE, Sense.FALLS_LEFT, Sense.FALLS_RIGHT);
            walk.add(gauge);
            Map<String, Source> fields = new LinkedHashMap<>();
            fields.put("side", new Fixed(wheel.side().key()));
            fields.put("reading", new Read(gauge, 1));
            fields.put("reference", new Fixed(zeroed ? "floor" : "gravity"));
            if (zeroed) {
                fields.put("floorRoll", new SetUp("zero", GAUGE.standardUncertainty(CatalogueInstrument.Surface.RIM)));
            } else {
                walk.add(floor);
                // the floor that falls to the right has its left side higher, which is positive
                fields.put("floorRoll", new Read(floor, 1));
            }
            evaluations.add(Evaluation.of(
                    CamberInclinometer.NAME, fields, Map.of("camber", FigureId.of(Measurand.CAMBER, wheel))));
        }
        return new Procedure(
                key,
                Family.CAMBER,
                walk,
                evaluations,
                zeroed
                        ? Set.of(Assumption.RUN_OUT_REMOVED, Assumption.GAUGE_NOT_TURNED)
                        : Set.of(Assumption.RUN_OUT_REMOVED),
                Set.of(),
                s -> Optional.empty(),
                (truth, s, handling, random) -> lay(truth, s, handling, random, zeroed));
    }

    private static Simulation.Laying lay(
            Truth truth, Standing s, double handling, RandomGenerator random, boolean zeroed) {
        Instrument gauge = GAUGE.inHands(handling);
        Floor floor = new Floor(0, s.floor().roll());
        double zero = gauge.read(s.floor().roll(), random);
        return () -> {
            Map<String, Double> places = new HashMap<>();
            for (Wheel wheel : Wheel.values()) {
                double seen = floor.inclinometerReading(truth.of(Measurand.CAMBER, wheel), 0, wheel.side());
                double shown = gauge.read(seen, random);
                places.put(
                        wheel.key() + ".gauge",
                        Math.toDegrees(zeroed ? shown + wheel.side().sign() * zero : shown));
                places.put(
                        wheel.key() + ".floor",
                        Math.toDegrees(gauge.read(s.floor().roll(), random)));
            }
            return places;
        };
    }

    private static final Source.Datum BETWEEN_POINTS = new Source.Datum(
            "rimDiameter",
            FieldUnit.LENGTH,
            s -> Optional.of(s.sheet().geometry().rimDiameter()),
            s -> 0);

    /**
     * A plumb line outboard of the wheel and a rule to the rim's edge, top and bottom. It tells the lean against gravity; on a floor whose
     * left side is higher a left wheel leans that much farther out of the vehicle's own upright than the line shows, a right one less.
     */
    private static Procedure plumbRule() {
        List<Place> walk = new ArrayList<>();
        List<Evaluation> evaluations = new ArrayList<>();
        for (Wheel wheel : WALK) {
            Place top = Place.gap(wheel.key() + ".topGap", wheel, End.TOP, "plumb");
            Place bottom = Place.gap(wheel.key() + ".bottomGap", wheel, End.BOTTOM, "plumb");
            walk.addAll(List.of(top, bottom));
            Map<String, Source> fields = new LinkedHashMap<>();
            fields.put("topGap", new Read(top, 1));
            fields.put("bottomGap", new Read(bottom, 1));
            fields.put("length", BETWEEN_POINTS);
            evaluations.add(Evaluation.of(
                            CamberOffset.NAME, fields, Map.of("camber", FigureId.of(Measurand.CAMBER, wheel)))
                    .with(new Evaluation.Correction(
                            "camber",
                            "floor.roll." + wheel.side().key(),
                            new Source.Bay(false),
                            wheel.side().sign())));
        }
        return new Procedure(
                "plumbRule",
                Family.CAMBER,
                walk,
                evaluations,
                Set.of(Assumption.FLOOR_SLOPE_KNOWN, Assumption.RUN_OUT_REMOVED),
                Set.of(),
                s -> BETWEEN_POINTS.known(s),
                CamberProcedures::hang);
    }

    /** From the line to the rim at hub height, mm. */
    private static final double GAP_AT_HUB = 60;

    private static Simulation.Laying hang(Truth truth, Standing s, double handling, RandomGenerator random) {
        Instrument rule = CatalogueInstrument.RULE_MILLIMETRES.inHands(handling);
        double rim = s.sheet().geometry().rimDiameter();
        return () -> {
            Map<String, Double> places = new HashMap<>();
            for (Wheel wheel : WALK) {
                double against = truth.of(Measurand.CAMBER, wheel)
                        - wheel.side().sign() * s.floor().roll();
                var r = CamberOffset.forward(against, GAP_AT_HUB, rim, rule, random);
                places.put(wheel.key() + ".topGap", r.topGap());
                places.put(wheel.key() + ".bottomGap", r.bottomGap());
            }
            return places;
        };
    }
}
