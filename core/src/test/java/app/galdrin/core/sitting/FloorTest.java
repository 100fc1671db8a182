package app.galdrin.core.sitting;

import static app.galdrin.core.Vehicles.figure;
import static app.galdrin.core.Vehicles.truth;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.Vehicles;
import app.galdrin.core.answer.LineText;
import app.galdrin.core.answer.LineText.ParsedText;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Line;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.OutcomeSchool;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Scheme;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/** The slope of a bay's floor: surveyed, or read with the rest where nobody has surveyed it. */
class FloorTest {

    private static final FigureId CASTER = figure("caster.front.left");
    private static final FigureId CAMBER = figure("camber.front.left");
    private static final Truth TRUTH =
            truth("caster.front.left", 3.5, "kpi.front.left", 12.5, "camber.front.left", -0.4);
    private static final BayFloor SLOPED = new BayFloor(3, Math.toRadians(0.4), Math.toRadians(-0.6), 0);

    private static final Measure SWEEP = Measure.of("caster", Procedures.of("sweep"), List.of(CASTER), 1);
    private static final Measure TURNED = Measure.of("camber", Procedures.of("inclinometerTurned"), List.of(CAMBER), 1);
    private static final Practical PRACTICAL = new Practical(
            "Both",
            OrderSchool.A,
            DecisionRule.SIMPLE,
            Mode.ASSESSMENT,
            OutcomeSchool.COMPETENCE,
            Optional.empty(),
            List.of(SWEEP, TURNED, new HandIn("handIn")),
            new Scheme(List.of(), 0));

    private final Map<LineKey, WrittenValue> written = new HashMap<>();

    private static Assignment in(BayFloor floor) {
        return new Assignment(PRACTICAL, Vehicles.van(), floor);
    }

    /** Reads both steps on the sloped floor, without any scatter. */
    private FloorTest read() {
        for (Measure measure : List.of(SWEEP, TURNED)) {
            Map<String, Double> shown = measure.procedure()
                    .lay(TRUTH, in(SLOPED).standing(), 0, new SplittableRandom(1))
                    .read();
            measure.procedure()
                    .places(measure.figures())
                    .forEach(place -> written.put(
                            new LineKey(measure.id(), place.id(), place.eachRepeat() ? 1 : 0, 0),
                            WrittenValue.number("as read", shown.get(place.id()), 0.01)));
        }
        return this;
    }

    private FloorTest write(String step, String line, String text) {
        Sheet sheet = new Sheet(in(BayFloor.unsurveyed(3)));
        LineKey key = LineKey.of(step, line);
        var read =
                (ParsedText) LineText.read(text, sheet.line(key).orElseThrow().answer());
        written.put(key, new WrittenValue(read.written(), read.value(), read.step()));
        return this;
    }

    private Optional<Double> degrees(BayFloor floor, Measure measure, FigureId figure) {
        return new OwnFigures(in(floor), new Answers(written))
                .mean(measure, 0, figure)
                .map(e -> Math.toDegrees(e.value()));
    }

    @Test
    void whereNobodyHasSurveyed_theSlopesThatAreNeeded_areLinesOfTheSheet() {
        Sheet unsurveyed = new Sheet(in(BayFloor.unsurveyed(3)));
        assertEquals(
                List.of("floorPitch", "floorRoll"),
                unsurveyed.lines(SWEEP).stream()
                        .map(Line::id)
                        .filter(id -> id.startsWith("floor"))
                        .toList());
        assertEquals(
                List.of("floorRoll"),
                unsurveyed.lines(TURNED).stream()
                        .map(Line::id)
                        .filter(id -> id.startsWith("floor"))
                        .toList());
        new Sheet(in(SLOPED)).lines(SWEEP).forEach(line -> assertFalse(line.id().startsWith("floor")));
    }

    @Test
    void whoeverReadsTheSlope_andTakesItOff_hasWhatASurveyGives() {
        read();
        assertEquals(Optional.empty(), degrees(BayFloor.unsurveyed(3), SWEEP, CASTER), "not known is not level");
        write("caster", "floorPitch", "0.4, fallsToRear").write("caster", "floorRoll", "0.6, fallsLeft");
        assertEquals(
                degrees(SLOPED, SWEEP, CASTER).orElseThrow(),
                degrees(BayFloor.unsurveyed(3), SWEEP, CASTER).orElseThrow(),
                1e-12);
        assertEquals(3.5, degrees(SLOPED, SWEEP, CASTER).orElseThrow(), 1e-6);
        assertEquals(
                -0.4, degrees(BayFloor.unsurveyed(3), TURNED, CAMBER).orElseThrow(), 1e-6, "read once for the sheet");
    }

    @Test
    void aSlope_isAskedForOnce_andItsDoubtIsTheReaders() {
        Sheet sheet = new Sheet(in(BayFloor.unsurveyed(3)));
        LineKey again = LineKey.of("camber", "floorRoll");
        assertFalse(sheet.isFilled(again, new Answers(written)));
        read().write("caster", "floorPitch", "0.4, fallsToRear").write("caster", "floorRoll", "0.6, fallsLeft");
        assertTrue(sheet.isFilled(again, new Answers(written)));
        var own = new OwnFigures(in(BayFloor.unsurveyed(3)), new Answers(written))
                .mean(TURNED, 0, CAMBER)
                .orElseThrow();
        var surveyed = new OwnFigures(in(SLOPED), new Answers(written))
                .mean(TURNED, 0, CAMBER)
                .orElseThrow();
        double level = Procedures.of("inclinometerTurned").levelUncertainty();
        assertEquals(Math.hypot(surveyed.standardUncertainty(), level), own.standardUncertainty(), 1e-9);
    }

    @Test
    void aReference_isWorkedOnTheFloorWhereItWasRead() {
        read();
        var there = new OwnFigures(in(BayFloor.LEVEL), new Answers(written).on(SLOPED))
                .mean(SWEEP, 0, CASTER)
                .orElseThrow();
        assertEquals(
                String.format(Locale.ROOT, "%.6f", 3.5),
                String.format(Locale.ROOT, "%.6f", Math.toDegrees(there.value())));
    }
}
