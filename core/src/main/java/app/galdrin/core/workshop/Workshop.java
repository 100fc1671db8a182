package app.galdrin.core.workshop;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.BiFunction;
import java.util.function.DoubleUnaryOperator;

/** A vehicle and one person's tools: for each procedure, what stands at each place. */
public final class Workshop {

    private static final List<String> WHEELS = List.of("fl", "fr", "rl", "rr");

    private static final double UPRIGHT = 90;

    /** Sizes of a workshop's tools, mm. */
    private static final double PLATE_SLOTS = 500;

    private static final double FRAME_PINS = 640;
    private static final double FLAG = 500;
    private static final double BAR = 1500;
    private static final double JIG_LEAVES = 140;
    private static final double SLIP_PLATE = 1000;

    /** The positions of tools, mm. */
    private static final double STRING_OUTSIDE = 65;

    private static final double ROUGHLY = 8;
    private static final double STAND_AHEAD = 620;
    private static final double STANDS_BEYOND = 1300;
    private static final double BEAM_OUTSIDE = 75;
    private static final double PLUMB_OUTSIDE = 60;
    private static final double TAPE_BELOW = 90;
    private static final double MARKS_AHEAD = 2000;
    private static final double FLAGS_OUT = 120;
    private static final double TOOLS_OUTSIDE = 120;

    /** The distance from a hub at which something beside its wheel can touch a string, mm. */
    private static final double NEAREST = 215;

    private static final double FARTHEST = 450;

    private static final double LOCK = Math.toRadians(36);
    private static final double FRAME_FALLS = Math.toRadians(0.9);

    private final StandingVehicle vehicle;
    private final Hand hand;
    private final Map<String, Corner> corners = new LinkedHashMap<>();

    /** Workshop in which one hand lays everything. */
    public Workshop(StandingVehicle vehicle, Hand hand) {
        this.vehicle = vehicle;
        this.hand = hand;
        WHEELS.forEach(key -> corners.put(key, new Corner(vehicle, key)));
    }

    /** The angle to which a wheel is turned, deg outward. */
    private record SteeringStand(String name, double about) {}

    private static final SteeringStand OUT = new SteeringStand("out", 20);
    private static final SteeringStand AHEAD = new SteeringStand("ahead", 0);
    private static final SteeringStand IN = new SteeringStand("in", -20);

    private static final Map<String, BiFunction<Workshop, String, Layout>> BY_KEY = Map.ofEntries(
            Map.entry("strings", (w, key) -> w.strings(false)),
            Map.entry("battens", (w, key) -> w.strings(true)),
            Map.entry("rearString", (w, key) -> w.rearString()),
            Map.entry("laserLine", (w, key) -> w.beam()),
            Map.entry("plates", (w, key) -> w.across(key, PLATE_SLOTS, PLATE_SLOTS / 2)),
            Map.entry("rigidFrames", (w, key) -> w.across(key, FRAME_PINS, w.vehicle.rim() / 2)),
            Map.entry("longBars", (w, key) -> w.across(key, BAR, w.vehicle.rim() / 2)),
            Map.entry("treadTape", (w, key) -> w.treadTape()),
            Map.entry("floorLaser", (w, key) -> w.across(key, 2 * MARKS_AHEAD, w.vehicle.rim() / 2)),
            Map.entry("outsideJig", (w, key) -> w.jig()),
            Map.entry("flags", (w, key) -> w.flags(Math::toDegrees)),
            Map.entry("flagsMillimetres", (w, key) -> w.flags(angle -> FLAG * Math.sin(angle))),
            Map.entry("wheelHeads", (w, key) -> w.heads()),
            Map.entry("inclinometerZeroed", (w, key) -> w.level(true, false)),
            Map.entry("inclinometer", (w, key) -> w.level(false, false)),
            Map.entry("inclinometer90", (w, key) -> w.level(false, true)),
            Map.entry("inclinometerTurned", (w, key) -> w.level(false, false)),
            Map.entry("plumbRule", (w, key) -> w.plumbLine()),
            Map.entry("sweep", (w, key) -> w.sweep(false, List.of(OUT, AHEAD, IN))),
            Map.entry("sweep90", (w, key) -> w.sweep(true, List.of(OUT, AHEAD, IN))),
            Map.entry(
                    "sweepFive",
                    (w, key) -> w.sweep(
                            false,
                            List.of(
                                    OUT,
                                    new SteeringStand("halfOut", 10),
                                    AHEAD,
                                    new SteeringStand("halfIn", -10),
                                    IN))),
            Map.entry(
                    "fullLock",
                    (w, key) ->
                            w.sweep(false, List.of(new SteeringStand("out", 38), AHEAD, new SteeringStand("in", -32)))),
            Map.entry("protractor", (w, key) -> w.protractor()),
            Map.entry("protractorKpi", (w, key) -> w.protractorAcross()),
            Map.entry("setback", (w, key) -> w.hubToHub()),
            Map.entry("runOut", (w, key) -> w.quarters()),
            Map.entry("turnOut", (w, key) -> w.turnOut()),
            Map.entry("slipPlate", (w, key) -> w.slipPlate()));

