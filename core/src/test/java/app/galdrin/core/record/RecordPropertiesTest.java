package app.galdrin.core.record;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Outcome;
import app.galdrin.core.record.Records.Given;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What must hold for every kind and every record, whatever its figures. */
class RecordPropertiesTest {

    private static final double TOLERANCE = 1e-9;

    static Stream<Given> worked() {
        return Records.worked();
    }

    private static void assertSame(Map<String, Object> wanted, Map<String, Object> got) {
        assertEquals(wanted.keySet(), got.keySet());
        wanted.forEach((path, value) -> {
            if (value instanceof Double number) {
                assertEquals(number, (Double) got.get(path), TOLERANCE * Math.max(1, Math.abs(number)), path);
            } else {
                assertEquals(value, got.get(path), path);
            }
        });
    }

    /** Filled in field by field in any order, an input is as legal as a line with the same, and gives the same figures. */
    @ParameterizedTest
    @MethodSource("worked")
    void aForm_isReadAsItsLineIs(Given given) {
        NavigableMap<String, Object> all = new TreeMap<>(Records.flat(given.input()));
        for (String path : all.keySet()) {
            for (Object wrong : List.of(Double.NaN, 1e300, "x", true)) {
                NavigableMap<String, Object> changed = new TreeMap<>(all);
                changed.put(path, wrong);
                assertLegalAlike(given, changed);
            }
            NavigableMap<String, Object> without = new TreeMap<>(all);
            without.remove(path);
            assertLegalAlike(given, without);
        }
        for (NavigableMap<String, Object> values : List.of(all, all.descendingMap())) {
            var answer = assertInstanceOf(
                    Outcome.Value.class,
                    given.kind().evaluate(form(given, values).input().orElseThrow()));
            assertEquals(
                    Records.flat(given.figures().orElseThrow().values()),
                    Records.flat(((Answer) answer.value()).figures().values()));
        }
    }

    private static InputForm form(Given given, Map<String, Object> values) {
        Shape shape = given.kind().contract().input();
        var form = new InputForm(shape);
        values.forEach((path, value) -> form.put(InputForm.Blank.of(shape, path), value));
        return form;
    }

    private static void assertLegalAlike(Given given, Map<String, Object> values) {
        JsonObject line = (JsonObject) Records.nested(values);
        boolean legal = given.kind().contract().input().read(line) instanceof Outcome.Value;
        assertEquals(legal, form(given, values).input().isPresent(), values::toString);
    }

    /** A vehicle twice as large with the same angles: lengths scale, angles and shares stay. Hardly one is out of range at the other size. */
    @ParameterizedTest(name = "lengths times {0}")
    @CsvSource({"2, 0.95", "0.03937007874015748, 0.95"})
    void unitOfLength_makesNoDifference(double factor, double least) {
        List<Given> unitless = worked().filter(
                        given -> !"mm".equals(given.input().get("unit")))
                .toList();
        long compared =
                unitless.stream().filter(given -> isSameScaled(given, factor)).count();
        assertTrue(compared >= least * unitless.size(), compared + " of " + unitless.size());
    }

    /** False where it is out of range at the other size. */
    private static boolean isSameScaled(Given given, double factor) {
        Shape input = given.kind().contract().input();
        var scaled = given.mapped((path, value) -> scaled(input, path, value, factor))
                .figures();
        scaled.ifPresent(figures -> {
            Shape result = given.kind().contract().result();
            Map<String, Object> wanted = new TreeMap<>();
            Records.flat(given.figures().orElseThrow().values())
                    .forEach((path, value) -> wanted.put(path, scaled(result, path, value, factor)));
            assertSame(wanted, Records.flat(figures.values()));
        });
        return scaled.isPresent();
    }

    private static Object scaled(Shape shape, String path, Object value, double factor) {
        if (!(Records.field(shape, path) instanceof NumberField field)) {
            return value;
        }
        double number = (Double) value;
        return switch (field.unit()) {
            case LENGTH -> number * factor;
            case ANGLE_PER_LENGTH -> number / factor;
            default -> number;
        };
    }

    /** What changes its sign when the vehicle is seen in a mirror; what carries a side in its name changes its name. */
    private static final Set<String> HANDED_INPUTS = Set.of("crossSlope", "steer", "floorRoll", "thrustAngle");

    private static final Set<String> HANDED_FIGURES = Set.of(
            "imbalance",
            "thrustAngle",
            "steerAhead",
            "roadWheel",
            "steeringWheel",
            "offset",
            "lockImbalance",
            "setback",
            "setbackAngle");

    /** Figures that take their hand from the kind they belong to. */
    private static final Map<String, Set<String>> HANDED_IN =
            Map.of("difference", Set.of("steer.threads", "toe.flags"), "angle", Set.of("axle.setback"));

    @ParameterizedTest
    @MethodSource("worked")
    void mirror_swapsTheSides(Given given) {
        var mirrored = new Given(
                given.id(), given.kind(), (JsonObject) inMirror(given.input(), path -> HANDED_INPUTS.contains(path)));
        String kind = given.kind().contract().name();
        var wanted = (JsonObject) inMirror(
                given.figures().orElseThrow().values(),
                name -> HANDED_FIGURES.contains(name)
                        || HANDED_IN.getOrDefault(name, Set.of()).contains(kind));
        assertSame(
                Records.flat(wanted),
                Records.flat(mirrored.figures()
                        .orElseThrow(() -> new AssertionError(Records.flat(mirrored.input())))
                        .values()));
    }

