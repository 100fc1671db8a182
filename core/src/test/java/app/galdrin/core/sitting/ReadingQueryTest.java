package app.galdrin.core.sitting;

import static app.galdrin.core.Vehicles.figure;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Choice;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.OutcomeSchool;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Scheme;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Readings that can't be together are asked back; those of a vehicle never are. */
class ReadingQueryTest {

    private static List<ReadingQuery> asked(Procedure procedure, List<FigureId> figures, Map<String, Double> readings) {
        var measure = Measure.of("m", procedure, figures, 1);
        var practical = new Practical(
                "Read it",
                OrderSchool.A,
                DecisionRule.SIMPLE,
                Mode.PRACTICE,
                OutcomeSchool.COMPETENCE,
                Optional.empty(),
                List.of(measure, new HandIn("handIn")),
                new Scheme(List.of(), 0));
        Map<LineKey, WrittenValue> written = new HashMap<>();
        readings.forEach((place, value) -> written.put(
                new LineKey("m", place, procedure.place(place).eachRepeat() ? 1 : 0, 0),
                new WrittenValue(String.valueOf(value), OptionalDouble.of(value), OptionalDouble.of(0.01))));
        for (Choice choice : procedure.choices()) {
            written.put(
                    new LineKey("m", choice.id(), 0, 0),
                    new WrittenValue(choice.usual(), OptionalDouble.empty(), OptionalDouble.empty()));
        }
        var own = new OwnFigures(Assignment.of(practical, Vehicles.van()), new Answers(written));
        return ReadingQuery.of(own, measure, 0);
    }

    static Stream<Procedure> all() {
        return Procedures.all().stream();
    }

    @ParameterizedTest
    @MethodSource("all")
    void whatAVehicleShows_isNeverAskedBack(Procedure procedure) {
        Map<FigureId, Double> state = new HashMap<>();
        for (Wheel wheel : Wheel.values()) {
            state.put(FigureId.of(Measurand.CASTER, wheel), 0.06);
            state.put(FigureId.of(Measurand.CAMBER, wheel), -0.007);
            state.put(FigureId.of(Measurand.KPI, wheel), 0.21);
            state.put(FigureId.of(Measurand.TOE, wheel), 0.002);
            state.put(FigureId.of(Measurand.RUN_OUT, wheel), 0.004);
        }
        for (String lock : List.of("leftLock", "rightLock")) {
            state.put(figure("turnOut.front." + lock), 0.04);
        }
        var assignment =
                procedure.asUsual(new MeasuringContext(Vehicles.van(), app.galdrin.core.procedure.BayFloor.LEVEL));
        Map<String, Double> readings = procedure
                .lay(new Truth(state), assignment, 1, new SplittableRandom(3))
                .read();
        assertEquals(List.of(), asked(procedure, List.copyOf(procedure.sees()), readings));
    }

    @ParameterizedTest
    @CsvSource({
        "34, 34, true",
        "34, 34.5, false",
    })
    void equalLocksOfOneWheel_areAskedBack(double out, double in, boolean back) {
        Map<String, Double> readings = Map.of("fl.out.steer", out, "fl.in.steer", in);
        List<ReadingQuery> asked = asked(Procedures.of("fullLock"), List.of(figure("caster.front.left")), readings);
        assertEquals(
                back ? List.of(List.of("fl.out.steer", "fl.in.steer")) : List.of(),
                asked.stream()
                        .map(a -> a.places().stream().map(Place::id).toList())
                        .toList());
        assertTrue(asked.stream().allMatch(a -> a.figure().isEmpty() && a.repeat() == 1));
    }

    /** A rim's front and rear can't be farther from a string than the rim is wide apart. */
    @ParameterizedTest
    @CsvSource({"20, 440, true", "20, 400, false"})
    void whatNoWheelCanShow_isAskedBack_withItsFigure(double front, double rear, boolean back) {
        Map<String, Double> readings = new HashMap<>(Map.of(
                "stringSpacingFront",
                1800.0,
                "stringSpacingRear",
                1800.0,
                "stationDistance",
                3500.0,
                "hubGap.fl",
                158.0,
                "hubGap.fr",
                158.0,
                "hubGap.rl",
                167.0,
                "hubGap.rr",
                167.0));
        readings.put("wheels.fl.frontGap", front);
        readings.put("wheels.fl.rearGap", rear);
        for (String wheel : List.of("fr", "rl", "rr")) {
            readings.put("wheels." + wheel + ".frontGap", 57.0);
            readings.put("wheels." + wheel + ".rearGap", 57.0);
        }
        FigureId toe = figure("toe.front.left");
        List<ReadingQuery> asked = asked(Procedures.of("strings"), List.of(toe), readings);
        assertEquals(back, asked.stream().anyMatch(a -> a.figure().equals(Optional.of(toe))), asked::toString);
    }
}
