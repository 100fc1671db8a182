package app.galdrin.core.marking;

import static app.galdrin.core.Vehicles.truth;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.PlaceId;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Steering;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.TreeSet;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Slips in taking readings, told from what lies between an apprentice's figures and the reference's, on random vans. */
class ReadingSlipsTest {

    private static final int VANS = 60;

    private static Truth van(SplittableRandom random) {
        return truth(
                "caster.front.left", random.nextDouble(2, 5),
                "caster.front.right", random.nextDouble(2, 5),
                "kpi.front.left", 12.5,
                "kpi.front.right", 12.5,
                "camber.front.left", random.nextDouble(-1.5, 1.5),
                "camber.front.right", random.nextDouble(-1.5, 1.5),
                "toe.front.left", random.nextDouble(-0.6, 0.6),
                "toe.front.right", random.nextDouble(-0.6, 0.6));
    }

    /** Names of the slips found in the readings of a step. */
    private static Set<String> named(Bench bench, String step) {
        Set<String> named = new TreeSet<>();
        bench.evidence(step + ".reading", ReadingEvidence.class).stream()
                .filter(e -> !e.possible())
                .forEach(e -> e.slips().forEach(named::addAll));
        return named;
    }

    private static Bench read(SplittableRandom random) {
        Truth truth = van(random);
        return Bench.fullFront(DecisionRule.SIMPLE)
                .referenceByHand(truth, random)
                .readByHand(truth, random);
    }

    /** A place of every repeat written again, changed. */
    private static void change(Bench bench, String step, BiFunction<String, Double, Double> change) {
        Measure measure = bench.practical().measure(step).orElseThrow();
        List<Map<String, Double>> readings = bench.answers().readings(measure, 0);
        for (int i = 0; i < readings.size(); i++) {
            for (Map.Entry<String, Double> read : readings.get(i).entrySet()) {
                double changed = change.apply(read.getKey(), read.getValue());
                if (changed != read.getValue()) {
                    bench.write(
                            new LineKey(step, read.getKey(), i + 1, 0).key(),
                            String.format(Locale.ROOT, "%.2f", changed));
                }
            }
        }
    }

    @Test
    void honestHands_areAccusedOfNothing() {
        var random = new SplittableRandom(1);
        List<String> accused = new ArrayList<>();
        for (int i = 0; i < VANS; i++) {
            Bench bench = read(random);
            for (String step : List.of("caster", "camber", "toe")) {
                accused.addAll(named(bench, step));
            }
        }
        assertEquals(List.of(), accused);
    }

    /** It is one only where it happens to be the mirror image of what is right, which the smaller it is the more vans make likely. */
    @ParameterizedTest
    @CsvSource({"wheels.fl.frontGap,10,0.07", "wheels.fr.rearGap,-10,0.07", "wheels.fl.rearGap,5,0.15"})
    void oneGapMisread_isNoKnownSlip(String place, double amount, double most) {
        var random = new SplittableRandom(2);
        int accused = 0;
        for (int i = 0; i < VANS; i++) {
            Bench bench = read(random);
            change(bench, "toe", (id, mm) -> id.equals(place) ? mm + amount : mm);
            accused += named(bench, "toe").isEmpty() ? 0 : 1;
        }
        assertTrue(accused <= most * VANS, accused + " of " + VANS);
    }

