package app.galdrin.core.procedure;

import static app.galdrin.core.Vehicles.figure;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.measure.HandFormula;
import app.galdrin.core.procedure.slip.Slip;
import app.galdrin.core.procedure.slip.SlipContext;
import app.galdrin.core.procedure.slip.SlipList;
import app.galdrin.core.procedure.slip.Slips;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each slip by itself: with which procedures it can be made, and what it makes of readings and answers. */
class SlipsTest {

    private static final FigureId TOTAL = figure("totalToe.front");
    private static final FigureId LEFT = figure("toe.front.left");
    private static final FigureId RIGHT = figure("toe.front.right");

    private static List<Slip> slips() {
        return ServiceLoader.load(SlipList.class).stream()
                .flatMap(list -> list.get().slips().stream())
                .toList();
    }

    private static Slip slip(String key) {
        return slips().stream().filter(s -> s.key().equals(key)).findFirst().orElseThrow();
    }

    private static SlipContext setting(String procedure, AnswerUnit unit, List<Map<String, Double>> readings) {
        var floor = new BayFloor(1, Math.toRadians(0.2), 0, 0);
        Procedure used = Procedures.of(procedure);
        var standing = new MeasuringContext(Vehicles.van(), floor);
        List<Map<String, Double>> notes = readings.stream()
                .map(read -> used.work(read, standing, Place::asInput, HandFormula.SOLVED)
                        .notes())
                .toList();
        return new SlipContext(
                used, standing, unit, 500, readings, notes, used.taught().get(0));
    }

    private static SlipContext setting(String procedure) {
        return setting(procedure, AnswerUnit.DEGREES, List.of());
    }

    @ParameterizedTest
    @CsvSource(
            quoteCharacter = '"',
            value = {
                "plates, firstRepeatOnly frontRearSwapped inchesUnconverted methodSign minutesAsDecimals mmForDegrees oneWheelForTotal wrongBaseline",
                "longBars, doublingForgotten firstRepeatOnly frontRearSwapped inchesUnconverted methodSign minutesAsDecimals mmForDegrees oneWheelForTotal wrongBaseline",
                "strings, firstRepeatOnly frontRearSwapped gapsUnconverted inchesUnconverted leftRightSwapped methodSign minutesAsDecimals mmForDegrees oneWheelForTotal skewAdded skewLeftOut steeringNotStraight twiceOneWheel wrongBaseline",
                "rearString, firstRepeatOnly frontRearSwapped inchesUnconverted leftRightSwapped methodSign minutesAsDecimals mmForDegrees oneWheelForTotal steeringNotStraight twiceOneWheel wrongBaseline",
                "inclinometerZeroed, firstRepeatOnly leftRightSwapped methodSign minutesAsDecimals wrongSense",
                "inclinometer, firstRepeatOnly floorIgnored floorWrongWay leftRightSwapped methodSign minutesAsDecimals wrongSense",
                "inclinometer90, firstRepeatOnly floorIgnored floorWrongWay leftRightSwapped methodSign minutesAsDecimals ninetyAsCamber wrongSense",
                "inclinometerTurned, firstRepeatOnly floorIgnored floorWrongWay leftRightSwapped methodSign minutesAsDecimals wrongSense",
                "plumbRule, firstRepeatOnly floorIgnored floorWrongWay frontRearSwapped inchesUnconverted leftRightSwapped methodSign minutesAsDecimals mmForDegrees",
                "sweep, camberSignsLost factorForgotten firstRepeatOnly floorIgnored floorWrongWay leftRightSwapped methodSign minutesAsDecimals oneAndAHalfUsed wrongSense",
                "sweep90, camberSignsLost factorForgotten firstRepeatOnly floorIgnored floorWrongWay leftRightSwapped methodSign minutesAsDecimals ninetyAsCamber oneAndAHalfUsed wrongSense",
                "protractor, firstRepeatOnly frameWrongWay leftRightSwapped methodSign minutesAsDecimals wrongSense",
                "rigidFrames, firstRepeatOnly frontRearSwapped inchesUnconverted methodSign minutesAsDecimals mmForDegrees oneWheelForTotal wrongBaseline",
                "setback, firstRepeatOnly inchesUnconverted leftRightSwapped methodSign mmForDegrees"
            })
    void aSlip_concernsTheProceduresItCanBeMadeWith(String procedure, String keys) {
        Procedure with = Procedures.of(procedure);
        assertEquals(
                keys,
                slips().stream()
                        .filter(s -> s.concerns(with))
                        .map(Slip::key)
                        .sorted()
                        .collect(Collectors.joining(" ")));
        assertEquals(keys, Slips.of(with).stream().map(Slip::key).collect(Collectors.joining(" ")));
        assertEquals(slips().size(), Slips.all().size());
    }

