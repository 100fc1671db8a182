package app.galdrin.core.marking;

import static app.galdrin.core.Vehicles.figure;
import static app.galdrin.core.marking.MarkerTest.read;
import static app.galdrin.core.marking.MarkerTest.state;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.procedure.paper.Intermediate;
import app.galdrin.core.procedure.slip.Slip;
import app.galdrin.core.procedure.slip.Slips;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Work;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What a figure worked on paper earns, and which slips are named behind a wrong one. */
class WorkingMarkerTest {

    private static Set<Set<String>> slips(Bench bench, String figure) {
        return bench.evidence("work.working", WorkingEvidence.class).stream()
                .filter(e -> e.figure().equals(figure(figure)))
                .flatMap(e -> e.slips().stream())
                .map(TreeSet::new)
                .collect(Collectors.toSet());
    }

    private static double credit(Bench bench, String figure) {
        return working(bench, figure).credit();
    }

    @ParameterizedTest
    @CsvSource({"0.009,1", "-0.009,1", "0.0105,0.5", "-0.019,0.5", "0.021,0", "-0.3,0"})
    void working_mayBeOff_byOneStep_andByTwoForHalf(double off, double credit) {
        Bench bench = read();
        double wrote = bench.honest(figure("camber.front.left")) + off;
        bench.write("work/camber.front.left/0/0", String.format(Locale.ROOT, "%.5f", wrote));
        assertEquals(
                credit,
                credit(bench, "camber.front.left"),
                "nothing is written on the way to a gauge zeroed on the floor");
    }

    /** A sweep of 20° and 19.5°, 2.38° and 2.4° of camber apart: 1.4883 is written 1.49, and 57.3 or a cut-off place are right as well. */
    @ParameterizedTest
    @CsvSource({"factor,0.01,1", "factor,0.001,1", "cut,0.01,1", "none,0.03,0"})
    void whoeverRoundsOnTheWay_isRight(String how, double place, double credit) {
        Bench bench = read();
        for (int repeat = 1; repeat <= 2; repeat++) {
            bench.write("caster/fl.out.steer/" + repeat + "/0", "20")
                    .write("caster/fl.in.steer/" + repeat + "/0", "19.5")
                    .write("caster/fl.out.camber/" + repeat + "/0", "3.60, topOut")
                    .write("caster/fl.in.camber/" + repeat + "/0", "2.40, topIn");
        }
        double factor = 1 / (2 * Math.sin(Math.toRadians(19.75)));
        double places = factor / place;
        double used =
                how.equals("none") ? factor : place * (how.equals("cut") ? Math.floor(places) : Math.rint(places));
        double wrote = used * 6.0 + (how.equals("none") ? place : 0);
        bench.write("work/caster.front.left/0/0", String.format(Locale.ROOT, "%.2f", wrote));
        assertEquals(credit, credit(bench, "caster.front.left"), used + " times 6.0 is " + wrote);
    }

    /** What is printed adds up as printed, and a wheel that was worked wrong is not paid for in the total again. */
    @Test
    void aTotal_isRight_asTheSumOfHisOwnWheels() {
        Bench bench = read().workRight();
        bench.write("work/toe.front.left/0/0", "0.80").write("work/totalToe.front/0/0", "0.90");
        assertEquals(0, credit(bench, "toe.front.left"));
        assertEquals(1, credit(bench, "totalToe.front"));
        assertTrue(working(bench, "totalToe.front").addedUp());
        bench.write("work/totalToe.front/0/0", "0.40");
        assertEquals(1, credit(bench, "totalToe.front"), "as his readings give");
        assertFalse(working(bench, "totalToe.front").addedUp());
        bench.write("work/totalToe.front/0/0", "0.70");
        assertEquals(0, credit(bench, "totalToe.front"), "neither");
    }

