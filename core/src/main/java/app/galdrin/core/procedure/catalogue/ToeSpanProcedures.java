package app.galdrin.core.procedure.catalogue;

import app.galdrin.core.equipment.ToolLength;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Location;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.Assumption;
import app.galdrin.core.measure.CatalogueInstrument.Surface;
import app.galdrin.core.measure.Instrument;
import app.galdrin.core.measure.ToeAcross;
import app.galdrin.core.measure.ToeAcross.Reading;
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
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Ways of measuring the total toe of an axle across the vehicle, once ahead of the hubs and once behind. None of them can say which
 * wheel points where. How far off each is set up are our own working values.
 */
@AutoService(ProcedureList.class)
public final class ToeSpanProcedures implements ProcedureList {

    /** A usual rim, which frames, bars and lasers lean on, mm. */
    private static final double RIM = 415;

    private static final double LEAST_SPAN = 500;
    private static final double MOST_SPAN = 3500;
    private static final double MOST_GAP = 600;
    private static final double MOST_BELOW = 250;
    private static final double LEAST_AHEAD = 300;
    private static final double MOST_AHEAD = 6000;

    /** Positions of the tape, far enough below the hubs to clear the sump, and of the marks ahead of the hubs; of a forward model, mm. */
    private static final double BELOW = 90;

    private static final double AHEAD = 2000;

    private static final double JIG_LEAVES = 140;

    /** True distance between the two points of one wheel, mm. */
    private interface Truly {
        double between(Axle axle, MeasuringContext standing);
    }

    /**
     * Properties that the spans of one kind share; {@code atHubs} how much more than the track is read in a simulation, or the gap of a jig, mm;
     * {@code doubt} of the set-up, mm on the difference; {@code carries} how much farther apart it is read than what leans on the wheel.
     */
    private record Span(
            String key,
            String reading,
            Surface surface,
            Reading as,
            double atHubs,
            double doubt,
            Guide guide,
            Truly points,
            double carries) {
        SetUp setUp(Axle axle) {
            return new SetUp(key + "." + axle.key(), doubt);
        }

        private Place end(Axle axle, End end) {
            boolean gap = as == Reading.OUTSIDE_GAP;
            String id = distance(axle, end);
            Location where = Location.of(axle);
            return (gap
                            ? Place.length(id, where, reading, 0, MOST_GAP, Use.GAP)
                            : Place.length(id, where, reading, LEAST_SPAN, MOST_SPAN, Use.SPAN))
                    .at(end)
                    .readFrom(surface)
                    .comparedAcross();
        }
    }

    /** The front axle's keep the names of the record's fields. */
    private static String distance(Axle axle, End end) {
        return (axle == Axle.FRONT ? "" : "rear.") + end.key() + "Distance";
    }

    @Override
    public List<Procedure> procedures() {
        return List.of(treadTape(), plates(), rigidFrames(), longBars(), outsideJig(), floorLaser());
    }

    private static final List<String> STANDS = List.of("settled", "steeringStraight");

    private static Guide guide(List<String> steps, List<String> checks, int set, int read) {
        List<String> all = new ArrayList<>(STANDS);
        all.addAll(steps);
        return Guide.of(all, checks, set, read).assuming(Assumption.SAME_POINTS);
    }

    private static Procedure plates() {
        var span = new Span(
                "plates",
                "tape",
                Surface.RIM,
                Reading.SPAN,
                240,
                0.35,
                guide(List.of("platesOn", "tapesIn"), List.of("hardOnTyre", "tapesLevel", "notPreTurned"), 4, 2),
                (axle, s) -> s.kit().length(ToolLength.PLATE_SLOTS),
                1);
        return procedure(span, List.of(), axle -> Map.of("baseline", new Source.ToolDatum(ToolLength.PLATE_SLOTS)))
                .over(s -> Optional.of(s.kit().length(ToolLength.PLATE_SLOTS)));
    }

    private static Procedure rigidFrames() {
        var span = new Span(
                "rigidFrames",
                "frame",
                Surface.RIM,
                Reading.SPAN,
                300,
                0.4,
                guide(List.of("framesOn", "tapesIn"), List.of("railsInLine", "threeContacts", "tapesLevel"), 5, 2),
                (axle, s) -> s.kit().length(ToolLength.FRAME_PINS),
                ToolLength.FRAME_PINS.usual() / RIM);
        return procedure(span, List.of(), axle -> Map.of("baseline", new Source.ToolDatum(ToolLength.FRAME_PINS)))
                .over(s -> Optional.of(s.kit().length(ToolLength.FRAME_PINS)));
    }

    private static Procedure longBars() {
        var span = new Span(
                "longBars",
                "bar",
                Surface.RIM,
                Reading.SPAN,
                260,
                0.8,
                guide(List.of("barsOn", "barsRead"), List.of("barCentred", "barStraight", "threeContacts"), 8, 3),
                (axle, s) -> s.kit().length(ToolLength.BAR),
                ToolLength.BAR.usual() / RIM);
        return procedure(span, List.of(), axle -> Map.of("baseline", new Source.ToolDatum(ToolLength.BAR)))
                .over(s -> Optional.of(s.kit().length(ToolLength.BAR)));
    }

