package app.galdrin.web.demo.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Location;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.Fastener;
import app.galdrin.core.spec.FastenerUse;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.Linkage;
import app.galdrin.core.spec.Part;
import app.galdrin.core.spec.SheetLine;
import app.galdrin.core.spec.SideDifference;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.Suspension;
import app.galdrin.core.spec.Vehicle;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.spec.WheelSize;
import app.galdrin.core.spec.written.SheetDocument;
import app.galdrin.core.spec.written.WrittenSheet;
import app.galdrin.core.steering.TrackRod;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** The made-up vehicles of the demo workshop with their sheets: mm and degrees as a sheet is printed. */
final class DemoVehicles {

    private static final VehicleGeometry VAN = new VehicleGeometry(
                    2760, 1484, 1466, new WheelSize(416, 301), Linkage.BEHIND, 1.5, false, 136.0, 17.8)
            .on(Suspension.STRUT, Suspension.RIGID);
    private static final VehicleGeometry BUS = new VehicleGeometry(
                    3350, 1664, 1640, new WheelSize(441, 346), Linkage.AHEAD, 1.5, false, 127.6, 17.4)
            .on(Suspension.DOUBLE_WISHBONE, Suspension.RIGID);

    private static final VehicleGeometry LORRY = new VehicleGeometry(
                    4120, 1885, 1742, new WheelSize(508, 398), Linkage.BEHIND, 2.0, true, 190.0, 21.5)
            .on(Suspension.BEAM, Suspension.RIGID);
    private static final VehicleGeometry PICK_UP = new VehicleGeometry(
                    3085, 1572, 1566, new WheelSize(432, 372), Linkage.AHEAD, 1.5, false, 131.0, 16.9)
            .on(Suspension.DOUBLE_WISHBONE, Suspension.DOUBLE_WISHBONE);

    private DemoVehicles() {}

    /** A beam axle on leaf springs: caster by wedges under the springs, one sleeve for both wheels' toe. */
    static final WrittenSheet.ParsedSheet MOBILE_LIBRARY = new WrittenSheet.ParsedSheet(
            new Vehicle("Ostrick", "Lectern 75", "mobile library", "MW 603 L", Axle.REAR, Side.RIGHT),
            new SpecificationSheet(
                    LORRY,
                    List.of(
                            line(Axle.FRONT, Measurand.CASTER, 2.5, 3.5, 4.5, 0.75, Adjustable.WITH_ADDED_PARTS),
                            line(Axle.FRONT, Measurand.CAMBER, 0.25, 0.75, 1.25, 0.5, Adjustable.NO),
                            line(Axle.FRONT, Measurand.KPI, 6.4, 7.0, 7.6, 0.6, Adjustable.NO),
                            line(Axle.FRONT, Measurand.KINGPIN_TWIST, -0.6, 0.0, 0.6, null, Adjustable.NO),
                            line(Axle.FRONT, Measurand.TOE, -0.02, 0.06, 0.14, 0.1, Adjustable.YES),
                            line(Axle.FRONT, Measurand.TOTAL_TOE, 0.0, 0.12, 0.24, null, Adjustable.YES),
                            line(Axle.REAR, Measurand.TOTAL_TOE, -0.15, 0.0, 0.15, null, Adjustable.NO)),
                    beamAdjusters(),
                    List.of(
                            fastener("sleeve clamp bolt", FastenerUse.SLEEVE_CLAMP, "M10 × 1.5", 40, 50, false),
                            fastener("spring U-bolt nut", FastenerUse.SPRING_BOLT, "M16 × 1.5", 200, 230, false),
                            new Fastener(
                                    "steering-arm ball nut",
                                    Optional.of(FastenerUse.BALL_JOINT),
                                    Optional.empty(),
                                    OptionalDouble.empty(),
                                    OptionalDouble.empty(),
                                    OptionalDouble.empty(),
                                    true),
                            fastener("wheel nut", FastenerUse.WHEEL_NUT, "M20 × 1.5", 380, 420, false))));

    /** Double wishbones with cams in front, an independent rear with cams of its own. */
    static final WrittenSheet.ParsedSheet RANGER = new WrittenSheet.ParsedSheet(
            new Vehicle("Tarrow", "Bracken", "park ranger’s pick-up", "MW 371 P", Axle.REAR, Side.RIGHT),
            new SpecificationSheet(
                    PICK_UP,
                    List.of(
                            line(Axle.FRONT, Measurand.CASTER, 2.6, 3.2, 3.8, 0.5, Adjustable.YES),
                            line(Axle.FRONT, Measurand.CAMBER, -0.6, -0.1, 0.4, 0.5, Adjustable.YES),
                            line(Axle.FRONT, Measurand.KPI, 10.4, 11.0, 11.6, 0.6, Adjustable.NO),
                            line(Axle.FRONT, Measurand.TOE, -0.02, 0.06, 0.14, 0.1, Adjustable.YES),
                            line(Axle.FRONT, Measurand.TOTAL_TOE, -0.04, 0.12, 0.28, null, Adjustable.YES),
                            line(Axle.REAR, Measurand.CAMBER, -1.2, -0.7, -0.2, 0.5, Adjustable.YES),
                            line(Axle.REAR, Measurand.TOE, 0.02, 0.1, 0.18, 0.1, Adjustable.YES),
                            line(Axle.REAR, Measurand.TOTAL_TOE, 0.04, 0.2, 0.36, null, Adjustable.YES),
                            line(Axle.REAR, Measurand.THRUST, -0.1, 0.0, 0.1, null, Adjustable.YES)),
                    rangerAdjusters()));

