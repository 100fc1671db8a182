package app.galdrin.web.marking;

import app.galdrin.web.layout.WorkingWords;
import app.galdrin.web.sketch.ToleranceRule;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * One piece of evidence said.
 *
 * @param head what it is about
 * @param right whether it earned all there was; empty where something is missing
 * @param lines sentences
 * @param through the way to a figure with the apprentice's own readings, a line a step
 * @param slips that explain it, each by itself
 * @param rule the tolerance rule it was judged on
 */
public record Told(
        String head,
        Optional<Boolean> right,
        List<String> lines,
        List<Repeat> through,
        List<Slipped> slips,
        Optional<ToleranceRule> rule) {

    /** One repeat's way to a figure, or what all of them come to. */
    public record Repeat(String name, List<Calculated> lines) {}

    /** A line of it; {@code left} is what a slip does there. */
    public record Calculated(WorkingWords.Line line, Optional<String> left) {}

    /**
     * A slip, or a pair of them.
     *
     * @param why a sentence each
     * @param practise what is practised against it, said
     */
    public record Slipped(String name, List<String> why, String practise) {
        /** By name alone. */
        Slipped named() {
            return new Slipped(name, List.of(), "");
        }

        /** By another name. */
        Slipped named(String other) {
            return new Slipped(other, why, practise);
        }
    }

    static Told of(String head, boolean right, List<String> lines) {
        return new Told(head, Optional.of(right), lines, List.of(), List.of(), Optional.empty());
    }

    static Told of(String head, boolean right, String line) {
        return of(head, right, List.of(line));
    }

    static Told missing(String head, String line) {
        return new Told(head, Optional.empty(), List.of(line), List.of(), List.of(), Optional.empty());
    }

    /** With a sentence more. */
    Told also(String line) {
        return new Told(
                head, right, Stream.concat(lines.stream(), Stream.of(line)).toList(), through, slips, rule);
    }

    Told with(ToleranceRule drawn) {
        return new Told(head, right, lines, through, slips, Optional.of(drawn));
    }

    Told calculated(List<Repeat> repeats) {
        return new Told(head, right, lines, repeats, slips, rule);
    }

    Told slipped(List<Slipped> made) {
        return new Told(head, right, lines, through, made, rule);
    }

    /** The same, a slip explained where it stands first and only named after that. */
    static List<Told> explainedOnce(List<Told> all) {
        Set<Slipped> explained = new HashSet<>();
        List<Told> once = new ArrayList<>();
        for (Told told : all) {
            boolean again = told.slips.size() == 1 && !explained.add(told.slips.get(0));
            once.add(again ? told.slipped(List.of(told.slips.get(0).named())) : told);
        }
        return once;
    }
}
