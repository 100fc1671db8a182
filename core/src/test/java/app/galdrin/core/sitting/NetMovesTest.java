package app.galdrin.core.sitting;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.sitting.NetMoves.Basis;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Round;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The way back is the sum of the moves. */
class NetMovesTest {

    private static final SpecificationSheet VAN = Vehicles.van();
    private static final Practical FULL = TaskStart.FULL_FRONT.on(VAN, "Full", OrderSchool.A, AnswerUnit.DEGREES);

    /** Reads {@code rod.front.left 1 lengthen 0.25}: part, round, direction and, where one was written, the amount. */
    private static Answers sheet(String moves) {
        Map<LineKey, WrittenValue> written = new HashMap<>();
        for (String move : moves.split(";")) {
            String[] word = move.strip().split(" ");
            int round = Integer.parseInt(word[1]);
            written.put(new LineKey("adjust", word[0] + ".way", 0, round), WrittenValue.text(word[2]));
            if (word.length > 3) {
                var amount = WrittenValue.number(word[3], Double.parseDouble(word[3]), 0.01);
                written.put(new LineKey("adjust", word[0] + ".amount", 0, round), amount);
            }
        }
        return new Answers(written);
    }

    private static String told(NetMoves moves) {
        return moves.moved().stream()
                .map(m -> m.part().id() + " " + m.wayBack().key()
                        + (m.basis().compareTo(Basis.DIRECTION) < 0 ? " " + Math.abs(m.amount()) : ""))
                .collect(Collectors.joining("; "));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "nothing",
            value = {
                "rod.front.left 1 lengthen 0.25|rod.front.left shorten 0.25",
                "rod.front.left 1 lengthen 0.5; rod.front.left 2 shorten 0.75|rod.front.left lengthen 0.25",
                "rod.front.left 1 lengthen 0.25; rod.front.left 2 shorten 0.25|''",
                "rod.front.left 1 leave|''",
                "rod.front.left 1 lengthen|rod.front.left shorten",
                "rod.front.left 1 lengthen; rod.front.left 2 lengthen 0.25|rod.front.left shorten",
                "rod.front.left 1 lengthen; rod.front.left 2 shorten|rod.front.left leave",
                "rod.front.left 1 lengthen 0.25; rod.front.left 2 shorten|rod.front.left leave",
                "rod.front.right 1 shorten 1; topSlot.front.left 1 outward 2|topSlot.front.left inward 2.0; rod.front.right lengthen 1.0",
                "coupling 1 toTheLeft 1|''"
            })
    void theWayBack_isTheSumOfAllRounds(String moves, String back) {
        assertEquals(back, told(new NetMoves().add(FULL, VAN, sheet(moves))));
    }

    /** A task of one round asks for the plan and not for the moves. */
    @Test
    void aTaskOfOneRound_goesByThePlan() {
        Practical single = FULL.with(FULL.steps().stream()
                .map(step ->
                        step instanceof Round round ? new Round(round.id(), round.measures(), 1, round.aim()) : step)
                .toList());
        Map<LineKey, WrittenValue> planned = new HashMap<>();
        planned.put(LineKey.of("plan", "rod.front.left.way"), WrittenValue.text("lengthen"));
        planned.put(LineKey.of("plan", "rod.front.left.amount"), WrittenValue.number("1/4", 0.25, 0.25));
        var moves = new NetMoves().add(single, VAN, new Answers(planned));
        assertEquals("rod.front.left shorten 0.25", told(moves));
        assertEquals(Basis.PLANNED, moves.moved().get(0).basis());
    }

    private static boolean isComplete(String moves) {
        return new NetMoves().add(FULL, VAN, sheet(moves)).isComplete();
    }

    /** A part without a line may have been moved: the sheet of somebody who is still at it says little. */
    @Test
    void aSheetIsComplete_whenEveryPartOfEachBegunRoundHasItsLine() {
        String sides = "topSlot.front.left 1 leave; topSlot.front.right 1 leave; rod.front.left 1 leave";
        String whole = sides + "; rod.front.right 1 shorten 0.5";
        assertTrue(isComplete(whole));
        assertFalse(isComplete(sides), "one part has no line");
        assertFalse(isComplete(whole + "; rod.front.left 2 lengthen 0.25"), "a round was begun");
        assertFalse(isComplete("rod.front.left 0 lengthen 0.25"), "no round");
        var moves = new NetMoves().add(FULL, VAN, sheet(whole));
        moves.addUnknown();
        assertFalse(moves.isComplete());
    }

    @Test
    void sheetsAddUp_inAnyOrder() {
        var random = new Random(1);
        for (int trial = 0; trial < 50; trial++) {
            List<Answers> sheets = new ArrayList<>();
            double sum = 0;
            for (int i = 0; i < 4; i++) {
                int quarters = random.nextInt(1, 8);
                boolean longer = random.nextBoolean();
                sum += (longer ? 1 : -1) * quarters / 4.0;
                sheets.add(sheet("rod.front.left 1 " + (longer ? "lengthen " : "shorten ") + quarters / 4.0));
            }
            double expected = sum;
            for (List<Answers> order :
                    List.of(sheets, List.of(sheets.get(3), sheets.get(1), sheets.get(0), sheets.get(2)))) {
                var moves = new NetMoves();
                order.forEach(answers -> moves.add(FULL, VAN, answers));
                assertEquals(
                        expected,
                        moves.moved().stream().mapToDouble(m -> m.amount()).sum(),
                        1e-12);
            }
        }
    }
}
