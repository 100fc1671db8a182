package app.galdrin.core.procedure.catalogue;

import app.galdrin.core.answer.Sense;
import app.galdrin.core.equipment.ToolLength;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Location;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.Assumption;
import app.galdrin.core.measure.CamberInclinometer;
import app.galdrin.core.measure.Instrument;
import app.galdrin.core.measure.ToeFlags;
import app.galdrin.core.measure.ToeGauges;
import app.galdrin.core.measure.ToeGauges.Scale;
import app.galdrin.core.measure.Use;
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
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/** Gauges that are hung on the wheels and read as they are: sighting gauges with flags, and heads. */
@AutoService(ProcedureList.class)
public final class ToeGaugeProcedures implements ProcedureList {

    /** More than any wheel points in or out, deg. */
    private static final double MOST_TOE = 10;

    private static final double MOST_CAMBER = 15;
    private static final double MOST_FLAG = 400;

    /** The same as {@link #MOST_TOE} on a flag with a millimetre scale, mm. */
    private static final double MOST_SCALE = 90;

    @Override
    public List<Procedure> procedures() {
        return List.of(flags("flags", Scale.ANGLE), flags("flagsMillimetres", Scale.LENGTH), wheelHeads());
    }

    /**
     * Standard uncertainty of the hang and the feet of the gauges, 0.02°, and of what their coarse marks keep from averaging out; our own working
     * value, rad.
     */
    private static final double HUNG = Math.toRadians(0.022);

    /** The same of a scale: rad, or mm on a flag of the usual length. */
    private static SetUp hung(Scale scale) {
        return scale == Scale.ANGLE
                ? new SetUp("flagsHung", HUNG)
                : new SetUp("scalesHung", ToolLength.FLAG.usual() * HUNG);
    }

    /** The front flags are enough for the total; the rear ones divide it. */
    private static Procedure flags(String key, Scale scale) {
        Map<Wheel, Place> flags = new HashMap<>();
        for (Wheel wheel : Wheel.values()) {
            flags.put(
                    wheel,
                    wheel.front()
                            ? frontFlag(wheel, scale)
                            : Place.length(flag(wheel), Location.of(wheel), "scale", 0, MOST_FLAG, Use.GAP));
        }
        Map<String, Source> fronts = new LinkedHashMap<>();
        // each front flag shows how the other wheel points, a rear one how the front wheel of its side does
        fronts.put(
                "frontLeft",
                turning(
                        Wheel.FRONT_RIGHT,
                        new Source.ReadingWithSetup(read(flags, Wheel.FRONT_LEFT), hung(scale)),
                        scale));
        fronts.put("frontRight", turning(Wheel.FRONT_LEFT, read(flags, Wheel.FRONT_RIGHT), scale));
        fronts.put("unit", new Source.Constant(scale.key()));
        if (scale == Scale.LENGTH) {
            fronts.put("baseline", new Source.ToolDatum(ToolLength.FLAG));
        }
        Map<String, Source> all = new LinkedHashMap<>(fronts);
        all.put("rearLeft", RunOut.carried(Wheel.FRONT_LEFT, read(flags, Wheel.REAR_LEFT), WHEELBASE / RIM));
        all.put("rearRight", RunOut.carried(Wheel.FRONT_RIGHT, read(flags, Wheel.REAR_RIGHT), WHEELBASE / RIM));
        all.put("wheelbase", Data.WHEELBASE);
        FigureId total = FigureId.of(Measurand.TOTAL_TOE, Axle.FRONT);
        Map<String, FigureId> figures = new LinkedHashMap<>();
        figures.put("totalToe", total);
        figures.put("left", FigureId.of(Measurand.TOE, Wheel.FRONT_LEFT));
        figures.put("right", FigureId.of(Measurand.TOE, Wheel.FRONT_RIGHT));
        return Procedure.of(
                key,
                Family.TOE,
                Data.ROUND.stream().map(flags::get).toList(),
                List.of(
                        Evaluation.of(ToeFlags.NAME, fronts, Map.of("totalToe", total)),
                        new Evaluation(ToeFlags.NAME, all, figures, List.of("setbackAngle"), List.of(), List.of())),
                Guide.of(
                        List.of("settled", "steeringStraight", "gaugesHung"),
                        List.of("gaugesLevel", "threeFeet", "rearFlagsEqual"),
                        6,
                        2),
                (truth, s, hands) -> layFlags(truth, s, hands, scale));
    }

    /** A usual rim and wheelbase, mm. */
    private static final double RIM = 415;

    private static final double WHEELBASE = 2700;

    private static Place frontFlag(Wheel wheel, Scale scale) {
        return scale == Scale.ANGLE
                ? Place.sensed(flag(wheel), wheel, "flag", MOST_TOE, Use.FLAG, Sense.TOE_IN, Sense.TOE_OUT)
                : Place.sensedLength(
                        flag(wheel), wheel, "flagScale", MOST_SCALE, Use.FLAG_SCALE, Sense.TOE_IN, Sense.TOE_OUT);
    }

    private static Source turning(Wheel wheel, Source reading, Scale scale) {
        return scale == Scale.ANGLE
                ? RunOut.turning(wheel, reading, RIM)
                : RunOut.carried(wheel, reading, ToolLength.FLAG.usual() / RIM);
    }

