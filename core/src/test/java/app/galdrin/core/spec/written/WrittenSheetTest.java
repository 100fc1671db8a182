package app.galdrin.core.spec.written;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertNotNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.record.JsonLines;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.Fastener;
import app.galdrin.core.spec.FastenerUse;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.Stance;
import app.galdrin.core.spec.Vehicle;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A sheet is read whatever it came in as, and whatever is wrong with it is named at its cell. */
class WrittenSheetTest {

    private static final String HEADER =
            "row,make,model,body,registration,driven,driver,wheelbase,frontTrack,rearTrack,linkage,rodPitch,doubleThread,"
                    + "armLength,steeringRatio,frontSuspension,rearSuspension,rideHeight,load,axle,rimDiameter,tyreRadius,figure,min,preferred,max,tolerance,over,of,"
                    + "difference,intended,adjustable,innerAngle,part,where,most,smallest,fastener,reread,spare,amount,doubt,name,thread,"
                    + "least,angle,singleUse,checked,use";

    /** Staggered wheels, an unknown steering arm, limits in millimetres, a tolerance, an intended difference, a shared sleeve. */
    private static final List<String> TABLE = List.of(
            HEADER,
            row(
                    "vehicle",
                    "make=Orlin",
                    "model=Hopper",
                    "body=van",
                    "registration=MW 9",
                    "driven=front",
                    "driver=left"),
            row(
                    "geometry",
                    "wheelbase=2600",
                    "frontTrack=1480",
                    "rearTrack=57 1/2 in",
                    "linkage=ahead",
                    "rodPitch=1.5",
                    "rideHeight=15 in",
                    "load=75"),
            row("wheels", "axle=front", "rimDiameter=416", "tyreRadius=301"),
            row("wheels", "axle=rear", "rimDiameter=440", "tyreRadius=318"),
            row("figures", "figure=camber", "axle=front", "min=-0°45'", "max=15'", "difference=0°30'", "intended=-0.2"),
            row(
                    "figures",
                    "figure=totalToe",
                    "axle=front",
                    "preferred=2 mm",
                    "tolerance=1 mm",
                    "over=440",
                    "of=total",
                    "adjustable=yes"),
            row("figures", "figure=toe", "axle=rear", "min=0.5 mm", "max=1.5 mm", "over=17 in", "of=each"),
            row("figures", "figure=wheelOffset", "min=-3", "preferred=0", "max=3"),
            row("parts", "part=rod", "where=front.left", "fastener=lock nut", "spare=3.5"),
            row("parts", "part=cam", "where=front.left", "most=6", "smallest=0.5", "reread=no"),
            row("parts", "part=rack"),
            row("effects", "part=cam", "where=front.left", "figure=camber.front.left", "amount=-0.12", "doubt=0.01"),
            row("effects", "part=cam", "where=front.left", "figure=caster.front.left", "amount=+"),
            row("effects", "part=rack", "figure=wheelOffset", "amount=2"),
            row(
                    "fasteners",
                    "name=lock nut",
                    "use=rodLockNut",
                    "thread=M14 × 1.5",
                    "least=45",
                    "most=40 lbf ft",
                    "singleUse=yes"));

    private static final String[] HEAD = HEADER.split(",");

    private static String row(String kind, String... cells) {
        return Arrays.stream(HEADER.split(","))
                .map(column -> column.equals("row")
                        ? kind
                        : Arrays.stream(cells)
                                .filter(cell -> cell.startsWith(column + "="))
                                .map(cell -> cell.substring(column.length() + 1))
                                .findFirst()
                                .orElse(""))
                .collect(Collectors.joining(","));
    }

    private static String table(List<String> rows) {
        return String.join("\r\n", rows);
    }

    /** The table with one cell of one line changed. */
    private static String with(int line, String column, String text) {
        List<String> rows = new ArrayList<>(TABLE);
        String[] cells = Arrays.copyOf(rows.get(line - 1).split(",", -1), HEAD.length);
        cells[List.of(HEAD).indexOf(column)] = '"' + text + '"';
        rows.set(line - 1, String.join(",", cells));
        return table(rows);
    }