    private static Procedure outsideJig() {
        var span = new Span(
                "outsideJig",
                "jig",
                Surface.RIM,
                Reading.OUTSIDE_GAP,
                JIG_LEAVES,
                0.3,
                guide(List.of("jigHooked", "jigRead"), List.of("jigSameHeight", "sameRimPoints"), 2, 3),
                (axle, s) -> s.sheet().geometry().rim(axle),
                1);
        return procedure(
                        span,
                        List.of(),
                        axle -> Map.of(
                                "baseline", Data.rim(axle), "reading", new Source.Constant(Reading.OUTSIDE_GAP.key())))
                .over(s -> Data.rim(Axle.FRONT).known(s));
    }

    /** Returns the procedure with the tape at the treads. How far it runs below the hubs gives the chord that its two points span. */
    private static Procedure treadTape() {
        var span = new Span(
                "treadTape",
                "tread",
                Surface.TREAD,
                Reading.SPAN,
                0,
                0.8,
                guide(List.of("ribScribed", "tapeUnder"), List.of("sameHeight", "sameRib", "tapeClear"), 5, 3),
                (axle, s) -> chord(s.sheet().geometry().tyre(axle), BELOW),
                1);
        List<Place> heights = new ArrayList<>();
        for (Axle axle : Axle.values()) {
            heights.add(Place.length(below(axle), Location.of(axle), "below", 0, MOST_BELOW, Use.SPAN)
                    .once());
        }
        return procedure(
                        span,
                        heights,
                        axle -> Map.of(
                                "tyreRadius",
                                Data.tyre(axle),
                                "heightOffset",
                                new Source.PlaceReading(heights.get(axle.ordinal()), 1)))
                .over(s -> Data.tyre(Axle.FRONT).known(s).map(radius -> 2 * radius));
    }

    private static double chord(double radius, double height) {
        return 2 * Math.sqrt((radius - height) * (radius + height));
    }

    private static String below(Axle axle) {
        return axle.key() + ".below";
    }

    /** A laser seated on each rim throws a mark on boards equally far ahead of the hub and behind it. */
    private static Procedure floorLaser() {
        var span = new Span(
                "floorLaser",
                "mark",
                Surface.RIM,
                Reading.SPAN,
                420,
                1.2,
                guide(List.of("marksOut", "laserSeated"), List.of("marksEqual", "laserSwung", "threeContacts"), 10, 4),
                (axle, s) -> 2 * AHEAD,
                2 * AHEAD / RIM);
        List<Place> ahead = new ArrayList<>();
        for (Axle axle : Axle.values()) {
            ahead.add(Place.length(marks(axle), Location.of(axle), "marksAhead", LEAST_AHEAD, MOST_AHEAD, Use.SPAN)
                    .reading(reading -> reading.with("marks"))
                    .once());
        }
        return procedure(
                span, ahead, axle -> Map.of("baseline", new Source.PlaceReading(ahead.get(axle.ordinal()), 2)));
    }

    private static String marks(Axle axle) {
        return axle.key() + ".marks";
    }

    /** The source of the length between the two points of one wheel, and how they are read. */
    private interface Points {
        Map<String, Source> of(Axle axle);
    }

    /** Puts what is read once for an axle before its spans. */
    private static Procedure procedure(Span span, List<Place> once, Points points) {
        List<Place> walk = new ArrayList<>();
        List<Evaluation> evaluations = new ArrayList<>();
        for (Axle axle : Axle.values()) {
            if (!once.isEmpty()) {
                walk.add(once.get(axle.ordinal()));
            }
            Place front = span.end(axle, End.FRONT);
            Place rear = span.end(axle, End.REAR);
            walk.addAll(List.of(front, rear));
            Map<String, Source> fields = new LinkedHashMap<>();
            fields.put(
                    "frontDistance",
                    runOut(
                            axle,
                            new Source.ReadingWithSetup(new Source.PlaceReading(front, 1), span.setUp(axle)),
                            span.carries()));
            fields.put("rearDistance", new Source.PlaceReading(rear, 1));
            fields.putAll(points.of(axle));
            evaluations.add(
                    Evaluation.of(ToeAcross.NAME, fields, Map.of("totalToe", FigureId.of(Measurand.TOTAL_TOE, axle))));
        }
        return Procedure.of(
                span.key(),
                Family.TOE,
                walk,
                evaluations,
                span.guide(),
                (truth, s, hands) -> lay(span, truth, s, hands));
    }

    /** Returns the run-out of both wheels. */
    private static Source runOut(Axle axle, Source reading, double carries) {
        Source left = RunOut.carried(Wheel.of(axle, Side.LEFT), reading, carries);
        return RunOut.carried(Wheel.of(axle, Side.RIGHT), left, carries);
    }

    private static Simulation.Laying lay(Span span, Truth truth, MeasuringContext s, Hands hands) {
        var places = new ShownReadings();
        for (Axle axle : Axle.values()) {
            VehicleGeometry g = s.sheet().geometry();
            double total = truth.of(Measurand.TOE, Wheel.of(axle, Side.LEFT))
                    + truth.of(Measurand.TOE, Wheel.of(axle, Side.RIGHT));
            double baseline = span.points().between(axle, s);
            double between = span.as() == Reading.SPAN ? g.track(axle) + span.atHubs() : span.atHubs();
            var r = ToeAcross.forward(total, between, baseline, span.as(), Instrument.PERFECT, hands.random());
            places.length(distance(axle, End.FRONT), r.frontDistance() + hands.off(span.setUp(axle)));
            places.length(distance(axle, End.REAR), r.rearDistance());
            places.length(below(axle), BELOW);
            places.length(marks(axle), AHEAD);
        }
        return places::byPlace;
    }
}
