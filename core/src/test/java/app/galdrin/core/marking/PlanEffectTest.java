package app.galdrin.core.marking;

import static app.galdrin.core.Vehicles.figure;
import static org.junit.jupiter.api.Assertions.assertEquals;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Location;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.Part;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.uncertainty.Estimate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Moves of rods, and of slots that move camber and toe together; everything in hundredths of a degree, a unit a rod one, a slot two. */
class PlanEffectTest {

    private static final FigureId TOTAL = figure("totalToe.front");
    private static final FigureId LEFT = figure("toe.front.left");
    private static final Adjuster ROD = rod(Wheel.FRONT_LEFT);
    private static final Adjuster OTHER_ROD = rod(Wheel.FRONT_RIGHT);
    private static final Adjuster SLOT = slot(Wheel.FRONT_LEFT);
    private static final Adjuster OTHER_SLOT = slot(Wheel.FRONT_RIGHT);

    private static double hundredths(double number) {
        return Math.toRadians(number / 100);
    }

    private static Adjuster rod(Wheel wheel) {
        return adjuster(Part.ROD, wheel, Map.of(FigureId.of(Measurand.TOE, wheel), 1.0));
    }

    private static Adjuster slot(Wheel wheel) {
        return adjuster(
                Part.TOP_SLOT,
                wheel,
                Map.of(FigureId.of(Measurand.TOE, wheel), 2.0, FigureId.of(Measurand.CAMBER, wheel), 10.0));
    }

    private static Adjuster adjuster(Part part, Wheel wheel, Map<FigureId, Double> hundredths) {
        Map<FigureId, Adjuster.Effect> effects = new HashMap<>();
        hundredths.forEach((figure, each) -> effects.put(figure, Adjuster.Effect.of(hundredths(each), 0)));
        return new Adjuster(part, Location.of(wheel), part.unit(), 100, 0.5, effects, true);
    }

    private static Limits limits(Integer min, Integer preferred, Integer max) {
        return new Limits(limit(min), limit(preferred), limit(max));
    }

    private static OptionalDouble limit(Integer hundredths) {
        return hundredths == null ? OptionalDouble.empty() : OptionalDouble.of(hundredths(hundredths));
    }

    private static Evidence.Effect of(FigureId figure, double now, Limits limits, Zone zone, Object... moves) {
        Map<Adjuster, Double> planned = new LinkedHashMap<>();
        for (int i = 0; i < moves.length; i += 2) {
            planned.put((Adjuster) moves[i], ((Number) moves[i + 1]).doubleValue());
        }
        return (Evidence.Effect) new PlanEffect(
                        figure, new Estimate(hundredths(now), hundredths(2)), limits, zone, planned, Map.of(), false)
                .evidence(false, java.util.Optional.empty());
    }

    /** The slots take 40 of the 48 away; 8 are left, 4 a rod, and he gave each rod all 8. */
    @Test
    void theWholeOnEachSide_isUndoneOnTheRods_andNotOnTheSlotsBesideThem() {
        Evidence.Effect effect =
                of(TOTAL, 40, limits(-22, -8, 6), Zone.OUTSIDE, SLOT, -10, OTHER_SLOT, -10, ROD, -8, OTHER_ROD, -8);
        assertEquals(-16, Math.toDegrees(effect.after()) * 100, 1e-9);
        assertEquals(0.5, effect.credit(), "still inside");
        assertEquals(List.of(Set.of("wholeOnEachSide")), effect.slips());
    }

    /** Left alone at 2, inside −11 and 3 and far from −4: all where inside is enough, half where the task asks for more. */
    @Test
    void leavingWhatIsInsideAlone_isHalf_whereTheTaskAsksForMore() {
        Limits toe = limits(-11, -4, 3);
        for (boolean more : new boolean[] {false, true}) {
            var effect = (Evidence.Effect) new PlanEffect(
                            LEFT,
                            new Estimate(hundredths(2), hundredths(0.1)),
                            toe,
                            Zone.INSIDE,
                            Map.of(ROD, 0.0),
                            Map.of(),
                            more)
                    .evidence(false, java.util.Optional.empty());
            assertEquals(more ? 0.5 : 1, effect.credit());
        }
    }

    @Test
    void rodsTurnedTheWrongWay_areTheLinkage_whereTheSlotsWentTheRightOne() {
        Limits toe = limits(-11, -4, 3);
        assertEquals(
                List.of(Set.of("wrongLinkage")),
                of(LEFT, 30, toe, Zone.OUTSIDE, SLOT, -10, ROD, 14).slips());
        assertEquals(
                List.of(Set.of("wrongWay")),
                of(LEFT, 30, toe, Zone.OUTSIDE, SLOT, 10, ROD, 14).slips());
        assertEquals(
                List.of(Set.of("wrongWay"), Set.of("wrongLinkage")),
                of(LEFT, 30, toe, Zone.OUTSIDE, SLOT, 0, ROD, 34).slips());
        assertEquals(
                List.of(Set.of("movedTwice")),
                of(LEFT, 30, toe, Zone.OUTSIDE, SLOT, -20, ROD, -28).slips());
    }

    /** Undoing what was moved out leaves a figure where it was: that is no slip undone. */
    @Test
    void whatWasRightAndIsMovedOut_hasNoSlipThatExplainsIt() {
        Evidence.Effect effect = of(LEFT, -4, limits(-11, -4, 3), Zone.INSIDE, ROD, 30);
        assertEquals(0, effect.credit());
        assertEquals(List.of(), effect.slips());
    }

    /** Without a preferred value there is nothing to be near: inside is as good as it gets, and half. */
    @Test
    void withoutAPreferredValue_aMoveInside_isHalf() {
        Limits oneSided = limits(null, null, 3);
        assertEquals(0.5, of(LEFT, 30, oneSided, Zone.OUTSIDE, ROD, -30).credit());
        assertEquals(0, of(LEFT, 30, oneSided, Zone.OUTSIDE, ROD, -20).credit());
        assertEquals(1, of(LEFT, 0, oneSided, Zone.INSIDE, ROD, 0).credit());
    }

    /** Rods of the other axle have nothing to do with it. */
    @Test
    void aSum_isMovedByThePartsOfItsOwnAxle() {
        assertEquals(0, rod(Wheel.REAR_LEFT).changePerUnit(TOTAL));
        assertEquals(hundredths(1), OTHER_ROD.changePerUnit(TOTAL));
        assertEquals(0, ROD.changePerUnit(figure("camber.front.left")));
    }
}