    /** Front and rear gaps of both wheels taken for one another; where that moves little, nobody can tell. */
    @Test
    void endsTakenForOneAnother_areNamed() {
        var random = new SplittableRandom(3);
        int count = 0;
        int moved = 0;
        for (int i = 0; i < VANS; i++) {
            Bench bench = read(random);
            Map<String, Double> was = bench.answers()
                    .readings(bench.practical().measure("toe").orElseThrow(), 0)
                    .get(0);
            change(
                    bench,
                    "toe",
                    (id, mm) -> was.containsKey(other(id)) && id.contains("Gap") ? was.get(other(id)) : mm);
            boolean far = bench.evidence("toe.reading", ReadingEvidence.class).stream()
                    .filter(e -> !e.figure().ofBothWheels())
                    .allMatch(e -> Math.abs(e.difference())
                            > 3.2
                                    * 2
                                    * Math.hypot(e.own().doubt(), e.reference().doubt()));
            moved += far ? 1 : 0;
            count += far && named(bench, "toe").contains("frontRearSwapped") ? 1 : 0;
        }
        assertTrue(moved > VANS / 4 && count >= 0.94 * moved, count + " of " + moved + " of " + VANS);
    }

    private static Truth steered(Truth truth, double degrees) {
        Map<FigureId, Double> figures = new HashMap<>(truth.figures());
        figures.merge(FigureId.of(Measurand.TOE, Wheel.FRONT_LEFT), Math.toRadians(degrees), Double::sum);
        figures.merge(FigureId.of(Measurand.TOE, Wheel.FRONT_RIGHT), -Math.toRadians(degrees), Double::sum);
        return new Truth(figures);
    }

    /** One wheel has what the other lacks, and the total is right. */
    @ParameterizedTest
    @ValueSource(doubles = {0.5, -0.5})
    void aTurnedSteering_isNamed_onTheWheels_andNotOnTheTotal(double degrees) {
        var random = new SplittableRandom(4);
        int count = 0;
        for (int i = 0; i < VANS; i++) {
            Truth truth = van(random);
            Bench bench = Bench.fullFront(DecisionRule.SIMPLE)
                    .referenceByHand(truth, random)
                    .readByHand(steered(truth, degrees), random);
            Set<String> named = named(bench, "toe");
            if (named.equals(Set.of("steeringNotStraight"))) {
                count++;
                assertEquals(
                        List.of(
                                List.of(),
                                List.of(Set.of("steeringNotStraight")),
                                List.of(Set.of("steeringNotStraight"))),
                        bench.evidence("toe.reading", ReadingEvidence.class).stream()
                                .map(ReadingEvidence::slips)
                                .toList());
            }
        }
        // of the rest the other wheel's toe happens to be what is read here, or the same the other way
        assertTrue(count >= 0.75 * VANS, count + " of " + VANS);
    }

    /** Where one wheel is squared by hand nobody reads how the total is shared out, and no slip is looked for in it. */
    @Test
    void whereOneWheelIsSquared_theShareOfTheWheelsSaysNothing() {
        var random = new SplittableRandom(5);
        Practical full = Bench.fullFront(DecisionRule.SIMPLE).practical();
        List<FigureId> total = List.of(FigureId.of(Measurand.TOTAL_TOE, Axle.FRONT));
        Practical squared = full.with(full.steps().stream()
                .map(s -> s instanceof Measure m && m.id().equals("toe")
                        ? m.asking(total).with(Steering.SQUARED)
                        : s)
                .toList());
        for (int i = 0; i < VANS; i++) {
            Truth truth = van(random);
            Bench bench = Bench.of(squared, Vehicles.van())
                    .referenceByHand(truth, random)
                    .readByHand(steered(truth, 0.7), random);
            assertEquals(Set.of(), named(bench, "toe"), "van " + i);
        }
    }

    private static String other(String place) {
        return place.contains("frontGap") ? place.replace("frontGap", "rearGap") : place.replace("rearGap", "frontGap");
    }

