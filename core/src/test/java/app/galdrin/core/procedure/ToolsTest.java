package app.galdrin.core.procedure;

import static app.galdrin.core.Vehicles.figure;
import static app.galdrin.core.Vehicles.truth;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Seeds;
import app.galdrin.core.Vehicles;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.measure.HandFormula;
import app.galdrin.core.measure.Use;
import app.galdrin.core.quantity.Unit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What places are read with, and what hands make of what stands there. */
class ToolsTest {

    private static final MeasuringContext LEVEL = new MeasuringContext(Vehicles.van(), BayFloor.LEVEL);
    private static final Repeat ONCE = new Repeat("m", 0, 1);

    @Test
    void everyPlace_isReadWithWhatDoesForIt_andCanBeReadWithAllThatDo() {
        for (Use use : Use.values()) {
            assertTrue(CatalogueInstrument.allFor(use).contains(CatalogueInstrument.usualFor(use)), use.key());
        }
        for (Procedure procedure : Procedures.all()) {
            for (Place place : procedure.walk()) {
                assertSame(CatalogueInstrument.usualFor(place.use()), place.instrument(), place.id());
                for (CatalogueInstrument other : procedure.choiceOf(place.tool())) {
                    Place read = procedure.with(Map.of(place.tool(), other)).place(place.id());
                    assertEquals(place.amount().quantity(), other.quantity(), place.id());
                    assertSame(other, read.instrument());
                    assertSame(other.unit(), read.amount().defaultUnit());
                    assertEquals(place.amount().most(), read.amount().most());
                }
            }
        }
    }

    /** Degrees one standard uncertainty of a single camber comes to, with the gauge and the floor read by the same. */
    @ParameterizedTest
    @CsvSource({
        "digitalInclinometer,0.0768",
        "bubbleLevel,0.1531",
        "dialAngleFinder,0.2089",
        "vialProtractor,0.1781",
        "phoneLevel,0.3263"
    })
    void anotherInstrument_bringsItsOwnDoubt(String instrument, double expected) {
        Procedure camber = Procedures.of("inclinometer");
        var with = camber.choiceOf("gauge").stream()
                .filter(i -> i.key().equals(instrument))
                .findFirst()
                .orElseThrow();
        Procedure read = camber.with(Map.of("gauge", with));
        var worked = read.work(read.readings(truth(), LEVEL), LEVEL, ONCE, HandFormula.SOLVED);
        double u = worked.figures().get(figure("camber.front.left")).standardUncertainty();
        double seat = Math.toRadians(0.03);
        double floor = CatalogueInstrument.usualFor(Use.LEVEL).standardUncertainty(CatalogueInstrument.Surface.RIM);
        double gauge = with.standardUncertainty(CatalogueInstrument.Surface.RIM);
        assertEquals(Math.sqrt(gauge * gauge + floor * floor + seat * seat), u, 1e-9);
        assertTrue(Math.abs(Math.toDegrees(u) - expected) < 0.05, "about " + Math.toDegrees(u));
        assertEquals(with, read.instruments().get("gauge"));
        assertSame(camber, camber.with(Map.of()));
    }

    /** A rule in sixteenths is read in inches: a bare 2 is two of them. */
    @Test
    void theUnitThatCounts_isTheInstruments() {
        Procedure strings = Procedures.of("strings").with(Map.of("rim", CatalogueInstrument.RULE_SIXTEENTHS));
        assertSame(Unit.IN, strings.place("wheels.fl.frontGap").amount().defaultUnit());
        assertSame(
                Unit.MM, strings.place("hubGap.fl").amount().defaultUnit(), "spacings may be mm where gaps are inches");
        assertEquals(
                CatalogueInstrument.TAPE,
                Procedures.of("strings")
                        .with(Map.of("spacing", CatalogueInstrument.TAPE))
                        .instruments()
                        .get("spacing"));
    }

