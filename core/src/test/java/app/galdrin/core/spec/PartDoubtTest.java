package app.galdrin.core.spec;

import static org.junit.jupiter.api.Assertions.assertEquals;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Location;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Wheel;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PartDoubtTest {

    private static final FigureId LEFT = FigureId.parse("toe.front.left").orElseThrow();
    private static final FigureId CAMBER = FigureId.parse("camber.front.left").orElseThrow();

    /** A part of the left wheel: 0.02 rad a turn of toe, of camber the way alone; set to quarters of a turn. */
    private static final Adjuster ROD = new Adjuster(
            Part.ROD,
            Location.of(Wheel.FRONT_LEFT),
            AdjusterUnit.TURN,
            4,
            0.25,
            Map.of(LEFT, Adjuster.Effect.of(0.02, 0.001), CAMBER, Adjuster.Effect.way(-1)),
            true);

    /** A quarter of a turn each way, evenly spread: 0.25 · √(1/12 + 1/12) = 0.102062 turns. */
    @ParameterizedTest
    @CsvSource({
        "toe.front.left, 0.00204124",
        "totalToe.front, 0.00204124",
        "toe.front.right, 0",
        "camber.front.left, 0",
        "thrust.rear, 0"
    })
    void whatTurningBackCanMiss_reachesTheFiguresThatThePartMoves(String figure, double expected) {
        assertEquals(
                expected,
                Math.abs(PartDoubt.ofReturn(ROD).in(FigureId.parse(figure).orElseThrow())),
                1e-8);
    }

    /** A simulation draws along the effects: a seed gives the same in every run only if their order is always the same. */
    @Test
    void aPartKeepsItsEffects_inTheOrderOfTheFigures() {
        Map<FigureId, Adjuster.Effect> effects = new HashMap<>();
        for (Wheel wheel : Wheel.values()) {
            effects.put(FigureId.of(Measurand.TOE, wheel), Adjuster.Effect.way(1));
            effects.put(FigureId.of(Measurand.CAMBER, wheel), Adjuster.Effect.way(-1));
        }
        var part = new Adjuster(ROD.part(), ROD.where(), ROD.unit(), 4, 0.25, effects, true);
        assertEquals(
                effects.keySet().stream().sorted().toList(),
                List.copyOf(part.effects().keySet()));
    }
}