    /** The tools of a way of measuring, by its key, laid by this person. */
    public Layout lay(String procedure) {
        return Objects.requireNonNull(BY_KEY.get(procedure), procedure).apply(this, procedure);
    }

    private Corner corner(String key) {
        return Objects.requireNonNull(corners.get(key));
    }

    // ---- lines along the vehicle

    /** Two points in plan that a string is drawn between, touched at one spot. */
    private record Line(double frontX, double frontY, double rearX, double rearY, double spot, double off) {
        /** Returns how far the line is to the left there, mm. */
        double at(double x) {
            double share = (x - rearX) / (frontX - rearX);
            double touched = x > spot ? (frontX - x) / (frontX - spot) : (x - rearX) / (spot - rearX);
            return rearY + share * (frontY - rearY) + off * touched;
        }

        /** Returns the distance of a point from the line, mm; positive to the right of it. */
        double from(Point point) {
            return (at(point.x()) - point.y()) * Math.cos(Math.atan2(frontY - rearY, frontX - rearX));
        }
    }

    private Layout strings(boolean battens) {
        double half = Math.max(vehicle.frontTrack(), vehicle.rearTrack()) / 2 + STRING_OUTSIDE;
        double[] set = hand.random()
                .doubles(4)
                .map(r -> half + Math.rint(ROUGHLY * (2 * r - 1)))
                .toArray();
        if (battens) {
            set[3] = set[0] + set[1] - set[2] + hand.length("notches");
        }
        double rearX = STAND_AHEAD - Math.rint(vehicle.wheelbase() + STANDS_BEYOND);
        Map<String, Double> shows = new HashMap<>();
        Line left = string(set[0], rearX, set[2]);
        Line right = string(-set[1], rearX, -set[3]);
        for (Corner corner : corners.values()) {
            Line line = corner.side > 0 ? left : right;
            double rim = vehicle.rim() / 2;
            shows.put("wheels." + corner.key + ".frontGap", corner.side * line.from(corner.ahead(rim)));
            shows.put("wheels." + corner.key + ".rearGap", corner.side * line.from(corner.ahead(-rim)));
            shows.put("hubGap." + corner.key, corner.side * line.from(corner.hub));
        }
        shows.put("stringSpacingFront", set[0] + set[1]);
        shows.put("stringSpacingRear", set[2] + set[3]);
        shows.put("notches", set[0] + set[1]);
        shows.put("stationDistance", STAND_AHEAD - rearX);
        return () -> shows;
    }

    private Line string(double frontY, double rearX, double rearY) {
        double beside = (hand.random().nextBoolean() ? 0 : -vehicle.wheelbase())
                + (hand.random().nextBoolean() ? 1 : -1)
                        * (NEAREST + (FARTHEST - NEAREST) * hand.random().nextDouble());
        double spot = Math.max(beside, rearX + NEAREST);
        return new Line(STAND_AHEAD, frontY, rearX, rearY, spot, hand.length(Habits.STRING));
    }

