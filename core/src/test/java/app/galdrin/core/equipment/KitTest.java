package app.galdrin.core.equipment;

import static app.galdrin.core.Vehicles.figure;
import static app.galdrin.core.Vehicles.truth;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.measure.HandFormula;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.procedure.Repeat;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.uncertainty.Estimate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Equipment in readings, doubts and figures. */
class KitTest {

    private static final FigureId TOTAL = figure("totalToe.front");
    private static final Truth STATE =
            truth("toe.front.left", 0.3, "toe.front.right", 0.1, "camber.front.left", -0.8, "camber.front.right", -0.5);
    private static final MeasuringContext USUAL = new MeasuringContext(Vehicles.van(), BayFloor.LEVEL);

    private static EquipmentKind kind(String key) {
        return EquipmentKind.named(key).orElseThrow();
    }

    private static Estimate worked(Procedure procedure, Map<String, Double> readings, Kit kit, FigureId figure) {
        var work = procedure.work(readings, USUAL.with(kit), new Repeat("m", 0, 1), HandFormula.SOLVED);
        return Objects.requireNonNull(work.figures().get(figure));
    }

    private static Tool sized(String kind, double length, double doubt) {
        return new Tool("one", kind(kind), 0, 0, 0, Optional.of(new CertifiedLength(length, doubt)));
    }

    @ParameterizedTest
    @CsvSource({"plates, 508", "rigidFrames, 590", "longBars, 1210"})
    void readingsWithAnotherLength_areWorkedWithIt(String procedure, double length) {
        Procedure spans = Procedures.of(procedure);
        Kit longer = Kit.of(List.of(sized(procedure, length, 0)));
        Map<String, Double> read = spans.readings(STATE, USUAL.with(longer));
        assertEquals(Math.toRadians(0.4), worked(spans, read, longer, TOTAL).value(), 1e-9);
        assertEquals(
                Math.toRadians(0.4) * length / spans.baseline().apply(USUAL).orElseThrow(),
                worked(spans, read, Kit.USUAL, TOTAL).value(),
                1e-6);
        assertEquals(Optional.of(length), spans.baseline().apply(USUAL.with(longer)));
    }

    @Test
    void aSlipPlateOfAnotherLength_tellsTheSameSideslip() {
        Procedure plate = Procedures.of("slipPlate");
        Kit half = Kit.of(List.of(sized("slipPlate", 600, 0)));
        Map<String, Double> read = plate.readings(STATE, USUAL.with(half));
        FigureId sideslip = figure("sideslip.front.left");
        assertEquals(STATE.figure(sideslip), worked(plate, read, half, sideslip).value(), 1e-9);
    }

    @Test
    void aFlagOfAnotherLength_tellsTheSameToe() {
        Procedure flags = Procedures.of("flagsMillimetres");
        Kit longer = Kit.of(
                List.of(new Tool("one", kind("flagScale"), 0.5, 0, 0, Optional.of(new CertifiedLength(1500, 0)))));
        Map<String, Double> read = flags.readings(STATE, USUAL.with(longer));
        FigureId left = figure("toe.front.left");
        assertEquals(STATE.figure(left), worked(flags, read, longer, left).value(), 1e-9);
        assertEquals(
                3 * Math.toRadians(0.4), worked(flags, read, Kit.USUAL, TOTAL).value(), 1e-5);
        assertEquals(
                Procedures.of("flags").readings(STATE, USUAL).get("rl.flag"), read.get("rl.flag"), 1e-9, "rear flags");
        Map<String, Double> usual = flags.readings(STATE, USUAL);
        assertEquals(500 * Math.sin(Math.toRadians(0.1)), usual.get("fl.flag"), 1e-9, "the other wheel");
        Procedure degrees = Procedures.of("flags");
        double sameTool = worked(degrees, degrees.readings(STATE, USUAL), Kit.USUAL, TOTAL)
                .standardUncertainty();
        assertEquals(1, worked(flags, usual, Kit.USUAL, TOTAL).standardUncertainty() / sameTool, 0.25);
    }

