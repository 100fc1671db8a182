package app.galdrin.core.procedure.catalogue;

import app.galdrin.core.equipment.EquipmentKind;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Location;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.Assumption;
import app.galdrin.core.measure.BoxPlaces;
import app.galdrin.core.measure.BoxReadings;
import app.galdrin.core.measure.BoxTracks;
import app.galdrin.core.measure.Instrument;
import app.galdrin.core.measure.ToeBox;
import app.galdrin.core.measure.ToeBoxForward;
import app.galdrin.core.measure.ToeRearString;
import app.galdrin.core.measure.Use;
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
import app.galdrin.core.spec.VehicleGeometry;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Ways of measuring toe with strings along the vehicle. */
@AutoService(ProcedureList.class)
public final class ToeStringProcedures implements ProcedureList {

    private static final String RIM = "rim";
    private static final String SPACING = "spacing";
    private static final FigureId TOTAL_FRONT = FigureId.of(Measurand.TOTAL_TOE, Axle.FRONT);
    private static final FigureId TOTAL_REAR = FigureId.of(Measurand.TOTAL_TOE, Axle.REAR);

    @Override
    public List<Procedure> procedures() {
        return List.of(strings("strings", false), strings("battens", true), rearString());
    }

    /** Bend of a string that was touched or hangs on something, mm at a hub; our own working value. */
    private static final double STRAIGHT = 0.3;

    /**
     * Two strings along the vehicle, each end on a stand of its own; or between two battens with notches equally far apart, so that the
     * strings are parallel of themselves and one spacing is read, once.
     */
    private static Procedure strings(String key, boolean battens) {
        Map<Wheel, List<Place>> wheels = new EnumMap<>(Wheel.class);
        for (Wheel wheel : Wheel.values()) {
            wheels.put(wheel, alongSide(wheel, true));
        }
        Place spacingFront = battens
                ? spacing("notches", "notches", 4000).at(End.FRONT).once()
                : spacing("stringSpacingFront", SPACING, 4000).at(End.FRONT);
        Place spacingRear = spacing("stringSpacingRear", SPACING, 4000).at(End.REAR);
        // several metres along a vehicle are a tape's
        Place stations = Place.length("stationDistance", Location.VEHICLE, "stations", 500, 12000, Use.SPAN)
                .at(End.HUB)
                .once();
        List<Place> walk = new ArrayList<>(wheels.get(Wheel.FRONT_LEFT));
        walk.addAll(wheels.get(Wheel.REAR_LEFT));
        if (!battens) {
            walk.add(spacingRear);
        }
        walk.addAll(wheels.get(Wheel.REAR_RIGHT));
        walk.addAll(wheels.get(Wheel.FRONT_RIGHT));
        walk.addAll(List.of(spacingFront, stations));
        Map<String, Source> fields = new LinkedHashMap<>();
        Source.PlaceReading front = new Source.PlaceReading(spacingFront, 1);
        fields.put("stringSpacingFront", front);
        fields.put(
                "stringSpacingRear",
                battens
                        ? new Source.PairedReading(front, EquipmentKind.BATTENS, NOTCHED)
                        : new Source.PlaceReading(spacingRear, 1));
        fields.put("stationDistance", new Source.PlaceReading(stations, 1));
        fields.put("wheelbase", Data.WHEELBASE);
        fields.putAll(gaps(wheels));
        var evaluation =
                new Evaluation(ToeBox.NAME, fields, toes(), List.of("skew.left", "skew.right"), List.of(), List.of());
        return Procedure.of(
                        key,
                        Family.TOE,
                        walk,
                        List.of(evaluation),
                        guide(battens),
                        (truth, s, hands) -> layStrings(truth, s, hands, battens))
                .over(s -> Data.rim(Axle.FRONT).known(s));
    }

    /** The gaps from the strings to the rims, and the baseline of each wheel. */
    private static Map<String, Source> gaps(Map<Wheel, List<Place>> wheels) {
        Map<String, Source> fields = new LinkedHashMap<>();
        wheels.forEach((wheel, places) -> {
            places.forEach(place -> fields.put(place.id(), new Source.PlaceReading(place, 1)));
            fields.computeIfPresent(
                    BoxPlaces.frontGap(wheel),
                    (id, read) -> RunOut.of(wheel, new Source.ReadingWithSetup(read, bow(wheel))));
            fields.put("wheels." + wheel.key() + ".baseline", Data.rim(wheel.axle()));
        });
        for (Wheel wheel : Data.FRONTS) {
            fields.computeIfPresent(
                    BoxPlaces.hubGap(wheel), (id, read) -> new Source.ReadingWithSetup(read, straight(wheel)));
        }
        return fields;
    }