    private static WrittenSheet.ParsedSheet good(WrittenSheet sheet) {
        return assertInstanceOf(WrittenSheet.ParsedSheet.class, sheet, sheet::toString);
    }

    private static List<SheetFault> bad(WrittenSheet sheet) {
        return assertInstanceOf(WrittenSheet.Refusal.class, sheet, sheet::toString)
                .faults();
    }

    private static Limits limits(SpecificationSheet sheet, String figure) {
        return sheet.limits(FigureId.parse(figure).orElseThrow()).orElseThrow();
    }

    private static double degrees(OptionalDouble radians) {
        return Math.toDegrees(radians.orElseThrow());
    }

    @Test
    void aSheet_isReadAsItIsWritten() {
        var read = good(SheetTable.read(table(TABLE)));
        assertEquals(new Vehicle("Orlin", "Hopper", "van", "MW 9", Axle.FRONT, Side.LEFT), read.vehicle());
        SpecificationSheet sheet = read.sheet();
        assertEquals(1460.5, sheet.geometry().rearTrack(), 1e-9);
        assertEquals(416, sheet.geometry().rim(Axle.FRONT));
        assertEquals(440, sheet.geometry().rim(Axle.REAR));
        assertEquals(OptionalDouble.empty(), sheet.geometry().armLength());
        assertEquals(new Stance(OptionalDouble.of(381), OptionalDouble.of(75)), sheet.stance());
        Limits camber = limits(sheet, "camber.front.right");
        assertEquals(-0.75, degrees(camber.min()), 1e-12);
        assertEquals(0.25, degrees(camber.max()), 1e-12);
        Limits apart = limits(sheet, "camberDifference.front");
        assertEquals(-0.7, degrees(apart.min()), 1e-12);
        assertEquals(-0.2, degrees(apart.target()), 1e-12);
        assertEquals(0.3, degrees(apart.max()), 1e-12);
        // a total of 1 mm over 440 mm: two wheels of asin(0.5 / 440)
        Limits total = limits(sheet, "totalToe.front");
        assertEquals(2 * Math.asin(0.5 / 440), total.min().getAsDouble(), 1e-12);
        assertEquals(2 * Math.asin(1.5 / 440), total.max().getAsDouble(), 1e-12);
        assertEquals(
                Math.asin(0.5 / 431.8), limits(sheet, "toe.rear.left").min().getAsDouble(), 1e-12);
        assertEquals("1 mm", sheet.lines().get(1).typed().get("tolerance"), "as the maker prints it");
        var rod = sheet.adjusters().get(0);
        var fastener = sheet.fastener(rod).orElseThrow();
        assertEquals(54.23, fastener.most().getAsDouble());
        assertTrue(fastener.singleUse());
        assertEquals(Optional.of(FastenerUse.ROD_LOCK_NUT), fastener.use());
        var turned =
                rod.effectOn(FigureId.parse("toe.front.left").orElseThrow()).orElseThrow();
        assertEquals(-1, turned.sign(), "ahead of the axle a longer rod is toe-out");
        assertEquals(OptionalDouble.empty(), turned.perUnit(), "nobody knows the arm");
        assertEquals(OptionalDouble.of(3.5), rod.spare());
        assertEquals(0.125, rod.smallestStep());
        assertEquals(0.5, sheet.adjusters().get(2).smallestStep());
        var cam = sheet.adjusters().get(1);
        assertFalse(cam.rereadAfter());
        assertEquals(2, cam.effects().size());
        assertEquals(
                1,
                cam.effectOn(FigureId.parse("caster.front.left").orElseThrow())
                        .orElseThrow()
                        .sign());
        assertEquals(6, cam.most());
        assertEquals(
                -0.12,
                degrees(cam.effectOn(FigureId.parse("camber.front.left").orElseThrow())
                        .orElseThrow()
                        .perUnit()),
                1e-12);
    }

