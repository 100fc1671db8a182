package app.galdrin.web.sketch;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.measure.ToeMethod;
import app.galdrin.core.measure.ToeMethods;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.Linkage;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SketchesTest {

    private static VehicleGeometry vehicle(double wheelbase, double front, double rear, double rim) {
        return new VehicleGeometry(wheelbase, front, rear, rim, rim * 0.75, Linkage.BEHIND, 1.5, false, 136, 17);
    }

    /** From a very short and narrow vehicle to a long lorry with unlike tracks. */
    @ParameterizedTest
    @CsvSource({
        "2760,1484,1466,416",
        "3350,1664,1640,441",
        "1600,1400,1400,330",
        "1850,1150,1150,300",
        "6200,2050,1840,570",
        "2500,1300,1700,400",
        "2500,1750,1300,400",
    })
    void fields_lieOnTheDrawing_andNeverOnOneAnother(double wheelbase, double front, double rear, double rim) {
        for (ToeMethod method : ToeMethods.all()) {
            Sketch sketch = Sketches.of(new UUID(1, 2), vehicle(wheelbase, front, rear, rim), method);
            for (Drawing drawing : List.of(sketch.lying(), sketch.upright())) {
                assertEquals(method.places().size(), drawing.fields().size());
                List<Map.Entry<String, Box>> boxes =
                        new ArrayList<>(drawing.fields().entrySet());
                for (int i = 0; i < boxes.size(); i++) {
                    Box box = boxes.get(i).getValue();
                    assertTrue(box.inside(drawing.width(), drawing.height()), boxes.get(i) + " off " + drawing.width());
                    for (int j = 0; j < i; j++) {
                        assertTrue(!box.overlaps(boxes.get(j).getValue()), boxes.get(i) + " on " + boxes.get(j));
                    }
                }
            }
            assertTrue(sketch.upright().fields().values().stream().allMatch(b -> b.height() >= 44), "thumbs in gloves");
        }
    }

    @ParameterizedTest
    @CsvSource({"-0.09,inside", "0.05,tooClose", "0.09,tooClose", "0.31,outside", "-2.4,outside"})
    void toleranceRule_keepsItsOrder_howeverFarOutTheReading(double degrees, String mark) {
        var value = new Estimate(Math.toRadians(degrees), Math.toRadians(0.03));
        var limits = Limits.of(Math.toRadians(-0.22), Math.toRadians(-0.08), Math.toRadians(0.06));
        var rule = ToleranceRule.of(value, limits, Judgement.of(value, limits, Judgement.K, DecisionRule.SIMPLE));
        assertEquals(mark, rule.mark());
        assertTrue(rule.minX() < rule.preferredX() && rule.preferredX() < rule.maxX());
        assertTrue(rule.lowX() < rule.valueX() && rule.valueX() < rule.highX());
        assertTrue(rule.lowX() >= 0 && rule.highX() <= ToleranceRule.WIDTH);
        assertEquals(degrees > -0.08, rule.valueX() > rule.preferredX());
    }
}
