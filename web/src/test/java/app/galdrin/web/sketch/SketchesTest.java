package app.galdrin.web.sketch;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.Linkage;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.spec.WheelSize;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class SketchesTest {

    static SpecificationSheet sheet(double wheelbase, double front, double rear, double rim) {
        return new SpecificationSheet(
                new VehicleGeometry(
                        wheelbase,
                        front,
                        rear,
                        new WheelSize(rim, rim * 0.75),
                        Linkage.BEHIND,
                        1.5,
                        false,
                        136.0,
                        17.0),
                List.of(),
                List.of());
    }

    /** Everything a procedure sees, what is usual of it, and one wheel alone. */
    private static List<List<FigureId>> choices(Procedure procedure) {
        List<List<FigureId>> choices = new ArrayList<>();
        choices.add(List.copyOf(procedure.sees()));
        Measurand base = procedure.sees().iterator().next().measurand().base();
        choices.add(TaskStart.usualFigures(procedure, base));
        procedure.sees().stream().filter(f -> !f.ofBothWheels()).findFirst().ifPresent(f -> choices.add(List.of(f)));
        return choices.stream().filter(c -> !c.isEmpty()).toList();
    }

    /** From a very short and narrow vehicle to a long lorry with unlike tracks. */
    @ParameterizedTest
    @MethodSource("vehicles")
    void fields_lieOnTheDrawing_andNeverOnOneAnother(SpecificationSheet sheet) {
        for (Procedure procedure : Procedures.all()) {
            for (List<FigureId> figures : choices(procedure)) {
                Sketch sketch = Sketches.of(new UUID(1, 2), sheet, procedure, figures);
                for (Drawing drawing : List.of(sketch.lying(), sketch.upright())) {
                    lieApart(procedure.key() + figures, sketch, drawing);
                }
                assertTrue(
                        sketch.upright().fields().values().stream().allMatch(b -> b.height() >= 44),
                        "thumbs in gloves: " + procedure.key());
            }
        }
    }

    /** A word on a drawing stands clear of what is drawn, of fields and of other words, whatever the vehicle's proportions. */
    @ParameterizedTest
    @MethodSource("vehicles")
    void words_areCrossedByNothing(SpecificationSheet sheet) {
        List<String> crossed = new ArrayList<>();
        for (Procedure procedure : Procedures.all()) {
            for (List<FigureId> figures : choices(procedure)) {
                Sketch sketch = Sketches.of(new UUID(1, 2), sheet, procedure, figures);
                crossed.addAll(SketchWords.crossed(procedure.key() + " lying", sketch.lying()));
                crossed.addAll(SketchWords.crossed(procedure.key() + " upright", sketch.upright()));
            }
        }
        assertEquals(List.of(), crossed.stream().distinct().toList());
    }

    static Stream<SpecificationSheet> vehicles() {
        return Stream.of(
                sheet(2760, 1484, 1466, 416),
                sheet(3350, 1664, 1640, 441),
                sheet(1600, 1400, 1400, 330),
                sheet(1850, 1150, 1150, 300),
                sheet(6200, 2050, 1840, 570),
                sheet(2500, 1300, 1700, 400),
                sheet(2500, 1750, 1300, 400));
    }

    @ParameterizedTest
    @MethodSource("vehicles")
    void theGeometry_hasItsLettersClearOfItsStrokes(SpecificationSheet sheet) {
        for (boolean upright : new boolean[] {false, true}) {
            Drawing drawing = Sketches.geometry(sheet.geometry(), upright);
            assertEquals(List.of(), SketchWords.crossed("geometry", drawing));
            assertEquals(
                    "ABCDEF",
                    drawing.shapes().stream()
                            .filter(s -> s instanceof Shape.Label l && l.words().startsWith("sketch.letter."))
                            .map(s -> ((Shape.Label) s).words().substring("sketch.letter.".length()))
                            .sorted()
                            .collect(Collectors.joining()));
        }
    }

    /** Strokes and words of every option there is and of no other, and rules by which a choice shows its own alone. */
    @Test
    void whatGoesWithAnOption_isDrawnOnceItIsChosen() {
        for (Procedure procedure : Procedures.all()) {
            var sketch =
                    Sketches.of(new UUID(1, 2), sheet(2760, 1484, 1466, 416), procedure, List.copyOf(procedure.sees()));
            var options = new TreeSet<String>();
            procedure.choices().forEach(c -> c.options().forEach(o -> options.add(Sketch.option(c.id(), o))));
            for (Drawing drawing : List.of(sketch.lying(), sketch.upright())) {
                var drawn = new TreeSet<String>();
                drawing.shapes().forEach(s -> Optional.ofNullable(s.option()).ifPresent(drawn::add));
                assertEquals(options, drawn, procedure.key());
            }
            String css = Sketches.styleSheet(sketch);
            assertTrue(options.stream()
                    .allMatch(o ->
                            css.contains("." + Sketch.chose(o) + " [data-option=\"" + o + "\"] { display: inline")));
        }
        var beam = Procedures.of("laserLine");
        var sketch = Sketches.of(new UUID(1, 2), sheet(2760, 1484, 1466, 416), beam, List.copyOf(beam.sees()));
        assertEquals(sketch.key() + " chose-lineSide chose-lineSide-inboard", sketch.as(Map.of("lineSide", "inboard")));
        assertEquals(sketch.key(), sketch.as(Map.of()));
    }

    /** Boxes of one position of the wheel; those of another are not shown with them. */
    private static void lieApart(String what, Sketch sketch, Drawing drawing) {
        assertEquals(sketch.places().size(), drawing.fields().size(), what);
        List<Map.Entry<String, Box>> boxes = new ArrayList<>(drawing.fields().entrySet());
        for (int i = 0; i < boxes.size(); i++) {
            Box box = boxes.get(i).getValue();
            assertTrue(box.inside(drawing.width(), drawing.height()), what + boxes.get(i) + " off the drawing");
            for (int j = 0; j < i; j++) {
                assertTrue(!box.overlaps(boxes.get(j).getValue()), what + boxes.get(i) + " on " + boxes.get(j));
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"-0.09,inside", "0.05,tooClose", "0.09,tooClose", "0.31,outside", "-2.4,outside"})
    void toleranceRule_keepsItsOrder_howeverFarOutTheReading(double degrees, String mark) {
        var value = new Estimate(Math.toRadians(degrees), Math.toRadians(0.03));
        var limits = Limits.of(Math.toRadians(-0.22), Math.toRadians(-0.08), Math.toRadians(0.06));
        var zone = Judgement.of(value, limits, Judgement.K, DecisionRule.SIMPLE).zone();
        var total = FigureId.of(Measurand.TOTAL_TOE, Axle.FRONT);
        var rule = ToleranceRule.of(total, value.value(), value.standardUncertainty() * Judgement.K, limits, zone);
        assertEquals(mark, rule.mark());
        assertTrue(rule.minX() < rule.preferredX() && rule.preferredX() < rule.maxX());
        assertTrue(rule.lowX() < rule.valueX() && rule.valueX() < rule.highX());
        assertTrue(rule.lowX() >= 0 && rule.highX() <= ToleranceRule.WIDTH);
        assertEquals(degrees > -0.08, rule.valueX() > rule.preferredX());
    }

    @ParameterizedTest
    @CsvSource({"-0.5,", ",0.5", "-0.5,0.5"})
    void aLimitOfOneSide_isDrawnWithTheOther_leftOpen(Double min, Double max) {
        var limits = new Limits(degrees(min), java.util.OptionalDouble.empty(), degrees(max));
        var camber = FigureId.of(Measurand.CAMBER, Wheel.FRONT_LEFT);
        var value = new Estimate(0, 0.001);
        var zone = Judgement.of(value, limits, Judgement.K, DecisionRule.SIMPLE).zone();
        var rule = ToleranceRule.of(camber, 0, 0.001, limits, zone);
        assertEquals("inside", rule.mark());
        assertTrue(rule.lowX() >= 0 && rule.highX() <= ToleranceRule.WIDTH);
    }

    private static java.util.OptionalDouble degrees(Double value) {
        return value == null ? java.util.OptionalDouble.empty() : java.util.OptionalDouble.of(Math.toRadians(value));
    }
}