    /** What a maker prints and what nobody knows: each in its own cell, and each kept. */
    @Test
    void turnOutAtAnAngle_kpiWithoutTolerance_andWhatNobodyKnows_areRead() {
        List<String> rows = new ArrayList<>(TABLE);
        rows.add(row("figures", "figure=turnOut", "axle=front", "min=1.5", "max=2.5", "innerAngle=20"));
        rows.add(row("figures", "figure=kpi", "axle=front", "preferred=12.5", "adjustable=notKnown"));
        rows.set(15, rows.get(15).replace("lock nut", "Lock Nut"));
        var read = good(SheetTable.read(table(rows)));
        SpecificationSheet sheet = read.sheet();
        assertEquals(1.5, degrees(limits(sheet, "turnOut.front.steeredLeft20").min()), 1e-12);
        assertEquals(2.5, degrees(limits(sheet, "turnOut.front.steeredRight20").max()), 1e-12);
        for (String other : List.of("turnOut.front.leftLock", "turnOut.front.steeredLeft15", "kpi.front.left")) {
            assertTrue(sheet.limits(FigureId.parse(other).orElseThrow()).isEmpty(), other);
        }
        FigureId kpi = FigureId.parse("kpi.front.right").orElseThrow();
        assertEquals(12.5, degrees(sheet.preferred(kpi)), 1e-12);
        assertEquals(Adjustable.NOT_KNOWN, sheet.adjustable(kpi.adjustment()));
        assertTrue(sheet.fastener(sheet.adjusters().get(0)).isPresent(), "capitals do not count");
        String csv = SheetTable.write(SheetWriter.draft(read.vehicle(), sheet));
        assertEquals(sheet.lines(), good(SheetTable.read(csv)).sheet().lines());
    }

    /** What is written again is read as the same sheet, in both forms; so is one that nobody typed. */
    @Test
    void writing_losesNothing() {
        var typed = good(SheetTable.read(table(TABLE)));
        var made = new WrittenSheet.ParsedSheet(typed.vehicle(), Vehicles.van());
        SheetDraft canonical = SheetWriter.draft(made.vehicle(), made.sheet());
        SpecificationSheet van =
                good(SheetTable.read(SheetTable.write(canonical))).sheet();
        assertEquals(-0.9, degrees(limits(van, "camber.front.left").min()), 1e-9);
        assertEquals(0.6, degrees(limits(van, "casterDifference.front").max()), 1e-9);
        assertEquals("caster", canonical.of(RowKind.FIGURE).get(0).text(Cell.FIGURE));
        assertEquals(
                List.of("figures.0", "figures.1"),
                canonical.of(RowKind.FIGURE).stream()
                        .map(SheetDraft.Row::at)
                        .limit(2)
                        .toList());
        for (var sheet : List.of(typed, made)) {
            SheetDraft draft = SheetWriter.draft(sheet.vehicle(), sheet.sheet());
            String json = SheetDocument.write(draft);
            var fromJson = good(SheetDocument.read(json));
            var fromCsv = good(SheetTable.read(SheetTable.write(draft)));
            assertEquals(fromJson, fromCsv);
            assertEquals(draft, SheetWriter.draft(fromJson.vehicle(), fromJson.sheet()));
            assertEquals(sheet.vehicle(), fromJson.vehicle());
            assertEquals(
                    sheet.sheet().adjusters().size(),
                    fromJson.sheet().adjusters().size());
            assertEquals(
                    List.of(),
                    SCHEMA.validate(json, InputFormat.JSON).stream()
                            .map(Object::toString)
                            .toList());
        }
        assertEquals(
                typed.sheet(),
                good(SheetDocument.read(SheetDocument.write(SheetWriter.draft(typed.vehicle(), typed.sheet()))))
                        .sheet());
    }