    /** Battens whose rear notches are 3 mm farther apart: one spacing is read, and the other one is known. */
    @Test
    void battensThatDiffer_areWorkedAsTheyAre() {
        Procedure strings = Procedures.of("battens");
        FigureId left = figure("toe.front.left");
        Kit measured = Kit.of(List.of(new Tool("pair", kind("battens"), 0, 3, 0.05, Optional.empty())));
        Map<String, Double> read = strings.readings(STATE, USUAL.with(measured));
        Estimate known = worked(strings, read, measured, left);
        assertEquals(STATE.figure(left), known.value(), 1e-9);
        Estimate unknown = worked(strings, read, Kit.USUAL, left);
        assertTrue(Math.abs(unknown.value() - STATE.figure(left)) > Math.toRadians(0.01));
        assertTrue(known.standardUncertainty() < unknown.standardUncertainty());
        Kit poorly = Kit.of(List.of(new Tool("pair", kind("battens"), 0, 3, 20, Optional.empty())));
        assertTrue(worked(strings, read, poorly, left).standardUncertainty() > 1.5 * unknown.standardUncertainty());
        assertEquals(List.of(WorkshopCheck.COMPARED), WorkshopCheck.of(kind("battens")));
        assertTrue(strings.equipment(List.of(left)).contains(kind("battens")));
        assertFalse(Procedures.of("strings").equipment(List.of(left)).contains(kind("battens")));
    }

    /** The toe over a length that is known to 1 % is known to 1 % at best: to first order u(toe) = toe · u(length) / length. */
    @Test
    void theDoubtOfALength_goesIntoTheFigure() {
        Procedure plates = Procedures.of("plates");
        Map<String, Double> read = plates.readings(STATE, USUAL);
        Estimate exact = worked(plates, read, Kit.of(List.of(sized("plates", 500, 0))), TOTAL);
        Estimate doubted = worked(plates, read, Kit.of(List.of(sized("plates", 500, 5))), TOTAL);
        double added = Math.sqrt(Math.pow(doubted.standardUncertainty(), 2) - Math.pow(exact.standardUncertainty(), 2));
        assertEquals(exact.value() * 0.01, added, 1e-6);
        assertEquals(worked(plates, read, Kit.USUAL, TOTAL).standardUncertainty(), exact.standardUncertainty(), 0);
    }

    private static Tool level(double offset, double doubt) {
        return level("digitalInclinometer", offset, doubt);
    }

    private static Tool level(String kind, double offset, double doubt) {
        return new Tool(
                "level",
                kind(kind),
                CatalogueInstrument.DIGITAL_INCLINOMETER.resolution(),
                Math.toRadians(offset),
                Math.toRadians(doubt),
                Optional.empty());
    }

    /** The places of a level with a zero error of 0.1°, held the same way to each wheel, what each shows of it, and whether it would be in the figure. */
    @ParameterizedTest
    @CsvSource({
        "inclinometer, digitalInclinometer, fl.gauge=1 fl.floor=-1 fr.gauge=1 fr.floor=1, camber.front.left camber.front.right, false",
        "inclinometerTurned, digitalInclinometer, fl.gauge=1 fl.turned=-1, camber.front.left, false",
        "inclinometerTurned, digitalInclinometer, fr.gauge=2 fr.turned=0, camber.front.right, true",
        "inclinometerZeroed, digitalInclinometer, fl.gauge=0 fr.gauge=0, camber.front.left camber.front.right, false",
        "wheelHeads, wheelHeads, fl.headToe=1 fr.headToe=1, toe.front.left toe.front.right, true"
    })
    void anOffset_isTakenOffWhereItIsInTheReading(
            String procedure, String kind, String shows, String figures, boolean isSeen) {
        Procedure level = Procedures.of(procedure);
        Map<String, Double> read = new HashMap<>(level.readings(STATE, USUAL));
        for (String one : shows.split(" ")) {
            read.merge(one.split("=")[0], 0.1 * Double.parseDouble(one.split("=")[1]), Double::sum);
        }
        Kit kit = Kit.of(List.of(level(kind, 0.1, 0)));
        for (String key : figures.split(" ")) {
            FigureId figure = figure(key);
            boolean isTurnedOnce = shows.contains("=2");
            double off = isTurnedOnce ? Math.toRadians(0.1) : 0;
            assertEquals(
                    STATE.figure(figure) + off, worked(level, read, kit, figure).value(), 1e-9);
            assertEquals(
                    isSeen,
                    Math.abs(worked(level, read, Kit.USUAL, figure).value() - STATE.figure(figure)) > 1e-6,
                    "without the certificate");
        }
    }

