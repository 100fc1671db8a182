package app.galdrin.core.procedure.catalogue;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Location;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.Assumption;
import app.galdrin.core.measure.BoxPlaces;
import app.galdrin.core.measure.Instrument;
import app.galdrin.core.measure.ToeLine;
import app.galdrin.core.measure.ToeLine.LineSide;
import app.galdrin.core.measure.Use;
import app.galdrin.core.procedure.Choice;
import app.galdrin.core.procedure.End;
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
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** Ways of measuring toe, one wheel at a time, against a line that is laid parallel to the vehicle. */
@AutoService(ProcedureList.class)
public final class ToeLineProcedures implements ProcedureList {

    /** Side of the line, on which it depends which of the two gaps is the larger at toe-in. */
    private static final Choice SIDE = new Choice(
            "lineSide", Stream.of(LineSide.values()).map(LineSide::key).toList());

    /**
     * Standard uncertainty of a beam laid parallel, rad: equally far from the vehicle at two points about 2.5 m apart, to a good millimetre. Our own
     * working value; repeats along the same beam do not average it.
     */
    private static final double PARALLEL = 0.0005;

    @Override
    public List<Procedure> procedures() {
        return List.of(laserLine());
    }

    /** A beam along each side and a ruler from it to the rims, front and rear. Both wheels of a side share the beam and how it lies. */
    private static Procedure laserLine() {
        List<Place> walk = new ArrayList<>();
        List<Evaluation> evaluations = new ArrayList<>();
        for (Wheel wheel : Data.ROUND) {
            Place front = gap(BoxPlaces.frontGap(wheel), wheel, End.FRONT);
            Place rear = gap(BoxPlaces.rearGap(wheel), wheel, End.REAR);
            walk.addAll(wheel.left() ? List.of(front, rear) : List.of(rear, front));
            Map<String, Source> fields = new LinkedHashMap<>();
            fields.put("frontGap", RunOut.of(wheel, new Source.PlaceReading(front, 1)));
            fields.put("rearGap", new Source.PlaceReading(rear, 1));
            fields.put("baseline", Data.rim(wheel.axle()));
            fields.put("lineSide", new Source.ChosenWord(SIDE));
            fields.put("lineSkew", parallel(wheel.side()));
            evaluations.add(Evaluation.of(ToeLine.NAME, fields, Map.of("toe", FigureId.of(Measurand.TOE, wheel))));
        }
        return Procedure.of(
                        "laserLine",
                        Family.TOE,
                        walk,
                        evaluations,
                        Guide.of(
                                        List.of("settled", "steeringStraight", "beamParallel"),
                                        List.of("beamAgain", "rulerSquare", "steeringStill"),
                                        8,
                                        4)
                                .assuming(Assumption.LINE_SKEW_KNOWN),
                        ToeLineProcedures::lay)
                .over(s -> Data.rim(Axle.FRONT).known(s));
    }

    private static Place gap(String id, Wheel wheel, End end) {
        return Place.length(id, Location.of(wheel), "beam", 0, WIDEST, Use.BEAM)
                .at(end)
                .comparedAcross();
    }

    private static SetUp parallel(Side side) {
        return new SetUp("parallel." + side.key(), PARALLEL);
    }

    private static final double WIDEST = 1000;

    /** The gap from the beam to the rim at the hub, mm. */
    private static final double GAP_AT_HUB = 75;

    private static Simulation.Laying lay(Truth truth, MeasuringContext s, Hands hands) {
        LineSide line =
                SIDE.in(s).filter(LineSide.INBOARD.key()::equals).isPresent() ? LineSide.INBOARD : LineSide.OUTBOARD;
        var places = new ShownReadings();
        for (Side side : Side.values()) {
            double skew = hands.off(parallel(side));
            for (Axle axle : Axle.values()) {
                Wheel wheel = Wheel.of(axle, side);
                double rim = s.sheet().geometry().rim(axle);
                double toe = truth.of(Measurand.TOE, wheel);
                var gaps = ToeLine.forward(toe, GAP_AT_HUB, rim, line, skew, Instrument.PERFECT, hands.random())
                        .gaps();
                places.length(BoxPlaces.frontGap(wheel), gaps.frontGap());
                places.length(BoxPlaces.rearGap(wheel), gaps.rearGap());
            }
        }
        return places::byPlace;
    }
}
