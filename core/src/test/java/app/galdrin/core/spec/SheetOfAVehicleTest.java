package app.galdrin.core.spec;

import static app.galdrin.core.Vehicles.figure;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Location;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.OutcomeSchool;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Scheme;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What a sheet says of a figure, and what its parts refuse to be. */
class SheetOfAVehicleTest {

    private static final SpecificationSheet VAN = Vehicles.van();

    @Test
    void aSideDifference_isItsOwnLimitBothWays() {
        Limits limits = VAN.limits(figure("camberDifference.front")).orElseThrow();
        assertEquals(Math.toRadians(-0.5), limits.min().getAsDouble(), 1e-12);
        assertEquals(Math.toRadians(0.5), limits.max().getAsDouble(), 1e-12);
        assertEquals(0, limits.target().getAsDouble());
        assertEquals(Optional.empty(), VAN.limits(figure("camberDifference.rear")));
    }

    @ParameterizedTest
    @CsvSource({
        "camber.front.left,true",
        "camber.rear.left,false",
        "camber.front.left.steeredLeft20,false",
        "totalToe.front,true",
        "thrust.rear,false"
    })
    void limits_areThoseOfTheAxleStraightAhead(String key, boolean known) {
        assertEquals(known, VAN.limits(figure(key)).isPresent());
    }

    @ParameterizedTest
    @CsvSource({
        "caster.front.left,NO,0",
        "camber.front.right,YES,2",
        "totalToe.front,YES,2",
        "toe.rear.left,NO,0",
        "setback.front,NO,0"
    })
    void whatCanBeAdjusted_andByHowManyParts(String key, Adjustable adjustable, int parts) {
        FigureId.Adjustment adjustment = figure(key).adjustment();
        assertEquals(adjustable, VAN.adjustable(adjustment));
        assertEquals(parts, VAN.adjusters(adjustment).size());
        assertTrue(VAN.adjusters(adjustment).stream().allMatch(a -> a.moves(adjustment)));
    }