    /** A wheel that leans in by 0.8° was said to lean out, in every repeat or in one, or all of them were; each is named with its places. */
    @ParameterizedTest
    @CsvSource({"fl,1 2,inclinometerZeroed/fl.gauge", "fr,2,inclinometerZeroed/fr.gauge"})
    void aSenseChosenTheWrongWay_isNamed_whereItWasChosen(String wheel, String repeats, String place) {
        Truth truth = truth("camber.front.left", -0.8, "camber.front.right", -0.8);
        Bench bench = Bench.fullFront(DecisionRule.SIMPLE).reference(truth).read(truth);
        for (String repeat : repeats.split(" ")) {
            bench.write("camber/" + wheel + ".gauge/" + repeat + "/0", "0.80, topOut");
        }
        List<ReadingEvidence> off = bench.evidence("camber.reading", ReadingEvidence.class).stream()
                .filter(ReadingEvidence::off)
                .toList();
        assertEquals(1, off.size());
        assertEquals(List.of(Set.of("wrongSense")), off.get(0).slips());
        assertFalse(off.get(0).possible());
        assertEquals(List.of(PlaceId.parse(place)), off.get(0).places());
    }

    /** Nearly what the other sense would show, of a true 0.80: in every repeat it is the sense; in one it may as well be the gauge misread. */
    @ParameterizedTest
    @CsvSource({
        "1 2,0.40,",
        "1 2,0.48,true",
        "1 2,0.60,false",
        "1 2,1.00,false",
        "1 2,1.10,true",
        "2,0.48,",
        "2,0.60,true",
        "2,0.74,false",
        "2,1.00,true",
    })
    void aSense_givesWayToItsPlaceMisread_andSoonerInOneRepeat(
            String repeats, String wrote, @Nullable Boolean possible) {
        Truth truth = truth("camber.front.left", -0.8, "camber.front.right", -0.8);
        Bench bench = Bench.fullFront(DecisionRule.SIMPLE).reference(truth).read(truth);
        for (String repeat : repeats.split(" ")) {
            bench.write("camber/fl.gauge/" + repeat + "/0", wrote + ", topOut");
        }
        ReadingEvidence left =
                bench.evidence("camber.reading", ReadingEvidence.class).get(0);
        assertEquals(possible == null ? List.of() : List.of(Set.of("wrongSense")), left.slips());
        assertEquals(Boolean.TRUE.equals(possible), left.possible());
    }

    /** 0.3° misread is no sense the other way, and a wheel that is off by as much as both ends swapped is only possibly that. */
    @Test
    void aPlaceMisread_isNoSlip() {
        Truth truth = truth("camber.front.left", -0.8, "camber.front.right", -0.8);
        Bench bench = Bench.fullFront(DecisionRule.SIMPLE).reference(truth).read(truth);
        for (int repeat = 1; repeat <= 2; repeat++) {
            bench.write("camber/fl.gauge/" + repeat + "/0", "0.20, topOut");
        }
        assertEquals(Set.of(), named(bench, "camber"));
        assertTrue(
                bench.evidence("camber.reading", ReadingEvidence.class).stream().anyMatch(ReadingEvidence::off));
    }

    /** A wheel that is off for any other reason looks the same, so that it is possible; and not on the figures of the other side. */
    @Test
    void aSlipOfOneSide_isPossible_onTheFiguresItMoved() {
        Truth truth = truth(
                "toe.front.left", 0.5, "toe.front.right", 0.1, "camber.front.left", -0.5, "camber.front.right", -0.5);
        Bench bench = Bench.fullFront(DecisionRule.SIMPLE).reference(truth).read(truth);
        Map<String, Double> was = bench.answers()
                .readings(bench.practical().measure("toe").orElseThrow(), 0)
                .get(0);
        change(bench, "toe", (id, mm) -> id.startsWith("wheels.fl.") ? was.get(other(id)) : mm);
        assertEquals(Set.of(), named(bench, "toe"));
        assertTrue(bench.evidence("toe.reading", ReadingEvidence.class).stream()
                .anyMatch(e -> e.possible() && e.slips().contains(Set.of("frontRearSwapped"))));
        bench.evidence("toe.reading", ReadingEvidence.class).stream()
                .filter(e -> e.figure().key().equals("toe.front.right"))
                .forEach(e -> assertEquals(List.of(), e.slips()));
    }
}