    private static Object inMirror(Object value, Predicate<String> handed) {
        if (value instanceof JsonObject object) {
            var copy = new JsonObject();
            for (int i = 0; i < object.size(); i++) {
                String name = object.name(i);
                Object inside = name.equals("u") ? object.value(i) : inMirror(object.value(i), handed);
                copy.add(otherSide(name), handed.test(name) && inside instanceof Double d ? -d : inside);
            }
            return copy;
        }
        if (value instanceof List<?> list) {
            return list.stream().map(element -> inMirror(element, handed)).toList();
        }
        return value instanceof String text ? otherSide(text) : value;
    }

    private static String otherSide(String name) {
        UnaryOperator<String> swap =
                n -> n.replace("left", "\0").replace("right", "left").replace("\0", "right");
        return switch (name) {
            case "fl" -> "fr";
            case "fr" -> "fl";
            case "rl" -> "rr";
            case "rr" -> "rl";
            default ->
                swap.apply(name.replace("Left", "\1").replace("Right", "Left").replace("\1", "Right"));
        };
    }

    @ParameterizedTest(name = "{0}: {2} as {1} grows")
    @CsvSource({
        "toe.across,rearDistance,totalToe,1",
        "toe.across,frontDistance,totalToe,-1",
        "toe.line,lineSkew,toe,-1",
        "toe.box,wheels.fl.frontGap,toe.fl,1",
        "toe.box,wheels.rr.rearGap,toe.rr,-1",
        "toe.box,stringSpacingFront,skew.left,1",
        "toe.rearString,frontGap,toe,1",
        "toe.rearString,rearToe,toe,1",
        "toe.gauges,left,totalToe,1",
        "toe.gauges,right,imbalance,-1",
        "toe.flags,frontLeft,totalToe,1",
        "toe.flags,frontRight,setbackAngle,-1",
        "toe.flags,rearLeft,left,1",
        "toe.flags,rearLeft,right,-1",
        "toe.flags,wheelbase,totalToe,0",
        "kpi.protractor,reading,kpi,1",
        "toe.slipPlate,displacement,sideslip,1",
        "camber.offset,topGap,camber,-1",
        "wheel.runout,positions.0.angle,mean,1",
        "caster.protractor,frameAngle,casterPad,-1",
        "axis.included,kpi,includedAngle,1",
        "steer.turnOut,outer,turnRadius,-1",
        "steer.turnOut,inner,idealOuter,1",
        "steer.threads,left,difference,1",
        "steer.rack,right,offset,-1",
        "steer.wheelOffset,thrustAngle,roadWheel,1",
        "adjust.turns,target,ratePerTurn,0",
        "axle.setback,wheelbaseLeft,angle,1",
        "torque.convert,value,value,1",
        "judge,max,excess,-1",
    })
    void figure_growsOrFallsWithItsReading(String kind, String reading, String figure, int sense) {
        long cases = worked().filter(given -> given.kind().contract().name().equals(kind))
                .filter(given -> !"outsideGap".equals(given.input().get("reading")))
                .filter(given -> Records.flat(given.input()).get(reading) instanceof Double)
                .filter(given -> moves(given, reading, figure, sense))
                .count();
        assertTrue(cases > 3, kind + " has no case for " + reading);
    }

    private static boolean moves(Given given, String reading, String figure, int sense) {
        double at = (Double) Records.flat(given.input()).get(reading);
        var more = given.with(Map.of(reading, at + 1e-3)).figures();
        var values = Records.flat(given.figures().orElseThrow().values());
        if (more.isEmpty() || !values.containsKey(figure)) {
            return false;
        }
        double grown = (Double) Records.flat(more.get().values()).get(figure) - (Double) values.get(figure);
        if (sense == 0 || given.kind().contract().name().equals("judge")) {
            assertTrue(sense * grown >= 0, given.id());
        } else {
            assertTrue(sense * grown > 0, given.id() + " moved by " + grown);
        }
        return true;
    }

    @ParameterizedTest
    @CsvSource({"totalToe.front,toe.fl,toe.fr", "totalToe.rear,toe.rl,toe.rr", "totalToe,left,right"})
    void total_isLeftPlusRight(String total, String left, String right) {
        List<Map<String, Object>> both = worked().map(
                        given -> Records.flat(given.figures().orElseThrow().values()))
                .filter(values -> values.containsKey(total) && values.containsKey(left))
                .toList();
        assertTrue(both.size() > 3, "no case has " + total);
        both.forEach(values -> assertEquals(
                (Double) values.get(left) + (Double) values.get(right), (Double) values.get(total), TOLERANCE));
    }

    /** Every figure of a result is declared, and none that is declared as always there is missing. */
    @ParameterizedTest
    @MethodSource("worked")
    void result_hasTheShapeItsKindPromises(Given given) {
        assertInstanceOf(
                Input.class,
                given.kind()
                        .contract()
                        .result()
                        .legal(given.figures().orElseThrow().values()));
    }

    @Test
    void everyKind_isFoundByItsName_andHasGoldenCases() throws IOException {
        List<String> cases;
        try (Stream<Path> files = Files.list(Path.of("src/test/resources/vectors"))) {
            cases = files.map(file -> file.getFileName().toString().replace(".ndjson", ""))
                    .filter(name -> !name.equals("records"))
                    .sorted()
                    .toList();
        }
        assertEquals(
                cases, RecordKinds.all().stream().map(k -> k.contract().name()).toList());
        RecordKinds.all()
                .forEach(kind -> assertEquals(
                        kind, RecordKinds.named(kind.contract().name()).orElseThrow()));
    }
}