    /** Both wheels are wrong, and the difference of the sides follows from them: it is not wrong a second time. */
    @ParameterizedTest
    @CsvSource({"1.40,1,true", "0.20,1,false", "0.90,0,false"})
    void aDifference_isRight_asItFollowsFromHisOwnWheels(String wrote, double credit, boolean follows) {
        Practical full = read().practical();
        Practical asked = full.with(full.steps().stream()
                .map(s -> s instanceof Work w
                        ? new Work(
                                w.id(),
                                Stream.concat(
                                                w.asked().stream(),
                                                Stream.of(new Work.Item(
                                                        figure("camberDifference.front"),
                                                        "camber",
                                                        AnswerUnit.DEGREES)))
                                        .toList())
                        : s)
                .toList());
        Bench bench = Bench.of(TaskStart.withDefaults(asked, Vehicles.van()), Vehicles.van())
                .read(MarkerTest.FOUND)
                .workRight()
                .write("work/camber.front.left/0/0", "0.60")
                .write("work/camber.front.right/0/0", "-0.80")
                .write("work/camberDifference.front/0/0", wrote);
        assertEquals(credit, credit(bench, "camberDifference.front"));
        assertEquals(follows, working(bench, "camberDifference.front").addedUp());
        if (follows) {
            var judged = new OwnFigures(bench.assignment, bench.answers())
                    .goesBy(figure("camberDifference.front"), "judge")
                    .orElseThrow();
            assertEquals(1.40, Math.toDegrees(judged.value()), 1e-9);
        }
    }

    /** Hands that round each figure as they go, at whichever place, on a hundred and fifty vehicles. */
    @Test
    void honestRounding_losesNothing_andIsNeverASlip() {
        var random = new SplittableRandom(20261127);
        for (int i = 0; i < 150; i++) {
            double left = random.nextDouble(-1, 1);
            double right = random.nextDouble(-1, 1);
            Bench bench = Bench.fullFront(DecisionRule.SIMPLE)
                    .read(state(
                            random.nextDouble(1, 6), random.nextDouble(-2, 2), random.nextDouble(-2, 2), left, right));
            bench.work(f -> f.ofBothWheels()
                    ? rounded(bench.honest(figure("toe.front.left"))) + rounded(bench.honest(figure("toe.front.right")))
                    : bench.honest(f));
            String which = "vehicle " + i;
            bench.evidence("work.working", WorkingEvidence.class)
                    .forEach(e -> assertTrue(e.right() && e.slips().isEmpty(), which + e));
        }
    }

    private static double rounded(double degrees) {
        return Math.rint(100 * degrees) / 100;
    }

    /** One wrong figure drawn evenly over five times itself or its tolerance: chance makes few accusations. */
    @ParameterizedTest
    @ValueSource(strings = {"totalToe.front", "toe.front.left", "camber.front.left", "caster.front.left"})
    void aFigureThatIsJustWrong_isSeldomCalledASlip(String key) {
        var random = new SplittableRandom(7);
        Bench bench = read().workRight();
        double reach = 5 * Math.max(Math.abs(bench.honest(figure(key))), 0.1);
        int named = 0;
        int wrong = 0;
        for (int i = 0; i < 300; i++) {
            bench.write("work/" + key + "/0/0", String.format(Locale.ROOT, "%.2f", random.nextDouble(-reach, reach)));
            WorkingEvidence e = working(bench, key);
            wrong += e.credit() == 0 ? 1 : 0;
            named += e.slips().isEmpty() || e.possible() ? 0 : 1;
        }
        assertTrue(wrong > 250 && named <= 0.05 * wrong, named + " of " + wrong);
    }

