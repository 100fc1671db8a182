package app.galdrin.core.moderation;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * Draws a sample of mark sheets: a share of all at random, every one near a boundary, and every one with a mark given by hand. The same rule
 * on the same sheets draws the same, in whatever order they come.
 */
public final class Sample {

    private Sample() {}

    /**
     * Rule of the draw.
     *
     * @param seed of the random share
     * @param percent of all sheets that are drawn, 0 to 100, rounded up to a whole sheet
     * @param borderline how near to a boundary is near, points of percent, 0 or more
     * @param boundaries where a grade or a pass begins, percent
     */
    public record Rule(long seed, int percent, double borderline, List<Double> boundaries) {
        public Rule {
            boundaries = List.copyOf(boundaries);
        }
    }

    /**
     * A mark sheet as it was signed last.
     *
     * @param id of the sheet: stays the same when it is drawn again
     * @param percent of the marks, 0 to 100
     * @param barring how many criteria that must be passed are not met
     * @param byHand whether a mark was given by hand
     */
    public record Sheet(UUID id, double percent, int barring, boolean byHand) {}

    /** A sheet of the sample. */
    public record SampledSheet(Sheet sheet, SelectionReason why) {}

    /** The sample, in the order of the sheets' ids. */
    public static List<SampledSheet> of(List<Sheet> sheets, Rule rule) {
        List<Sheet> ordered = sheets.stream()
                .sorted(Comparator.comparing(s -> s.id().toString()))
                .toList();
        Set<UUID> share = share(ordered, rule);
        List<SampledSheet> drawn = new ArrayList<>();
        for (Sheet sheet : ordered) {
            if (sheet.byHand()) {
                drawn.add(new SampledSheet(sheet, SelectionReason.OVERRIDE));
            } else if (isBorderline(sheet, rule)) {
                drawn.add(new SampledSheet(sheet, SelectionReason.BORDERLINE));
            } else if (share.contains(sheet.id())) {
                drawn.add(new SampledSheet(sheet, SelectionReason.DRAWN));
            }
        }
        return drawn;
    }

    /** Shuffled by the generator that the platform's documentation fixes, so that the same seed draws the same in every release. */
    private static Set<UUID> share(List<Sheet> ordered, Rule rule) {
        List<Sheet> shuffled = new ArrayList<>(ordered);
        Collections.shuffle(shuffled, new Random(rule.seed()));
        int count = (int) Math.ceil(ordered.size() * rule.percent() / 100.0);
        return shuffled.stream().limit(count).map(Sheet::id).collect(Collectors.toSet());
    }

    /** A boundary is near, or one single criterion keeps it from being competent. */
    private static boolean isBorderline(Sheet sheet, Rule rule) {
        return sheet.barring() == 1
                || rule.boundaries().stream().anyMatch(b -> Math.abs(sheet.percent() - b) <= rule.borderline());
    }
}