    private static Map<String, FigureId> toes() {
        Map<String, FigureId> figures = new LinkedHashMap<>();
        figures.put("totalToe.front", TOTAL_FRONT);
        figures.put("totalToe.rear", TOTAL_REAR);
        for (Wheel wheel : Wheel.values()) {
            figures.put("toe." + wheel.key(), FigureId.of(Measurand.TOE, wheel));
        }
        figures.put("thrustAngle", FigureId.of(Measurand.THRUST, Axle.REAR));
        return figures;
    }

    private static Guide guide(boolean battens) {
        return Guide.of(
                List.of("settled", "steeringStraight", battens ? "battensUp" : "stringsUp", "stringsHubHeight"),
                List.of("stringsTight", "spacingAgain", "steeringStill"),
                battens ? 12 : 18,
                8);
    }

    /** Difference between the notches of the two battens; our own working value, mm. */
    private static final SetUp NOTCHED = new SetUp("notches", 0.3);

    private static SetUp straight(Wheel wheel) {
        return new SetUp("straight." + wheel.side().key(), STRAIGHT);
    }

    /** Bend from one end of a rim to the other, for the same reasons; our own working value, mm. */
    private static final double BOWED = 0.12;

    private static SetUp bow(Wheel wheel) {
        return new SetUp("bow." + wheel.key(), BOWED);
    }

    private static Place spacing(String id, String reading, double most) {
        return Place.length(id, Location.VEHICLE, reading, 500, most, Use.SPACING);
    }

    /** Down the left side the front of a rim is met first, up the right side its rear. */
    private static List<Place> alongSide(Wheel wheel, boolean withHub) {
        Place front = Place.gap(BoxPlaces.frontGap(wheel), wheel, End.FRONT, RIM);
        Place rear = Place.gap(BoxPlaces.rearGap(wheel), wheel, End.REAR, RIM);
        List<Place> places = new ArrayList<>(List.of(front, rear));
        if (withHub) {
            places.add(1, Place.gap(BoxPlaces.hubGap(wheel), wheel, End.HUB, "hub"));
        }
        if (!wheel.left()) {
            Collections.reverse(places);
        }
        return places;
    }

    private static Procedure rearString() {
        List<Place> walk = new ArrayList<>();
        List<Evaluation> evaluations = new ArrayList<>();
        for (Wheel wheel : Data.FRONTS) {
            List<Place> places = alongSide(wheel, false);
            walk.addAll(places);
            Map<String, Source> fields = new LinkedHashMap<>();
            for (Place place : places) {
                fields.put(
                        place.end().orElseThrow() == End.FRONT ? "frontGap" : "rearGap",
                        new Source.PlaceReading(place, 1));
            }
            Wheel rear = Wheel.of(Axle.REAR, wheel.side());
            // the string heads as the rear tyre, and carries its run-out on to the front rim
            fields.computeIfPresent(
                    "frontGap",
                    (field, read) -> RunOut.of(
                            wheel, RunOut.carried(rear, new Source.ReadingWithSetup(read, bend(wheel)), RIM_TO_TYRE)));
            fields.put("baseline", Data.rim(Axle.FRONT));
            fields.put(
                    "rearToe", new Source.EarlierFigure(FigureId.of(Measurand.TOE, Wheel.of(Axle.REAR, wheel.side()))));
            evaluations.add(
                    Evaluation.of(ToeRearString.NAME, fields, Map.of("toe", FigureId.of(Measurand.TOE, wheel))));
        }
        return Procedure.of(
                        "rearString",
                        Family.TOE,
                        walk,
                        evaluations,
                        Guide.of(
                                        List.of("settled", "steeringStraight", "stringRound"),
                                        List.of("stringJustTouches", "stringsTight", "steeringStill"),
                                        3,
                                        3)
                                .assuming(Assumption.REAR_TOE_KNOWN),
                        ToeStringProcedures::layRearString)
                .over(s -> Data.rim(Axle.FRONT).known(s));
    }

