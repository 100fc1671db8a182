package app.galdrin.core.procedure;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.Assumption;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.measure.Instrument;
import app.galdrin.core.measure.ToeAcross;
import app.galdrin.core.measure.ToeBox;
import app.galdrin.core.measure.ToeBoxForward;
import app.galdrin.core.measure.ToeRearString;
import app.galdrin.core.procedure.Source.Fixed;
import app.galdrin.core.procedure.Source.Read;
import app.galdrin.core.record.FieldUnit;
import app.galdrin.core.spec.VehicleGeometry;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.random.RandomGenerator;

/** Ways of measuring toe. */
@AutoService(ProcedureList.class)
public final class ToeProcedures implements ProcedureList {

    /** Between the two tape slots of the college's plates, mm. */
    public static final double PLATE_SLOTS = 500;

    private static final String RIM = "rim";
    private static final String SPACING = "spacing";
    private static final FigureId TOTAL_FRONT = FigureId.of(Measurand.TOTAL_TOE, Axle.FRONT);
    private static final FigureId TOTAL_REAR = FigureId.of(Measurand.TOTAL_TOE, Axle.REAR);
    private static final Source.Datum WHEELBASE = datum("wheelbase", VehicleGeometry::wheelbase);
    static final Source.Datum RIM_DIAMETER = datum("rimDiameter", VehicleGeometry::rimDiameter);

    private static Source.Datum datum(String key, ToDoubleFunction<VehicleGeometry> value) {
        return new Source.Datum(
                key,
                FieldUnit.LENGTH,
                s -> Optional.of(value.applyAsDouble(s.sheet().geometry())),
                s -> 0);
    }

    @Override
    public List<Procedure> procedures() {
        return List.of(plates(), strings(), rearString());
    }

    private static Procedure plates() {
        Place front = tape("frontDistance", End.FRONT);
        Place rear = tape("rearDistance", End.REAR);
        Map<String, Source> fields = new LinkedHashMap<>();
        fields.put("frontDistance", new Read(front, 1));
        fields.put("rearDistance", new Read(rear, 1));
        fields.put("baseline", new Fixed(PLATE_SLOTS));
        return new Procedure(
                "plates",
                Family.TOE,
                List.of(front, rear),
                List.of(Evaluation.of(ToeAcross.NAME, fields, Map.of("totalToe", TOTAL_FRONT))),
                Set.of(Assumption.SAME_POINTS),
                Set.of(),
                s -> Optional.of(PLATE_SLOTS),
                ToeProcedures::layPlates);
    }

    private static Place tape(String id, End end) {
        return Place.length(id, end, "tape", 500, 3500, CatalogueInstrument.TAPE)
                .comparedAcross();
    }

    private static Procedure strings() {
        List<Place> walk = new ArrayList<>();
        Map<String, Source> fields = new LinkedHashMap<>();
        Map<Wheel, List<Place>> wheels = new EnumMap<>(Wheel.class);
        for (Wheel wheel : Wheel.values()) {
            wheels.put(wheel, alongSide(wheel, true));
        }
        Place spacingFront = spacing("stringSpacingFront", End.FRONT, SPACING, 4000);
        Place spacingRear = spacing("stringSpacingRear", End.REAR, SPACING, 4000);
        Place stations = spacing("stationDistance", End.HUB, "stations", 12000).once();
        walk.addAll(wheels.get(Wheel.FRONT_LEFT));
        walk.addAll(wheels.get(Wheel.REAR_LEFT));
        walk.add(spacingRear);
        walk.addAll(wheels.get(Wheel.REAR_RIGHT));
        walk.addAll(wheels.get(Wheel.FRONT_RIGHT));
        walk.add(spacingFront);
        walk.add(stations);
        fields.put("stringSpacingFront", new Read(spacingFront, 1));
        fields.put("stringSpacingRear", new Read(spacingRear, 1));
        fields.put("stationDistance", new Read(stations, 1));
        fields.put("wheelbase", WHEELBASE);
        Map<String, FigureId> figures = new LinkedHashMap<>();
        figures.put("totalToe.front", TOTAL_FRONT);
        figures.put("totalToe.rear", TOTAL_REAR);
        wheels.forEach((wheel, places) -> {
            places.forEach(place -> fields.put(place.id(), new Read(place, 1)));
            fields.put("wheels." + wheel.key() + ".baseline", RIM_DIAMETER);
            figures.put("toe." + wheel.key(), FigureId.of(Measurand.TOE, wheel));
        });
        figures.put("thrustAngle", FigureId.of(Measurand.THRUST, Axle.REAR));
        return new Procedure(
                "strings",
                Family.TOE,
                walk,
                List.of(new Evaluation(
                        ToeBox.NAME, fields, figures, List.of("skew.left", "skew.right"), List.of(), List.of())),
                Set.of(),
                Set.of(),
                s -> RIM_DIAMETER.value().apply(s),
                ToeProcedures::layStrings);
    }

    private static Place spacing(String id, End end, String reading, double most) {
        return Place.length(id, end, reading, 500, most, CatalogueInstrument.RULE_MILLIMETRES);
    }

    /** Down the left side the front of a rim is met first, up the right side its rear. */
    private static List<Place> alongSide(Wheel wheel, boolean withHub) {
        Place front = Place.gap(ToeBox.frontGap(wheel), wheel, End.FRONT, RIM);
        Place rear = Place.gap(ToeBox.rearGap(wheel), wheel, End.REAR, RIM);
        List<Place> places = new ArrayList<>(List.of(front, rear));
        if (withHub) {
            places.add(1, Place.gap(ToeBox.hubGap(wheel), wheel, End.HUB, "hub"));
        }
        if (!wheel.left()) {
            Collections.reverse(places);
        }
        return places;
    }