    /** A string round the rear tyre goes on forward as that heads, but for how it lies on it. */
    private Layout rearString() {
        Map<String, Double> shows = new HashMap<>();
        for (String side : List.of("l", "r")) {
            Corner rear = corner("r" + side);
            Corner front = corner("f" + side);
            double off = hand.angle("rearTyre") + rear.turnedByRunOut(vehicle.tyre());
            Point along = rear.heading.turned(Point.UP, -rear.side * off);
            Point from = rear.hub.plus(rear.outward.times(BEAM_OUTSIDE));
            double rim = vehicle.rim() / 2;
            shows.put("wheels." + front.key + ".frontGap", beyond(front.ahead(rim), from, along, front.side));
            shows.put("wheels." + front.key + ".rearGap", beyond(front.ahead(-rim), from, along, front.side));
        }
        return () -> shows;
    }

    /** Returns the distance in plan from a point to a line outside of it, mm. */
    private static double beyond(Point point, Point from, Point along, int side) {
        Point there = point.minus(from);
        return -side * (along.x() * there.y() - along.y() * there.x());
    }

    private Layout beam() {
        Map<String, Double> shows = new HashMap<>();
        for (String side : List.of("l", "r")) {
            double off = hand.angle("beam");
            for (String end : List.of("f", "r")) {
                Corner corner = corner(end + side);
                Point along = new Point(Math.cos(off), Math.sin(off), 0);
                Point from = corner.hub.plus(new Point(0, corner.side * BEAM_OUTSIDE, 0));
                double rim = vehicle.rim() / 2;
                shows.put("wheels." + corner.key + ".frontGap", beyond(corner.ahead(rim), from, along, corner.side));
                shows.put("wheels." + corner.key + ".rearGap", beyond(corner.ahead(-rim), from, along, corner.side));
            }
        }
        return () -> shows;
    }

    // ---- spans across an axle

    private static String distance(String end, boolean front) {
        return (end.equals("f") ? "" : "rear.") + (front ? "front" : "rear") + "Distance";
    }

    /** A tool on each wheel that carries it out and on, read across at both of its ends. */
    private Layout across(String tool, double span, double leansOn) {
        Map<String, Double> shows = new HashMap<>();
        for (String end : List.of("f", "r")) {
            for (boolean front : new boolean[] {true, false}) {
                shows.put(distance(end, front), 0.0);
            }
            Corner left = corner(end + "l");
            Corner right = corner(end + "r");
            double offLeft = hand.angle(tool) + left.turnedByRunOut(leansOn);
            double offRight = hand.angle(tool) + right.turnedByRunOut(leansOn);
            for (int way : new int[] {1, -1}) {
                Point one = onTool(left, offLeft, way * span / 2);
                Point other = onTool(right, offRight, way * span / 2);
                shows.put(distance(end, way > 0), one.minus(other).length());
            }
            shows.put((end.equals("f") ? "front" : "rear") + ".marks", MARKS_AHEAD);
        }
        return () -> shows;
    }

    private static Point onTool(Corner corner, double off, double ahead) {
        Point along = corner.heading.turned(Point.UP, -corner.side * off);
        Point out = corner.outward.turned(Point.UP, -corner.side * off);
        return corner.hub.plus(along.times(ahead)).plus(out.times(TOOLS_OUTSIDE));
    }

    private Layout treadTape() {
        Map<String, Double> shows = new HashMap<>();
        double half = Math.sqrt(vehicle.tyre() * vehicle.tyre() - TAPE_BELOW * TAPE_BELOW);
        for (String end : List.of("f", "r")) {
            Corner left = corner(end + "l");
            Corner right = corner(end + "r");
            double off = hand.length("treadTape");
            for (int way : new int[] {1, -1}) {
                double between =
                        left.ahead(way * half).minus(right.ahead(way * half)).length();
                shows.put(distance(end, way > 0), between + (way > 0 ? off : 0));
            }
            shows.put((end.equals("f") ? "front" : "rear") + ".below", TAPE_BELOW);
        }
        return () -> shows;
    }

    /** A jig hooked over one rim stands off the other: the less the wider the wheels are apart. */
    private Layout jig() {
        Map<String, Double> shows = new HashMap<>();
        double rim = vehicle.rim() / 2;
        for (String end : List.of("f", "r")) {
            Corner left = corner(end + "l");
            Corner right = corner(end + "r");
            double reach = left.hub.minus(right.hub).length() + JIG_LEAVES;
            double off = hand.length("outsideJig");
            for (int way : new int[] {1, -1}) {
                double between =
                        left.ahead(way * rim).minus(right.ahead(way * rim)).length();
                shows.put(distance(end, way > 0), reach - between + (way > 0 ? off : 0));
            }
        }
        return () -> shows;
    }

