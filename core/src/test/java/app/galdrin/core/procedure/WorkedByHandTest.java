package app.galdrin.core.procedure;

import static app.galdrin.core.Vehicles.figure;
import static app.galdrin.core.procedure.ProceduresTest.ONCE;
import static app.galdrin.core.procedure.ProceduresTest.fresh;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.CamberInclinometer;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.measure.CatalogueInstrument.Surface;
import app.galdrin.core.measure.HandFormula;
import app.galdrin.core.measure.Use;
import app.galdrin.core.uncertainty.DoubtSource;
import app.galdrin.core.uncertainty.Estimate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** The figures of the trade worked by hand, and the doubt each of them carries under its source's name. */
class WorkedByHandTest {

    private static final List<FigureId> CASTERS = List.of(figure("caster.front.left"), figure("caster.front.right"));

    /** What a sheet works by hand for both wheels, its difference has too; without a hand formula it has the solved one. */
    @Test
    void aDifference_isHonestlyMadeOfWhatWasWorkedByHand() {
        Map<String, Double> readings = new HashMap<>();
        readings.putAll(Map.of("fl.out.steer", 20.0, "fl.out.camber", 0.98, "fl.in.steer", 19.0, "fl.in.camber", -1.4));
        readings.putAll(Map.of("fr.out.steer", 19.0, "fr.out.camber", 0.7, "fr.in.steer", 20.0, "fr.in.camber", -1.3));
        FigureId left = figure("caster.front.left");
        FigureId right = figure("caster.front.right");
        FigureId difference = figure("casterDifference.front");
        var standing = new MeasuringContext(Vehicles.van(), BayFloor.LEVEL);
        WorkedRepeat worked = fresh("sweep").work(readings, standing, ONCE, "factor");
        double byHand = worked.honest(left).orElseThrow() - worked.honest(right).orElseThrow();
        assertEquals(byHand, worked.honest(difference).orElseThrow(), 1e-12);
        assertTrue(Math.abs(byHand - worked.figures().get(difference).value()) > 1e-4, "and it is not the solved one");
        readings.put("fr.ahead.camber", -0.3);
        WorkedRepeat three = fresh("sweep").work(readings, standing, ONCE, "factor");
        assertTrue(three.figures().containsKey(figure("kpi.front.right")));
        assertEquals(
                worked.honest(right).orElseThrow(),
                three.honest(right).orElseThrow(),
                1e-12,
                "two angles make the formula");
        assertTrue(fresh("sweep")
                .work(readings, standing, ONCE, HandFormula.SOLVED)
                .byHand()
                .isEmpty());
    }

    /** Strings a hand's breadth nearer in front: the note says how far each stands askew, and the last step adds both wheels. */
    @Test
    void theSkewOfTheStrings_isNoted_andASumIsTheLastStep() {
        Procedure strings = fresh("strings");
        var standing = new MeasuringContext(Vehicles.van(), BayFloor.LEVEL);
        Map<String, Double> readings =
                strings.readings(Vehicles.truth("toe.front.left", 0.2, "toe.front.right", 0.1), standing);
        readings.merge("stringSpacingFront", 20.0, Double::sum);
        WorkedRepeat worked = strings.work(readings, standing, ONCE, HandFormula.SOLVED);
        double turned = worked.notes().get("skew.left") + worked.notes().get("skew.right");
        readings.merge("stringSpacingFront", -20.0, Double::sum);
        Map<String, Double> notes =
                strings.work(readings, standing, ONCE, HandFormula.SOLVED).notes();
        assertEquals(Math.toDegrees(20.0 / 4060), turned - notes.get("skew.left") - notes.get("skew.right"), 1e-3);
        Procedure string = fresh("rearString");
        Map<String, Double> gaps =
                string.readings(Vehicles.truth("toe.front.left", 0.2, "toe.front.right", 0.1), standing);
        WorkedRepeat sum = string.work(gaps, standing, ONCE, HandFormula.SOLVED);
        var steps = sum.stepsTo(figure("totalToe.front"), HandFormula.SOLVED).orElseThrow();
        var last = steps.get(steps.size() - 1);
        assertEquals(0.3, last.out().inRecord(), 1e-9);
        assertEquals(
                List.of(0.2, 0.1),
                last.in().stream().map(t -> Math.rint(t.inRecord() * 1e9) / 1e9).toList());
    }

