package app.galdrin.core.marking;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.measure.HandFormula;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Procedure.Worked;
import app.galdrin.core.procedure.Slip;
import app.galdrin.core.procedure.SlipSetting;
import app.galdrin.core.task.Measure;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.hipparchus.linear.EigenDecompositionSymmetric;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.special.Gamma;

/**
 * Slips in taking or writing down readings, told from what lies between an apprentice's figures and the reference's. All figures of a
 * state are looked at together, with their covariance: a slip is named where it takes nearly all of what is unlikely about them away, and
 * what it leaves is no more than honest hands leave. Chi-squared d'C⁻¹d of the differences d with the covariance C of both.
 */
final class ReadingSlips {

    /** By how much chi-squared has to fall, and by how much more where many ways are tried. */
    private static final double FALL = 14;

    private static final int FEW = 50;

    private static final double SELDOM = 0.001;

    /** Beside the greatest, less of a covariance is what rounding leaves of figures that follow from one another. */
    private static final double NOTHING = 1e-9;

    /** Less than this share of its standard doubt has not moved a figure. */
    private static final double MOVED = 0.1;

    private final Case of;
    private final Measure measure;
    private final List<Map<String, Double>> readings;
    private final SlipSetting setting;

    /** What each repeat came to. */
    private final List<Map<FigureId, Estimate>> own;

    /** The same without its doubts. */
    private final List<Map<FigureId, Double>> asRead;

    private final Map<FigureId, Estimate> reference = new LinkedHashMap<>();
    private final List<FigureId> figures;
    private final List<List<String>> sides;

    ReadingSlips(Case of, Measure measure) {
        this.of = of;
        this.measure = measure;
        this.readings = of.own().readings(measure, 0);
        this.sides = sides(measure);
        this.setting = of.own().slipSetting(measure, AnswerUnit.DEGREES);
        this.own = of.own().worked(measure, 0).stream().map(Worked::figures).toList();
        this.asRead = readings.stream().map(this::values).toList();
        List<FigureId> both = new ArrayList<>();
        for (FigureId figure : measure.procedure().sees()) {
            if (!measure.steering().leaves(figure)) {
                continue; // which wheel holds how much of the total is nobody's reading
            }
            Optional<Estimate> there = of.found().mean(measure, 0, figure);
            if (there.isPresent() && own.stream().allMatch(repeat -> repeat.containsKey(figure))) {
                reference.put(figure, there.get());
                both.add(figure);
            }
        }
        // what is put together of others says nothing that they don't
        this.figures = both.stream()
                .filter(f -> !f.ofBothWheels()
                        || both.stream()
                                .noneMatch(p -> p.measurand() == f.measurand().base() && !p.equals(f)))
                .toList();
    }

    /** What a repeat comes to with these readings. */
    private Map<FigureId, Double> values(Map<String, Double> used) {
        return of.own().values(measure, 0, used, HandFormula.SOLVED);
    }

    /** One way in which a slip can have been made: in all repeats or one, on both sides or one; and what each repeat comes to without. */
    private record Way(String slip, List<Map<FigureId, Double>> putRight) {}

    /** The slips that explain the differences, each with the figures it moves; those that fit equally are all there. */
    Map<String, Set<FigureId>> found() {
        Map<String, Set<FigureId>> found = new LinkedHashMap<>();
        if (figures.isEmpty() || readings.isEmpty()) {
            return found;
        }
        Distance distance = new Distance(covariance());
        double[] asRead = differences(this.asRead);
        double now = distance.of(asRead);
        List<Way> ways = ways();
        double fall = FALL + 2 * Math.log(Math.max(1, ways.size() / (double) FEW));
        for (Way way : ways) {
            double left = distance.of(differences(way.putRight()));
            if (now - left >= fall && distance.honest(left, 0)) {
                found.computeIfAbsent(way.slip(), s -> new TreeSet<>()).addAll(moved(way));
            }
        }
        if (found.isEmpty()) {
            turned(distance, asRead, fall, found);
        }
        return found;
    }

