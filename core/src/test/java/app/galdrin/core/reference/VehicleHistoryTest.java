package app.galdrin.core.reference;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Seeds;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Location;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.AdjusterUnit;
import app.galdrin.core.spec.Part;
import app.galdrin.core.spec.PartDoubt;
import app.galdrin.core.spec.PartMoves;
import app.galdrin.core.spec.Stance;
import app.galdrin.core.task.Steering;
import app.galdrin.core.uncertainty.Budget;
import app.galdrin.core.uncertainty.DoubtSource;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.random.RandomGenerator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class VehicleHistoryTest {

    private static final FigureId TOE = FigureId.parse("toe.front.left").orElseThrow();
    private static final ReadFigure READ = new ReadFigure("toe.box", Steering.CLAMPED, Stance.ANY, TOE);
    private static final Set<String> NOBODY = Set.of();

    /** 0.01 rad a turn of toe, known to 0.001; set to quarters of a turn. */
    private static final Adjuster ROD = part(Part.ROD, Wheel.FRONT_LEFT, "toe.front.left", true);

    private static final Adjuster SLOT = part(Part.TOP_SLOT, Wheel.FRONT_LEFT, "camber.front.left", true);
    private static final Adjuster REAR = part(Part.SHIM, Wheel.REAR_LEFT, "toe.rear.left", true);
    private static final Adjuster WAY = part(Part.ROD, Wheel.FRONT_LEFT, "toe.front.left", false);

    private static Adjuster part(Part part, Wheel wheel, String figure, boolean known) {
        return new Adjuster(
                part,
                Location.of(wheel),
                AdjusterUnit.TURN,
                4,
                0.25,
                Map.of(
                        FigureId.parse(figure).orElseThrow(),
                        known ? Adjuster.Effect.of(0.01, 0.001) : Adjuster.Effect.way(1)),
                true);
    }

    private static StateReading instructor(String state, double value) {
        return reading("reference of " + state, state, true, "instructor", value);
    }

    private static StateReading apprentice(String who, String state, double value) {
        return reading("sheet of " + who, state, false, who, value);
    }

    private static StateReading reading(String id, String state, boolean isInstructor, String who, double value) {
        Estimate figure = new Estimate(value, Budget.NONE).with(DoubtSource.reading("gap", "rule"), 0.001);
        return new StateReading(id, state, isInstructor, Set.of(who), Map.of(READ, figure.readBy(id)));
    }

    private static StateMove turned(String from, String to, Set<String> people, Adjuster part, double amount) {
        return new StateMove(from, to, people, new PartMoves(Map.of(part, amount)), List.of());
    }

    private static StateMove putBack(String from, String to) {
        return new StateMove(from, to, NOBODY, new PartMoves(Map.of()), List.of(PartDoubt.ofReturn(ROD)));
    }

    private static double value(VehicleHistory history, String state) {
        return history.value(state, READ, NOBODY).orElseThrow().value().value();
    }

    /** Two rounds, each by somebody else: the value is carried on and back along them, and every move adds to its doubt. */
    @Test
    void statesAndMoves_addUp_bothWays() {
        List<StateMove> moves = List.of(
                turned("set", "by Ann", Set.of("Ann"), ROD, 2), turned("by Ann", "by Ben", Set.of("Ben"), ROD, -0.5));
        var forward = new VehicleHistory(List.of(instructor("set", 0.03)), moves);
        assertEquals(0.05, value(forward, "by Ann"), 1e-12);
        assertEquals(0.045, value(forward, "by Ben"), 1e-12);
        var back = new VehicleHistory(List.of(instructor("by Ben", 0.045)), moves);
        assertEquals(0.03, value(back, "set"), 1e-12);
        assertEquals(Map.of(ROD.id(), 1.5), forward.movedTo("by Ben"));
        assertEquals(Map.of(ROD.id(), 2.0), forward.movedTo("by Ann"));
        assertEquals(Map.of(), forward.movedTo("set"));
        // one reading 0.001, the effect of 1.5 turns in all, two moves to the nearest quarter
        double step = 0.01 * 0.25 / Math.sqrt(12);
        assertEquals(
                Math.sqrt(0.001 * 0.001 + Math.pow(1.5 * 0.001, 2) + 2 * step * step),
                forward.value("by Ben", READ, NOBODY).orElseThrow().value().standardUncertainty(),
                1e-9);
    }

    @Test
    void nobody_isMarkedAgainstWhatTheySaidThemselves() {
        var history = new VehicleHistory(
                List.of(instructor("set", 0.03), apprentice("Ann", "by Ann", 0.09), apprentice("Ben", "by Ann", 0.05)),
                List.of(turned("set", "by Ann", Set.of("Ann"), ROD, 9)));
        ReferenceValue withoutAnn = history.value("by Ann", READ, Set.of("Ann")).orElseThrow();
        assertEquals(0.05, withoutAnn.value().value(), 1e-12);
        assertEquals(
                List.of("sheet of Ben"),
                withoutAnn.parts().stream().map(ReferencePart::source).toList());
        assertFalse(withoutAnn.mayCostMarks());
        assertTrue(history.value("by Ann", READ, Set.of("Ann", "Ben")).isEmpty());
    }

    /** Put back by an instructor's word, the preset's reading counts as an instructor's; moved by an apprentice's word, it does not. */
    @Test
    void whatMayCostMarks_isAnInstructorsReading_orEnoughPeopleWhoAgree() {
        List<StateReading> readings = new ArrayList<>(List.of(
                instructor("set", 0.03), apprentice("Ben", "by Ann", 0.05), apprentice("Cy", "by Ann", 0.0502)));
        List<StateMove> moves = List.of(
                turned("set", "by Ann", Set.of("Ann"), ROD, 2),
                putBack("set", "back"),
                turned("back", "by Dot", Set.of("Dot"), ROD, 2));
        var history = new VehicleHistory(readings, moves);
        assertTrue(history.value("back", READ, NOBODY).orElseThrow().mayCostMarks());
        assertFalse(history.value("by Dot", READ, NOBODY).orElseThrow().mayCostMarks());
        assertFalse(history.value("by Ann", READ, Set.of("Ann")).orElseThrow().mayCostMarks());
        assertTrue(history.value("by Ann", READ, NOBODY).orElseThrow().mayCostMarks()); // Ben, Cy and Ann's moves
        readings.add(apprentice("Eve", "by Ann", 0.2));
        var slipped = new VehicleHistory(readings, moves);
        assertFalse(slipped.value("by Ann", READ, Set.of("Ann")).orElseThrow().mayCostMarks());
        readings.add(instructor("by Ann", 0.0501));
        assertTrue(new VehicleHistory(readings, moves)
                .value("by Ann", READ, Set.of("Ann"))
                .orElseThrow()
                .mayCostMarks());
    }

    /** Who read a setting before the vehicle was put back to it is a reader of it still, less certain by what turning back can miss. */
    @Test
    void aSettingThatWasPutBack_keepsItsReaders() {
        var history = new VehicleHistory(
                List.of(instructor("set", 0.03), apprentice("Ann", "set", 0.031), apprentice("Ben", "back", 0.0305)),
                List.of(putBack("set", "back")));
        ReferenceValue value = history.value("back", READ, Set.of("Ben")).orElseThrow();
        assertEquals(
                List.of(ReferencePart.Kind.INSTRUCTOR, ReferencePart.Kind.APPRENTICE),
                value.parts().stream().map(ReferencePart::kind).toList());
        double turnedBack = 0.01 * 0.25 * Math.sqrt(1.0 / 6);
        value.parts().forEach(part -> assertEquals(Math.hypot(0.001, turnedBack), part.doubt(), 1e-9));
        // the turning back is shared by both, and does not average out
        assertEquals(Math.hypot(0.001 / Math.sqrt(2), turnedBack), value.value().standardUncertainty(), 1e-9);
        assertTrue(value.mayCostMarks());
    }

    @ParameterizedTest
    @MethodSource("app.galdrin.core.Seeds#some")
    void noOrderOfArrival_changesAValue(long seed) {
        RandomGenerator random = Seeds.generator(seed);
        List<StateReading> readings = new ArrayList<>();
        List<StateMove> moves = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            String state = "state " + i;
            readings.add(apprentice("a" + i, state, 0.03 + random.nextGaussian() * 0.002));
            readings.add(apprentice("b" + i, state, 0.03 + random.nextGaussian() * 0.02));
            if (i > 0) {
                moves.add(turned("state " + (i - 1), state, Set.of("a" + i), ROD, random.nextInt(5) - 2));
            }
        }
        ReferenceValue first = new VehicleHistory(readings, moves)
                .value("state 2", READ, NOBODY)
                .orElseThrow();
        Collections.shuffle(readings, new Random(seed));
        Collections.shuffle(moves, new Random(seed + 1));
        ReferenceValue later = new VehicleHistory(readings, moves)
                .value("state 2", READ, NOBODY)
                .orElseThrow();
        assertEquals(first.value().value(), later.value().value());
        assertEquals(first.value().standardUncertainty(), later.value().standardUncertainty());
        assertEquals(first.parts(), later.parts());
    }

    /** u of a reading is 0.001, of the difference to the mean of two √(1 + 1/2) of that: 3 of it are 0.003674. */
    @ParameterizedTest
    @CsvSource({"0.0037, 2, true", "0.0036, 2, false", "-0.0037, 2, true", "0.5, 1, false", "0.5, 3, true"})
    void anInstructor_isAskedAboutAReading_thatTwoWhoAgreeDoNotBear(double off, int others, boolean isAsked) {
        List<StateReading> readings = new ArrayList<>(List.of(instructor("set", 0.03)));
        for (int i = 0; i < others; i++) {
            readings.add(apprentice("person " + i, "set", 0.03 + off));
        }
        var asked = new VehicleHistory(readings, List.of()).disagreement("set", READ);
        assertEquals(isAsked, asked.isPresent());
        asked.ifPresent(disagreement -> {
            assertEquals(off, disagreement.difference(), 1e-9);
            assertEquals(others, disagreement.others());
            assertEquals(2 * 0.001 * Math.sqrt(1 + 1.0 / others), disagreement.expanded(), 1e-9);
        });
        readings.remove(0);
        assertTrue(new VehicleHistory(readings, List.of())
                .disagreement("set", READ)
                .isEmpty());
    }

    /** Several procedures tell a figure: the best of them is what is known of the state. */
    @Test
    void best_isTheValueThatIsKnownBest() {
        Estimate poor = new Estimate(0.09, Budget.NONE).with(DoubtSource.reading("tape", "tape"), 0.01);
        var other = new ReadFigure("plates", Steering.CLAMPED, Stance.ANY, TOE);
        var history = new VehicleHistory(
                List.of(
                        instructor("set", 0.03),
                        new StateReading("by tape", "set", true, Set.of("instructor"), Map.of(other, poor))),
                List.of());
        assertEquals(0.03, history.best("set").get(TOE).value().value());
        assertEquals(Set.of(TOE), history.best("set").keySet());
        assertEquals(Map.of(), history.best("elsewhere"));
    }

    @ParameterizedTest
    @CsvSource({
        "rod, toe.front.left, true",
        "rod, camber.front.left, true",
        "rod, toe.front.right, true",
        "rod, totalToe.front, true",
        "rod, thrust.rear, true",
        "rod, setback.front, false",
        "slot, camber.front.left, true",
        "slot, caster.front.left, true",
        "slot, toe.front.left, false",
        "slot, totalToe.front, false",
        "slot, toe.front.right, true",
        "slot, camberDifference.front, true",
        "rear, toe.front.left, true",
        "rear, thrust.rear, false",
        "way, toe.front.left, false",
        "way, camber.front.left, true",
    })
    void amove_tellsWhatTheSheetSaysOfIt_andWhatItCannotDisturb(String part, String figure, boolean tells) {
        Adjuster moved = switch (part) {
            case "rod" -> ROD;
            case "slot" -> SLOT;
            case "rear" -> REAR;
            default -> WAY;
        };
        var move = turned("a", "b", NOBODY, moved, 1);
        assertEquals(tells, move.tells(FigureId.parse(figure).orElseThrow()));
        assertTrue(
                turned("a", "b", NOBODY, moved, 0).tells(FigureId.parse(figure).orElseThrow()));
    }
}
