package app.galdrin.web.marking;

import app.galdrin.web.sketch.ToleranceRule;
import app.galdrin.web.words.WorkingWords;
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
public record EvidenceText(
        String head,
        Optional<Boolean> right,
        List<String> lines,
        List<Repeat> through,
        List<SlipText> slips,
        Optional<ToleranceRule> rule) {

    /** One repeat's way to a figure, or what all of them come to. */
    public record Repeat(String name, List<CalculationLine> lines) {}

    /** A line of it; {@code left} is what a slip does there. */
    public record CalculationLine(WorkingWords.Line line, Optional<String> left) {}

    /**
     * A slip, or a pair of them.
     *
     * @param why a sentence each
     * @param practise what is practised against it, said
     */
    public record SlipText(String name, List<String> why, String practise) {
        /** Returns the slip by name alone. */
        SlipText named() {
            return new SlipText(name, List.of(), "");
        }

        /** Returns the slip under another name. */
        SlipText named(String other) {
            return new SlipText(other, why, practise);
        }
    }

    static EvidenceText of(String head, boolean right, List<String> lines) {
        return new EvidenceText(head, Optional.of(right), lines, List.of(), List.of(), Optional.empty());
    }

    static EvidenceText of(String head, boolean right, String line) {
        return of(head, right, List.of(line));
    }

    static EvidenceText missing(String head, String line) {
        return new EvidenceText(head, Optional.empty(), List.of(line), List.of(), List.of(), Optional.empty());
    }

    /** Returns the text with one more sentence. */
    EvidenceText also(String line) {
        return new EvidenceText(
                head, right, Stream.concat(lines.stream(), Stream.of(line)).toList(), through, slips, rule);
    }

    EvidenceText with(ToleranceRule drawn) {
        return new EvidenceText(head, right, lines, through, slips, Optional.of(drawn));
    }

    EvidenceText calculated(List<Repeat> repeats) {
        return new EvidenceText(head, right, lines, repeats, slips, rule);
    }

    EvidenceText slipped(List<SlipText> made) {
        return new EvidenceText(head, right, lines, through, made, rule);
    }

    /** The same, a slip explained where it stands first and only named after that. */
    static List<EvidenceText> explainedOnce(List<EvidenceText> all) {
        Set<SlipText> explained = new HashSet<>();
        List<EvidenceText> once = new ArrayList<>();
        for (EvidenceText text : all) {
            boolean again = text.slips.size() == 1 && !explained.add(text.slips.get(0));
            once.add(again ? text.slipped(List.of(text.slips.get(0).named())) : text);
        }
        return once;
    }
}
