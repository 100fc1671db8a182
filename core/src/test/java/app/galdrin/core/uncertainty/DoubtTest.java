package app.galdrin.core.uncertainty;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Seeds;
import app.galdrin.core.record.Figures;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.record.NumberField;
import app.galdrin.core.record.Records;
import app.galdrin.core.record.Records.Given;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * The stated doubt of every kind that has one, against two things that know nothing of derivatives: moving one reading at a
 * time, and the scatter of many measurements.
 */
class DoubtTest {

    private static final int MEASUREMENTS = 6_000;

    /** Which readings a class of {@code input.u} stands for, where its name does not say so. */
    private static final Map<String, String> CLASS_OF = Map.ofEntries(
            Map.entry("frontDistance", "distance"),
            Map.entry("rearDistance", "distance"),
            Map.entry("frontGap", "gap"),
            Map.entry("rearGap", "gap"),
            Map.entry("topGap", "gap"),
            Map.entry("bottomGap", "gap"),
            Map.entry("lineSkew", "skew"),
            Map.entry("stringSpacingFront", "spacing"),
            Map.entry("stringSpacingRear", "spacing"),
            Map.entry("frontLeft", "front"),
            Map.entry("frontRight", "front"),
            Map.entry("rearLeft", "rear"),
            Map.entry("rearRight", "rear"),
            Map.entry("crossSlope", "floor"),
            Map.entry("left", "reading"),
            Map.entry("right", "reading"),
            Map.entry("reading", "angle"),
            Map.entry("camber", "angle"),
            Map.entry("pad", "angle"),
            Map.entry("knuckle", "angle"),
            Map.entry("frameAngle", "angle"),
            Map.entry("floorPitch", "floor"),
            Map.entry("floorRoll", "floor"));

    static Stream<Given> records() {
        Map<Object, List<Given>> byKind = Records.worked()
                .filter(given ->
                        given.input().has("u") && given.kind().contract().hasU())
                .filter(given -> !byConvention(given))
                .collect(Collectors.groupingBy(Given::kind));
        return Stream.concat(
                byKind.values().stream().flatMap(cases -> cases.stream().limit(3)),
                Stream.of(
                        sweep("{'side':'right','readings':[{'steer':20,'camber':-1.9},{'steer':9,'camber':-1.3},"
                                + "{'steer':0,'camber':-0.6},{'steer':0,'camber':-0.7},{'steer':-11,'camber':0.1},"
                                + "{'steer':-19,'camber':1.1}],'floorPitch':0.7,'floorRoll':-0.4,"
                                + "'u':{'angle':0.05,'steer':0.3,'floor':0.04}}"),
                        sweep("{'side':'left','readings':[{'steer':19,'camber':0.9},{'steer':-21,'camber':-2.1}],"
                                + "'kpi':11,'u':{'angle':0.05,'steer':0.3,'floor':0.04,'kpi':1}}")));
    }

    /** The slope of |90 − reading| at 90, and a roll that can't be given beside its zeroing, are said and not derived. */
    private static boolean byConvention(Given given) {
        return Double.valueOf(90).equals(given.input().get("reading"))
                || "floor".equals(given.input().get("reference"));
    }

    private static Given sweep(String input) {
        return Records.given("caster.sweep", input.replace('\'', '"'));
    }

    /** Every reading with its standard uncertainty in the record's unit. */
    private static Map<String, Double> readings(Given given, Figures figures) {
        Map<String, Double> classes = new HashMap<>();
        Records.flat((JsonObject) given.input().get("u")).forEach((name, u) -> classes.put(name, (Double) u));
        Map<String, Double> readings = new TreeMap<>();
        Records.doubts(figures).values().stream()
                .flatMap(doubt -> doubt.estimate().budget().contributions().stream())
                .map(contribution -> contribution.source().name())
                .forEach(reading -> readings.put(reading, classes.get(classOf(reading))));
        return readings;
    }

    private static String classOf(String reading) {
        if (reading.startsWith("hubGap.")) {
            return "hubGap";
        }
        String name = reading.substring(reading.lastIndexOf('.') + 1);
        return CLASS_OF.getOrDefault(name, name);
    }

    private static double reading(Given given, String path) {
        return (Double) Records.flat(given.input()).getOrDefault(path, 0.0);
    }

