package app.galdrin.core.figure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Keyed;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.quantity.Quantity;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class FigureIdTest {

    static Stream<FigureId> everyFigure() {
        List<FigurePosition> positions = List.of(
                FigurePosition.AHEAD,
                new FigurePosition(FigurePosition.Kind.LEFT_LOCK, 0),
                new FigurePosition(FigurePosition.Kind.RIGHT_LOCK, 0),
                new FigurePosition(FigurePosition.Kind.STEERED_LEFT, 20),
                new FigurePosition(FigurePosition.Kind.STEERED_RIGHT, 0),
                new FigurePosition(FigurePosition.Kind.TRAVEL, -30));
        return Stream.of(Measurand.values())
                .flatMap(m -> Stream.of(Location.values())
                        .filter(w -> w.extent() == m.extent())
                        .flatMap(w -> positions.stream().map(at -> new FigureId(m, w, at))));
    }

    @ParameterizedTest
    @MethodSource("everyFigure")
    void key_andBack(FigureId figure) {
        assertEquals(Optional.of(figure), FigureId.parse(figure.key()));
        assertEquals(figure, figure.otherSide().otherSide());
        assertEquals(
                figure.where().extent() == Location.Extent.WHEEL,
                !figure.otherSide().equals(figure));
        assertTrue(figure.adjustment().contains(figure));
        assertTrue(figure.adjustment().contains(figure.otherSide()), "both wheels are moved together");
    }

    @ParameterizedTest
    @CsvSource({
        "toe.front.left",
        "totalToe.front",
        "thrust.rear",
        "camber.front.right",
        "setback.front",
        "turnOut.front.leftLock",
        "threads",
        "rack",
        "wheelOffset",
        "camber.front.left.steeredLeft20",
        "toe.front.right.travel30"
    })
    void keysOfTheTrade_areFigures(String key) {
        assertEquals(key, FigureId.parse(key).orElseThrow().toString());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "toe",
                "toe.front",
                "totalToe.front.left",
                "threads.front",
                "camber.front.left.",
                "toe.front.left.up",
                "toe.front.left.travel999",
                "toe.front.left.steeredLeft-20",
                "toe.front.left.steeredLeft61",
                "Toe.front.left"
            })
    void whatIsNoFigure_isNone(String key) {
        assertEquals(Optional.empty(), FigureId.parse(key));
    }

    @Test
    void aFigureOfTheWrongExtent_isRefused() {
        assertThrows(IllegalArgumentException.class, () -> FigureId.of(Measurand.TOE, Axle.FRONT));
        assertThrows(IllegalArgumentException.class, () -> new FigurePosition(FigurePosition.Kind.LEFT_LOCK, 3));
        assertThrows(IllegalArgumentException.class, () -> new FigurePosition(FigurePosition.Kind.TRAVEL, 251));
    }

    @Test
    void theEndsOfAPosition_areInIt() {
        assertEquals("steeredLeft60", new FigurePosition(FigurePosition.Kind.STEERED_LEFT, 60).key());
        assertEquals("steeredRight0", new FigurePosition(FigurePosition.Kind.STEERED_RIGHT, 0).key());
        assertEquals("travel-250", new FigurePosition(FigurePosition.Kind.TRAVEL, -250).key());
        assertThrows(IllegalArgumentException.class, () -> new FigurePosition(FigurePosition.Kind.STEERED_RIGHT, -1));
    }

    @Test
    void aTolerance_isUpToItsSize() {
        var tolerance = new Tolerance(0.5);
        assertTrue(tolerance.equal(1, 1.5) && tolerance.equal(1.5, 1) && !tolerance.equal(1, 1.75));
        assertTrue(tolerance.atMost(1.5, 1) && !tolerance.atMost(1.75, 1));
        assertTrue(tolerance.atLeast(1, 1.5) && !tolerance.atLeast(1, 1.75));
        assertTrue(new Tolerance(0).equal(1, 1));
        assertThrows(IllegalArgumentException.class, () -> new Tolerance(-1e-12));
    }

    @Test
    void toeIsLast_inBothSchools() {
        assertEquals(List.of(Measurand.CASTER, Measurand.CAMBER, Measurand.TOE), OrderSchool.A.order());
        assertEquals(List.of(Measurand.CAMBER, Measurand.CASTER, Measurand.TOE), OrderSchool.B.order());
        assertEquals(Optional.of(2), OrderSchool.B.turn(Measurand.TOTAL_TOE));
        assertEquals(Optional.empty(), OrderSchool.A.turn(Measurand.SETBACK));
        assertEquals(Optional.of(Side.RIGHT), Location.REAR_RIGHT.side());
        assertEquals(Optional.empty(), Location.REAR.side());
    }

    @Test
    void sumsAndDifferences_areMadeOfBothWheels() {
        FigureId total = FigureId.of(Measurand.TOTAL_TOE, Axle.FRONT);
        assertTrue(total.ofBothWheels());
        assertEquals(FigureId.of(Measurand.TOE, Wheel.FRONT_RIGHT), total.part(Wheel.FRONT_RIGHT));
        assertEquals(
                total.adjustment(), FigureId.of(Measurand.TOE, Wheel.FRONT_LEFT).adjustment());
        assertEquals("toe.front", total.adjustment().key());
        assertEquals(List.of(Measurand.TOTAL_TOE), Measurand.TOE.madeOfIt());
        assertEquals(1, Measurand.TOTAL_TOE.form().rightFactor());
        assertEquals(-1, Measurand.CAMBER_DIFFERENCE.form().rightFactor());
        assertFalse(FigureId.of(Measurand.THRUST, Axle.REAR).ofBothWheels());
    }

    @Test
    void wheels_axlesAndSides_belongTogether() {
        for (Wheel wheel : Wheel.values()) {
            assertEquals(Optional.of(wheel), Location.of(wheel).wheel());
            assertEquals(wheel, Wheel.of(wheel.axle(), wheel.side()));
            assertEquals(wheel.axle(), wheel.opposite().axle());
            assertEquals(wheel.side().other(), wheel.opposite().side());
            assertEquals(wheel.left(), wheel.side() == Side.LEFT);
            assertEquals(wheel.front(), Location.of(wheel).axle().orElseThrow() == Axle.FRONT);
        }
        assertEquals(Location.REAR, Location.of(Axle.REAR));
        assertEquals(Optional.empty(), Location.VEHICLE.axle());
        assertEquals(Location.Extent.AXLE, Location.FRONT.extent());
    }

    @Test
    void figures_standInTheOrderOfASheet() {
        var figures = Stream.of(
                        "toe.front.right", "totalToe.front", "caster.front.left", "toe.front.left", "camber.rear.left")
                .map(k -> FigureId.parse(k).orElseThrow())
                .sorted()
                .map(FigureId::key)
                .toList();
        assertEquals(
                List.of("caster.front.left", "camber.rear.left", "toe.front.left", "toe.front.right", "totalToe.front"),
                figures);
    }

    @ParameterizedTest
    @CsvSource({"A,CASTER,0", "A,CAMBER,1", "A,TOTAL_TOE,2", "B,CAMBER_DIFFERENCE,0", "B,CASTER,1", "B,TOE,2"})
    void schools_haveTheirOrder(OrderSchool school, Measurand measurand, int turn) {
        assertEquals(Optional.of(turn), school.turn(measurand));
        assertEquals(Optional.empty(), school.turn(Measurand.KPI));
    }

    @ParameterizedTest
    @CsvSource({
        "DEGREES,toe.front.left,0.5,0.5",
        "DEGREES_MINUTES,totalToe.front,0.5,0.5",
        "MILLIMETRES,toe.front.left,0.5,3.63024",
        "MILLIMETRES,totalToe.front,0.5,3.63027",
    })
    void anAngle_asItIsAnswered_andBack(AnswerUnit unit, String key, double degrees, double answer) {
        FigureId figure = FigureId.parse(key).orElseThrow();
        double asked = unit.ofFigure(Math.toRadians(degrees), figure, 416);
        assertEquals(answer, asked, 5e-6);
        assertEquals(Math.toRadians(degrees), unit.toFigure(asked, figure, 416), 1e-12);
    }

    @Test
    void answersBeyondAnyAngle_areTheNearest_andLengthsStayLengths() {
        FigureId toe = FigureId.of(Measurand.TOE, Wheel.FRONT_LEFT);
        assertEquals(Math.PI / 2, AnswerUnit.MILLIMETRES.toFigure(5000, toe, 416), 1e-12);
        assertEquals(-Math.PI / 2, AnswerUnit.MILLIMETRES.toFigure(-5000, toe, 416), 1e-12);
        FigureId rack = FigureId.of(Measurand.RACK, Location.VEHICLE);
        assertEquals(3.5, AnswerUnit.MILLIMETRES.ofFigure(3.5, rack, 1));
        assertEquals(3.5, AnswerUnit.DEGREES.toFigure(3.5, rack, 1));
        assertEquals(Quantity.LENGTH, AnswerUnit.MILLIMETRES.quantity());
    }

    @Test
    void tolerance_allowsItsSizeAndNoMore() {
        assertTrue(Tolerance.ROUNDING.atMost(1 + 1e-9, 1));
        assertFalse(Tolerance.ROUNDING.atMost(1 + 2.1e-9, 1));
        assertTrue(Tolerance.ROUNDING.atLeast(1 - 1e-9, 1));
        assertFalse(Tolerance.ROUNDING.atLeast(1 - 2.1e-9, 1));
        assertTrue(Tolerance.ROUNDING.equal(2, 2 - 0.9e-9));
        assertFalse(Tolerance.ROUNDING.equal(2, 2 - 1.1e-9));
        assertThrows(IllegalArgumentException.class, () -> new Tolerance(-1));
    }

    @Test
    void keysWrittenByTheProgram_mustBeKnown() {
        assertEquals(OrderSchool.B, Keyed.of(OrderSchool.values(), "B"));
        assertThrows(IllegalStateException.class, () -> Keyed.of(OrderSchool.values(), "C"));
    }
}