    private static WorkedRepeat sweep(double out, double camberOut, double in, double camberIn, String taught) {
        Map<String, Double> readings = new TreeMap<>(
                Map.of("fl.out.steer", out, "fl.out.camber", camberOut, "fl.in.steer", in, "fl.in.camber", camberIn));
        return Procedures.of("sweep")
                .work(readings, new MeasuringContext(Vehicles.van(), BayFloor.LEVEL), ONCE, taught);
    }

    /** From plates at 20 and 19 the shortcut is not what is solved: the honest sheet has what the trade works on paper. */
    @Test
    void aSweepAtUnequalAngles_isHonestlyWorkedByItsFormula() {
        FigureId caster = figure("caster.front.left");
        WorkedRepeat worked = sweep(20, 0.98, 19, -1.442, "factor");
        double d = 0.98 + 1.442;
        double factor = 1 / (2 * Math.sin(Math.toRadians(19.5)));
        assertEquals(d * factor, Math.toDegrees(worked.honest(caster).orElseThrow()), 1e-9);
        assertEquals(3.63, Math.toDegrees(worked.honest(caster).orElseThrow()), 0.01);
        assertEquals(3.52, Math.toDegrees(worked.figures().get(caster).value()), 0.02);
        assertEquals(
                1.5 * d,
                Math.toDegrees(sweep(20, 0.98, 19, -1.442, "oneAndAHalf")
                        .honest(caster)
                        .orElseThrow()),
                1e-9);
        assertEquals(
                worked.figures().get(caster).value(),
                sweep(20, 0.98, 19, -1.442, HandFormula.SOLVED).honest(caster).orElseThrow());
        assertEquals(
                List.of("factor", "oneAndAHalf", "solved"),
                Procedures.of("sweep").taught());
        assertFalse(Procedures.of("sweep").isWorkedOnPaper(figure("kpi.front.left")));
    }

    /** The sheet's KPI moves a caster read at unequal angles, and the doubt says so under its name. */
    @Test
    void twoAngles_carryTheDoubtOfTheSheetsKpi() {
        FigureId caster = figure("caster.front.left");
        Map<String, Double> parts = sweep(20, 0.98, 19, -1.442, "factor")
                .figures()
                .get(caster)
                .budget()
                .parts();
        double tolerance = (13.2 - 11.8) / Math.sqrt(12);
        assertEquals(
                Math.tan(Math.toRadians(0.5)) * tolerance,
                Math.abs(Math.toDegrees(parts.get("sheet.kpi.front.left"))),
                2e-4);
    }

    @Test
    void aBaysFloor_isOneSourceForBothWheels() {
        var floor = new BayFloor(2, 0, Math.toRadians(0.3), Math.toRadians(0.108));
        Map<String, Double> readings = new HashMap<>();
        for (String wheel : List.of("fl", "fr")) {
            readings.putAll(Map.of(
                    wheel + ".out.steer",
                    20.0,
                    wheel + ".out.camber",
                    1.0,
                    wheel + ".in.steer",
                    20.0,
                    wheel + ".in.camber",
                    -1.4));
        }
        WorkedRepeat worked =
                Procedures.of("sweep").work(readings, new MeasuringContext(Vehicles.van(), floor), ONCE, "factor");
        Estimate left = worked.figures().get(figure("caster.front.left"));
        Estimate difference = worked.figures().get(figure("casterDifference.front"));
        assertEquals(Math.toRadians(0.108), Math.abs(left.budget().parts().get("bay.pitch.2")), 1e-4);
        assertEquals(0, difference.budget().parts().get("bay.pitch.2"), 1e-4, "what leans both axes alike falls out");
    }