    private static List<Adjuster> beamAdjusters() {
        List<Adjuster> adjusters = new ArrayList<>();
        for (Wheel wheel : List.of(Wheel.FRONT_LEFT, Wheel.FRONT_RIGHT)) {
            adjusters.add(adjuster(Part.SHIM, Location.of(wheel), Map.of(FigureId.of(Measurand.CASTER, wheel), 0.45)));
        }
        // one rod joins both arms: what a turn of its sleeve does is shared by both wheels
        double each = Math.toDegrees(TrackRod.of(LORRY).orElseThrow().ratePerTurn()) / 2;
        adjusters.add(adjuster(
                Part.SLEEVE,
                Location.FRONT,
                Map.of(
                        FigureId.of(Measurand.TOE, Wheel.FRONT_LEFT),
                        each,
                        FigureId.of(Measurand.TOE, Wheel.FRONT_RIGHT),
                        each)));
        return adjusters;
    }

    private static List<Adjuster> rangerAdjusters() {
        List<Adjuster> adjusters = new ArrayList<>();
        for (Wheel wheel : List.of(Wheel.REAR_LEFT, Wheel.REAR_RIGHT)) {
            adjusters.add(adjuster(
                    Part.CAM,
                    Location.of(wheel),
                    Map.of(FigureId.of(Measurand.CAMBER, wheel), 0.15, FigureId.of(Measurand.TOE, wheel), -0.08)));
        }
        adjusters.addAll(adjusters(
                PICK_UP, Part.CAM, Map.of(Measurand.CASTER, 0.25, Measurand.CAMBER, -0.12, Measurand.TOE, 0.05)));
        return adjusters;
    }

    /** Effects in degrees a unit, good to a tenth of themselves. */
    private static Adjuster adjuster(Part part, Location where, Map<FigureId, Double> degreesAUnit) {
        Map<FigureId, Adjuster.Effect> effects = new HashMap<>();
        degreesAUnit.forEach((figure, degrees) -> effects.put(
                figure, Adjuster.Effect.of(Math.toRadians(degrees), Math.toRadians(Math.abs(degrees) / 10))));
        return new Adjuster(part, where, part.unit(), 12, 0.5, effects, true);
    }

    /** Driven front wheels on struts: camber at the top mount's slot, caster not adjustable. */
    static final WrittenSheet.ParsedSheet PARCEL_VAN = new WrittenSheet.ParsedSheet(
            new Vehicle("Quendle", "Parcel 9", "small van", "MW 214 Q", Axle.FRONT, Side.RIGHT),
            new SpecificationSheet(
                    VAN,
                    List.of(
                            line(Axle.FRONT, Measurand.CASTER, 2.9, 3.5, 4.1, 0.6, Adjustable.NO),
                            line(Axle.FRONT, Measurand.CAMBER, -0.9, -0.4, 0.1, 0.5, Adjustable.YES),
                            line(Axle.FRONT, Measurand.KPI, 11.8, 12.5, 13.2, 0.6, Adjustable.NO),
                            line(Axle.FRONT, Measurand.TOE, -0.11, -0.04, 0.03, 0.1, Adjustable.YES),
                            line(Axle.FRONT, Measurand.TOTAL_TOE, -0.22, -0.08, 0.06, null, Adjustable.YES),
                            line(Axle.REAR, Measurand.CAMBER, -1.6, -1.1, -0.6, 0.5, Adjustable.NO),
                            line(Axle.REAR, Measurand.TOE, 0.0, 0.12, 0.24, 0.15, Adjustable.NO),
                            line(Axle.REAR, Measurand.TOTAL_TOE, 0.0, 0.24, 0.48, null, Adjustable.NO)),
                    adjusters(VAN, Part.TOP_SLOT, Map.of(Measurand.CAMBER, 0.1, Measurand.TOE, 0.02)),
                    List.of(
                            fastener("top-mount nut", FastenerUse.TOP_MOUNT, "M8 × 1.25", 20, 25, false),
                            fastener("track-rod lock nut", FastenerUse.ROD_LOCK_NUT, "M14 × 1.5", 50, 60, false),
                            fastener("track-rod end nut", FastenerUse.ROD_END, "M12 × 1.25", 38, 45, true),
                            fastener("wheel bolt", FastenerUse.WHEEL_NUT, "M12 × 1.5", 105, 115, false))));

