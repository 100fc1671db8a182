package app.galdrin.core.marking;

import static app.galdrin.core.Vehicles.TURN;
import static app.galdrin.core.Vehicles.figure;
import static app.galdrin.core.marking.MarkerTest.flawless;
import static app.galdrin.core.marking.MarkerTest.rod;
import static app.galdrin.core.marking.MarkerTest.state;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Direction;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a plan would do, on the van of {@link MarkerTest}. */
class PlanMarkerTest {
    private static Evidence.Effect effect(Bench bench, String figure) {
        return bench.evidence("plan.plan", Evidence.Effect.class).stream()
                .filter(e -> e.figure().equals(figure(figure)))
                .findFirst()
                .orElseThrow();
    }

    private static Set<Set<String>> named(Bench bench, String figure) {
        return Set.copyOf(effect(bench, figure).slips());
    }

    /** At 0.30, with -0.11 to 0.03 allowed and -0.04 preferred: 0.54 turns shorter is right, and a quarter of the tolerance about it. */
    @ParameterizedTest
    @CsvSource({
        "shorten,0.54,-0.04,1",
        "shorten,0.49,-0.01,1",
        "shorten,0.45,0.016,0.5",
        "shorten,0.40,0.05,0",
        "shorten,0.64,-0.104,0.5",
        "shorten,2,-0.96,0",
        "lengthen,0.54,0.64,0",
        "leave,,0.30,0",
    })
    void aPlan_isMarkedByWhereItWouldLeaveTheFigure(String way, String amount, double after, double credit) {
        Bench bench = flawless().write("plan/rod.front.left.way/0/0", way);
        bench.strike("plan/rod.front.left.amount/0/0");
        if (amount != null) {
            bench.write("plan/rod.front.left.amount/0/0", amount);
        }
        Evidence.Effect effect = effect(bench, "toe.front.left");
        assertEquals(credit, effect.credit());
        assertEquals(after, Math.toDegrees(effect.after()), 0.006);
        assertFalse(effect.splitAssumed());
    }

    /** Where the sheet allows less than a step of the part, the nearest step is right. */
    @Test
    void theNearestStep_isFull_howeverFarItIs() {
        Bench bench = flawless().write("plan/topSlot.front.left.amount/0/0", "4");
        assertEquals(1, effect(bench, "camber.front.left").credit());
        bench.write("plan/topSlot.front.left.amount/0/0", "6");
        assertEquals(1, effect(bench, "camber.front.left").credit(), "-0.6 is within a quarter");
        bench.write("plan/topSlot.front.left.amount/0/0", "8");
        assertEquals(0.5, effect(bench, "camber.front.left").credit(), "inside at -0.8");
    }

    /** An amount too small to matter beside the part's steps is none; anything else that is outside is not left alone. */
    @ParameterizedTest
    @CsvSource({"0.20,0", "0.16,0", "0.05,0.5", "-0.03,1"})
    void leavingAWheelOutside_earnsNothing(double toe, double credit) {
        Bench bench = Bench.fullFront(DecisionRule.SIMPLE)
                .read(state(3.5, -0.4, -0.4, toe, toe))
                .workRight();
        for (String part : List.of("topSlot.front.left", "topSlot.front.right", "rod.front.left", "rod.front.right")) {
            bench.write("plan/" + part + ".way/0/0", "leave");
        }
        assertEquals(credit, effect(bench, "toe.front.left").credit());
    }

    @Test
    void slipsOfAPlan_areNamed() {
        Bench swapped = flawless();
        rod(swapped, "left", (-0.04 - 0.10) / TURN);
        rod(swapped, "right", (-0.04 - 0.30) / TURN);
        assertEquals(Set.of(Set.of("leftRightSwapped")), named(swapped, "toe.front.left"));
        assertTrue(effect(swapped, "toe.front.left").credit() < 1);
        Bench wrongWay = flawless();
        rod(wrongWay, "left", 0.34 / TURN);
        assertEquals(Set.of(Set.of("wrongWay"), Set.of("wrongLinkage")), named(wrongWay, "toe.front.left"));
        wrongWay.write("plan/topSlot.front.left.way/0/0", "outward");
        assertEquals(Set.of(Set.of("wrongWay")), named(wrongWay, "camber.front.left"));
        Bench twice = flawless();
        rod(twice, "left", 2 * (-0.04 - 0.30) / TURN);
        assertEquals(Set.of(Set.of("movedTwice")), named(twice, "toe.front.left"));
        rod(twice, "right", 2 * (-0.04 - 0.10) / TURN);
        twice.strike("work/toe.front.left/0/0").strike("work/toe.front.right/0/0");
        assertEquals(
                Set.of(Set.of("wholeOnEachSide")), named(twice, "totalToe.front"), "where only the total is known");
        assertTrue(effect(twice, "totalToe.front").splitAssumed());
    }

    /** The left rod was planned as the right one should be, and the right one is right. */
    @Test
    void leftAndRight_areTakenForOneAnotherOnBothSides_orNotAtAll() {
        Bench oneSide = flawless();
        rod(oneSide, "left", (-0.04 - 0.10) / TURN);
        rod(oneSide, "right", (-0.04 - 0.10) / TURN);
        assertEquals(1, effect(oneSide, "toe.front.right").credit());
        assertTrue(effect(oneSide, "toe.front.left").credit() < 1);
        assertEquals(Set.of(), named(oneSide, "toe.front.left"));
    }