    @Test
    void theZeroOfAGauge_leansBothWheels_andTheDifferenceDoubly() {
        Map<String, Double> readings = Map.of("fl.gauge", -0.5, "fr.gauge", -0.5);
        WorkedRepeat worked = Procedures.of("inclinometerZeroed")
                .work(readings, new MeasuringContext(Vehicles.van(), BayFloor.LEVEL), ONCE, HandFormula.SOLVED);
        double u = worked.figures()
                .get(figure("camber.front.left"))
                .budget()
                .parts()
                .get("setUp.zero");
        assertEquals(CatalogueInstrument.DIGITAL_INCLINOMETER.standardUncertainty(Surface.RIM), Math.abs(u), 1e-6);
        assertEquals(
                -u,
                worked.figures()
                        .get(figure("camber.front.right"))
                        .budget()
                        .parts()
                        .get("setUp.zero"),
                1e-9);
        assertEquals(
                2 * u,
                worked.figures()
                        .get(figure("camberDifference.front"))
                        .budget()
                        .parts()
                        .get("setUp.zero"),
                1e-9);
    }

    @Test
    void theFloorBesideTheWheel_isTakenOffBySide() {
        Map<String, Double> readings = Map.of("fl.gauge", -1.0, "fl.floor", 0.35, "fr.gauge", -1.0, "fr.floor", 0.35);
        WorkedRepeat worked = Procedures.of("inclinometer")
                .work(readings, new MeasuringContext(Vehicles.van(), BayFloor.LEVEL), ONCE, HandFormula.SOLVED);
        assertEquals(
                -0.65, Math.toDegrees(worked.honest(figure("camber.front.left")).orElseThrow()), 1e-4);
        assertEquals(
                -1.35,
                Math.toDegrees(worked.honest(figure("camber.front.right")).orElseThrow()),
                1e-4);
    }

    /** A plumb line knows no floor: its roll is added on the left, taken off on the right, and leans the difference doubly. */
    @Test
    void aPlumbLinesFloor_isTheBays() {
        Map<String, Double> readings =
                Map.of("fl.topGap", 60.0, "fl.bottomGap", 57.0, "fr.topGap", 60.0, "fr.bottomGap", 57.0);
        var floor = new BayFloor(2, Math.toRadians(0.4), Math.toRadians(0.3), Math.toRadians(0.108));
        Procedure plumb = Procedures.of("plumbRule");
        WorkedRepeat worked =
                plumb.work(readings, new MeasuringContext(Vehicles.van(), floor), ONCE, HandFormula.SOLVED);
        double against = Math.toDegrees(Math.asin(-3.0 / 416));
        FigureId left = figure("camber.front.left");
        assertEquals(against + 0.3, Math.toDegrees(worked.honest(left).orElseThrow()), 1e-9);
        assertEquals(
                against - 0.3,
                Math.toDegrees(worked.honest(figure("camber.front.right")).orElseThrow()),
                1e-9);
        Map<String, Double> parts =
                worked.figures().get(figure("camberDifference.front")).budget().parts();
        assertEquals(2 * 0.108, Math.toDegrees(parts.get("bay.roll.2")), 1e-9);
        var steps = worked.stepsTo(left, HandFormula.SOLVED).orElseThrow();
        assertEquals(
                List.of("camber.offset.camber", "floor.roll.left"),
                steps.stream().map(s -> s.formula().key()).toList());
        assertEquals(against + 0.3, steps.get(1).out().inRecord(), 1e-9);
        assertEquals(
                List.of("rimDiameter", "floorRoll"),
                plumb.given(HandFormula.SOLVED, List.of(figure("camber.front.left"))).stream()
                        .map(Source.KnownBeforehand::key)
                        .toList());
        assertEquals(
                List.of("floorPitch"),
                fresh("sweep").given("factor", CASTERS).stream()
                        .map(Source.KnownBeforehand::key)
                        .toList(),
                "the formula on paper knows no roll and no KPI");
        assertEquals(
                List.of("floorPitch", "floorRoll", "kpi.front.left", "kpi.front.right"),
                fresh("sweep").given(HandFormula.SOLVED, CASTERS).stream()
                        .map(Source.KnownBeforehand::key)
                        .toList());
    }