    @ParameterizedTest
    @CsvSource(
            quoteCharacter = '`',
            value = {
                "2, make, , MISSING",
                "2, driver, middle, UNKNOWN",
                "3, wheelbase, 26 m, MALFORMED",
                "3, wheelbase, 260, OUT_OF_RANGE",
                "3, linkage, under, UNKNOWN",
                "3, steeringRatio, twelve, MALFORMED",
                "3, doubleThread, perhaps, UNKNOWN",
                "4, tyreRadius, 200, RIM_IN_TYRE",
                "5, axle, front, TWICE",
                "6, figure, camberDifference, DIFFERENCE_OF",
                "6, figure, lean, UNKNOWN",
                "6, axle, , WRONG_AXLE",
                "6, min, 0.3, WRONG_WAY_ROUND",
                "6, preferred, 0.5, OUTSIDE_LIMITS",
                "6, min, 0°75', MALFORMED",
                "6, max, 75, OUT_OF_RANGE",
                "6, over, 400, NOT_IN_MILLIMETRES",
                "6, min, -3 mm, MIXED_UNITS",
                "6, difference, , MISSING",
                "6, difference, -1, OUT_OF_RANGE",
                "7, over, , NEEDS_LENGTH",
                "7, of, , NEEDS_OF",
                "7, of, each, BELONGS_TO_EACH",
                "7, max, 3 mm, TOLERANCE_AND_LIMITS",
                "7, preferred, , NO_PREFERRED",
                "7, tolerance, , NO_LIMITS",
                "7, preferred, 80 mm, OUT_OF_RANGE",
                "7, difference, 1 mm, NO_DIFFERENCE",
                "7, adjustable, sometimes, UNKNOWN",
                "8, of, total, BELONGS_TO_TOTAL",
                "8, figure, caster, NEVER_A_LENGTH",
                "6, of, each, NOT_IN_MILLIMETRES",
                "7, intended, 1 mm, NO_DIFFERENCE",
                "9, axle, front, WRONG_AXLE",
                "10, fastener, wing nut, NO_SUCH_FASTENER",
                "14, doubt, 0.1, DOUBT_OF_A_WAY",
                "14, amount, 11, OUT_OF_RANGE",
                "13, doubt, -0.1, OUT_OF_RANGE",
                "11, smallest, 9, WRONG_WAY_ROUND",
                "11, part, rod, TWICE",
                "11, where, under, UNKNOWN",
                "13, where, rear.left, NO_SUCH_PART",
                "3, rideHeight, 37, OUT_OF_RANGE",
                "3, load, 20001, OUT_OF_RANGE",
                "3, load, two people, MALFORMED",
                "10, spare, 1000, OUT_OF_RANGE",
                "11, spare, 2, NO_THREAD",
                "13, part, rod, COMPUTED",
                "13, amount, 0, NO_EFFECT",
                "13, figure, camber, UNKNOWN",
                "14, figure, camber.front.left, TWICE",
                "16, name, , MISSING",
                "16, thread, quarter inch, UNKNOWN",
                "16, least, 45 stone, MALFORMED",
                "16, least, 90, WRONG_WAY_ROUND",
                "16, least, 3.75, IMPLAUSIBLE_TORQUE",
                "16, most, 540, IMPLAUSIBLE_TORQUE",
            })
    void whatIsWrong_isNamedAtItsCell(int line, String column, String text, SheetFaultCode reason) {
        List<SheetFault> faults = bad(SheetTable.read(with(line, column, text == null ? "" : text)));
        assertTrue(
                faults.stream()
                        .anyMatch(f -> f.at().equals(String.valueOf(line))
                                && f.reason() == reason
                                && f.cell().isPresent()),
                faults::toString);
    }

    @ParameterizedTest
    @CsvSource({
        "true, 3, true",
        "false, 1.5, false",
        "null, 1.5, false",
        "'\"yes\"', 3, true",
    })
    void whatJsonHasOfItsOwn_isReadAsTheWord(String flag, double lead, boolean once) {
        String json = SheetDocument.write(SheetWriter.draft(
                        good(SheetTable.read(table(TABLE))).vehicle(),
                        good(SheetTable.read(table(TABLE))).sheet()))
                .replaceAll("\"doubleThread\" : \"[a-z]+\"", "\"doubleThread\" : " + flag)
                .replaceAll("\"singleUse\" : \"[a-z]+\"", "\"singleUse\" : " + flag)
                .replace("\"rodPitch\" : \"1.5\"", "\"rodPitch\" : 1.5");
        SpecificationSheet sheet = good(SheetDocument.read(json)).sheet();
        assertEquals(lead, sheet.geometry().lead().orElseThrow());
        assertEquals(once, sheet.fasteners().get(0).singleUse());
    }