    private static WorkingEvidence working(Bench bench, String figure) {
        return bench.evidence("work.working", WorkingEvidence.class).stream()
                .filter(e -> e.figure().equals(figure(figure)))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aCoarserPlace_earnsNoMoreRoomThanOneAskedStep() {
        Bench bench = read();
        double right = bench.honest(figure("toe.front.left"));
        bench.write("work/toe.front.left/0/0", String.format(Locale.ROOT, "%.1f", right));
        assertEquals(1, credit(bench, "toe.front.left"), "0.3 for 0.298");
        bench.write("work/toe.front.left/0/0", "0");
        assertEquals(0, credit(bench, "toe.front.left"), "a whole degree has no room of half a degree");
    }

    /** It would fit every slip that hardly moves it, from one repeat used alone to the skew of a string that is nearly straight. */
    @Test
    void whatIsWrongByItsCoarsePlaceAlone_isNobodysSlip() {
        Bench bench = Bench.fullFront(DecisionRule.SIMPLE)
                .read(state(3, -1, -1, 0.36, 0.1))
                .workRight();
        bench.write("work/toe.front.left/0/0", "0.4").write("work/totalToe.front/0/0", "0.50");
        assertEquals(0, credit(bench, "toe.front.left"));
        assertTrue(working(bench, "totalToe.front").addedUp(), "and so further off than rounding goes");
        assertEquals(Set.of(), slips(bench, "toe.front.left"));
    }

    /** Made in using the readings, of the answers alone, and both in either order; {@code other} makes it a pair. */
    @ParameterizedTest
    @CsvSource({
        "frontRearSwapped,",
        "gapsUnconverted,",
        "inchesUnconverted,",
        "firstRepeatOnly,",
        "leftRightSwapped,",
        "gapsUnconverted,leftRightSwapped",
        "minutesAsDecimals,frontRearSwapped",
        "firstRepeatOnly,leftRightSwapped",
    })
    void aSlip_isNamed_whereverItIsMade(String key, @Nullable String other) {
        Bench bench = Bench.fullFront(DecisionRule.SIMPLE)
                .readByHand(state(3, -1, -1, 1.37, 0.62), new SplittableRandom(4))
                .workRight();
        Measure toe = bench.practical().measure("toe").orElseThrow();
        var own = new OwnFigures(bench.assignment, bench.answers());
        List<Slip> made = Stream.of(key, other)
                .filter(Objects::nonNull)
                .map(k -> Slips.all().stream()
                        .filter(s -> s.key().equals(k))
                        .findFirst()
                        .orElseThrow())
                .toList();
        List<Map<FigureId, Double>> ways = new SlipAnswers(own, toe).of(made, AnswerUnit.DEGREES);
        toe.figures()
                .forEach(f -> bench.write(
                        "work/" + f.key() + "/0/0",
                        String.format(Locale.ROOT, "%.4f", ways.get(0).get(f))));
        Set<String> keys =
                new TreeSet<>(Stream.of(key, other).filter(Objects::nonNull).toList());
        assertTrue(
                toe.figures().stream().anyMatch(f -> slips(bench, f.key()).contains(keys)),
                keys + " among " + slips(bench, "toe.front.left") + slips(bench, "totalToe.front"));
    }

    /** A minus lost at one wheel and written to tenths: the other wheel is right as it was written, and the total follows from both. */
    @Test
    void aSlipAtOneWheel_isNamed_howeverCoarselyItIsWritten() {
        Bench bench = read();
        bench.write("work/toe.front.left/0/0", "-0.3")
                .write("work/toe.front.right/0/0", "0.1")
                .write("work/totalToe.front/0/0", "-0.2");
        assertEquals(Set.of(Set.of("methodSign")), slips(bench, "toe.front.left"));
        assertEquals(Set.of(), slips(bench, "toe.front.right"));
        assertFalse(working(bench, "toe.front.left").possible());
    }

    /** Sides of 0.50° and -0.508° swapped, and their sign turned, are a rounding apart. */
    @ParameterizedTest
    @CsvSource({"-0.51,0.50,leftRightSwapped", "-0.50,0.51,methodSign"})
    void whatGivesTheFiguresAsWritten_comesBeforeWhatIsARoundingOff(String left, String right, String slip) {
        Bench bench = Bench.fullFront(DecisionRule.SIMPLE)
                .read(state(3, 0.50, -0.508, 0.36, 0.1))
                .workRight()
                .write("work/camber.front.left/0/0", left)
                .write("work/camber.front.right/0/0", right);
        assertEquals(Set.of(Set.of(slip)), slips(bench, "camber.front.left"));
        assertFalse(working(bench, "camber.front.left").possible());
    }

    /** Of two repeats a sign lost in one leaves nought, and so does who writes nothing: that is no slip. */
    @Test
    void noughtEverywhere_isNobodysSlip() {
        Bench bench = read();
        for (String figure : List.of("caster.front.left", "caster.front.right")) {
            bench.write("work/" + figure + "/0/0", "0");
        }
        assertEquals(Set.of(), slips(bench, "caster.front.left"));
    }

    /** The point moved, or two digits exchanged: 0.24 as 2.4 and as 0.42; at one place 0.1 can't be told from 0. */
    @ParameterizedTest
    @CsvSource({
        "0.24,2.4,0.01,true",
        "0.24,0.02,0.01,true",
        "0.24,0.42,0.01,true",
        "-12.34,-12.43,0.01,true",
        "0.24,-0.42,0.01,false",
        "0.24,0.25,0.01,false",
        "0.24,0.14,0.01,false",
        "0.3,0,0.1,false",
        "0.27,3,1,false",
        "0.27,2.7,0.1,true",
    })
    void errorsOfThePen_needNoSlip(double right, double wrote, double place, boolean explains) {
        Bench bench = read();
        Measure camber = bench.practical().measure("camber").orElseThrow();
        var item = new Work.Item(figure("camber.front.left"), "camber", AnswerUnit.DEGREES);
        assertEquals(
                explains,
                PenError.explains(
                        new WorkedAnswer(item, camber, right, right, wrote, place, Optional.empty(), List.of())));
    }

    /** Right within one step of what was asked, half within two: whoever writes to halves where he may loses nothing by it. */
    @ParameterizedTest
    @CsvSource({
        "MILLIMETRES,0.04,1",
        "MILLIMETRES,0.4,0",
        "HALF_MILLIMETRES,0.4,1",
        "HALF_MILLIMETRES,0.9,0.5",
        "HALF_MILLIMETRES,2.6,0"
    })
    void millimetres_areJudgedAtThePlaceTheTaskAllows(AnswerUnit unit, double off, double credit) {
        Practical full = read().practical();
        var total = figure("totalToe.front");
        Bench bench = Bench.of(
                        full.with(full.steps().stream()
                                .map(s -> s instanceof Work w
                                        ? new Work(w.id(), List.of(new Work.Item(total, "toe", unit)))
                                        : s)
                                .toList()),
                        Vehicles.van())
                .read(MarkerTest.FOUND);
        bench.write("work/totalToe.front/0/0", "0");
        double honest = working(bench, "totalToe.front").honest();
        bench.write("work/totalToe.front/0/0", String.format(Locale.ROOT, "%.1f", honest + off));
        assertEquals(credit, working(bench, "totalToe.front").credit(), honest + " and " + off);
    }

    private static Bench askedForTheSkew() {
        Practical full = read().practical();
        return Bench.of(
                        full.with(full.steps().stream()
                                .map(s -> s instanceof Work w
                                        ? new Work(
                                                w.id(),
                                                List.of(new Work.Item(
                                                        figure("toe.front.left"),
                                                        "toe",
                                                        AnswerUnit.DEGREES,
                                                        List.of(Intermediate.SKEW_LEFT))))
                                        : s)
                                .toList()),
                        Vehicles.van())
                .read(MarkerTest.FOUND);
    }

    /**
     * What stands on the way carries its share of the marks where the figure is wrong; from a wrong step the figure may follow. Both off
     * in degrees from what the readings give.
     */
    @ParameterizedTest
    @CsvSource({
        "0,0,1,1",
        "3,0,0,1",
        ",0,0,1",
        "0,4,1,0.5",
        "3,-3,0,0.5",
        "3,-2.985,0,0.25",
        "3,3,0,0",
        ",3,0,0",
        "0.015,3,0.5,0.25",
    })
    void everyStepOnTheWay_carriesItsShare(@Nullable Double skew, double off, double step, double credit) {
        Bench bench = askedForTheSkew();
        bench.write("work/toe.front.left/0/0", "0");
        WorkingEvidence before = working(bench, "toe.front.left");
        double honest = before.way().get(0).honest();
        if (skew != null) {
            bench.write("work/toe.front.left.via.skew.left/0/0", String.format(Locale.ROOT, "%.5f", honest + skew));
        }
        bench.write("work/toe.front.left/0/0", String.format(Locale.ROOT, "%.5f", before.honest() + off));
        WorkingEvidence e = working(bench, "toe.front.left");
        assertEquals(step, e.way().get(0).credit(), 1e-12);
        assertEquals(credit, e.credit(), 1e-12, e.toString());
        assertEquals(skew != null, e.follows().isPresent());
        assertEquals(skew != null && Math.abs(skew + off) < 0.01, e.followsWay(), e.toString());
        assertEquals(credit == 1, e.right());
    }

    /** A skew of 0° has no room of a whole degree. */
    @Test
    void aCoarserStep_earnsNoMoreRoomEither() {
        Bench bench = askedForTheSkew();
        bench.write("work/toe.front.left/0/0", "9").write("work/toe.front.left.via.skew.left/0/0", "1");
        assertEquals(0, working(bench, "toe.front.left").credit());
    }

    @Test
    void slips_areNamed_andKeepWhatTheSchemeSays() {
        Bench wrongSign = read();
        wrongSign.work(f -> -wrongSign.honest(f));
        assertEquals(Set.of(Set.of("methodSign")), slips(wrongSign, "toe.front.left"));
        assertEquals(0.25, credit(wrongSign.slipsKeep(25), "toe.front.left"), 1e-12);
        assertEquals(1, credit(wrongSign, "totalToe.front"), "the sum of what he wrote");
        Bench oneWheel = read();
        oneWheel.work(f -> f.ofBothWheels() ? oneWheel.honest(figure("toe.front.left")) : oneWheel.honest(f));
        assertTrue(slips(oneWheel, "totalToe.front").contains(Set.of("oneWheelForTotal")));
        Bench swapped = read();
        swapped.work(f -> swapped.honest(f.otherSide()));
        assertEquals(Set.of(Set.of("leftRightSwapped")), slips(swapped, "toe.front.left"));
        assertEquals(Set.of(Set.of("leftRightSwapped")), slips(swapped, "camber.front.left"));
        assertEquals(0, credit(swapped, "camber.front.left"));
        assertEquals(0.25, credit(swapped.slipsKeep(25), "camber.front.left"), 1e-12);
        swapped.write("work/camber.front.right/0/0", "5.55");
        assertEquals(Set.of(), slips(swapped, "camber.front.left"), "it has to explain all that is wrong");
        Bench millimetres = read();
        double rim = millimetres.assignment.sheet().geometry().rim(Axle.FRONT);
        millimetres.work(f -> f.ofBothWheels() ? 2 * rim * Math.sin(Math.toRadians(0.2)) : millimetres.honest(f));
        assertTrue(slips(millimetres, "totalToe.front").contains(Set.of("mmForDegrees")), "0.4 deg as mm");
        Bench nonsense = read();
        nonsense.work(f -> 7.77);
        assertEquals(Set.of(), slips(nonsense, "totalToe.front"), "what no slip explains is not guessed at");
    }

    /** Caster from camber read out and in: what an apprentice forgets on the way has its name. */
    @Test
    void slipsOfTheSweep_areNamed() {
        Bench bench = read();
        var caster = figure("caster.front.left");
        double right = bench.honest(caster);
        Map<String, Double> read = bench.answers()
                .readings(bench.practical().measure("caster").orElseThrow(), 0)
                .get(0);
        double change = read.get("fl.out.camber") - read.get("fl.in.camber");
        String line = "work/caster.front.left/0/0";
        bench.write(line, String.format(Locale.ROOT, "%.2f", change));
        assertEquals(Set.of(Set.of("factorForgotten")), slips(bench, "caster.front.left"));
        bench.write(line, String.format(Locale.ROOT, "%.2f", 1.5 * change));
        assertEquals(Set.of(Set.of("oneAndAHalfUsed")), slips(bench, "caster.front.left"));
        bench.write(line, String.format(Locale.ROOT, "%.2f", -right));
        assertTrue(slips(bench, "caster.front.left").contains(Set.of("methodSign")));
    }

    /** Where 1.5 is taught, leaving the factor out means leaving 1.5 out, whatever the plates were turned by. */
    @ParameterizedTest
    @ValueSource(strings = {"factor", "oneAndAHalf"})
    void theFactorThatIsTaught_isTheOneForgotten(String taught) {
        Practical usual = Bench.fullFront(DecisionRule.SIMPLE).practical();
        Measure caster = usual.measure("caster").orElseThrow();
        var otherwise = caster.teaching(taught);
        List<Step> steps = usual.steps().stream()
                .map(step -> step.equals(caster) ? otherwise : step)
                .toList();
        Bench bench = Bench.of(usual.with(steps), Vehicles.van())
                .read(MarkerTest.FOUND)
                .reference(MarkerTest.FOUND)
                .workRight();
        Map<String, Double> read = bench.answers()
                .readings(bench.practical().measure("caster").orElseThrow(), 0)
                .get(0);
        for (String wheel : List.of("fl", "fr")) {
            double change = read.get(wheel + ".out.camber") - read.get(wheel + ".in.camber");
            bench.write(
                    "work/caster.front." + (wheel.equals("fl") ? "left" : "right") + "/0/0",
                    String.format(Locale.ROOT, "%.2f", change));
        }
        assertTrue(slips(bench, "caster.front.left").contains(Set.of("factorForgotten")));
    }

    @Test
    void twoSlipsAtOnce_areNamedAsAPair_whereNoSingleOneFits() {
        Bench bench = read();
        bench.work(f -> -bench.honest(f.otherSide()));
        assertEquals(Set.of(new TreeSet<>(Set.of("leftRightSwapped", "methodSign"))), slips(bench, "toe.front.left"));
    }
}