    /** Another van of the same make and model. */
    static final WrittenSheet.ParsedSheet SECOND_VAN = new WrittenSheet.ParsedSheet(
            new Vehicle("Quendle", "Parcel 9", "small van", "MW 518 Q", Axle.FRONT, Side.RIGHT), PARCEL_VAN.sheet());

    /** Driven rear wheels, double wishbones in front: one pair of cams a side moves caster, camber and toe. */
    static final WrittenSheet.ParsedSheet MINIBUS = new WrittenSheet.ParsedSheet(
            new Vehicle("Brastow", "Tolvi", "wheelchair-access minibus", "MW 088 B", Axle.REAR, Side.RIGHT),
            new SpecificationSheet(
                    BUS,
                    List.of(
                            line(Axle.FRONT, Measurand.CASTER, 3.8, 4.4, 5.0, 0.5, Adjustable.YES),
                            line(Axle.FRONT, Measurand.CAMBER, -0.75, -0.25, 0.25, 0.5, Adjustable.YES),
                            line(Axle.FRONT, Measurand.KPI, 8.3, 9.0, 9.7, 0.6, Adjustable.NO),
                            line(Axle.FRONT, Measurand.TOE, 0.0, 0.08, 0.16, 0.1, Adjustable.YES),
                            line(Axle.FRONT, Measurand.TOTAL_TOE, 0.0, 0.16, 0.32, null, Adjustable.YES),
                            line(Axle.REAR, Measurand.CAMBER, -0.3, 0.0, 0.3, 0.3, Adjustable.NO),
                            line(Axle.REAR, Measurand.TOE, -0.1, 0.0, 0.1, 0.1, Adjustable.NO),
                            line(Axle.REAR, Measurand.TOTAL_TOE, -0.15, 0.0, 0.15, null, Adjustable.NO)),
                    adjusters(
                            BUS,
                            Part.CAM,
                            Map.of(Measurand.CASTER, 0.25, Measurand.CAMBER, -0.12, Measurand.TOE, 0.05)),
                    List.of(
                            fastener("cam bolt", FastenerUse.CAM_BOLT, "M14 × 1.5", 115, 130, false),
                            fastener("track-rod lock nut", FastenerUse.ROD_LOCK_NUT, "M16 × 1.5", 65, 75, false),
                            fastener("track-rod end nut", FastenerUse.ROD_END, "M14 × 1.5", 55, 65, true),
                            fastener("wheel nut", FastenerUse.WHEEL_NUT, "M14 × 1.5", 150, 165, false))));

    private static Fastener fastener(
            String name, FastenerUse use, String thread, double least, double most, boolean singleUse) {
        return new Fastener(
                name,
                Optional.of(use),
                Optional.of(thread),
                OptionalDouble.of(least),
                OptionalDouble.of(most),
                OptionalDouble.empty(),
                singleUse);
    }

    /** The other part of each front wheel first, as it is adjusted first, then the rods. */
    private static List<Adjuster> adjusters(VehicleGeometry geometry, Part part, Map<Measurand, Double> degreesAUnit) {
        List<Adjuster> adjusters = new ArrayList<>();
        for (Wheel wheel : List.of(Wheel.FRONT_LEFT, Wheel.FRONT_RIGHT)) {
            Map<FigureId, Double> degrees = new HashMap<>();
            degreesAUnit.forEach((measurand, each) -> degrees.put(FigureId.of(measurand, wheel), each));
            adjusters.add(adjuster(part, Location.of(wheel), degrees));
        }
        adjusters.add(TrackRod.adjuster(Wheel.FRONT_LEFT, geometry));
        adjusters.add(TrackRod.adjuster(Wheel.FRONT_RIGHT, geometry));
        return adjusters;
    }

    private static SheetLine line(
            Axle axle,
            Measurand measurand,
            double min,
            double preferred,
            double max,
            @Nullable Double sideDifference,
            Adjustable adjustable) {
        var limits = Limits.of(Math.toRadians(min), Math.toRadians(preferred), Math.toRadians(max));
        Optional<SideDifference> difference = sideDifference == null
                ? Optional.empty()
                : Optional.of(SideDifference.atMost(Math.toRadians(sideDifference)));
        return new SheetLine(Optional.of(axle), measurand, Optional.of(limits), difference, adjustable);
    }

    /** The second issue of the pick-up's sheet, as it would be sent by another workshop. */
    static WrittenSheet.ParsedSheet rangerAsPrinted() {
        try (var in = Objects.requireNonNull(DemoVehicles.class.getResourceAsStream("ranger.sheet.json"))) {
            return (WrittenSheet.ParsedSheet) SheetDocument.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException("the demo's sheet", e);
        }
    }
}