    @Test
    void steps_leadToAFigure_andToASumByBothWheels() {
        Procedure string = Procedures.of("rearString");
        Map<String, Double> readings = Map.of(
                "wheels.fl.frontGap",
                41.0,
                "wheels.fl.rearGap",
                40.0,
                "wheels.fr.frontGap",
                40.0,
                "wheels.fr.rearGap",
                40.5);
        WorkedRepeat worked =
                string.work(readings, new MeasuringContext(Vehicles.van(), BayFloor.LEVEL), ONCE, HandFormula.SOLVED);
        assertEquals(
                2,
                worked.stepsTo(figure("toe.front.left"), HandFormula.SOLVED)
                        .orElseThrow()
                        .size());
        var total = worked.stepsTo(figure("totalToe.front"), HandFormula.SOLVED).orElseThrow();
        assertEquals("figure.sum", total.get(total.size() - 1).formula().key());
        assertEquals(5, total.size());
        assertTrue(worked.stepsTo(figure("thrust.rear"), HandFormula.SOLVED).isEmpty());
    }

    /** A gauge laid on and turned end for end: its own error goes out of the mean, and each of the two readings has half a say. */
    @Test
    void aFieldCanBeTheMeanOfTwoPlaces() {
        Wheel wheel = Wheel.FRONT_LEFT;
        Place one = Place.angle("one", wheel, "gauge", 0, 10, Use.LEVEL);
        Place turned = Place.angle("turned", wheel, "gauge", 0, 10, Use.LEVEL);
        var mean = new Source.Mean(List.of(new Source.PlaceReading(one, 1), new Source.PlaceReading(turned, -1)));
        FigureId camber = figure("camber.front.left");
        var evaluation = Evaluation.of(
                CamberInclinometer.NAME,
                Map.of(
                        "side", new Source.Constant("left"),
                        "reading", mean,
                        "reference", new Source.Constant("floor")),
                Map.of("camber", camber));
        assertEquals(Set.of(one, turned), Set.copyOf(evaluation.places()));
        var standing = new MeasuringContext(Vehicles.van(), BayFloor.LEVEL);
        var run = evaluation
                .run(
                        Map.of("one", 0.7, "turned", 0.3),
                        standing,
                        place -> DoubtSource.input("read " + place.id()),
                        HandFormula.SOLVED,
                        Arithmetic.ESTIMATES)
                .orElseThrow();
        assertEquals(0.2, Math.abs(Math.toDegrees(run.figures().get(camber).value())), 1e-9);
        Map<String, Double> parts = run.figures().get(camber).budget().parts();
        double half = one.standardUncertainty() / 2;
        assertEquals(half, Math.abs(parts.get("read one")), 1e-9);
        assertEquals(-parts.get("read one"), parts.get("read turned"), 1e-12, "read the other way round");
        assertEquals(
                Optional.empty(),
                evaluation.run(Map.of("one", 0.7), standing, ONCE::source, HandFormula.SOLVED, Arithmetic.VALUES),
                "one of the two is not enough");
    }

    @Test
    void sourcesOfDoubt_areGroupedByWhatIsRead() {
        Procedure strings = Procedures.of("strings");
        Place hub = strings.place("hubGap.fl");
        Place distance = strings.walk().get(14);
        var third = new Repeat("toe", 2, 3);
        assertEquals("hub", third.source(hub).group());
        assertEquals("toe/stationDistance/0/2", third.source(distance).name());
        assertEquals("toe/hubGap.fl/3/2", third.source(hub).name());
        assertEquals("toe/hubGap.fl/1/0", new Repeat("toe", 0, 1).source(hub).name());
        DoubtSource pitch = BayFloor.LEVEL.source(BayFloor.Slope.PITCH);
        assertEquals(pitch.name(), pitch.group());
    }
}