    /** What is read once stays for all repeats of a laying; the rest scatters, and is rounded as it is read. */
    @Test
    void hands_readTheSetUpOnce_andRoundAsTheInstrumentShows() {
        Procedure tape = Procedures.of("treadTape");
        InstrumentSetup laid = tape.lay(truth("toe.front.left", 0.2), LEVEL, 1, Seeds.generator(5));
        Map<String, Double> one = laid.read();
        Map<String, Double> two = laid.read();
        assertEquals(one.get("front.below"), two.get("front.below"));
        assertTrue(!one.get("frontDistance").equals(two.get("frontDistance"))
                || !one.get("rearDistance").equals(two.get("rearDistance")));
        assertEquals(0, Math.abs(one.get("frontDistance") * 2 % 1), 1e-9, "half millimetres");
        Procedure flags = Procedures.of("flags");
        double shown = flags.lay(truth("toe.front.left", 0.31), LEVEL, 1, Seeds.generator(6))
                .read()
                .get("fr.flag");
        assertEquals(0, Math.abs(Math.rint(shown * 12) - shown * 12), 1e-6, "five minutes");
    }

    /** How it was set up is made once for a laying: repeats scatter about it, and its size is what the doubt says. */
    @Test
    void aSetUp_isOffByAsMuchAsItsDoubtSays() {
        Procedure plates = Procedures.of("plates");
        double sum = 0;
        int layings = 3000;
        var random = Seeds.generator(8);
        for (int i = 0; i < layings; i++) {
            Simulation.Laying laying = plates.simulation().lay(truth(), LEVEL, Hands.trained(1, random));
            double off = laying.shows().get("frontDistance") - laying.shows().get("rearDistance");
            assertEquals(
                    off, laying.shows().get("frontDistance") - laying.shows().get("rearDistance"), "it stays");
            sum += off * off;
        }
        assertEquals(0.35, Math.sqrt(sum / layings), 0.03);
    }

    /** A gauge that shows 90 at plumb: 88.8 with the top in is −1.2, and the two sides of a sweep may lean opposite ways. */
    @Test
    void aGaugeThatShows90_isReadWithTheWayTheTopLeans() {
        Procedure gauge = Procedures.of("inclinometer90");
        Map<String, Double> readings = new HashMap<>(Map.of("fl.gauge", -88.8, "fl.floor", 0.0));
        var camber =
                gauge.work(readings, LEVEL, ONCE, HandFormula.SOLVED).figures().get(figure("camber.front.left"));
        assertEquals(-1.2, Math.toDegrees(camber.value()), 1e-9);
        readings.put("fl.gauge", 91.2);
        camber = gauge.work(readings, LEVEL, ONCE, HandFormula.SOLVED).figures().get(figure("camber.front.left"));
        assertEquals(1.2, Math.toDegrees(camber.value()), 1e-9, "beyond 90 it leans as far");
        Procedure sweep = Procedures.of("sweep90");
        Procedure plain = Procedures.of("sweep");
        Map<String, Double> swept =
                Map.of("fl.out.steer", 20.0, "fl.out.camber", 88.4, "fl.in.steer", 20.0, "fl.in.camber", -89.1);
        Map<String, Double> same =
                Map.of("fl.out.steer", 20.0, "fl.out.camber", 1.6, "fl.in.steer", 20.0, "fl.in.camber", -0.9);
        for (String taught : sweep.taught()) {
            assertEquals(
                    plain.work(same, LEVEL, ONCE, taught)
                            .honest(figure("caster.front.left"))
                            .orElseThrow(),
                    sweep.work(swept, LEVEL, ONCE, taught)
                            .honest(figure("caster.front.left"))
                            .orElseThrow(),
                    1e-12);
        }
    }

