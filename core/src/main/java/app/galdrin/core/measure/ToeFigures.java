package app.galdrin.core.measure;

import app.galdrin.core.uncertainty.Budget;
import app.galdrin.core.uncertainty.Estimate;
import java.util.List;
import java.util.Optional;

/**
 * The front toe that follows from one set of readings, or the mean of several.
 *
 * @param total rad
 * @param left of the left wheel, rad, where the method sees it; likewise right
 * @param skews of the two strings, rad, where there are strings
 */
public record ToeFigures(Estimate total, Optional<Estimate> left, Optional<Estimate> right, Optional<Skews> skews) {

    /** How far each string runs out of line with the vehicle, front end outboard positive, rad. */
    public record Skews(double left, double right) {}

    public Optional<Estimate> figure(Asked asked) {
        return switch (asked) {
            case TOTAL -> Optional.of(total);
            case LEFT -> left;
            case RIGHT -> right;
        };
    }

    /**
     * The mean of independent repeats, with u / √n.
     *
     * @param repeats one or more
     */
    public static ToeFigures mean(List<ToeFigures> repeats) {
        return new ToeFigures(
                mean(repeats, Asked.TOTAL).orElseThrow(),
                mean(repeats, Asked.LEFT),
                mean(repeats, Asked.RIGHT),
                repeats.get(repeats.size() - 1).skews());
    }

    private static Optional<Estimate> mean(List<ToeFigures> repeats, Asked asked) {
        List<Estimate> figures =
                repeats.stream().flatMap(r -> r.figure(asked).stream()).toList();
        if (figures.isEmpty()) {
            return Optional.empty();
        }
        double value = figures.stream().mapToDouble(Estimate::value).sum() / figures.size();
        return Optional.of(new Estimate(
                value, Budget.ofMean(figures.stream().map(Estimate::budget).toList())));
    }
}
