package app.galdrin.web.baysheet.internal;

import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Measure;
import app.galdrin.web.baysheet.FieldView;
import app.galdrin.web.baysheet.StepView;
import app.galdrin.web.sketch.Sketch;
import app.galdrin.web.sketch.ToleranceRule;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Readings on a sketch.
 *
 * @param round 0 as found
 * @param repeat the repeat that is shown first
 * @param chosen what was chosen for these readings: an option by the id of its choice
 * @param slopes the fields for the slope of a floor that nobody has surveyed; none where it is known
 * @param rows what is written, a row a place
 * @param rules the figures so far on their tolerance rules, where the sheet speaks
 * @param queries what is to be read again because it does not go together, said
 * @param goals what must be read, in a round
 * @param followsHand whether the drawing moves as the apprentice writes: not in an assessment
 * @param notes what the procedure tells beside its figures, said
 */
public record MeasureView(
        Head head,
        Measure measure,
        int round,
        int repeat,
        Sketch sketch,
        Map<String, String> chosen,
        List<FieldView> slopes,
        Map<LineKey, FieldView> fields,
        List<Row> rows,
        List<ToleranceRule> rules,
        List<String> notes,
        List<String> queries,
        List<Goal> goals,
        boolean followsHand)
        implements StepView {

    /** One place with its repeats beside one another and what was struck out there. */
    public record Row(Sketch.SketchPlace place, List<Cell> cells, List<String> struck) {}

    /** One repeat of a place. */
    public record Cell(FieldView field) {

        /** The figure before its decimal sign; with {@link #part()} it is set so that decimal signs stand in a line. */
        public String whole() {
            return hasDecimals() ? figure().replaceFirst("\\..*", "") : figure();
        }

        /** The decimal sign and what follows it. */
        public String part() {
            return hasDecimals() ? figure().replaceFirst("[^.]*", "") : "";
        }

        /** Returns whether it is an inch fraction, which has no decimal sign of its own to line up. */
        public boolean fraction() {
            return field.echo().contains("\u2033");
        }

        private boolean hasDecimals() {
            return figure().contains(".") && !fraction();
        }

        private String figure() {
            return fraction() ? size() : size().replace("\u00a0mm", "");
        }

        /** Returns the size as it was understood, without the direction beside it. */
        private String size() {
            return sense().isEmpty()
                    ? field.echo()
                    : field.echo().substring(0, field.echo().lastIndexOf(", "));
        }

        /** Key of the way a size is meant; empty where it has none. */
        public String sense() {
            return field.echo().isEmpty() ? "" : field.sense();
        }
    }

    /** The same, with what must be read. */
    MeasureView with(List<Goal> wanted) {
        return new MeasureView(
                head,
                measure,
                round,
                repeat,
                sketch,
                chosen,
                slopes,
                fields,
                rows,
                rules,
                notes,
                queries,
                wanted,
                followsHand);
    }

    /** Returns what a place must read; null where nothing is wanted of it. */
    public @Nullable Goal goal(Sketch.SketchPlace place) {
        return goals.stream()
                .filter(g -> g.place().equals(place.id()))
                .findFirst()
                .orElse(null);
    }

    /** Returns what is chosen before anything is read. */
    public List<FieldView> choices() {
        return measure.procedure().choices().stream()
                .map(c -> Objects.requireNonNull(fields.get(new LineKey(measure.id(), c.id(), 0, round))))
                .toList();
    }

    public int repeats() {
        return measure.repeats();
    }

    /** The field of a place in a repeat; one of the set-up is the same in all. */
    public FieldView at(Sketch.SketchPlace place, int repeatNo) {
        var key = new LineKey(measure.id(), place.id(), place.eachRepeat() ? repeatNo : 0, round);
        return Optional.ofNullable(fields.get(key)).orElseThrow();
    }

    /** The repeats in which a place has a field of its own. */
    public List<Integer> repeatsOf(Sketch.SketchPlace place) {
        return place.eachRepeat() ? IntStream.rangeClosed(1, repeats()).boxed().toList() : List.of(0);
    }

    /** The id of its element: unlike that of the same step in another round. */
    public String elementId() {
        return "measure-" + measure.id() + "-" + round;
    }

    public Optional<ToleranceRule> firstRule() {
        return rules.stream().findFirst();
    }
}
