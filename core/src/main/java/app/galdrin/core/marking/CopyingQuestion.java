package app.galdrin.core.marking;

import app.galdrin.core.procedure.Place;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.WrittenValue;
import app.galdrin.core.task.Assignment;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.special.Erf;

/**
 * Asks whether two sheets share more readings to the digit than independent readings of one vehicle would. It is
 * reckoned as if both had read the very same set-up: a class that shares one set-up is not flagged, and where set-ups differ a match is
 * less likely still. A question, never a verdict.
 */
public final class CopyingQuestion {

    /** Asked where chance makes as good a match in fewer classes than one of so many. */
    public static final double ONE_IN = 1000;

    private CopyingQuestion() {}

    /**
     * Two sheets that are asked about, by their places in the list.
     *
     * @param matches readings that are the same to the digit, of {@code both} that both have
     * @param chance that some pair of so many sheets matches as well by chance, 0 to 1
     */
    public record Pair(int first, int second, int matches, int both, double chance) {}

    private record Reading(LineKey key, double chance) {}

    /** The pairs that are asked about, the unlikeliest first. */
    public static List<Pair> of(Assignment assignment, List<Answers> sheets) {
        List<Reading> readings = readings(assignment);
        double pairs = sheets.size() * (sheets.size() - 1) / 2.0;
        List<Pair> asked = new ArrayList<>();
        for (int i = 0; i < sheets.size(); i++) {
            for (int j = i + 1; j < sheets.size(); j++) {
                Pair pair = compared(readings, sheets, i, j, pairs);
                if (pair.chance() < 1 / ONE_IN) {
                    asked.add(pair);
                }
            }
        }
        asked.sort((a, b) -> Double.compare(a.chance(), b.chance()));
        return asked;
    }

    private static List<Reading> readings(Assignment assignment) {
        List<Reading> readings = new ArrayList<>();
        assignment.practical().measures(0).stream()
                .forEach(measure -> assignment.places(measure).forEach(place -> {
                    for (int repeat = 1; repeat <= (place.eachRepeat() ? measure.repeats() : 1); repeat++) {
                        var key = new LineKey(measure.id(), place.id(), place.eachRepeat() ? repeat : 0, 0);
                        readings.add(new Reading(key, chanceOfAMatch(place)));
                    }
                }));
        return readings;
    }

    private static Pair compared(List<Reading> readings, List<Answers> sheets, int i, int j, double pairs) {
        List<Double> chances = new ArrayList<>();
        int matches = 0;
        for (Reading reading : readings) {
            Optional<Double> one = value(sheets.get(i), reading.key());
            Optional<Double> other = value(sheets.get(j), reading.key());
            if (one.isPresent() && other.isPresent()) {
                chances.add(reading.chance());
                matches += Math.abs(one.get() - other.get()) < 1e-9 ? 1 : 0;
            }
        }
        return new Pair(i, j, matches, chances.size(), Math.min(1, pairs * atLeast(matches, chances)));
    }

    private static Optional<Double> value(Answers sheet, LineKey key) {
        return sheet.at(key).map(WrittenValue::value).filter(v -> v.isPresent()).map(v -> v.getAsDouble());
    }

    /**
     * Returns the chance that two readings of one thing are rounded to the same mark, wherever it lies between marks: ∫ (1 − |d|/h) f(d) over |d|
     * &lt; h, with f the density of the difference of both hands, standard deviation s = σ√2, and h the mark.
     */
    static double chanceOfAMatch(Place place) {
        double h = place.instrument().resolution();
        double u = place.standardUncertainty();
        double s = Math.sqrt(Math.max(0, u * u - h * h / 12)) * Math.sqrt(2);
        if (s == 0) {
            return 1;
        }
        double within = Erf.erf(h / (s * Math.sqrt(2)));
        double lost = 2 * s / (h * Math.sqrt(2 * Math.PI)) * (1 - Math.exp(-h * h / (2 * s * s)));
        return within - lost;
    }

    /** Returns the probability that at least so many of independent chances come true, 0 to 1. */
    static double atLeast(int matches, List<Double> chances) {
        double[] exactly = new double[chances.size() + 1];
        exactly[0] = 1;
        for (int n = 0; n < chances.size(); n++) {
            double p = chances.get(n);
            for (int k = n + 1; k > 0; k--) {
                exactly[k] = exactly[k] * (1 - p) + exactly[k - 1] * p;
            }
            exactly[0] *= 1 - p;
        }
        double sum = 0;
        for (int k = chances.size(); k >= matches; k--) {
            sum += exactly[k];
        }
        return Math.min(1, sum);
    }
}