    private static Procedure rearString() {
        List<Place> walk = new ArrayList<>();
        List<Evaluation> evaluations = new ArrayList<>();
        for (Wheel wheel : List.of(Wheel.FRONT_LEFT, Wheel.FRONT_RIGHT)) {
            List<Place> places = alongSide(wheel, false);
            walk.addAll(places);
            Map<String, Source> fields = new LinkedHashMap<>();
            for (Place place : places) {
                fields.put(place.end().orElseThrow() == End.FRONT ? "frontGap" : "rearGap", new Read(place, 1));
            }
            fields.put("baseline", RIM_DIAMETER);
            fields.put("rearToe", new Source.Own(FigureId.of(Measurand.TOE, Wheel.of(Axle.REAR, wheel.side()))));
            evaluations.add(
                    Evaluation.of(ToeRearString.NAME, fields, Map.of("toe", FigureId.of(Measurand.TOE, wheel))));
        }
        return new Procedure(
                "rearString",
                Family.TOE,
                walk,
                evaluations,
                Set.of(Assumption.REAR_TOE_KNOWN),
                Set.of(),
                s -> RIM_DIAMETER.value().apply(s),
                ToeProcedures::layRearString);
    }

    /** Between the outer faces of two plates, beyond the track, mm. */
    private static final double PLATES_OUTSIDE = 240;

    private static Simulation.Laying layPlates(Truth truth, Standing s, double handling, RandomGenerator random) {
        Instrument tape = hand(CatalogueInstrument.TAPE, handling);
        double total = truth.of(Measurand.TOE, Wheel.FRONT_LEFT) + truth.of(Measurand.TOE, Wheel.FRONT_RIGHT);
        double between = s.sheet().geometry().frontTrack() + PLATES_OUTSIDE;
        return () -> {
            var r = ToeAcross.forward(total, between, PLATE_SLOTS, ToeAcross.Reading.SPAN, tape, random);
            return Map.of("frontDistance", r.frontDistance(), "rearDistance", r.rearDistance());
        };
    }

    /** How far outside the track a string is set, how far the stations lie beyond the axles, how roughly, mm. */
    private static final double STRING_OUTSIDE = 65;

    private static final double STATION_AHEAD = 620;
    private static final double STATIONS_BEYOND = 1300;
    private static final double ROUGHLY = 16;

    /** Nobody sets a string to the millimetre: each end is off by up to half of {@link #ROUGHLY}. */
    private static Simulation.Laying layStrings(Truth truth, Standing s, double handling, RandomGenerator random) {
        VehicleGeometry g = s.sheet().geometry();
        double half = Math.max(g.frontTrack(), g.rearTrack()) / 2 + STRING_OUTSIDE;
        double[] off = random.doubles(4)
                .map(r -> half + Math.rint(ROUGHLY * (r - 0.5)))
                .toArray();
        var setUp = new ToeBoxForward.SetUp(
                STATION_AHEAD, Math.rint(g.wheelbase() + STATIONS_BEYOND), off[0], off[1], off[2], off[3]);
        Map<Wheel, Double> toes = new EnumMap<>(Wheel.class);
        for (Wheel wheel : Wheel.values()) {
            toes.put(wheel, truth.of(Measurand.TOE, wheel));
        }
        var state = new ToeBoxForward.Truth(
                g.wheelbase(), new ToeBox.Tracks(g.frontTrack(), g.rearTrack()), g.rimDiameter(), toes);
        Instrument rule = hand(CatalogueInstrument.RULE_MILLIMETRES, handling);
        return () -> byPlace(ToeBoxForward.readings(state, setUp, rule, rule, random));
    }

    private static Map<String, Double> byPlace(ToeBox.Readings r) {
        Map<String, Double> places = new HashMap<>();
        places.put("stringSpacingFront", r.spacingFront());
        places.put("stringSpacingRear", r.spacingRear());
        places.put("stationDistance", r.stationDistance());
        r.wheels().forEach((wheel, gaps) -> {
            places.put(ToeBox.hubGap(wheel), r.hubGaps().at(wheel));
            places.put(ToeBox.frontGap(wheel), gaps.frontGap());
            places.put(ToeBox.rearGap(wheel), gaps.rearGap());
        });
        return places;
    }

    /** From a string on the rear tyre to the front hub, mm. */
    private static final double GAP_AT_HUB = 40;

    private static Simulation.Laying layRearString(Truth truth, Standing s, double handling, RandomGenerator random) {
        Instrument rule = hand(CatalogueInstrument.RULE_MILLIMETRES, handling);
        double rim = s.sheet().geometry().rimDiameter();
        return () -> {
            Map<String, Double> places = new HashMap<>();
            for (Wheel wheel : List.of(Wheel.FRONT_LEFT, Wheel.FRONT_RIGHT)) {
                double rear = truth.of(Measurand.TOE, Wheel.of(Axle.REAR, wheel.side()));
                var gaps = ToeRearString.forward(truth.of(Measurand.TOE, wheel), rear, GAP_AT_HUB, rim, rule, random)
                        .gaps();
                places.put(ToeBox.frontGap(wheel), gaps.frontGap());
                places.put(ToeBox.rearGap(wheel), gaps.rearGap());
            }
            return places;
        };
    }

    private static Instrument hand(CatalogueInstrument instrument, double handling) {
        return instrument.inHands(handling);
    }
}