    /** The left slot has an effect in the data, the right one a way only. */
    @Test
    void wherePartsHaveNoEffectInTheData_theWayIsAll() {
        Bench bench = flawless();
        assertEquals(1, way(bench).credit());
        assertEquals(Optional.empty(), way(bench).needed());
        bench.write("plan/topSlot.front.right.way/0/0", "outward");
        assertEquals(0, way(bench).credit());
        assertEquals(Direction.INWARD, way(bench).neededWay());
    }

    /** The right slot of the van has a way and no amount; -0.9 to 0.1 is allowed. */
    @ParameterizedTest
    @CsvSource({"-0.6,leave,1", "0.02,leave,0.5", "0.6,leave,0", "0.6,inward,1", "0.6,outward,0", "-1.4,outward,1"})
    void whereOnlyTheWayIsKnown_leavingIsAsGoodAsTheFigure(double camber, String way, double credit) {
        Bench bench = Bench.fullFront(DecisionRule.SIMPLE)
                .read(state(3.5, -0.4, camber, 0, 0))
                .workRight()
                .write("plan/topSlot.front.right.way/0/0", way);
        assertEquals(credit, way(bench).credit());
    }

    private static Evidence.Move way(Bench bench) {
        return bench.evidence("plan.plan", Evidence.Move.class).get(0);
    }

    @Test
    void whereNothingCanBeMoved_onlyAFigureOutside_asksForThePart() {
        Bench inside = flawless();
        assertEquals(1, noMove(inside));
        inside.write("plan/part.caster.front/0/0", "lookForThePart");
        assertEquals(0, noMove(inside));
        Bench outside =
                Bench.fullFront(DecisionRule.SIMPLE).read(state(6, 0, 0, 0, 0)).workRight();
        outside.write("plan/part.caster.front/0/0", "lookForThePart");
        assertEquals(1, noMove(outside));
        outside.write("plan/part.caster.front/0/0", "nothing");
        assertEquals(0, noMove(outside));
    }

    private static double noMove(Bench bench) {
        return bench.evidence("plan.plan", Evidence.NoMove.class).get(0).credit();
    }

    @Test
    void leavingWhatIsInside_isRight() {
        Bench bench = Bench.fullFront(DecisionRule.SIMPLE)
                .read(state(3.5, -0.4, -0.4, -0.02, -0.06))
                .workRight();
        for (String part : List.of("topSlot.front.left", "topSlot.front.right", "rod.front.left", "rod.front.right")) {
            bench.write("plan/" + part + ".way/0/0", "leave");
            bench.write("plan/part.caster.front/0/0", "nothing");
        }
        for (String figure : List.of("camber.front.left", "toe.front.left", "toe.front.right")) {
            assertEquals(1, effect(bench, figure).credit(), figure);
        }
    }

    /** What is looked at, by what was worked and planned: wheels where they are known, their sum where they are not. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "-|caster.front camber.front.left topSlot.front.right toe.front.left toe.front.right",
                "work/toe.front.left/0/0 work/toe.front.right/0/0|caster.front camber.front.left topSlot.front.right"
                        + " totalToe.front",
                "work/toe.front.left/0/0|caster.front camber.front.left topSlot.front.right toe.front.right"
                        + " totalToe.front",
                "work/totalToe.front/0/0|caster.front camber.front.left topSlot.front.right toe.front.left"
                        + " toe.front.right",
                "work/totalToe.front/0/0 work/toe.front.left/0/0 work/toe.front.right/0/0|caster.front"
                        + " camber.front.left topSlot.front.right toe.front.left toe.front.right",
                "plan/topSlot.front.left.way/0/0|caster.front plan:topSlot.front.left topSlot.front.right"
                        + " toe.front.left toe.front.right",
                "plan/topSlot.front.left.amount/0/0|caster.front plan:topSlot.front.left topSlot.front.right"
                        + " toe.front.left toe.front.right",
                "plan/rod.front.left.way/0/0|caster.front plan:rod.front.left camber.front.left topSlot.front.right"
                        + " toe.front.right",
                "plan/part.caster.front/0/0|plan:caster.front camber.front.left topSlot.front.right toe.front.left"
                        + " toe.front.right",
            })
    void whatIsLookedAt(String struck, String expected) {
        Bench bench = flawless();
        if (struck != null) {
            List.of(struck.split(" ")).forEach(bench::strike);
        }
        assertEquals(Set.of(expected.split(" ")), Set.copyOf(said(bench)));
        assertEquals(expected.split(" ").length, said(bench).size(), said(bench).toString());
    }

    private static List<String> said(Bench bench) {
        return bench.evidence("plan.plan", Evidence.class).stream()
                .map(e -> e instanceof Evidence.Effect effect
                        ? effect.figure().key()
                        : e instanceof Evidence.MissingEntry missing
                                ? missing.what().key() + ":" + missing.subject()
                                : e instanceof Evidence.Move move
                                        ? move.adjuster()
                                        : ((Evidence.NoMove) e).adjustment())
                .toList();
    }
}