    /** M12 usually takes 86 N·m: a fifth of it and three times as much are still no slip of the unit. */
    @ParameterizedTest
    @CsvSource({"M12, 17.28, true", "M12 x 1.25, 17.2, false", "m 12, 259.2, true", "M12, 259.3, false", "M0, 10, true"
    })
    void aTorque_isUsualForItsThread(String thread, double torque, boolean usual) {
        var one = OptionalDouble.of(torque);
        var none = OptionalDouble.empty();
        assertEquals(
                usual, !new Fastener("a", Optional.empty(), Optional.of(thread), one, none, none, false).unusual());
        assertEquals(
                usual, !new Fastener("b", Optional.empty(), Optional.of(thread), none, one, none, false).unusual());
        assertFalse(new Fastener("c", Optional.empty(), Optional.empty(), one, one, none, false).unusual());
    }

    @Test
    void aFastenerTwice_andMoreRowsThanThereCanBe_areNamed() {
        List<String> rows = new ArrayList<>(TABLE);
        rows.add(row("fasteners", "name=lock nut"));
        rows.add(row("wheels", "axle=rear", "rimDiameter=440", "tyreRadius=318"));
        var reasons = bad(SheetTable.read(table(rows))).stream()
                .map(SheetFault::reason)
                .toList();
        assertEquals(List.of(SheetFaultCode.TOO_MANY, SheetFaultCode.TWICE, SheetFaultCode.TWICE), reasons);
    }

    @Test
    void anUnusualTorque_standsOnceItIsLookedUpAgain() {
        List<String> rows = new ArrayList<>(TABLE);
        rows.set(15, row("fasteners", "name=lock nut", "thread=M14", "most=540", "checked=yes"));
        var read = good(SheetTable.read(table(rows)));
        assertTrue(read.sheet().fasteners().get(0).unusual());
        assertEquals(read, good(SheetTable.read(SheetTable.write(SheetWriter.draft(read.vehicle(), read.sheet())))));
    }

    @Test
    void allFaults_comeTogether() {
        String text = with(2, "make", "").replace("M14 × 1.5", "thick").replace("2 mm", "wide");
        List<String> at =
                bad(SheetTable.read(text)).stream().map(SheetFault::at).toList();
        assertTrue(at.containsAll(List.of("2", "7", "16")), at::toString);
    }

    @ParameterizedTest
    @CsvSource({
        "'', NOT_CSV",
        "'a,b', NOT_CSV",
        "'row,make,make', NOT_CSV",
        "'row,make\r\nvehicle,\"x', NOT_CSV",
        "'row,make,paint', UNKNOWN_CELL",
        "'row,make\r\nwing,x', UNKNOWN_ROW",
        "'row,make,wheelbase\r\nvehicle,x,2600', UNKNOWN_CELL",
        "'row,make\r\nvehicle,x\r\nvehicle,y', TOO_MANY",
        "'row,make\r\nvehicle,x', MISSING",
    })
    void aTableThatIsNone_isSaidSo(String text, SheetFaultCode reason) {
        assertTrue(bad(SheetTable.read(text)).stream().anyMatch(f -> f.reason() == reason));
    }

    @ParameterizedTest
    @CsvSource(
            quoteCharacter = '`',
            value = {
                "[1], NOT_JSON",
                "`{\"format\":\"galdrin.sheet\",\"version\":2}`, NOT_A_SHEET",
                "`{\"format\":\"galdrin.task\",\"version\":1}`, NOT_A_SHEET",
                "`{\"format\":\"galdrin.sheet\",\"version\":1,\"paint\":1}`, UNKNOWN_ROW",
                "`{\"format\":\"galdrin.sheet\",\"version\":1,\"vehicle\":[]}`, NO_TEXT",
                "`{\"format\":\"galdrin.sheet\",\"version\":1,\"vehicle\":{\"make\":{}}}`, NO_TEXT",
                "`{\"format\":\"galdrin.sheet\",\"version\":1,\"vehicle\":{\"paint\":\"red\"}}`, UNKNOWN_CELL",
                "`{\"format\":\"galdrin.sheet\",\"version\":1,\"wheels\":[3]}`, NO_TEXT",
            })
    void aDocumentThatIsNone_isSaidSo(String text, SheetFaultCode reason) {
        assertTrue(bad(SheetDocument.read(text)).stream().anyMatch(f -> f.reason() == reason));
    }

