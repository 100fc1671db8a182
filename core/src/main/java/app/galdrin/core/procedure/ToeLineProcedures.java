package app.galdrin.core.procedure;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.Assumption;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.measure.Instrument;
import app.galdrin.core.measure.ToeBox;
import app.galdrin.core.measure.ToeLine;
import app.galdrin.core.measure.ToeLine.LineSide;
import app.galdrin.core.procedure.Source.Chosen;
import app.galdrin.core.procedure.Source.Read;
import app.galdrin.core.procedure.Source.SetUp;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;

/** Ways of measuring toe, one wheel at a time, against a line that is laid parallel to the vehicle. */
@AutoService(ProcedureList.class)
public final class ToeLineProcedures implements ProcedureList {

    private static final List<Wheel> WALK = List.of(Wheel.FRONT_LEFT, Wheel.FRONT_RIGHT);
    private static final CatalogueInstrument RULER = CatalogueInstrument.LASER_AND_RULER;

    /** Which of the two gaps is the larger at toe-in hangs on it. */
    private static final Choice SIDE = new Choice(
            "lineSide", Stream.of(LineSide.values()).map(LineSide::key).toList());

    /**
     * How well a beam is laid parallel, rad: equally far from the vehicle at two points about 2.5 m apart, to a good millimetre. Our own
     * working value; repeats along the same beam do not average it.
     */
    private static final double PARALLEL = 0.0005;

    @Override
    public List<Procedure> procedures() {
        return List.of(laserLine());
    }

    /** A beam along each side and a ruler from it to the rim, front and rear. */
    private static Procedure laserLine() {
        List<Place> walk = new ArrayList<>();
        List<Evaluation> evaluations = new ArrayList<>();
        for (Wheel wheel : WALK) {
            Place front =
                    Place.gap(ToeBox.frontGap(wheel), wheel, End.FRONT, "beam").readWith(RULER);
            Place rear =
                    Place.gap(ToeBox.rearGap(wheel), wheel, End.REAR, "beam").readWith(RULER);
            walk.addAll(wheel.left() ? List.of(front, rear) : List.of(rear, front));
            Map<String, Source> fields = new LinkedHashMap<>();
            fields.put("frontGap", new Read(front, 1));
            fields.put("rearGap", new Read(rear, 1));
            fields.put("baseline", ToeProcedures.RIM_DIAMETER);
            fields.put("lineSide", new Chosen(SIDE));
            fields.put("lineSkew", new SetUp("parallel." + wheel.key(), PARALLEL));
            evaluations.add(Evaluation.of(ToeLine.NAME, fields, Map.of("toe", FigureId.of(Measurand.TOE, wheel))));
        }
        return new Procedure(
                "laserLine",
                Family.TOE,
                walk,
                evaluations,
                Set.of(Assumption.LINE_SKEW_KNOWN),
                Set.of(),
                ToeProcedures.RIM_DIAMETER::known,
                ToeLineProcedures::lay);
    }

    /** From the beam to the rim at the hub, mm. */
    private static final double GAP_AT_HUB = 75;

    private static Simulation.Laying lay(Truth truth, Standing s, double handling, RandomGenerator random) {
        Instrument ruler = RULER.inHands(handling);
        double rim = s.sheet().geometry().rimDiameter();
        LineSide side =
                SIDE.in(s).filter(LineSide.INBOARD.key()::equals).isPresent() ? LineSide.INBOARD : LineSide.OUTBOARD;
        Map<Wheel, Double> skews = new EnumMap<>(Wheel.class);
        WALK.forEach(wheel -> skews.put(wheel, handling * PARALLEL * random.nextGaussian()));
        return () -> {
            Map<String, Double> places = new HashMap<>();
            skews.forEach((wheel, skew) -> {
                double toe = truth.of(Measurand.TOE, wheel);
                var gaps = ToeLine.forward(toe, GAP_AT_HUB, rim, side, skew, ruler, random)
                        .gaps();
                places.put(ToeBox.frontGap(wheel), gaps.frontGap());
                places.put(ToeBox.rearGap(wheel), gaps.rearGap());
            });
            return places;
        };
    }
}