    /** Size of a rim beside the tyre on it, about. */
    private static final double RIM_TO_TYRE = 0.7;

    /** A string that presses on the rear tyre or hangs off it, as mm between the two gaps; our own working value. */
    private static SetUp bend(Wheel wheel) {
        return new SetUp("bend." + wheel.key(), 0.4);
    }

    /** Distance of a string outside the track, of the stations beyond the axles, and how roughly they are set, mm. */
    private static final double STRING_OUTSIDE = 65;

    private static final double STATION_AHEAD = 620;
    private static final double STATIONS_BEYOND = 1300;
    private static final double ROUGHLY = 16;

    /** Lays the strings. Nobody sets one to the millimetre: each end is off by up to half of {@link #ROUGHLY}. */
    private static Simulation.Laying layStrings(Truth truth, MeasuringContext s, Hands hands, boolean battens) {
        VehicleGeometry g = s.sheet().geometry();
        double half = Math.max(g.frontTrack(), g.rearTrack()) / 2 + STRING_OUTSIDE;
        double[] off = hands.random()
                .doubles(4)
                .map(r -> half + Math.rint(ROUGHLY * (r - 0.5)))
                .toArray();
        if (battens) {
            // the rear batten may lie off to a side, but its notches are as far apart as the front one's
            off[3] = off[0] + off[2] - off[1] + s.kit().apart(EquipmentKind.BATTENS) + hands.off(NOTCHED);
        }
        var setUp = new ToeBoxForward.SetUp(
                STATION_AHEAD, Math.rint(g.wheelbase() + STATIONS_BEYOND), off[0], off[1], off[2], off[3]);
        Map<Wheel, Double> toes = new EnumMap<>(Wheel.class);
        for (Wheel wheel : Wheel.values()) {
            toes.put(wheel, truth.of(Measurand.TOE, wheel));
        }
        var state = new ToeBoxForward.Truth(
                g.wheelbase(),
                new BoxTracks(g.frontTrack(), g.rearTrack()),
                new ToeBoxForward.Rims(g.rim(Axle.FRONT), g.rim(Axle.REAR)),
                toes);
        Map<String, Double> shows =
                byPlace(ToeBoxForward.readings(state, setUp, Instrument.PERFECT, Instrument.PERFECT, hands.random()));
        for (Wheel wheel : Data.FRONTS) {
            shows.merge(BoxPlaces.hubGap(wheel), hands.off(straight(wheel)), Double::sum);
        }
        for (Wheel wheel : Wheel.values()) {
            shows.merge(BoxPlaces.frontGap(wheel), hands.off(bow(wheel)), Double::sum);
        }
        return () -> shows;
    }

    private static Map<String, Double> byPlace(BoxReadings r) {
        var places = new ShownReadings();
        places.length("stringSpacingFront", r.spacingFront());
        places.length("notches", r.spacingFront());
        places.length("stringSpacingRear", r.spacingRear());
        places.length("stationDistance", r.stationDistance());
        r.wheels().forEach((wheel, gaps) -> {
            places.length(BoxPlaces.hubGap(wheel), r.hubGaps().at(wheel));
            places.length(BoxPlaces.frontGap(wheel), gaps.frontGap());
            places.length(BoxPlaces.rearGap(wheel), gaps.rearGap());
        });
        return places.byPlace();
    }

    /** The gap from a string on the rear tyre to the front hub, mm. */
    private static final double GAP_AT_HUB = 40;

    private static Simulation.Laying layRearString(Truth truth, MeasuringContext s, Hands hands) {
        double rim = s.sheet().geometry().rim(Axle.FRONT);
        var places = new ShownReadings();
        for (Wheel wheel : Data.FRONTS) {
            double rear = truth.of(Measurand.TOE, Wheel.of(Axle.REAR, wheel.side()));
            var gaps = ToeRearString.forward(
                            truth.of(Measurand.TOE, wheel), rear, GAP_AT_HUB, rim, Instrument.PERFECT, hands.random())
                    .gaps();
            places.length(BoxPlaces.frontGap(wheel), gaps.frontGap() + hands.off(bend(wheel)));
            places.length(BoxPlaces.rearGap(wheel), gaps.rearGap());
        }
        return places::byPlace;
    }
}
