package app.galdrin.core.procedure;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.AxleSetback;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.measure.Instrument;
import app.galdrin.core.procedure.Source.Datum;
import app.galdrin.core.procedure.Source.Read;
import app.galdrin.core.record.FieldUnit;
import app.galdrin.core.spec.VehicleGeometry;
import com.google.auto.service.AutoService;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.random.RandomGenerator;

/** Ways of telling how an axle stands in the vehicle. */
@AutoService(ProcedureList.class)
public final class AxleProcedures implements ProcedureList {

    /** Between which a wheelbase can be, mm. */
    private static final double LEAST_WHEELBASE = 1000;

    private static final double MOST_WHEELBASE = 9000;
    private static final FigureId SETBACK = FigureId.of(Measurand.SETBACK, Axle.FRONT);
    private static final Datum TRACK = new Datum(
            "frontTrack",
            FieldUnit.LENGTH,
            s -> Optional.of(s.sheet().geometry().frontTrack()),
            s -> 0);

    @Override
    public List<Procedure> procedures() {
        return List.of(setback());
    }

    /** The wheelbase of each side with a tape, from rear hub to front hub. */
    private static Procedure setback() {
        Place left = wheelbase(Wheel.FRONT_LEFT);
        Place right = wheelbase(Wheel.FRONT_RIGHT);
        Map<String, Source> fields = new LinkedHashMap<>();
        fields.put("wheelbaseLeft", new Read(left, 1));
        fields.put("wheelbaseRight", new Read(right, 1));
        fields.put("track", TRACK);
        return new Procedure(
                "setback",
                Family.AXLE,
                List.of(left, right),
                List.of(Evaluation.of(AxleSetback.NAME, fields, Map.of("setback", SETBACK))),
                Set.of(),
                Set.of(),
                s -> Optional.empty(),
                AxleProcedures::lay);
    }

    private static Place wheelbase(Wheel wheel) {
        return Place.lengthAt(
                wheel.key() + ".wheelbase",
                wheel,
                "wheelbase",
                LEAST_WHEELBASE,
                MOST_WHEELBASE,
                CatalogueInstrument.TAPE);
    }

    private static Simulation.Laying lay(Truth truth, Standing s, double handling, RandomGenerator random) {
        VehicleGeometry g = s.sheet().geometry();
        Instrument tape = CatalogueInstrument.TAPE.inHands(handling);
        double angle = Math.atan(truth.of(SETBACK) / g.frontTrack());
        return () -> {
            var r = AxleSetback.forward(angle, g.wheelbase(), g.frontTrack(), tape, random);
            return Map.of("fl.wheelbase", r.wheelbaseLeft(), "fr.wheelbase", r.wheelbaseRight());
        };
    }
}
