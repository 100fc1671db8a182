package app.galdrin.core;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Location;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Truth;
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
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.spec.WheelSize;
import app.galdrin.core.steering.TrackRod;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** A small van whose camber and toe can be adjusted and whose caster can't, and true states of it. */
public final class Vehicles {

    public static final VehicleGeometry GEOMETRY =
            new VehicleGeometry(2760, 1484, 1466, new WheelSize(416, 301), Linkage.BEHIND, 1.5, false, 136.0, 17.8);

    /** Toe-in of one turn, deg: atan(1.5 / 136). */
    public static final double TURN = Math.toDegrees(Math.atan(1.5 / 136));

    /** The left slot's camber a millimetre, deg. */
    public static final double SLOT = 0.1;

    private Vehicles() {}

    public static SpecificationSheet van() {
        return new SpecificationSheet(
                GEOMETRY,
                List.of(
                        line(Measurand.CASTER, 2.9, 3.5, 4.1, 0.6, Adjustable.NO),
                        line(Measurand.CAMBER, -0.9, -0.4, 0.1, 0.5, Adjustable.YES),
                        line(Measurand.KPI, 11.8, 12.5, 13.2, 0.6, Adjustable.NO),
                        line(Measurand.TOE, -0.11, -0.04, 0.03, 0.1, Adjustable.YES),
                        line(Measurand.TOTAL_TOE, -0.22, -0.08, 0.06, 0, Adjustable.YES),
                        new SheetLine(
                                Optional.of(Axle.FRONT),
                                Measurand.SETBACK,
                                Optional.of(Limits.of(-6, 0, 6)),
                                Optional.empty(),
                                Adjustable.NO)),
                List.of(
                        slot(Wheel.FRONT_LEFT, Adjuster.Effect.of(Math.toRadians(SLOT), 0)),
                        slot(Wheel.FRONT_RIGHT, Adjuster.Effect.way(1)),
                        TrackRod.adjuster(Wheel.FRONT_LEFT, GEOMETRY),
                        TrackRod.adjuster(Wheel.FRONT_RIGHT, GEOMETRY)),
                List.of(new Fastener(
                        "lock nut",
                        Optional.of(FastenerUse.ROD_LOCK_NUT),
                        Optional.of("M14 × 1.5"),
                        OptionalDouble.of(50),
                        OptionalDouble.of(60),
                        OptionalDouble.empty(),
                        false)));
    }

    private static Adjuster slot(Wheel wheel, Adjuster.Effect effect) {
        return new Adjuster(
                Part.TOP_SLOT,
                Location.of(wheel),
                Part.TOP_SLOT.unit(),
                12,
                0.5,
                Map.of(FigureId.of(Measurand.CAMBER, wheel), effect),
                true);
    }

    private static SheetLine line(
            Measurand measurand, double min, double preferred, double max, double side, Adjustable adjustable) {
        return new SheetLine(
                Optional.of(Axle.FRONT),
                measurand,
                Optional.of(Limits.of(Math.toRadians(min), Math.toRadians(preferred), Math.toRadians(max))),
                side == 0 ? Optional.empty() : Optional.of(SideDifference.atMost(Math.toRadians(side))),
                adjustable);
    }

    public static FigureId figure(String key) {
        return FigureId.parse(key).orElseThrow();
    }

    /** A state by figure key and degrees; the rear wheels stand straight. */
    public static Truth truth(Object... keysAndDegrees) {
        Map<FigureId, Double> figures = new HashMap<>();
        for (int i = 0; i < keysAndDegrees.length; i += 2) {
            figures.put(figure((String) keysAndDegrees[i]), Math.toRadians((Double) keysAndDegrees[i + 1]));
        }
        return new Truth(figures);
    }
}