    // ---- gauges on the wheels

    /**
     * Each front gauge sights across at the other one; along its wheel it sights back at a scale on the rear one.
     *
     * @param scale gives what a front flag shows of an angle, rad
     */
    private Layout flags(DoubleUnaryOperator scale) {
        Corner left = corner("fl");
        Corner right = corner("fr");
        Point across = right.hub.minus(left.hub).direction();
        Point square = across.turned(Point.UP, Math.PI / 2);
        double off = hand.angle("flagGauges");
        double rim = vehicle.rim() / 2;
        Map<String, Double> shows = new HashMap<>();
        shows.put("fl.flag", scale.applyAsDouble(inward(right, square) + right.turnedByRunOut(rim) + off));
        shows.put("fr.flag", scale.applyAsDouble(inward(left, square) + left.turnedByRunOut(rim)));
        for (Corner corner : List.of(left, right)) {
            double sights = Math.tan(corner.of("toe") + corner.turnedByRunOut(rim));
            shows.put(corner.side > 0 ? "rl.flag" : "rr.flag", FLAGS_OUT + vehicle.wheelbase() * sights);
        }
        return () -> shows;
    }

    /** Returns how far a wheel heads inward of a direction, rad. */
    private static double inward(Corner corner, Point direction) {
        double cross = direction.x() * corner.heading.y() - direction.y() * corner.heading.x();
        return -corner.side * Math.asin(cross);
    }

    /** Run-out is taken off by turning the wheel: what is left is the hand's. */
    private Layout heads() {
        Map<String, Double> shows = new HashMap<>();
        for (Corner corner : corners.values()) {
            shows.put(corner.key + ".headToe", Math.toDegrees(corner.of("toe") + hand.angle("heads")));
            shows.put(corner.key + ".headCamber", Math.toDegrees(corner.of("camber") + hand.angle("heads")));
        }
        return () -> shows;
    }

    /** The rim is spun until it runs out least from top to bottom. */
    private Layout level(boolean zeroed, boolean from90) {
        Map<String, Double> shows = new HashMap<>();
        double floor = Math.asin(vehicle.up().y());
        double zero = hand.angle("floorZero");
        for (Corner corner : corners.values()) {
            double leans = corner.leans(corner.face) + hand.angle("gaugeFeet");
            double shown = Math.toDegrees(zeroed ? leans + corner.side * (floor + zero) : leans);
            shows.put(corner.key + ".gauge", from90 ? from90(shown) : shown);
            shows.put(corner.key + ".turned", shown);
            shows.put(corner.key + ".floor", Math.toDegrees(floor));
        }
        return () -> shows;
    }

    /** Returns what a gauge shows that shows 90 at plumb, with the way the top leans as its sign. */
    private static double from90(double leans) {
        return leans < 0 ? -(UPRIGHT + leans) : UPRIGHT - leans;
    }

    private Layout plumbLine() {
        Map<String, Double> shows = new HashMap<>();
        double rim = vehicle.rim() / 2;
        Point up = vehicle.up();
        for (Corner corner : corners.values()) {
            Point level = corner.outward.minus(up.times(up.dot(corner.outward))).direction();
            double off = vehicle.rim() * Math.tan(hand.angle("plumbLine"));
            Point spunTop = corner.hub.plus(corner.rising.times(rim));
            Point spunBottom = corner.hub.minus(corner.rising.times(rim));
            shows.put(
                    corner.key + ".topGap",
                    PLUMB_OUTSIDE - spunTop.minus(corner.hub).dot(level) + off);
            shows.put(
                    corner.key + ".bottomGap",
                    PLUMB_OUTSIDE - spunBottom.minus(corner.hub).dot(level));
        }
        return () -> shows;
    }