    private static double figure(Given given, String path) {
        return (Double) Records.flat(given.figures().orElseThrow().values()).get(path);
    }

    @ParameterizedTest
    @MethodSource("records")
    void everyPartOfABudget_isWhatMovingThatReadingDoes(Given given) {
        Figures figures = given.figures().orElseThrow();
        Map<String, Double> us = readings(given, figures);
        Records.doubts(figures).forEach((path, doubt) -> {
            Map<String, Double> parts = new HashMap<>();
            doubt.estimate()
                    .budget()
                    .contributions()
                    .forEach(c -> parts.put(c.source().name(), c.part()));
            us.forEach((reading, u) -> {
                double at = reading(given, reading);
                double h = 1e-4;
                double slope = (figure(given.with(Map.of(reading, at + h)), path)
                                - figure(given.with(Map.of(reading, at - h)), path))
                        / (2 * h);
                double part = doubt.field().unit().toRecord(parts.getOrDefault(reading, 0.0));
                assertEquals(slope * u, part, 1e-6 * Math.abs(part) + 1e-10, path + " by " + reading);
            });
        });
    }

    @ParameterizedTest
    @MethodSource("records")
    void statedDoubt_isTheScatterOfManyMeasurements(Given given) {
        Figures figures = given.figures().orElseThrow();
        // small enough for a straight line, so that what is compared is the propagation and not the curvature
        double shrink = 0.05;
        Map<String, Double> us = readings(given, figures);
        Map<String, Double> at = new HashMap<>();
        us.keySet().forEach(reading -> at.put(reading, reading(given, reading)));
        Map<String, Double> exact = new HashMap<>();
        Records.doubts(figures).keySet().forEach(path -> exact.put(path, figure(given, path)));
        RandomGenerator random = Seeds.generator(11);
        Map<String, double[]> sums = new TreeMap<>();
        for (int n = 0; n < MEASUREMENTS; n++) {
            Map<String, Double> moved = new HashMap<>();
            us.forEach((reading, u) -> moved.put(reading, at.get(reading) + shrink * u * random.nextGaussian()));
            Map<String, Object> values =
                    Records.flat(given.with(moved).figures().orElseThrow().values());
            for (String path : Records.doubts(figures).keySet()) {
                double off = (Double) values.get(path) - exact.get(path);
                double[] sum = sums.computeIfAbsent(path, p -> new double[2]);
                sum[0] += off;
                sum[1] += off * off;
            }
        }
        Records.doubts(figures).forEach((path, doubt) -> {
            double[] sum = sums.get(path);
            double scatter = Math.sqrt((sum[1] - sum[0] * sum[0] / MEASUREMENTS) / (MEASUREMENTS - 1));
            assertEquals(shrink * doubt.standardUncertainty(), scatter, 0.045 * scatter + 1e-12, path);
        });
    }

    @Test
    void budget_addsUpToTheDoubt_andNamesTheWorstReadingFirst() {
        var given = Records.given(
                "toe.box",
                "{\"stringSpacingFront\":1893.5,\"stringSpacingRear\":1888,\"stationDistance\":3174,\"wheelbase\":2613,"
                        + "\"hubGap\":{\"fl\":203.5,\"fr\":196,\"rl\":211.5,\"rr\":199},"
                        + "\"wheels\":{\"fl\":{\"frontGap\":171.4,\"rearGap\":169.9,\"baseline\":421}},"
                        + "\"u\":{\"spacing\":3,\"gap\":0.2}}");
        Estimate toe =
                Records.doubts(given.figures().orElseThrow()).get("toe.fl").estimate();
        List<Budget.Contribution> parts = toe.budget().contributions();
        double squares = parts.stream().mapToDouble(c -> c.part() * c.part()).sum();
        assertEquals(toe.standardUncertainty(), Math.sqrt(squares), 1e-15);
        assertEquals(1, parts.stream().mapToDouble(Budget.Contribution::share).sum(), 1e-12);
        assertTrue(Math.abs(parts.get(0).part())
                >= Math.abs(parts.get(parts.size() - 1).part()));
        assertFalse(parts.stream().anyMatch(c -> c.source().name().startsWith("hubGap")));
    }