    /** "Just subtract" is right at 30° alone; the two locks of a wheel differ, and the exact solution takes both. */
    @Test
    void atFullLock_justSubtracting_isTheDifferenceItself() {
        Procedure lock = Procedures.of("fullLock");
        assertEquals(List.of("subtract", "factor", "solved"), lock.taught());
        Map<String, Double> readings =
                Map.of("fl.out.steer", 38.0, "fl.out.camber", 2.6, "fl.in.steer", 32.0, "fl.in.camber", -1.9);
        double subtracted = lock.work(readings, LEVEL, ONCE, "subtract")
                .honest(figure("caster.front.left"))
                .orElseThrow();
        assertEquals(4.5, Math.toDegrees(subtracted), 1e-9);
        double byFactor = lock.work(readings, LEVEL, ONCE, "factor")
                .honest(figure("caster.front.left"))
                .orElseThrow();
        assertEquals(4.5 / (2 * Math.sin(Math.toRadians(35))), Math.toDegrees(byFactor), 1e-9);
    }

    /** The right wheel turned in shows on the left flag; without rear flags nobody can say which wheel it is. */
    @Test
    void aFrontFlag_showsTheOtherWheel() {
        Procedure flags = Procedures.of("flags");
        Map<String, Double> read = flags.readings(truth("toe.front.right", 0.5), LEVEL);
        assertEquals(0.5, read.get("fl.flag"), 1e-9);
        assertEquals(0, read.get("fr.flag"), 1e-9);
        read.keySet().removeAll(List.of("rl.flag", "rr.flag"));
        var worked = flags.work(read, LEVEL, ONCE, HandFormula.SOLVED).figures();
        assertEquals(0.5, Math.toDegrees(worked.get(figure("totalToe.front")).value()), 1e-9);
        assertEquals(1, worked.size(), "the split is in the rear flags");
        assertEquals(2, flags.places(List.of(figure("totalToe.front"))).size());
        assertEquals(4, flags.places(List.of(figure("toe.front.left"))).size());
    }

    /** Battens are notched alike: one spacing, read once, for both ends; strings set equally far at both fall out of the skew. */
    @Test
    void battens_haveOneSpacing() {
        Procedure battens = Procedures.of("battens");
        assertTrue(battens.walk().stream().noneMatch(p -> p.id().startsWith("stringSpacing")));
        Map<String, Double> read = battens.readings(truth("toe.rear.left", 0.2), LEVEL);
        var before =
                battens.work(read, LEVEL, ONCE, HandFormula.SOLVED).figures().get(figure("toe.rear.left"));
        read.merge("notches", 25.0, Double::sum);
        var after =
                battens.work(read, LEVEL, ONCE, HandFormula.SOLVED).figures().get(figure("toe.rear.left"));
        assertEquals(before.value(), after.value(), 1e-12, "what is common to both ends is no skew");
    }

    /** Where the cap can't come off the pad alone tells caster; the frame falling the way the axle leans is taken off. */
    @Test
    void aBeamAxle_isToldByTheKnuckle_orByThePadAlone() {
        Procedure beam = Procedures.of("protractor");
        Map<String, Double> readings = new HashMap<>(Map.of("fl.frame", 0.9, "fl.pad", 4.3, "fl.knuckle", 4.6));
        var both = beam.work(readings, LEVEL, ONCE, HandFormula.SOLVED).figures();
        assertEquals(3.7, Math.toDegrees(both.get(figure("caster.front.left")).value()), 1e-9);
        assertEquals(
                0.3, Math.toDegrees(both.get(figure("kingpinTwist.front.left")).value()), 1e-9);
        readings.remove("fl.knuckle");
        var pad = beam.work(readings, LEVEL, ONCE, HandFormula.SOLVED).figures();
        assertEquals(3.4, Math.toDegrees(pad.get(figure("caster.front.left")).value()), 1e-9);
        readings.put("fl.frame", -0.9);
        pad = beam.work(readings, LEVEL, ONCE, HandFormula.SOLVED).figures();
        assertEquals(5.2, Math.toDegrees(pad.get(figure("caster.front.left")).value()), 1e-9, "opposite ways add");
    }
}
