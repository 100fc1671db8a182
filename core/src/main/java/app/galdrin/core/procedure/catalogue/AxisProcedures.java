package app.galdrin.core.procedure.catalogue;

import app.galdrin.core.answer.Sense;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.Assumption;
import app.galdrin.core.measure.CasterProtractor;
import app.galdrin.core.measure.Instrument;
import app.galdrin.core.measure.KpiProtractor;
import app.galdrin.core.measure.Use;
import app.galdrin.core.procedure.Evaluation;
import app.galdrin.core.procedure.Family;
import app.galdrin.core.procedure.Guide;
import app.galdrin.core.procedure.Hands;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.ProcedureList;
import app.galdrin.core.procedure.ReadingType.Subject;
import app.galdrin.core.procedure.ShownReadings;
import app.galdrin.core.procedure.Simulation;
import app.galdrin.core.procedure.Source;
import app.galdrin.core.procedure.Source.SetUp;
import app.galdrin.core.procedure.Truth;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A beam axle's caster and KPI with a protractor on its spring pad and on the knuckle. */
@AutoService(ProcedureList.class)
public final class AxisProcedures implements ProcedureList {

    /** More than an axle leans, deg. */
    private static final double MOST_AXIS = 20;

    private static final double MOST_FRAME = 8;

    /** Paint, dirt and a face that is not quite square to the pin, rad; our own working value. */
    private static final double FACE = Math.toRadians(0.1);

    private static SetUp face(String what, Wheel wheel) {
        return new SetUp("face." + what + "." + wheel.key(), FACE);
    }

    @Override
    public List<Procedure> procedures() {
        return List.of(caster(), kpi());
    }

    /** Returns caster by protractor: from the pad alone if the knuckle's cap cannot come off, else from the knuckle; both should agree. */
    private static Procedure caster() {
        List<Place> walk = new ArrayList<>();
        List<Evaluation> evaluations = new ArrayList<>();
        for (Wheel wheel : Data.FRONTS) {
            Place frame = Place.sensed(
                            wheel.key() + ".frame",
                            wheel,
                            "frame",
                            MOST_FRAME,
                            Use.AXIS,
                            Sense.FALLS_TO_REAR,
                            Sense.FALLS_TO_FRONT)
                    .reading(reading -> reading.of(Subject.FRAME_SLOPE));
            Place pad = leaning(wheel, "pad");
            Place knuckle = leaning(wheel, "knuckle");
            walk.addAll(List.of(frame, pad, knuckle));
            FigureId caster = FigureId.of(Measurand.CASTER, wheel);
            Map<String, Source> alone = new LinkedHashMap<>();
            alone.put("pad", new Source.ReadingWithSetup(new Source.PlaceReading(pad, 1), face("pad", wheel)));
            alone.put("frameAngle", new Source.PlaceReading(frame, 1));
            Map<String, Source> both = new LinkedHashMap<>(alone);
            both.put(
                    "knuckle",
                    new Source.ReadingWithSetup(new Source.PlaceReading(knuckle, 1), face("knuckle", wheel)));
            evaluations.add(Evaluation.of(CasterProtractor.NAME, alone, Map.of("casterPad", caster)));
            evaluations.add(Evaluation.of(
                    CasterProtractor.NAME,
                    both,
                    Map.of("casterKnuckle", caster, "disagreement", FigureId.of(Measurand.KINGPIN_TWIST, wheel))));
        }
        return Procedure.of(
                "protractor",
                Family.CASTER,
                walk,
                evaluations,
                Guide.of(
                                List.of("settledLoaded", "padClean", "capOff", "frameRead"),
                                List.of("protractorProved", "padAgree", "frameBesideSpring"),
                                8,
                                5)
                        .assuming(Assumption.BEAM_AXLE),
                (truth, s, hands) -> lay(truth, s, hands));
    }

    private static Place leaning(Wheel wheel, String reading) {
        return Place.sensed(
                wheel.key() + "." + reading,
                wheel,
                reading,
                MOST_AXIS,
                Use.AXIS,
                Sense.LEANS_BACK,
                Sense.LEANS_FORWARD);
    }

    /** Slope of a frame on its springs, rad, falling to the rear; of a forward model. */
    private static final double FRAME = Math.toRadians(0.9);

    private static Simulation.Laying lay(Truth truth, MeasuringContext s, Hands hands) {
        var places = new ShownReadings();
        for (Wheel wheel : Data.FRONTS) {
            double twist = truth.of(Measurand.KINGPIN_TWIST, wheel);
            var r = CasterProtractor.forward(
                    truth.of(Measurand.CASTER, wheel) - twist,
                    twist,
                    FRAME + s.floor().pitch(),
                    Instrument.PERFECT,
                    hands.random());
            places.angle(wheel.key() + ".frame", r.frameAngle());
            places.angle(wheel.key() + ".pad", r.pad().orElseThrow() + hands.off(face("pad", wheel)));
            places.angle(wheel.key() + ".knuckle", r.knuckle().orElseThrow() + hands.off(face("knuckle", wheel)));
        }
        return places::byPlace;
    }

    /** Across the axle on the knuckle, the frame's slope across taken off. */
    private static Procedure kpi() {
        List<Place> walk = new ArrayList<>();
        List<Evaluation> evaluations = new ArrayList<>();
        for (Wheel wheel : Data.FRONTS) {
            Place across = Place.sensed(
                    wheel.key() + ".across", wheel, "across", MOST_AXIS, Use.AXIS, Sense.LEANS_IN, Sense.LEANS_OUT);
            Place slope = Place.sensed(
                            wheel.key() + ".cross",
                            wheel,
                            "frameAcross",
                            MOST_FRAME,
                            Use.AXIS,
                            Sense.FALLS_LEFT,
                            Sense.FALLS_RIGHT)
                    .reading(reading -> reading.with("frame").of(Subject.FRAME_SLOPE));
            walk.addAll(List.of(slope, across));
            Map<String, Source> fields = new LinkedHashMap<>();
            fields.put("side", new Source.Constant(wheel.side().key()));
            fields.put(
                    "reading", new Source.ReadingWithSetup(new Source.PlaceReading(across, 1), face("across", wheel)));
            // one that falls to the right has its left side higher, which is positive
            fields.put("crossSlope", new Source.PlaceReading(slope, 1));
            evaluations.add(
                    Evaluation.of(KpiProtractor.NAME, fields, Map.of("kpi", FigureId.of(Measurand.KPI, wheel))));
        }
        return Procedure.of(
                "protractorKpi",
                Family.CASTER,
                walk,
                evaluations,
                Guide.of(
                                List.of("settledLoaded", "padClean", "capOff", "crossRead"),
                                List.of("protractorProved", "protractorSquare"),
                                6,
                                4)
                        .assuming(Assumption.BEAM_AXLE),
                AxisProcedures::layAcross);
    }

    private static Simulation.Laying layAcross(Truth truth, MeasuringContext s, Hands hands) {
        var places = new ShownReadings();
        for (Wheel wheel : Data.FRONTS) {
            var r = KpiProtractor.forward(
                    truth.of(Measurand.KPI, wheel),
                    wheel.side(),
                    s.floor().roll(),
                    Instrument.PERFECT,
                    Instrument.PERFECT,
                    hands.random());
            places.angle(wheel.key() + ".across", r.reading() + hands.off(face("across", wheel)));
            places.angle(wheel.key() + ".cross", r.crossSlope());
        }
        return places::byPlace;
    }
}
