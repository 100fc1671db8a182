package app.galdrin.core.procedure.catalogue;

import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Source.Datum;
import app.galdrin.core.record.FieldUnit;
import app.galdrin.core.spec.VehicleGeometry;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/** Data that procedures of every family take from a vehicle's sheet, and the walk round it. */
final class Data {

    /** Round the vehicle from the left front wheel. */
    static final List<Wheel> ROUND = List.of(Wheel.FRONT_LEFT, Wheel.REAR_LEFT, Wheel.REAR_RIGHT, Wheel.FRONT_RIGHT);

    static final List<Wheel> FRONTS = List.of(Wheel.FRONT_LEFT, Wheel.FRONT_RIGHT);

    static final Datum WHEELBASE = datum("wheelbase", VehicleGeometry::wheelbase);
    static final Datum FRONT_TRACK = datum("frontTrack", VehicleGeometry::frontTrack);
    private static final Datum FRONT_RIM = datum("rimDiameter", g -> g.rim(Axle.FRONT));
    private static final Datum REAR_RIM = datum("rimDiameterRear", g -> g.rim(Axle.REAR));
    private static final Datum FRONT_TYRE = datum("tyreRadius", g -> g.tyre(Axle.FRONT));
    private static final Datum REAR_TYRE = datum("tyreRadiusRear", g -> g.tyre(Axle.REAR));

    private Data() {}

    private static Datum datum(String key, ToDoubleFunction<VehicleGeometry> value) {
        return new Datum(
                key,
                FieldUnit.LENGTH,
                s -> Optional.of(value.applyAsDouble(s.sheet().geometry())),
                s -> 0);
    }

    /** Returns the length between a rim's edges, mm. */
    static Datum rim(Axle axle) {
        return axle == Axle.FRONT ? FRONT_RIM : REAR_RIM;
    }

    /** Returns the diameter of a tyre, mm. */
    static Datum tyre(Axle axle) {
        return axle == Axle.FRONT ? FRONT_TYRE : REAR_TYRE;
    }
}