    /** A length of offset counts once in what is read once: the tape from the hubs to the marks of a laser, twice that between them. */
    @Test
    void anOffsetOfATape_isInALengthThatIsReadAlone() {
        Procedure laser = Procedures.of("floorLaser");
        Map<String, Double> read = new HashMap<>(laser.readings(STATE, USUAL));
        read.replaceAll((place, shown) -> shown + 40);
        Kit kit = Kit.of(List.of(new Tool("tape", kind("tape"), 0.5, 40, 0, Optional.empty())));
        assertEquals(Math.toRadians(0.4), worked(laser, read, kit, TOTAL).value(), 1e-9);
        assertTrue(worked(laser, read, Kit.USUAL, TOTAL).value() < Math.toRadians(0.395));
    }

    /** Against a known floor the same level is as far out on both sides: that falls out of the difference and adds up in the sum. */
    @Test
    void theDoubtOfATool_isSharedByAllItsReadings() {
        Procedure heads = Procedures.of("wheelHeads");
        Tool head = new Tool("head", kind("wheelHeads"), 0, 0, Math.toRadians(0.2), Optional.empty());
        Map<String, Double> read = heads.readings(STATE, USUAL);
        Kit doubted = Kit.of(List.of(head));
        Estimate left = worked(heads, read, doubted, figure("toe.front.left"));
        Estimate right = worked(heads, read, doubted, figure("toe.front.right"));
        assertTrue(left.standardUncertainty() > Math.toRadians(0.2));
        assertTrue(left.minus(right).standardUncertainty() < Math.toRadians(0.1));
        assertTrue(left.plus(right).standardUncertainty() > Math.toRadians(0.4));
    }

    /** Floor and wheel are read with one level: what it shows too much is in both, and falls out. */
    @Test
    void theDoubtOfALevel_fallsOutWhereTheFloorIsReadWithIt() {
        Procedure level = Procedures.of("inclinometer");
        Map<String, Double> read = level.readings(STATE, USUAL);
        for (String side : List.of("left", "right")) {
            FigureId camber = figure("camber.front." + side);
            assertEquals(
                    worked(level, read, Kit.USUAL, camber).standardUncertainty(),
                    worked(level, read, Kit.of(List.of(level(0, 0.2))), camber).standardUncertainty(),
                    1e-12);
        }
    }

    @Test
    void aCoarserScale_isReadNoBetter() {
        Tool coarse = new Tool("tape", kind("tape"), 2, 0, 0, Optional.empty());
        Kit kit = Kit.of(List.of(coarse));
        assertEquals(2, kit.resolution(CatalogueInstrument.TAPE), 0);
        double usual = CatalogueInstrument.TAPE.standardUncertainty(CatalogueInstrument.Surface.RIM);
        double expected = Math.sqrt(usual * usual + (4 - 0.25) / 12);
        assertEquals(
                expected, kit.standardUncertainty(CatalogueInstrument.TAPE, CatalogueInstrument.Surface.RIM), 1e-12);
        assertEquals(
                CatalogueInstrument.VERNIER.resolution(),
                kit.resolution(CatalogueInstrument.VERNIER),
                0,
                "another kind");
    }