    private static Map<String, Double> map(String text) {
        Map<String, Double> map = new TreeMap<>();
        for (String pair : text.isEmpty() ? new String[0] : text.split(" ")) {
            map.put(pair.substring(0, pair.indexOf('=')), Double.valueOf(pair.substring(pair.indexOf('=') + 1)));
        }
        return map;
    }

    private static void alike(Map<String, Double> expected, Map<String, Double> actual) {
        assertEquals(expected.keySet(), new TreeMap<>(actual).keySet());
        expected.forEach((id, value) -> assertEquals(value, actual.get(id), 1e-9, id));
    }

    /** As they are used when a figure is worked. */
    @ParameterizedTest
    @CsvSource({
        "frontRearSwapped,plates,frontDistance=1451 rearDistance=1450,frontDistance=1450 rearDistance=1451",
        "frontRearSwapped,plates,frontDistance=1451,rearDistance=1451",
        "frontRearSwapped,plumbRule,fl.topGap=60 fl.bottomGap=58,fl.topGap=58 fl.bottomGap=60",
        "inchesUnconverted,plates,frontDistance=1270 rearDistance=508,frontDistance=50 rearDistance=20",
        "inchesUnconverted,strings,wheels.fl.frontGap=50.8 stationDistance=2540,wheels.fl.frontGap=2 stationDistance=2540",
        "inchesUnconverted,inclinometer,fl.gauge=-1,fl.gauge=-1",
        "floorIgnored,inclinometer,fl.gauge=-1 fl.floor=0.35,fl.gauge=-1 fl.floor=0",
        "floorWrongWay,inclinometer,fl.gauge=-1 fl.floor=0.35,fl.gauge=-1 fl.floor=-0.35",
        "camberSignsLost,sweep,fl.in.camber=-1.4 fl.in.steer=20,fl.in.camber=1.4 fl.in.steer=20",
        "camberSignsLost,sweep,fl.out.camber=1,fl.out.camber=1"
    })
    void readings_misused(String key, String procedure, String read, String used) {
        alike(map(used), slip(key).misused(setting(procedure), map(read)).orElseThrow());
    }

    /** As they ought to have been written down. */
    @ParameterizedTest
    @CsvSource({
        "frontRearSwapped,plates,frontDistance=1451 rearDistance=1450,frontDistance=1450 rearDistance=1451",
        "inchesUnconverted,strings,wheels.fl.frontGap=2 stringSpacingFront=1500,wheels.fl.frontGap=50.8 stringSpacingFront=1500",
        "leftRightSwapped,sweep,fl.out.steer=20 fl.out.camber=1.2 fr.out.steer=19 fr.in.camber=-0.4,fl.out.steer=19 fr.out.steer=20 fl.in.camber=-0.4 fr.out.camber=1.2",
        "leftRightSwapped,inclinometer,fl.gauge=-1 fr.gauge=0.5 fl.floor=0.3,fl.gauge=0.5 fr.gauge=-1 fr.floor=0.3",
        "inchesUnconverted,inclinometer,fl.gauge=-1 fl.floor=0.3,fl.gauge=-1 fl.floor=0.3"
    })
    void readings_putRight(String key, String procedure, String written, String meant) {
        alike(map(meant), slip(key).corrected(setting(procedure), map(written)).orElseThrow());
    }

