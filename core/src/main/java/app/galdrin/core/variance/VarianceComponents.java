package app.galdrin.core.variance;

import app.galdrin.core.Keyed;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.linear.SingularValueDecomposition;

/**
 * The spread of readings split into the vehicle, the person, what a person does with one vehicle otherwise than with others, and the repeat,
 * which is the gauge in a hand. Two-way analysis of variance with all effects random, by fitting constants, so that cells may be empty or
 * unlike in number [Henderson 1953, method 3]: each reduction of the sum of squares is set equal to what it is expected to be.
 *
 * @param variances of each source in the square of the readings' unit, 0 or more
 * @param negative sources whose estimate came out below 0, which is taken as none
 * @param mean of all readings, in their unit
 */
public record VarianceComponents(
        Map<Source, Double> variances, Set<Source> negative, double mean, int people, int states, int readings) {

    public static final int FEWEST_PEOPLE = 3;
    public static final int FEWEST_STATES = 2;
    public static final int FEWEST_REPEATS = 2;

    /** More are not looked at: the matrices grow with the square. */
    public static final int MOST_READINGS = 600;

    /** The origin of a spread. */
    public enum Source implements Keyed {
        VEHICLE("vehicle"),
        PERSON("person"),
        PERSON_WITH_VEHICLE("personWithVehicle"),
        REPEAT("repeat");

        private final String key;

        Source(String key) {
            this.key = key;
        }

        @Override
        public String key() {
            return key;
        }
    }

    /**
     * One reading of one state of a vehicle by one person; {@code value} in any one unit.
     *
     * @param value in any one unit
     */
    public record Reading(String person, String state, double value) {}

    /** Result for some readings. */
    public sealed interface Outcome {
        record Split(VarianceComponents into) implements Outcome {}

        /**
         * Too few readings to split.
         *
         * @param people who have read a state twice or more
         * @param states that somebody has read twice or more
         * @param repeated cells of a person and a state with two readings or more
         */
        record TooFew(int people, int states, int repeated) implements Outcome {}
    }

    public VarianceComponents {
        variances = Map.copyOf(variances);
        negative = Set.copyOf(negative);
    }

    /** Splits readings; at most the first {@value #MOST_READINGS} of them. */
    public static Outcome of(List<Reading> all) {
        List<Reading> readings = all.subList(0, Math.min(all.size(), MOST_READINGS));
        List<String> people = distinct(readings, Reading::person);
        List<String> states = distinct(readings, Reading::state);
        List<String> cells = distinct(readings, VarianceComponents::cell);
        int repeated = (int) cells.stream()
                .filter(c -> readings.stream().filter(r -> cell(r).equals(c)).count() >= FEWEST_REPEATS)
                .count();
        boolean crossed = cells.size() > people.size() && cells.size() > states.size();
        return people.size() < FEWEST_PEOPLE || states.size() < FEWEST_STATES || repeated < FEWEST_PEOPLE || !crossed
                ? new Outcome.TooFew(people.size(), states.size(), repeated)
                : new Outcome.Split(split(readings, people, states, cells));
    }

    private static List<String> distinct(List<Reading> readings, Function<Reading, String> group) {
        return readings.stream().map(group).distinct().sorted().toList();
    }

    private static String cell(Reading reading) {
        return reading.person() + "\n" + reading.state();
    }

    private static VarianceComponents split(
            List<Reading> readings, List<String> people, List<String> states, List<String> cells) {
        RealMatrix byPerson = indicators(readings, people, Reading::person);
        RealMatrix byState = indicators(readings, states, Reading::state);
        RealMatrix byCell = indicators(readings, cells, VarianceComponents::cell);
        RealMatrix both = projection(beside(byPerson, byState));
        RealMatrix whole = projection(byCell);
        int n = readings.size();
        RealVector y = new ArrayRealVector(
                readings.stream().mapToDouble(Reading::value).toArray());
        double mean = y.dotProduct(new ArrayRealVector(n, 1.0 / n));
        RealVector off = y.mapSubtract(mean);

        var estimates = new Estimates();
        RealMatrix rest = MatrixUtils.createRealIdentityMatrix(n).subtract(whole);
        estimates.put(Source.REPEAT, form(rest, off) / rest.getTrace());
        RealMatrix together = whole.subtract(both);
        estimates.put(
                Source.PERSON_WITH_VEHICLE,
                estimates.solved(form(together, off), together, byCell, together.getTrace(), 0));
        double ofCells = Math.max(0, estimates.raw(Source.PERSON_WITH_VEHICLE));
        RealMatrix ofPeople = both.subtract(projection(byState));
        estimates.put(
                Source.PERSON,
                estimates.solved(
                        form(ofPeople, off),
                        ofPeople,
                        byPerson,
                        ofPeople.getTrace(),
                        ofCells * trace(ofPeople, byCell)));
        RealMatrix ofStates = both.subtract(projection(byPerson));
        estimates.put(
                Source.VEHICLE,
                estimates.solved(
                        form(ofStates, off),
                        ofStates,
                        byState,
                        ofStates.getTrace(),
                        ofCells * trace(ofStates, byCell)));
        return new VarianceComponents(
                estimates.notBelowNought(), estimates.negative(), mean, people.size(), states.size(), n);
    }

    /** Estimate of each source by its sum of squares, also below 0. */
    private static final class Estimates {
        private final Map<Source, Double> raw = new EnumMap<>(Source.class);

        void put(Source source, double variance) {
            raw.put(source, variance);
        }

        double raw(Source source) {
            return raw.getOrDefault(source, 0.0);
        }

        /** The variance that makes a sum of squares what it is, less what the repeats and other effects put into it. */
        double solved(double squares, RealMatrix form, RealMatrix effect, double degrees, double others) {
            double share = trace(form, effect);
            return share < 1e-9 ? 0 : (squares - raw(Source.REPEAT) * degrees - others) / share;
        }

        Map<Source, Double> notBelowNought() {
            Map<Source, Double> all = new EnumMap<>(Source.class);
            raw.forEach((source, variance) -> all.put(source, Math.max(0, variance)));
            return all;
        }

        Set<Source> negative() {
            Set<Source> below = EnumSet.noneOf(Source.class);
            raw.forEach((source, variance) -> {
                if (variance < 0) {
                    below.add(source);
                }
            });
            return below;
        }
    }

    private static RealMatrix indicators(List<Reading> readings, List<String> groups, Function<Reading, String> group) {
        RealMatrix matrix = new Array2DRowRealMatrix(readings.size(), groups.size());
        for (int i = 0; i < readings.size(); i++) {
            matrix.setEntry(i, groups.indexOf(group.apply(readings.get(i))), 1);
        }
        return matrix;
    }

    private static RealMatrix beside(RealMatrix a, RealMatrix b) {
        RealMatrix both =
                new Array2DRowRealMatrix(a.getRowDimension(), a.getColumnDimension() + b.getColumnDimension());
        both.setSubMatrix(a.getData(), 0, 0);
        both.setSubMatrix(b.getData(), 0, a.getColumnDimension());
        return both;
    }

    /** Returns what least squares fits with these columns, as a matrix; columns may depend on one another. */
    private static RealMatrix projection(RealMatrix columns) {
        var decomposed = new SingularValueDecomposition(columns);
        int rank = decomposed.getRank();
        RealMatrix u = decomposed.getU().getSubMatrix(0, columns.getRowDimension() - 1, 0, rank - 1);
        return u.multiplyTransposed(u);
    }

    private static double form(RealMatrix q, RealVector y) {
        return y.dotProduct(q.operate(y));
    }

    /** tr(Zᵀ Q Z). */
    private static double trace(RealMatrix q, RealMatrix z) {
        RealMatrix qz = q.multiply(z);
        double sum = 0;
        for (int i = 0; i < z.getRowDimension(); i++) {
            for (int j = 0; j < z.getColumnDimension(); j++) {
                sum += z.getEntry(i, j) * qz.getEntry(i, j);
            }
        }
        return sum;
    }

    // ---- what it says

    /** Returns the total in the square of the readings' unit. */
    public double total() {
        return variances.values().stream().mapToDouble(v -> v).sum();
    }

    /** Share of the whole variance, 0 to 1; 0 where nothing varies. */
    public double share(Source source) {
        return total() == 0 ? 0 : variances.getOrDefault(source, 0.0) / total();
    }

    /** Standard deviation of what a source adds, in the readings' unit. */
    public double deviation(Source source) {
        return Math.sqrt(variances.getOrDefault(source, 0.0));
    }

    /** Standard deviation with which the mean of so many repeats by one of these people tells a vehicle, in the readings' unit. */
    public double ofOnePerson(int repeats) {
        return Math.sqrt(variances.getOrDefault(Source.PERSON, 0.0)
                + variances.getOrDefault(Source.PERSON_WITH_VEHICLE, 0.0)
                + variances.getOrDefault(Source.REPEAT, 0.0) / repeats);
    }

    /** The source that most of the spread comes from, of all or of what is not the vehicle. */
    public Source greatest(boolean vehicleToo) {
        List<Source> sources = new ArrayList<>(List.of(Source.values()));
        if (!vehicleToo) {
            sources.remove(Source.VEHICLE);
        }
        return sources.stream()
                .max((a, b) -> Double.compare(variances.getOrDefault(a, 0.0), variances.getOrDefault(b, 0.0)))
                .orElseThrow();
    }
}