    /** Slips of an unknown amount fit more than those that leave none to choose, and are asked where none of those fits. */
    private void turned(Distance distance, double[] asRead, double fall, Map<String, Set<FigureId>> found) {
        for (Slip slip : of.assignment().slips(measure)) {
            Map<FigureId, Integer> turned = slip.turned();
            if (turned.isEmpty() || !figures.containsAll(turned.keySet())) {
                continue;
            }
            for (Predicate<Integer> made : repeats()) {
                double[] one = IntStream.range(0, asRead.length)
                        .mapToDouble(i -> made.test(i / figures.size())
                                ? turned.getOrDefault(figures.get(i % figures.size()), 0)
                                : 0)
                        .toArray();
                double explained = distance.along(one, asRead);
                if (explained >= fall && distance.honest(distance.of(asRead) - explained, 1)) {
                    found.computeIfAbsent(slip.key(), s -> new TreeSet<>()).addAll(turned.keySet());
                }
            }
        }
    }

    /** Of every figure in every repeat; what no longer comes to anything is no number. */
    private double[] differences(List<Map<FigureId, Double>> repeats) {
        return repeats.stream()
                .flatMapToDouble(repeat -> figures.stream().mapToDouble(f -> value(repeat, f) - against(f)))
                .toArray();
    }

    private static double value(Map<FigureId, Double> of, FigureId figure) {
        return of.getOrDefault(figure, Double.NaN);
    }

    private double against(FigureId figure) {
        return Objects.requireNonNull(reference.get(figure)).value();
    }

    /** Figures that are another value in some repeat once they are put right. */
    private Set<FigureId> moved(Way way) {
        Set<FigureId> moved = new TreeSet<>();
        for (int i = 0; i < own.size(); i++) {
            Map<FigureId, Double> right = way.putRight().get(i);
            own.get(i).forEach((figure, before) -> {
                if (Math.abs(before.value() - value(right, figure)) > MOVED * before.standardUncertainty()) {
                    moved.add(figure);
                }
            });
        }
        return moved;
    }

    // ---- what may have happened

    private List<Way> ways() {
        List<Way> ways = new ArrayList<>();
        for (Slip slip : of.assignment().slips(measure)) {
            if (slip.corrected(setting, Map.of()).isPresent()) {
                List<Map<String, Double>> everywhere = readings.stream()
                        .map(read -> slip.corrected(setting, read).orElse(read))
                        .toList();
                ways.addAll(inAllOrOne(slip, everywhere));
                for (List<String> side : slip.ofBothSides() ? List.<List<String>>of() : sides) {
                    ways.addAll(inAllOrOne(slip, putRight(side, everywhere)));
                }
            } else {
                ways.addAll(oneByOne(slip));
            }
        }
        return ways;
    }

    /** A slip that is made at many places, in all repeats or in one; {@code putRight} is what should have been written in each. */
    private List<Way> inAllOrOne(Slip slip, List<Map<String, Double>> putRight) {
        List<Map<FigureId, Double>> right = putRight.stream().map(this::values).toList();
        List<Way> ways = new ArrayList<>(List.of(new Way(slip.key(), right)));
        for (int only = 0; only < right.size() && right.size() > 1; only++) {
            List<Map<FigureId, Double>> once = new ArrayList<>(asRead);
            once.set(only, right.get(only));
            ways.add(new Way(slip.key(), once));
        }
        return ways;
    }

    /** A slip that is made at one place, in one repeat. */
    private List<Way> oneByOne(Slip slip) {
        List<Way> ways = new ArrayList<>();
        for (int repeat = 0; repeat < readings.size(); repeat++) {
            for (Map<String, Double> right : slip.correctedWays(setting, readings.get(repeat))) {
                List<Map<FigureId, Double>> putRight = new ArrayList<>(asRead);
                putRight.set(repeat, values(right));
                ways.add(new Way(slip.key(), putRight));
            }
        }
        return ways;
    }

    /** Where a slip can be made on one side alone: the places of the left wheels and those of the right ones, by id. */
    private static List<List<String>> sides(Measure measure) {
        Map<Boolean, List<String>> byLeft = measure.procedure().walk().stream()
                .filter(p -> p.wheel().isPresent())
                .collect(Collectors.groupingBy(
                        p -> p.wheel().orElseThrow().left(), Collectors.mapping(Place::id, Collectors.toList())));
        return byLeft.isEmpty()
                ? List.of()
                : List.of(byLeft.getOrDefault(true, List.of()), byLeft.getOrDefault(false, List.of()));
    }

    /** All repeats, and each by itself. */
    private List<Predicate<Integer>> repeats() {
        List<Predicate<Integer>> repeats = new ArrayList<>(List.of(i -> true));
        if (readings.size() > 1) {
            IntStream.range(0, readings.size()).forEach(only -> repeats.add(i -> i == only));
        }
        return repeats;
    }