    private static Estimate estimate(double value, Object... sourcesAndParts) {
        var parts = new Parts(1);
        for (int i = 0; i < sourcesAndParts.length; i += 2) {
            parts.add(DoubtSource.input((String) sourcesAndParts[i]), (Double) sourcesAndParts[i + 1]);
        }
        DoubtSource[] sources = parts.sources();
        return new Estimate(value, Budget.of(parts.parts(), i -> sources[i]));
    }

    @Test
    void meanOfRepeats_halvesTheDoubtOfEachReadingInFour_andLeavesWhatIsCommon() {
        List<Estimate> four = IntStream.range(0, 4)
                .mapToObj(i -> estimate(1 + i, "gap#" + i, 0.4, "string", 0.3))
                .toList();
        Estimate mean = Estimate.mean(four);
        assertEquals(2.5, mean.value());
        assertEquals(Math.hypot(0.2, 0.3), mean.standardUncertainty(), 1e-15);
    }

    /** The floor of a bay leans both wheels the same way, which is out on one side and in on the other. */
    @Test
    void whatTwoFiguresShare_isAddedWithItsSign_beforeItIsSquared() {
        Estimate left = estimate(0.4, "roll of bay 2", 0.108, "left gauge", 0.058);
        Estimate right = estimate(0.1, "roll of bay 2", -0.108, "right gauge", 0.058);
        assertEquals(0.3, left.minus(right).value(), 1e-15);
        assertEquals(0.23, left.minus(right).standardUncertainty(), 0.005);
        assertEquals(0.082, left.plus(right).standardUncertainty(), 0.0005);
        assertEquals(0.17, Math.hypot(left.standardUncertainty(), right.standardUncertainty()), 0.005);
    }

    @Test
    void arithmeticOnFigures_keepsEverySourceUnderItsName() {
        Estimate one = estimate(2, "a", 0.3, "b", -0.1);
        assertEquals(Map.of("a", 0.6, "b", -0.2), one.times(2).budget().parts());
        assertEquals(0.0, one.minus(one).standardUncertainty());
        assertEquals(Math.hypot(0.3, 0.4), one.with(DoubtSource.input("b"), 0.5).standardUncertainty(), 1e-15);
        assertEquals(List.of("a", "b"), List.copyOf(one.budget().shares().keySet()), "the largest first");
        assertEquals(0.9, one.budget().shares().get("a"), 1e-12);
    }

    @ParameterizedTest
    @CsvSource({
        // origin, the same when read again, common to all who read the vehicle
        "INPUT, true, false",
        "READING, false, false",
        "SET_UP, false, false",
        "BAY, true, true",
        "VEHICLE, true, true",
        "SHEET, true, false"
    })
    void whoSharesASource_followsFromItsOrigin(DoubtSource.Origin origin, boolean same, boolean common) {
        DoubtSource source = DoubtSource.shared(origin, "it");
        assertEquals(same, source.readAgain().equals(source));
        assertEquals(common, source.isCommonToAll());
        assertEquals(origin == DoubtSource.Origin.VEHICLE, source.isOfVehicle());
    }

    /** That a field of a class left out is exact, and that a budget never names it. */
    @Test
    void everyFigureWithDoubt_isDeclaredSo() {
        Records.worked()
                .filter(given -> given.kind().contract().hasU())
                .forEach(given -> Records.doubts(given.figures().orElseThrow())
                        .keySet()
                        .forEach(path -> assertTrue(
                                ((NumberField) Records.field(
                                                given.kind().contract().result(), path))
                                        .carriesDoubt(),
                                path)));
    }

    /** Two repeats of u 0.1 each explain a range of 0.28; what lies farther apart is in doubt by itself. */
    @ParameterizedTest
    @CsvSource({"1.0,1.2,false,0.0707", "1.0,1.27,false,0.0707", "1.0,2.0,true,0.5"})
    void repeatsThatScatterMoreThanExplained_widenTheirMean(
            double one, double other, boolean unexplained, double doubt) {
        var repeats = List.of(
                new Estimate(one, Budget.NONE.with(DoubtSource.input("a/1"), 0.1)),
                new Estimate(other, Budget.NONE.with(DoubtSource.input("a/2"), 0.1)));
        assertEquals(unexplained, Scatter.isUnexplained(repeats));
        assertEquals(doubt, Scatter.mean(repeats).standardUncertainty(), 1e-4);
        assertEquals((one + other) / 2, Scatter.mean(repeats).value(), 1e-12);
    }
}