    @Test
    void aSlipOfOneKind_isNoneOfTheOthers() {
        for (Slip slip : slips()) {
            SlipContext strings = setting("strings");
            Map<String, Double> read = map("wheels.fl.frontGap=2");
            boolean ofWhatIsTaken = slip.misused(strings, read).isPresent()
                    || slip.mistaken(strings.standing()).isPresent();
            int kinds = (ofWhatIsTaken ? 1 : 0)
                    + (slip.key().equals("markMiscounted") || slip.isCommonest() ? 1 : 0)
                    + (slip.turned().isEmpty() ? 0 : 1)
                    + (slip.repeatsUsed(List.of(read, read)).isEmpty() ? 0 : 1)
                    + (slip.altered(strings, Map.of(TOTAL, 0.1, LEFT, 0.05, RIGHT, 0.05))
                                    .isEmpty()
                            ? 0
                            : 1);
            assertEquals(1, kinds, slip.key());
            assertEquals(slip.key().equals("leftRightSwapped"), slip.ofBothSides());
        }
        assertEquals(Optional.empty(), slip("floorIgnored").corrected(setting("inclinometer"), map("")));
    }

    private static List<Map<FigureId, Double>> altered(String key, SlipContext setting, Map<FigureId, Double> answers) {
        return slip(key).altered(setting, answers);
    }

    @Test
    void signsTurned_andSidesChanged() {
        assertEquals(
                List.of(Map.of(LEFT, -0.2, RIGHT, 0.1)),
                altered("methodSign", setting("strings"), Map.of(LEFT, 0.2, RIGHT, -0.1)));
        assertEquals(
                List.of(Map.of(LEFT, 0.1, RIGHT, 0.2)),
                altered("leftRightSwapped", setting("strings"), Map.of(LEFT, 0.2, RIGHT, 0.1)));
        assertEquals(List.of(Map.of()), altered("leftRightSwapped", setting("strings"), Map.of(LEFT, 0.2)));
    }

    /** Half for the total, twice for a wheel, and a wheel for the total. */
    @Test
    void oneWheelForTheTotal_inEveryWay() {
        assertEquals(
                List.of(
                        Map.of(TOTAL, 0.2, LEFT, 0.2, RIGHT, 0.1),
                        Map.of(TOTAL, 0.1, LEFT, 0.2, RIGHT, 0.1),
                        Map.of(TOTAL, 0.15, LEFT, 0.3, RIGHT, 0.3)),
                altered("oneWheelForTotal", setting("strings"), Map.of(TOTAL, 0.3, LEFT, 0.2, RIGHT, 0.1)));
        assertEquals(List.of(Map.of(TOTAL, 0.15)), altered("oneWheelForTotal", setting("plates"), Map.of(TOTAL, 0.3)));
        assertEquals(List.of(), altered("oneWheelForTotal", setting("strings"), Map.of(LEFT, 0.3)));
    }

    @Test
    void millimetresForDegrees_andBack() {
        FigureId setback = figure("setback.front");
        Map<FigureId, Double> inDegrees = altered("mmForDegrees", setting("plates"), Map.of(TOTAL, 0.1, setback, 3.0))
                .get(0);
        assertEquals(1000 * Math.sin(Math.toRadians(0.05)), inDegrees.get(TOTAL), 1e-12);
        assertEquals(1, inDegrees.size(), "a length is asked in millimetres anyway");
        Map<FigureId, Double> inMillimetres = altered(
                        "mmForDegrees", setting("plates", AnswerUnit.MILLIMETRES, List.of()), Map.of(LEFT, 2.0))
                .get(0);
        assertEquals(Math.toDegrees(Math.asin(2.0 / 500)), inMillimetres.get(LEFT), 1e-12);
    }

    /** Plates at 20 and 19, and 20 and 20: the factor is the mean of both; the floor's pitch is outside of it. */
    @ParameterizedTest
    @CsvSource({"factorForgotten,1", "oneAndAHalfUsed,1.5"})
    void anotherFactor_onTheDifferenceOfTheCambers(String key, double used) {
        FigureId caster = figure("caster.front.left");
        FigureId other = figure("caster.front.right");
        FigureId camber = figure("camber.front.left");
        var readings = List.of(
                map("fl.out.steer=20 fl.in.steer=19 fr.out.steer=20"),
                map("fl.out.steer=20 fl.in.steer=20 fr.out.steer=0 fr.in.steer=0"));
        double f = (1 / (2 * Math.sin(Math.toRadians(19.5))) + 1 / (2 * Math.sin(Math.toRadians(20)))) / 2;
        Map<FigureId, Double> answers = new HashMap<>(Map.of(caster, 3.0, other, 2.0, camber, -0.5));
        Map<FigureId, Double> altered = altered(key, setting("sweep", AnswerUnit.DEGREES, readings), answers)
                .get(0);
        assertEquals(used * (3.0 + 0.2) / f - 0.2, altered.get(caster), 1e-9);
        assertEquals(2.0, altered.get(other), "no span was read");
        assertEquals(-0.5, altered.get(camber));
    }