    /** The front wheels on plates, turned to each stand, deg outward; a level rides on the face. */
    private Layout sweep(boolean from90, List<SteeringStand> stands) {
        Map<String, Double> zeros = new HashMap<>();
        List.of("fl", "fr").forEach(key -> zeros.put(key, hand.angle("turnPlateZero")));
        return () -> {
            Map<String, Double> shows = new HashMap<>();
            for (String key : List.of("fl", "fr")) {
                Corner corner = corner(key);
                for (SteeringStand stand : stands) {
                    double about = stand.about();
                    double really = Math.toRadians(
                            about + Math.signum(about) * (hand.random().nextDouble() - 0.5));
                    double shown = Math.toDegrees(corner.leans(corner.faceTurned(really)));
                    shows.put(key + "." + stand.name() + ".camber", from90 ? from90(shown) : shown);
                    double plate = about == 0 ? 0 : really + zeros.getOrDefault(key, 0.0);
                    shows.put(key + "." + stand.name() + ".steer", Math.abs(Math.toDegrees(plate)));
                }
            }
            return shows;
        };
    }

    // ---- the steering axis and the axle

    private Layout protractor() {
        double frame = FRAME_FALLS + Math.asin(vehicle.up().x());
        Map<String, Double> shows = new HashMap<>();
        for (String key : List.of("fl", "fr")) {
            Corner corner = corner(key);
            double pad = corner.of("caster") - corner.of("kingpinTwist");
            shows.put(key + ".frame", Math.toDegrees(frame));
            shows.put(key + ".pad", Math.toDegrees(pad + frame + hand.angle("axisFace")));
            shows.put(key + ".knuckle", Math.toDegrees(corner.of("caster") + frame + hand.angle("axisFace")));
        }
        return () -> shows;
    }

    private Layout protractorAcross() {
        double slope = Math.asin(vehicle.up().y());
        Map<String, Double> shows = new HashMap<>();
        for (String key : List.of("fl", "fr")) {
            Corner corner = corner(key);
            shows.put(key + ".across", Math.toDegrees(corner.of("kpi") + corner.side * slope + hand.angle("axisFace")));
            shows.put(key + ".cross", Math.toDegrees(slope));
        }
        return () -> shows;
    }

    private Layout hubToHub() {
        Map<String, Double> shows = new HashMap<>();
        double off = hand.length("straightAhead");
        shows.put("fl.wheelbase", corner("fl").hub.minus(corner("rl").hub).length() + off);
        shows.put("fr.wheelbase", corner("fr").hub.minus(corner("rr").hub).length());
        return () -> shows;
    }

    /** The raised wheel turned a quarter at a time; the level turns with it. */
    private Layout quarters() {
        Map<String, Double> shows = new HashMap<>();
        for (Corner corner : corners.values()) {
            double greatestAt = 2 * Math.PI * hand.random().nextDouble();
            for (int quarter = 0; quarter < 4; quarter++) {
                double swing = corner.of("runOut") / 2 * Math.cos(quarter * Math.PI / 2 - greatestAt);
                shows.put(corner.key + ".quarter" + (quarter + 1), Math.toDegrees(corner.leans(corner.face) + swing));
            }
        }
        return () -> shows;
    }

    private Layout turnOut() {
        Map<String, Double> shows = new HashMap<>();
        double left = hand.angle("turnPlateZero");
        double right = hand.angle("turnPlateZero");
        double less = vehicle.of("turnOut.front.leftLock");
        shows.put("fl.plateInner", Math.toDegrees(LOCK + left));
        shows.put("fr.plateOuter", Math.toDegrees(LOCK - less + right));
        less = vehicle.of("turnOut.front.rightLock");
        shows.put("fr.plateInner", Math.toDegrees(LOCK + right));
        shows.put("fl.plateOuter", Math.toDegrees(LOCK - less + left));
        return () -> shows;
    }

    /** Returns the layout of a slip plate: on the road the front wheels share their toe; the rear ones do not steer. */
    private Layout slipPlate() {
        Map<String, Double> shows = new HashMap<>();
        double shared = (corner("fl").of("toe") + corner("fr").of("toe")) / 2;
        for (Corner corner : corners.values()) {
            double points = corner.front ? shared : corner.of("toe");
            double slides = SLIP_PLATE * Math.sin(points) + hand.length("pass");
            shows.put(corner.key + ".slipForward", slides);
            shows.put(corner.key + ".slipBack", -slides);
        }
        return () -> shows;
    }
}
