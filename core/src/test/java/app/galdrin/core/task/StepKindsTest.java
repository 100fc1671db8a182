package app.galdrin.core.task;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

/** What belongs to every kind of step can't be forgotten in silence. */
class StepKindsTest {

    private static final List<String> ALL =
            StepKinds.all().stream().map(StepKind::key).toList();

    private static String refusal(UnaryOperator<List<String>> change) {
        List<String> parts = change.apply(new ArrayList<>(ALL));
        return assertThrows(IllegalStateException.class, () -> StepKinds.oneEach("editors", parts, part -> part))
                .getMessage();
    }

    @Test
    void aKindWithoutItsPart_withTwo_orAPartOfNoKind_isNamed() {
        Map<String, String> whole = StepKinds.oneEach("editors", ALL, part -> part);
        assertEquals(ALL, List.copyOf(whole.keySet()));
        assertEquals("editors of kinds of step: plan none", refusal(parts -> {
            parts.remove("plan");
            return parts;
        }));
        assertEquals("editors of kinds of step: plan twice", refusal(parts -> {
            parts.add("plan");
            return parts;
        }));
        assertEquals("editors of kinds of step: dance is no kind", refusal(parts -> {
            parts.add("dance");
            return parts;
        }));
    }
}