    /** Both strings are closer at the front by as much: their skew of half a degree is left out, or taken the wrong way. */
    @ParameterizedTest
    @CsvSource({"skewLeftOut,1", "skewAdded,2"})
    void theSkewOfAString_leftOutOrAdded(String key, int times) {
        var read = map("stringSpacingFront=1600 stringSpacingRear=1635 stationDistance=4000"
                + " hubGap.fl=60 hubGap.fr=60 hubGap.rl=70 hubGap.rr=70"
                + " wheels.fl.frontGap=50 wheels.fl.rearGap=51 wheels.fr.frontGap=50 wheels.fr.rearGap=51"
                + " wheels.rl.frontGap=50 wheels.rl.rearGap=51 wheels.rr.frontGap=50 wheels.rr.rearGap=51");
        double skew = Math.toDegrees(Math.atan(-17.5 / 4000));
        Map<FigureId, Double> altered = altered(
                        key,
                        setting("strings", AnswerUnit.DEGREES, List.of(read, read)),
                        Map.of(LEFT, 0.1, RIGHT, 0.2, TOTAL, 0.3))
                .get(0);
        assertEquals(0.1 + times * skew, altered.get(LEFT), 1e-9);
        assertEquals(0.2 + times * skew, altered.get(RIGHT), 1e-9);
        assertEquals(0.3 + 2 * times * skew, altered.get(TOTAL), 1e-9, "the total follows");
    }

    /** Over the rim's 416 mm or the tyre's 602 in place of the plates' 500. */
    @Test
    void anotherLength_thanItWasReadOver() {
        List<Map<FigureId, Double>> ways = altered("wrongBaseline", setting("plates"), Map.of(TOTAL, 0.5));
        double halves = 500 * Math.sin(Math.toRadians(0.25));
        assertEquals(
                List.of(2 * Math.toDegrees(Math.asin(halves / 416)), 2 * Math.toDegrees(Math.asin(halves / 602))),
                ways.stream().map(way -> way.get(TOTAL)).toList());
    }

    @Test
    void aBarsEnds_aWheelTwice_minutesForDecimals() {
        assertEquals(
                List.of(Map.of(TOTAL, 0.2), Map.of(TOTAL, 0.8)),
                altered("doublingForgotten", setting("longBars"), Map.of(TOTAL, 0.4)).stream()
                        .map(way -> Map.of(TOTAL, Math.rint(1e9 * way.get(TOTAL)) / 1e9))
                        .toList());
        assertEquals(
                List.of(0.4, 0.2),
                altered("twiceOneWheel", setting("strings"), Map.of(TOTAL, 0.3, LEFT, 0.2, RIGHT, 0.1)).stream()
                        .map(way -> way.get(TOTAL))
                        .toList());
        assertEquals(
                List.of(Map.of(LEFT, -1.3), Map.of(LEFT, -1.0 - 50 / 60.0)),
                altered("minutesAsDecimals", setting("strings"), Map.of(LEFT, -1.5)));
        assertEquals(
                List.of(),
                altered("minutesAsDecimals", setting("plates", AnswerUnit.MILLIMETRES, List.of()), Map.of(TOTAL, 1.5)));
    }

    /** It showed 90.7 and then 90.5, with the top leaning in: -0.6. */
    @Test
    void aGaugeWithNinetyAtPlumb_takenForTheCamber() {
        FigureId camber = figure("camber.front.left");
        var setting = setting(
                "inclinometer90",
                AnswerUnit.DEGREES,
                List.of(map("fl.gauge=-90.7 fl.floor=0"), map("fl.gauge=-90.5 fl.floor=0")));
        List<Double> ways = altered("ninetyAsCamber", setting, Map.of(camber, -0.6)).stream()
                .map(way -> Math.rint(1e9 * way.get(camber)) / 1e9)
                .toList();
        assertEquals(List.of(90.6, -0.6, 0.6), ways);
    }

