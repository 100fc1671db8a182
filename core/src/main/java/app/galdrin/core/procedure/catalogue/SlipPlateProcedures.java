package app.galdrin.core.procedure.catalogue;

import app.galdrin.core.answer.Sense;
import app.galdrin.core.equipment.ToolLength;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.Assumption;
import app.galdrin.core.measure.ToeSlipPlate;
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
import app.galdrin.core.procedure.Source.Mean;
import app.galdrin.core.procedure.Source.SetUp;
import app.galdrin.core.procedure.Truth;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Driving slowly over a sliding plate: a screen that says whether there is anything to look for, and never a setting. Its figure is no
 * toe, so that nothing can be judged or set by it.
 */
@AutoService(ProcedureList.class)
public final class SlipPlateProcedures implements ProcedureList {

    private static final double MOST_SLIDE = 60;

    /** Effect of how straight and how slowly it was driven, mm; our own working value. */
    private static final double DRIVEN = 0.8;

    @Override
    public List<Procedure> procedures() {
        return List.of(slipPlate());
    }

    /** Forward and back: what the plate shows of itself is the same both ways, what the wheel does turns its sign. */
    private static Procedure slipPlate() {
        List<Place> walk = new ArrayList<>();
        List<Evaluation> evaluations = new ArrayList<>();
        for (Wheel wheel : Data.ROUND) {
            Place forward = slide(wheel, "Forward");
            Place back = slide(wheel, "Back");
            walk.addAll(List.of(forward, back));
            Map<String, Source> fields = new LinkedHashMap<>();
            fields.put(
                    "displacement",
                    new Source.ReadingWithSetup(
                            new Mean(List.of(new Source.PlaceReading(forward, 1), new Source.PlaceReading(back, -1))),
                            driven(wheel)));
            fields.put("plateLength", new Source.ToolDatum(ToolLength.SLIP_PLATE));
            evaluations.add(Evaluation.of(
                    ToeSlipPlate.NAME, fields, Map.of("sideslip", FigureId.of(Measurand.SIDESLIP, wheel))));
        }
        return Procedure.of(
                "slipPlate",
                Family.TOE,
                walk,
                evaluations,
                Guide.of(List.of("plateClean", "plateDrive"), List.of("plateZeroed", "plateStraight"), 2, 2)
                        .assuming(Assumption.DRIVEN_STRAIGHT),
                SlipPlateProcedures::lay);
    }

    private static SetUp driven(Wheel wheel) {
        return new SetUp("driven." + wheel.key(), DRIVEN);
    }

    private static Place slide(Wheel wheel, String way) {
        return Place.sensedLength(
                        wheel.key() + ".slip" + way,
                        wheel,
                        "slip" + way,
                        MOST_SLIDE,
                        Use.SLIP,
                        Sense.PUSHED_OUT,
                        Sense.PUSHED_IN)
                .reading(reading -> reading.with("slip"));
    }

    private static Simulation.Laying lay(Truth truth, MeasuringContext s, Hands hands) {
        var places = new ShownReadings();
        for (Wheel wheel : Data.ROUND) {
            double slides = truth.sideslip(wheel) * s.kit().length(ToolLength.SLIP_PLATE) / Truth.METRE
                    + hands.off(driven(wheel));
            places.length(wheel.key() + ".slipForward", slides);
            places.length(wheel.key() + ".slipBack", -slides);
        }
        return places::byPlace;
    }
}
