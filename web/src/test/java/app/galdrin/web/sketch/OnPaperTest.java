package app.galdrin.web.sketch;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class OnPaperTest {

    /** Left free round a drawing on paper, in its units. */
    private static final double MARGIN = 6;

    static Stream<Procedure> procedures() {
        return Procedures.all().stream();
    }

    private static Sketch sketch(Procedure procedure) {
        return Sketches.of(
                new UUID(1, 2), SketchesTest.sheet(2850, 1540, 1520, 406), procedure, List.copyOf(procedure.sees()));
    }

    private static List<Shape.Text> texts(Drawing paper, String style) {
        return paper.shapes().stream()
                .filter(s -> s instanceof Shape.Text && s.style().equals(style))
                .map(Shape.Text.class::cast)
                .toList();
    }

    private static boolean holds(Box box, Shape.Text text) {
        return text.x() > box.x()
                && text.x() < box.x() + box.width()
                && text.y() > box.y()
                && text.y() < box.y() + box.height();
    }

    @ParameterizedTest
    @MethodSource("procedures")
    void whatWasRead_standsInItsField_andItsNameAndSlipBesideIt(Procedure procedure) {
        Sketch sketch = sketch(procedure);
        Drawing paper = OnPaper.of(
                sketch,
                Map.of(),
                sketch.places().stream()
                        .map(p -> new OnPaper.PlacedReading(
                                p, "name " + p.id(), "own " + p.id(), "ref " + p.id(), "slip " + p.id()))
                        .toList());
        for (int i = 0; i < sketch.places().size(); i++) {
            String id = sketch.places().get(i).id();
            Box box = Objects.requireNonNull(paper.fields().get(id));
            for (String style : List.of("own", "ref", "name", "slip")) {
                Shape.Text text = texts(paper, style).get(i);
                assertEquals(style + " " + id, text.text());
                assertEquals(style.equals("own") || style.equals("ref"), holds(box, text), style + " of " + id);
                assertTrue(text.y() > -MARGIN && text.y() < paper.height() + MARGIN, style + " of " + id);
            }
            assertTrue(
                    texts(paper, "own").get(i).y() < texts(paper, "ref").get(i).y(), "own above");
            double name = texts(paper, "name").get(i).y() - box.y();
            double slip = texts(paper, "slip").get(i).y() - box.y();
            assertTrue(name * slip < 0, "on either side of the field");
        }
    }

    @ParameterizedTest
    @MethodSource("procedures")
    void whatGoesWithOtherOptions_isLeftOut(Procedure procedure) {
        Sketch sketch = sketch(procedure);
        Map<String, String> chosen = new HashMap<>();
        sketch.choices().forEach(c -> chosen.put(c.id(), c.options().get(0)));
        Set<String> names = chosen.entrySet().stream()
                .map(e -> Sketch.option(e.getKey(), e.getValue()))
                .collect(Collectors.toSet());
        List<Shape> drawn = OnPaper.of(sketch, chosen, List.of()).shapes();
        assertEquals(
                sketch.lying().shapes().stream()
                        .filter(s -> s.option() == null || names.contains(s.option()))
                        .toList(),
                drawn);
        List<Shape> touched =
                OnPaper.of(sketch, chosen, List.of(read(sketch, ""))).shapes();
        assertEquals(List.of("field", "between", "own", "ref", "name"), styles(touched, drawn.size()));
        assertEquals(
                List.of("field slipped", "between", "own", "ref", "name", "hook", "slip"),
                styles(OnPaper.of(sketch, chosen, List.of(read(sketch, "57"))).shapes(), drawn.size()));
    }

    private static OnPaper.PlacedReading read(Sketch sketch, String slipped) {
        return new OnPaper.PlacedReading(sketch.places().get(0), "1 rim", "58", "57.5", slipped);
    }

    private static List<String> styles(List<Shape> shapes, int from) {
        return shapes.stream().skip(from).map(Shape::style).toList();
    }
}