    private static String flag(Wheel wheel) {
        return wheel.key() + ".flag";
    }

    private static Source.PlaceReading read(Map<Wheel, Place> places, Wheel wheel) {
        return new Source.PlaceReading(Objects.requireNonNull(places.get(wheel)), 1);
    }

    /** Reading of a rear flag at a straight wheel, mm; of a forward model. */
    private static final double FLAGS_OUT = 120;

    private static Simulation.Laying layFlags(Truth truth, MeasuringContext s, Hands hands, Scale scale) {
        VehicleGeometry g = s.sheet().geometry();
        double setback = truth.of(FigureId.of(Measurand.SETBACK, Axle.FRONT));
        var state = new ToeFlags.Truth(
                truth.of(Measurand.TOE, Wheel.FRONT_LEFT),
                truth.of(Measurand.TOE, Wheel.FRONT_RIGHT),
                Math.atan(setback / g.frontTrack()));
        var shown = ToeFlags.forward(
                state,
                scale,
                s.kit().length(ToolLength.FLAG),
                g.wheelbase(),
                FLAGS_OUT,
                Instrument.PERFECT,
                Instrument.PERFECT,
                hands.random());
        var rear = shown.rear().orElseThrow();
        var places = new ShownReadings();
        double left = shown.front().left() + hands.off(hung(scale));
        if (scale == Scale.ANGLE) {
            places.angle(flag(Wheel.FRONT_LEFT), left);
            places.angle(flag(Wheel.FRONT_RIGHT), shown.front().right());
        } else {
            places.length(flag(Wheel.FRONT_LEFT), left);
            places.length(flag(Wheel.FRONT_RIGHT), shown.front().right());
        }
        places.length(flag(Wheel.REAR_LEFT), rear.left());
        places.length(flag(Wheel.REAR_RIGHT), rear.right());
        return places::byPlace;
    }

    /** Rest that compensation leaves of a bent rim and a clamp that sits askew; our own working value, rad. */
    private static final String HEAD = "head";

    private static final double COMPENSATED = Math.toRadians(0.015);

    private static SetUp compensated(String what, Wheel wheel) {
        return new SetUp("compensation." + wheel.key() + "." + what, COMPENSATED);
    }

    /** A head on each wheel shows its toe and its camber. */
    private static Procedure wheelHeads() {
        List<Place> walk = new ArrayList<>();
        List<Evaluation> evaluations = new ArrayList<>();
        Map<Wheel, Place> toes = new HashMap<>();
        for (Wheel wheel : Data.ROUND) {
            Place toe = Place.sensed(
                            wheel.key() + ".headToe", wheel, "headToe", MOST_TOE, Use.HEAD, Sense.TOE_IN, Sense.TOE_OUT)
                    .reading(reading -> reading.with(HEAD));
            Place camber = Place.sensed(
                            wheel.key() + ".headCamber",
                            wheel,
                            "headCamber",
                            MOST_CAMBER,
                            Use.HEAD,
                            Sense.TOP_OUT,
                            Sense.TOP_IN)
                    .reading(reading -> reading.with(HEAD));
            toes.put(wheel, toe);
            walk.addAll(List.of(toe, camber));
            Map<String, Source> fields = new LinkedHashMap<>();
            fields.put("side", new Source.Constant(wheel.side().key()));
            fields.put(
                    "reading",
                    new Source.ReadingWithSetup(new Source.PlaceReading(camber, 1), compensated("camber", wheel)));
            fields.put("reference", new Source.Constant("floor"));
            evaluations.add(Evaluation.of(
                    CamberInclinometer.NAME, fields, Map.of("camber", FigureId.of(Measurand.CAMBER, wheel))));
        }
        for (Axle axle : Axle.values()) {
            Map<String, Source> fields = new LinkedHashMap<>();
            Map<String, FigureId> figures = new LinkedHashMap<>();
            for (Side side : Side.values()) {
                Wheel wheel = Wheel.of(axle, side);
                fields.put(side.key(), new Source.ReadingWithSetup(read(toes, wheel), compensated("toe", wheel)));
                figures.put(side.key(), FigureId.of(Measurand.TOE, wheel));
            }
            fields.put("unit", new Source.Constant(Scale.ANGLE.key()));
            evaluations.add(Evaluation.of(ToeGauges.NAME, fields, figures));
        }
        return Procedure.of(
                "wheelHeads",
                Family.TOE,
                walk,
                evaluations,
                Guide.of(
                                List.of("settled", "headsOn", "headsCompensated", "steeringStraight"),
                                List.of("headsOwnWheel", "headsLevel", "tyreSizeEntered"),
                                12,
                                1)
                        .assuming(Assumption.RUN_OUT_REMOVED),
                ToeGaugeProcedures::layHeads);
    }

    private static Simulation.Laying layHeads(Truth truth, MeasuringContext s, Hands hands) {
        var places = new ShownReadings();
        for (Wheel wheel : Data.ROUND) {
            double toe = truth.of(Measurand.TOE, wheel) + hands.off(compensated("toe", wheel));
            double camber = truth.of(Measurand.CAMBER, wheel) + hands.off(compensated("camber", wheel));
            places.angle(wheel.key() + ".headToe", toe);
            places.angle(wheel.key() + ".headCamber", camber);
        }
        return places::byPlace;
    }
}