    /** What should have been written where a slip was made at some places only. */
    private List<Map<String, Double>> putRight(List<String> places, List<Map<String, Double>> everywhere) {
        List<Map<String, Double>> putRight = new ArrayList<>();
        for (int i = 0; i < readings.size(); i++) {
            Map<String, Double> all = everywhere.get(i);
            Map<String, Double> used = new HashMap<>(readings.get(i));
            for (String place : places) {
                Double right = all.get(place);
                if (right != null) {
                    used.put(place, right);
                }
            }
            putRight.add(used);
        }
        return putRight;
    }

    // ---- how unlikely a difference is

    /** Of all differences: own readings and the reference's are independent of one another; one reference stands against all repeats. */
    private RealMatrix covariance() {
        RealMatrix covariance = shared(own.stream()
                .flatMap(repeat -> figures.stream().map(f -> budget(repeat, f)))
                .toList());
        RealMatrix ofReference =
                shared(figures.stream().map(f -> budget(reference, f)).toList());
        int n = figures.size();
        for (int i = 0; i < own.size(); i++) {
            for (int j = 0; j < own.size(); j++) {
                covariance.setSubMatrix(
                        covariance
                                .getSubMatrix(i * n, i * n + n - 1, j * n, j * n + n - 1)
                                .add(ofReference)
                                .getData(),
                        i * n,
                        j * n);
            }
        }
        return covariance;
    }

    private static Map<String, Double> budget(Map<FigureId, Estimate> of, FigureId figure) {
        return Objects.requireNonNull(of.get(figure)).budget().parts();
    }

    /** The covariance of figures, of which each has its doubt by source: D·Dᵀ, a row a figure. */
    private static RealMatrix shared(List<Map<String, Double>> budgets) {
        Map<String, Integer> sources = new HashMap<>();
        budgets.forEach(parts -> parts.keySet().forEach(source -> sources.putIfAbsent(source, sources.size())));
        var doubts = new double[budgets.size()][Math.max(1, sources.size())];
        for (int i = 0; i < doubts.length; i++) {
            double[] row = doubts[i];
            budgets.get(i).forEach((source, part) -> row[sources.getOrDefault(source, 0)] = part);
        }
        RealMatrix all = MatrixUtils.createRealMatrix(doubts);
        return all.multiplyTransposed(all);
    }

    /** Chi-squared of differences, in the directions in which there is any doubt. */
    private static final class Distance {

        /** Each in figures, and so long that a length of 1 along it is one standard doubt. */
        private final double[][] directions;

        Distance(RealMatrix covariance) {
            var doubt = new EigenDecompositionSymmetric(covariance);
            double greatest = doubt.getEigenvalue(0); // in falling order
            this.directions = IntStream.range(0, covariance.getRowDimension())
                    .filter(i -> doubt.getEigenvalue(i) > NOTHING * greatest)
                    .mapToObj(i -> doubt.getEigenvector(i)
                            .mapDivide(Math.sqrt(doubt.getEigenvalue(i)))
                            .toArray())
                    .toArray(double[][]::new);
        }

        double of(double[] differences) {
            double sum = product(differences, differences);
            return Double.isNaN(sum) ? Double.POSITIVE_INFINITY : sum;
        }

        /** How much of the differences' chi-squared goes away with the best amount of a pattern; 0 where there is no telling. */
        double along(double[] pattern, double[] differences) {
            double both = product(pattern, differences);
            double explained = both * both / product(pattern, pattern);
            return Double.isFinite(explained) ? explained : 0;
        }

        private double product(double[] one, double[] other) {
            double sum = 0;
            for (double[] direction : directions) {
                sum += dot(direction, one) * dot(direction, other);
            }
            return sum;
        }

        private static double dot(double[] one, double[] other) {
            double sum = 0;
            for (int i = 0; i < one.length; i++) {
                sum += one[i] * other[i];
            }
            return sum;
        }

        /** Whether honest hands leave as much in one of a thousand cases or more, when so many amounts were chosen to fit. */
        boolean honest(double left, int chosen) {
            return left < Double.POSITIVE_INFINITY
                    && directions.length > chosen
                    && Gamma.regularizedGammaQ((directions.length - chosen) / 2.0, Math.max(0, left) / 2) >= SELDOM;
        }
    }
}