    /** A piece of which nothing was measured works out what was worked out before equipment was kept, to the last digit. */
    @Test
    void usualPieces_changeNothing() {
        Kit all = Kit.of(EquipmentKind.all().stream()
                .map(kind -> Tool.usual(kind.key(), kind))
                .toList());
        for (Procedure procedure : Procedures.all()) {
            MeasuringContext usual = procedure.asUsual(USUAL);
            Map<String, Double> read = procedure.readings(STATE, usual);
            var before = procedure.work(read, usual, new Repeat("m", 0, 1), HandFormula.SOLVED);
            var now = procedure.work(read, usual.with(all), new Repeat("m", 0, 1), HandFormula.SOLVED);
            before.figures().forEach((figure, estimate) -> {
                Estimate same = Objects.requireNonNull(now.figures().get(figure));
                assertEquals(estimate.value(), same.value(), 0, procedure.key() + " " + figure.key());
                assertEquals(estimate.standardUncertainty(), same.standardUncertainty(), 0);
            });
        }
    }

    @ParameterizedTest
    @CsvSource({
        "plates, totalToe.front, plates tape",
        "inclinometer, camber.front.left, digitalInclinometer",
        "slipPlate, sideslip.front.left, slipPlate"
    })
    void aProcedure_namesItsEquipment(String procedure, String figure, String kinds) {
        assertEquals(
                kinds,
                String.join(
                        " ",
                        Procedures.of(procedure).equipment(List.of(figure(figure))).stream()
                                .map(EquipmentKind::key)
                                .toList()));
    }

    @ParameterizedTest
    @CsvSource({
        "TURNED, 1.32, -1.12, 0.1",
        "SWAPPED, 101.2, 100.8, 0.2",
        "STANDARD, 1000.4, 1000, 0.4",
        "COMPARED, 1601.5, 1600, 1.5"
    })
    void aCheck_tellsWhatIsShownTooMuch(WorkshopCheck check, double first, double second, double error) {
        assertEquals(error, check.error(first, second), 1e-9);
    }

    @ParameterizedTest
    @EnumSource(ToolLength.class)
    void everyLength_hasItsKind_andIsAllowed(ToolLength length) {
        assertEquals(Optional.of(length), EquipmentKind.of(length).length());
        assertTrue(length.least() < length.usual() && length.usual() < length.most());
        assertEquals(length.usual(), Kit.USUAL.length(length), 0);
    }

    /** What hangs on a wheel or lies on the floor can be turned; everything else is held against a standard. */
    @ParameterizedTest
    @CsvSource({
        "digitalInclinometer, turned standard",
        "protractor, turned standard",
        "plates, swapped standard",
        "tape, standard",
        "slipPlate, standard"
    })
    void aKind_hasItsChecks(String kind, String checks) {
        assertEquals(
                checks,
                WorkshopCheck.of(kind(kind)).stream().map(WorkshopCheck::key).collect(Collectors.joining(" ")));
    }

    @Test
    void theUsualKinds_areWhatEveryUseAsksFor_andEveryLength() {
        List<EquipmentKind> usual = EquipmentKind.usual();
        assertEquals(usual.size(), Set.copyOf(usual).size());
        assertTrue(usual.contains(kind("tape")) && usual.contains(kind("longBars")));
        assertFalse(usual.contains(kind("phoneLevel")));
        assertEquals(
                CatalogueInstrument.values().length + 4,
                EquipmentKind.all().size(),
                "the slip plate and the scale of a flag are both, the battens neither");
    }

    @ParameterizedTest
    @CsvSource({"0, 0", "-3, 0", "500, -1", "NaN, 0"})
    void noLength_isNothingOrLess(double length, double doubt) {
        assertThrows(IllegalArgumentException.class, () -> new CertifiedLength(length, doubt));
    }
}