    /** The wheel leans 2.4° out when it is turned out and 1.0° in when it is turned in, on a floor that is 0.2° higher in front. */
    @ParameterizedTest
    @CsvSource({
        "methodSign, 3.4, -0.2",
        "camberSignsLost, 1.4, -0.2",
        "ninetyAsCamber, -1.4, -0.2",
        "floorIgnored, 3.4, 0",
        "floorWrongWay, 3.4, 0.2"
    })
    void aSweep_withAGaugeThatShows90(String key, double difference, double floor) {
        SlipContext setting = setting("sweep90");
        var read = map("fl.out.steer=20 fl.out.camber=87.6 fl.in.steer=20 fl.in.camber=-89");
        double caster = worked(key, setting, read, figure("caster.front.left"));
        assertEquals(difference / (2 * Math.sin(Math.toRadians(20))) + floor, Math.toDegrees(caster), 1e-9);
    }

    /** On a floor whose left side is higher the left wheel leans farther out of the vehicle's upright than the line shows. */
    @ParameterizedTest
    @CsvSource({"methodSign, fl, 0.3", "floorIgnored, fl, 0", "floorWrongWay, fl, -0.3", "floorWrongWay, fr, 0.3"})
    void aPlumbLine_onAFloorThatIsKnown(String key, String wheel, double floor) {
        var bay = new BayFloor(2, 0, Math.toRadians(0.3), 0);
        SlipContext level = setting("plumbRule");
        var setting = new SlipContext(
                level.procedure(), level.standing().on(bay), AnswerUnit.DEGREES, 500, List.of(), List.of(), "factor");
        var read = map(wheel + ".topGap=60 " + wheel + ".bottomGap=60");
        FigureId camber = figure(wheel.equals("fl") ? "camber.front.left" : "camber.front.right");
        assertEquals(floor, Math.toDegrees(worked(key, setting, read, camber)), 1e-9);
        assertEquals(Optional.empty(), slip(key).mistaken(level.standing().on(BayFloor.LEVEL)));
    }

    private static double worked(String key, SlipContext setting, Map<String, Double> read, FigureId figure) {
        Map<String, Double> used = slip(key).misused(setting, read).orElse(read);
        MeasuringContext standing = slip(key).mistaken(setting.standing()).orElse(setting.standing());
        return setting.procedure().values(used, standing, "factor").get(figure);
    }

    @Test
    void marksMiscounted_andRepeatsLeftAside() {
        Procedure inches = Procedures.of("strings").with(Map.of("rim", CatalogueInstrument.RULE_SIXTEENTHS));
        var setting = new SlipContext(
                inches, setting("strings").standing(), AnswerUnit.DEGREES, 416, List.of(), List.of(), "factor");
        List<Map<String, Double>> ways =
                slip("markMiscounted").correctedWays(setting, map("wheels.fl.frontGap=50.8 hubGap.fl=60"));
        assertEquals(
                List.of(50.8 - 25.4 / 16, 50.8 + 25.4 / 16),
                ways.stream().map(way -> way.get("wheels.fl.frontGap")).toList());
        assertTrue(slip("markMiscounted").concerns(inches)
                && !slip("markMiscounted").concerns(Procedures.of("strings")));
        var one = map("fl.gauge=1");
        var two = map("fl.gauge=2");
        assertEquals(List.of(one), slip("firstRepeatOnly").repeatsUsed(List.of(one, two)));
        assertEquals(List.of(), slip("firstRepeatOnly").repeatsUsed(List.of(one)));
        assertEquals(
                map("wheels.fl.frontGap=2 stringSpacingFront=1600"),
                slip("gapsUnconverted")
                        .misused(setting("strings"), map("wheels.fl.frontGap=50.8 stringSpacingFront=1600"))
                        .map(TreeMap::new)
                        .orElseThrow());
    }
}