    /** One line of an axle that can be adjusted is enough: total toe by the rods though a wheel's line is silent. */
    @Test
    void oneLineOfAnAdjustment_speaksForAll() {
        var silent = new SheetLine(
                Optional.of(Axle.FRONT),
                figure("toe.front.left").measurand(),
                Optional.empty(),
                Optional.empty(),
                Adjustable.NO);
        var spoken = new SheetLine(
                Optional.of(Axle.FRONT),
                figure("totalToe.front").measurand(),
                Optional.empty(),
                Optional.empty(),
                Adjustable.WITH_ADDED_PARTS);
        var sheet = new SpecificationSheet(Vehicles.GEOMETRY, List.of(silent, spoken), List.of());
        assertEquals(
                Adjustable.WITH_ADDED_PARTS,
                sheet.adjustable(figure("toe.front.right").adjustment()));
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 4, 5, 6, 7})
    void aDimensionLeftOut_isRefused(int which) {
        double[] d = {2760, 1484, 1466, 416, 301, 1.5, 136, 17.8};
        d[which] = 0;
        assertThrows(
                IllegalArgumentException.class,
                () -> new VehicleGeometry(
                        d[0], d[1], d[2], new WheelSize(d[3], d[4]), Linkage.BEHIND, d[5], false, d[6], d[7]));
    }

    @Test
    void tracksAndLeads() {
        assertEquals(1484, Vehicles.GEOMETRY.track(Axle.FRONT));
        assertEquals(1466, Vehicles.GEOMETRY.track(Axle.REAR));
        assertEquals(1.5, Vehicles.GEOMETRY.lead().getAsDouble());
        assertEquals(
                3,
                new VehicleGeometry(2760, 1484, 1466, new WheelSize(416, 301), Linkage.AHEAD, 1.5, true, 136, 17.8)
                        .lead()
                        .getAsDouble());
    }

    @ParameterizedTest
    @EnumSource(Part.class)
    void theWaysOfAPart_areItsSigns(Part part) {
        assertEquals(part.ways().get(0), part.way(1));
        assertEquals(part.ways().get(1), part.way(-1));
        assertEquals(Direction.LEAVE, part.way(0));
        for (int sign = -1; sign <= 1; sign++) {
            assertEquals(sign, part.sign(part.way(sign)));
        }
        assertTrue(part.unit().key().length() > 1 && part.key().length() > 1);
    }

    @ParameterizedTest
    @CsvSource({"0,1", "1,0", "-1,1", "NaN,1"})
    void anAdjuster_withoutRangeOrStep_isRefused(double most, double step) {
        assertThrows(
                IllegalArgumentException.class,
                () -> new Adjuster(Part.SHIM, Location.FRONT, AdjusterUnit.MILLIMETRE, most, step, Map.of(), false));
    }

    @Test
    void limits_mayMeet_andPreferredMayStandOnOne() {
        assertEquals(0.1, Limits.of(0.1, 0.1, 0.1).target().getAsDouble());
        assertEquals(-0.2, Limits.of(-0.2, -0.2, 0.2).target().getAsDouble());
        assertEquals(0.2, Limits.of(-0.2, 0.2, 0.2).target().getAsDouble());
        var none = OptionalDouble.empty();
        assertEquals(none, new Limits(OptionalDouble.of(1), none, none).target(), "one limit alone has no middle");
        assertEquals("behind", Linkage.BEHIND.key());
    }

    /** One line of turn-out speaks of both locks; a camber steered has no limits of its own. */
    @Test
    void turnOut_isLimitedAtBothLocks() {
        var line = new SheetLine(
                Optional.of(Axle.FRONT),
                Measurand.TURN_OUT,
                Optional.of(Limits.of(0.02, 0.03, 0.04)),
                Optional.empty(),
                Adjustable.NO);
        List<SheetLine> lines = new ArrayList<>(Vehicles.van().lines());
        lines.add(line);
        var sheet = new SpecificationSheet(Vehicles.GEOMETRY, lines, List.of());
        for (String lock : List.of("leftLock", "rightLock")) {
            assertEquals(line.limits(), sheet.limits(figure("turnOut.front." + lock)));
        }
        assertEquals(Optional.empty(), sheet.limits(figure("camber.front.left.steeredLeft20")));
    }

    /** The rear is moved before the front, and on each what disturbs the rest, as the school has it. */
    @ParameterizedTest
    @CsvSource({
        "A, 'cam.rear.left,cam.front.left,topSlot.front.left'",
        "B, 'cam.rear.left,topSlot.front.left,cam.front.left'",
    })
    void partsAreMoved_rearFirst_thenByTheSchool(OrderSchool school, String order) {
        var yes = Adjustable.YES;
        var sheet = new SpecificationSheet(
                Vehicles.GEOMETRY,
                List.of(
                        new SheetLine(
                                Optional.of(Axle.FRONT), Measurand.CAMBER, Optional.empty(), Optional.empty(), yes),
                        new SheetLine(
                                Optional.of(Axle.FRONT), Measurand.CASTER, Optional.empty(), Optional.empty(), yes),
                        new SheetLine(
                                Optional.of(Axle.REAR), Measurand.CAMBER, Optional.empty(), Optional.empty(), yes)),
                List.of(
                        part(Part.TOP_SLOT, "camber.front.left"),
                        part(Part.CAM, "caster.front.left"),
                        part(Part.CAM, "camber.rear.left")));
        List<FigureId> figures =
                List.of(figure("camber.front.left"), figure("caster.front.left"), figure("camber.rear.left"));
        var practical = new Practical(
                "Order",
                school,
                DecisionRule.SIMPLE,
                Mode.PRACTICE,
                OutcomeSchool.COMPETENCE,
                Optional.empty(),
                List.of(),
                new Scheme(List.of(), 0));
        assertEquals(
                List.of(order.split(",")),
                practical.adjusters(figures, sheet).stream().map(Adjuster::id).toList());
    }

    private static Adjuster part(Part part, String figure) {
        FigureId moved = figure(figure);
        return new Adjuster(part, moved.where(), part.unit(), 10, 1, Map.of(moved, Adjuster.Effect.way(1)), true);
    }
}