    @Test
    void sizes_areBounded() {
        String long80 = "x".repeat(SheetDraft.LONGEST_CELL + 1);
        assertEquals(
                SheetFaultCode.TOO_LONG,
                bad(SheetTable.read(with(2, "make", long80))).get(0).reason());
        String longest = " ".repeat(SheetDocument.LONGEST + 1);
        assertEquals(
                SheetFaultCode.TOO_LONG, bad(SheetTable.read(longest)).get(0).reason());
        assertEquals(
                SheetFaultCode.TOO_LONG, bad(SheetDocument.read(longest)).get(0).reason());
    }

    /** As a spreadsheet of another country saves it. */
    @Test
    void semicolonsAndAByteOrderMark_areRead() {
        String text = "\uFEFF" + table(TABLE).replace(',', ';').replace(";-0.2;", ";\"-0,2\";");
        assertEquals(
                good(SheetTable.read(table(TABLE))).sheet().geometry(),
                good(SheetTable.read(text)).sheet().geometry());
    }

    /** Whatever is done to a document, it is read or refused. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void nonsense_isRefusedAndNeverThrows(long seed) {
        var random = new Random(seed);
        var read = good(SheetTable.read(table(TABLE)));
        SheetDraft draft = SheetWriter.draft(read.vehicle(), read.sheet());
        for (String text : List.of(SheetDocument.write(draft), SheetTable.write(draft))) {
            for (int i = 0; i < 400; i++) {
                var broken = new StringBuilder(text);
                for (int k = 0; k <= random.nextInt(4); k++) {
                    int at = random.nextInt(broken.length());
                    broken.setCharAt(at, "0-9,;\"'{}[]:°/\n\0 x".charAt(random.nextInt(18)));
                }
                assertNotNull(SheetDocument.read(broken.toString()), () -> "seed " + seed);
                assertNotNull(SheetTable.read(broken.toString()), () -> "seed " + seed);
            }
        }
    }

    @Test
    void theExampleOfThePage_isASheet() throws IOException {
        String page = Files.readString(Path.of("../docs/sheet-format.md"));
        int begin = page.indexOf("```json") + "```json".length();
        String example = page.substring(begin, page.indexOf("```", begin));
        assertEquals(List.of(), SCHEMA.validate(example, InputFormat.JSON));
        good(SheetDocument.read(example));
        for (RowKind kind : RowKind.values()) {
            kind.cells().forEach(cell -> assertTrue(page.contains('`' + cell.key() + '`'), cell.key()));
        }
    }

    private static final String SCHEMA_TEXT = schema();
    private static final Schema SCHEMA = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
            .getSchema(SCHEMA_TEXT, InputFormat.JSON);

    private static String schema() {
        try (var in = WrittenSheetTest.class.getResourceAsStream("sheet.schema.json")) {
            return new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    /** The schema knows every kind of row with the same cells and the same bound, and every figure that can be written. */
    @Test
    void theSchema_hasTheRowsAndCells() {
        JsonObject root = JsonLines.object(SCHEMA_TEXT.replace('\n', ' ').getBytes(StandardCharsets.UTF_8))
                .orElseThrow();
        for (RowKind kind : RowKind.values()) {
            var properties = in(in(in(root, "$defs"), kind.key()), "properties");
            List<String> names = new ArrayList<>();
            for (int i = 0; i < properties.size(); i++) {
                names.add(properties.name(i));
            }
            assertEquals(
                    kind.cells().stream().map(Cell::key).sorted().toList(),
                    names.stream().sorted().toList());
            if (!kind.single()) {
                assertEquals(
                        (double) kind.most(),
                        in(in(root, "properties"), kind.key()).get("maxItems"));
            }
        }
        var figures = (List<?>) Optional.ofNullable(in(in(in(in(root, "$defs"), "figures"), "properties"), "figure")
                        .get("enum"))
                .orElseThrow();
        assertEquals(
                Arrays.stream(Measurand.values())
                        .filter(m -> m.form() != Measurand.Form.DIFFERENCE)
                        .map(Measurand::key)
                        .toList(),
                figures);
    }

    private static JsonObject in(JsonObject json, String name) {
        return assertInstanceOf(JsonObject.class, json.get(name));
    }
}
