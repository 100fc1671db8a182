package app.galdrin.core.marking;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.HandFormula;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.PlaceId;
import app.galdrin.core.procedure.WorkedRepeat;
import app.galdrin.core.procedure.slip.Slip;
import app.galdrin.core.procedure.slip.SlipContext;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.task.Measure;
import app.galdrin.core.uncertainty.DoubtSource;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.function.ToIntFunction;
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

    /**
     * By how much chi-squared has to fall, and by how much more where many ways are tried. A figure that moved by 3.2 U of the difference makes it
     * fall by 41; what moved by less is as often a scale misread.
     */
    private static final double FALL = 25;

    private static final int FEW = 50;

    private static final double SELDOM = 0.001;

    /** The same of the commonest, which a misread place looks like more often the less it moves. */
    private static final double FALL_OF_COMMONEST = 36;

    /** Two explanations whose chi-squared differs by less fit equally: two standard deviations. */
    private static final double AS_WELL = 4;

    /** The commonest gives way to what fits better by more; made in one of several repeats, where a misread place is as common, by less. */
    private static final double BETTER = 10;

    private static final double BETTER_IN_ONE = 4;

    /** Nobody misreads a scale by more marks. */
    private static final double MOST_MARKS = 40;

    /** Of two that are one and the same pattern. */
    private static final double TIE = 1;

    /** Rad or mm: what moves less is binary rounding. */
    private static final double LEAST_SLOPE = 1e-9;

    private static final List<Predicate<Integer>> EVERY = List.of(any -> true);

    /** Beside the greatest, less of a covariance is what rounding leaves of figures that follow from one another. */
    private static final double NOTHING = 1e-9;

    /** Less than this share of its standard doubt has not moved a figure. */
    private static final double MOVED = 0.1;

    private final Case sitting;
    private final Measure measure;
    private final List<Map<String, Double>> readings;
    private final SlipContext setting;

    /** What each repeat came to. */
    private final List<Map<FigureId, Estimate>> own;

    /** The same without its doubts. */
    private final List<Map<FigureId, Double>> asRead;

    private final Map<FigureId, Estimate> reference = new LinkedHashMap<>();
    private final List<FigureId> figures;
    private final List<Set<String>> sides;

    ReadingSlips(Case sitting, Measure measure) {
        this.sitting = sitting;
        this.measure = measure;
        this.readings = sitting.own().readings(measure, 0);
        this.sides = sides(measure);
        this.setting = sitting.own().slipSetting(measure, AnswerUnit.DEGREES);
        this.own = sitting.own().worked(measure, 0).stream()
                .map(WorkedRepeat::figures)
                .toList();
        this.asRead = readings.stream().map(this::values).toList();
        List<FigureId> both = new ArrayList<>();
        for (FigureId figure : measure.procedure().sees()) {
            if (!measure.steering().leaves(figure)) {
                continue; // which wheel holds how much of the total is nobody's reading
            }
            Optional<Estimate> there = sitting.found().mean(measure, 0, figure);
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
        return sitting.own().values(measure, 0, used, HandFormula.SOLVED);
    }

    /**
     * One way in which a slip can have been made: in all repeats or one, at some places or all.
     *
     * @param putRight what each repeat comes to without, rad or mm
     * @param places that it was made at, by id; empty where it is made everywhere
     * @param inOneRepeat of several
     */
    private record Hypothesis(
            Slip slip, List<Map<FigureId, Double>> putRight, Set<String> places, boolean inOneRepeat) {}

    /**
     * A slip that explains the differences.
     *
     * @param figures that it moves
     * @param places that it was made at; empty where it is made everywhere
     * @param possible whether a place misread or a wheel that is off explains them as well
     */
    record Explanation(String slip, Set<FigureId> figures, Set<PlaceId> places, boolean possible) {}

    /** A way that fits, and the chi-squared that it leaves. */
    private record Fit(Hypothesis way, double left) {}

    /**
     * The slips that explain the differences. Those that fit equally are all there, and then none is more than possible; so is one where no
     * slip is needed: where a single place misread by some amount, or a single wheel that is off, fits as well.
     */
    List<Explanation> found() {
        if (figures.isEmpty() || readings.isEmpty()) {
            return List.of();
        }
        Distance distance = new Distance(covariance());
        double[] differences = differences(this.asRead);
        double now = distance.of(differences);
        List<Hypothesis> ways = ways();
        double fall = FALL + 2 * Math.log(Math.max(1, ways.size() / (double) FEW));
        List<Fit> fits = ways.stream()
                .map(way -> new Fit(way, distance.of(differences(way.putRight()))))
                .filter(fit -> now - fit.left() >= (fit.way().slip().isCommonest() ? FALL_OF_COMMONEST : fall)
                        && distance.honest(fit.left(), 0))
                .toList();
        double best = fits.stream().mapToDouble(Fit::left).min().orElse(0);
        Map<String, Fit> nearest = new LinkedHashMap<>();
        for (Fit fit : fits) {
            if (fit.left() <= best + AS_WELL) {
                nearest.merge(fit.way().slip().key(), fit, (a, b) -> a.left() <= b.left() ? a : b);
            }
        }
        if (fits.isEmpty()) {
            return turned(distance, differences, now, fall);
        }
        boolean several = nearest.size() > 1;
        return nearest.values().stream()
                .map(fit -> new Explanation(
                        fit.way().slip().key(),
                        moved(fit.way()),
                        fit.way().places().stream()
                                .map(place -> new PlaceId(measure.procedure().key(), place))
                                .collect(Collectors.toSet()),
                        several || isRivalled(fit, distance, differences, now)))
                .toList();
    }

    /** Whether no slip is needed: the commonest only gives way to its own places misread by another amount, and only to what fits better. */
    private boolean isRivalled(Fit fit, Distance distance, double[] differences, double now) {
        boolean commonest = fit.way().slip().isCommonest();
        double rival = rival(distance, differences, now, commonest ? fit.way().places() : Set.of());
        double better = fit.way().inOneRepeat() ? BETTER_IN_ONE : BETTER;
        return rival <= fit.left() + (commonest ? -better : AS_WELL);
    }

    /** Slips of an unknown amount fit more than those that leave none to choose, and are asked where none of those fits. */
    private List<Explanation> turned(Distance distance, double[] differences, double now, double fall) {
        List<Explanation> found = new ArrayList<>();
        for (Slip slip : sitting.assignment().slips(measure)) {
            Map<FigureId, Integer> turned = slip.turned();
            if (turned.isEmpty() || !figures.containsAll(turned.keySet())) {
                continue;
            }
            double left = Double.POSITIVE_INFINITY;
            for (Predicate<Integer> made : repeats()) {
                double[] one = pattern(made, figure -> turned.getOrDefault(figure, 0));
                double explained = distance.along(List.of(one), differences);
                if (explained >= fall && distance.honest(now - explained, 1)) {
                    left = Math.min(left, now - explained);
                }
            }
            if (left < Double.POSITIVE_INFINITY) {
                boolean rivalled = rival(distance, differences, now, Set.of()) <= left + TIE;
                found.add(new Explanation(slip.key(), turned.keySet(), Set.of(), rivalled));
            }
        }
        return found;
    }

    // ---- what needs no slip

    /**
     * The least chi-squared that honest hands leave once a single place is misread by some amount, or a single wheel off; infinite without.
     *
     * @param places that are looked at, by id; all, and the wheels, where there are none
     */
    private double rival(Distance distance, double[] differences, double now, Set<String> places) {
        double least = Double.POSITIVE_INFINITY;
        for (Rival rival : rivals(places)) {
            double left = now - distance.along(rival.patterns(), differences);
            boolean fits =
                    left < least && distance.honest(left, rival.patterns().size());
            if (fits && distance.amount(rival.patterns().get(0), differences) <= rival.most()) {
                least = left;
            }
        }
        return least;
    }

    /**
     * What explains differences without any slip.
     *
     * @param patterns that its unknown amounts have: in all repeats, or in one
     * @param most how many times the first of them there can be
     */
    private record Rival(List<double[]> patterns, double most) {}

    private List<Rival> rivals(Set<String> places) {
        List<Rival> rivals = new ArrayList<>();
        for (Place place : measure.procedure().walk()) {
            if (!places.isEmpty() && !places.contains(place.id())) {
                continue;
            }
            List<Map<FigureId, Double>> slopes =
                    readings.stream().map(read -> slope(place, read)).toList();
            if (slopes.stream().anyMatch(slope -> !slope.isEmpty())) {
                for (Predicate<Integer> made : place.eachRepeat() ? repeats() : EVERY) {
                    rivals.add(new Rival(
                            List.of(pattern(made, slopes)),
                            MOST_MARKS * place.instrument().resolution() / place.standardUncertainty()));
                }
            }
        }
        for (Wheel wheel : places.isEmpty() ? Wheel.values() : new Wheel[0]) {
            List<FigureId> its = figures.stream()
                    .filter(f -> f.wheel().filter(wheel::equals).isPresent())
                    .toList();
            if (!its.isEmpty() && its.size() < figures.size()) {
                repeats()
                        .forEach(made -> rivals.add(new Rival(
                                its.stream()
                                        .map(one -> pattern(made, figure -> figure.equals(one) ? 1 : 0))
                                        .toList(),
                                Double.POSITIVE_INFINITY)));
            }
        }
        return rivals;
    }

    /** What each figure moves by when a place shows a little more, rad or mm; empty where nothing does. */
    private Map<FigureId, Double> slope(Place place, Map<String, Double> read) {
        Double was = read.get(place.id());
        if (was == null) {
            return Map.of();
        }
        double amount = place.amount().quantity() == Quantity.ANGLE
                ? Math.toDegrees(place.standardUncertainty())
                : place.standardUncertainty();
        Map<String, Double> more = new HashMap<>(read);
        more.put(place.id(), was + amount);
        Map<FigureId, Double> before = values(read);
        Map<FigureId, Double> slope = new HashMap<>();
        values(more).forEach((figure, value) -> {
            Double from = before.get(figure);
            if (from != null && Math.abs(value - from) > LEAST_SLOPE) {
                slope.put(figure, value - from);
            }
        });
        return slope;
    }

    private double[] pattern(Predicate<Integer> made, List<Map<FigureId, Double>> ofRepeats) {
        return IntStream.range(0, readings.size() * figures.size())
                .mapToDouble(i -> made.test(i / figures.size())
                        ? ofRepeats.get(i / figures.size()).getOrDefault(figures.get(i % figures.size()), 0.0)
                        : 0)
                .toArray();
    }

    private double[] pattern(Predicate<Integer> made, ToIntFunction<FigureId> ofFigure) {
        return IntStream.range(0, readings.size() * figures.size())
                .mapToDouble(
                        i -> made.test(i / figures.size()) ? ofFigure.applyAsInt(figures.get(i % figures.size())) : 0)
                .toArray();
    }

    /** Of every figure in every repeat; what no longer comes to anything is no number. */
    private double[] differences(List<Map<FigureId, Double>> repeats) {
        return repeats.stream()
                .flatMapToDouble(repeat -> figures.stream().mapToDouble(f -> value(repeat, f) - against(f)))
                .toArray();
    }

    private static double value(Map<FigureId, Double> sitting, FigureId figure) {
        return sitting.getOrDefault(figure, Double.NaN);
    }

    private double against(FigureId figure) {
        return Objects.requireNonNull(reference.get(figure)).value();
    }

    /** Figures that are another value in some repeat once they are put right. */
    private Set<FigureId> moved(Hypothesis way) {
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

    private List<Hypothesis> ways() {
        List<Hypothesis> ways = new ArrayList<>();
        for (Slip slip : sitting.assignment().slips(measure)) {
            if (slip.corrected(setting, Map.of()).isPresent()) {
                List<Map<String, Double>> everywhere = readings.stream()
                        .map(read -> slip.corrected(setting, read).orElse(read))
                        .toList();
                ways.addAll(inAllOrOne(slip, everywhere, Set.of()));
                for (Set<String> places : madeAt(slip)) {
                    ways.addAll(inAllOrOne(slip, putRight(places, everywhere), places));
                }
            } else {
                ways.addAll(oneByOne(slip));
            }
        }
        return ways;
    }

    private List<Set<String>> madeAt(Slip slip) {
        List<Set<String>> own = slip.madeAt(measure.procedure());
        return !own.isEmpty() ? own : slip.ofBothSides() ? List.of() : sides;
    }

    /** A slip that is made at many places, in all repeats or in one; {@code putRight} is what should have been written in each. */
    private List<Hypothesis> inAllOrOne(Slip slip, List<Map<String, Double>> putRight, Set<String> places) {
        List<Map<FigureId, Double>> right = putRight.stream().map(this::values).toList();
        List<Hypothesis> ways = new ArrayList<>(List.of(new Hypothesis(slip, right, places, false)));
        for (int only = 0; only < right.size() && right.size() > 1; only++) {
            List<Map<FigureId, Double>> once = new ArrayList<>(asRead);
            once.set(only, right.get(only));
            ways.add(new Hypothesis(slip, once, places, true));
        }
        return ways;
    }

    /** A slip that is made at one place, in one repeat. */
    private List<Hypothesis> oneByOne(Slip slip) {
        List<Hypothesis> ways = new ArrayList<>();
        for (int repeat = 0; repeat < readings.size(); repeat++) {
            for (Map<String, Double> right : slip.correctedWays(setting, readings.get(repeat))) {
                List<Map<FigureId, Double>> putRight = new ArrayList<>(asRead);
                putRight.set(repeat, values(right));
                ways.add(new Hypothesis(slip, putRight, Set.of(), readings.size() > 1));
            }
        }
        return ways;
    }

    /** Where a slip can be made on one side alone: the places of the left wheels and those of the right ones, by id. */
    private static List<Set<String>> sides(Measure measure) {
        Map<Boolean, Set<String>> byLeft = measure.procedure().walk().stream()
                .filter(p -> p.wheel().isPresent())
                .collect(Collectors.groupingBy(
                        p -> p.wheel().orElseThrow().left(), Collectors.mapping(Place::id, Collectors.toSet())));
        return byLeft.isEmpty()
                ? List.of()
                : List.of(byLeft.getOrDefault(true, Set.of()), byLeft.getOrDefault(false, Set.of()));
    }

    /** All repeats, and each by itself. */
    private List<Predicate<Integer>> repeats() {
        List<Predicate<Integer>> repeats = new ArrayList<>(EVERY);
        if (readings.size() > 1) {
            IntStream.range(0, readings.size()).forEach(only -> repeats.add(i -> i == only));
        }
        return repeats;
    }

    /** What should have been written where a slip was made at some places only. */
    private List<Map<String, Double>> putRight(Set<String> places, List<Map<String, Double>> everywhere) {
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
        // what is so of the vehicle or the bay is in both, and falls out
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

    private static Map<String, Double> budget(Map<FigureId, Estimate> sitting, FigureId figure) {
        return Objects.requireNonNull(sitting.get(figure))
                .budget()
                .without(DoubtSource::isCommonToAll)
                .parts();
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
            double[] inDoubts = inDoubts(differences);
            double sum = dot(inDoubts, inDoubts);
            return Double.isNaN(sum) ? Double.POSITIVE_INFINITY : sum;
        }

        /** How much of the differences' chi-squared goes away with the best amounts of these patterns; 0 where there is no telling. */
        double along(List<double[]> patterns, double[] differences) {
            List<double[]> independent = new ArrayList<>();
            double explained = 0;
            for (double[] pattern : patterns) {
                double[] rest = inDoubts(pattern);
                for (double[] before : independent) {
                    double share = dot(rest, before);
                    Arrays.setAll(rest, i -> rest[i] - share * before[i]);
                }
                double length = Math.sqrt(dot(rest, rest));
                if (length > NOTHING) {
                    Arrays.setAll(rest, i -> rest[i] / length);
                    independent.add(rest);
                    double part = dot(rest, inDoubts(differences));
                    explained += part * part;
                }
            }
            return Double.isFinite(explained) ? explained : 0;
        }

        /** How many times a pattern there is in differences, either way; 0 where there is no telling. */
        double amount(double[] pattern, double[] differences) {
            double[] one = inDoubts(pattern);
            double amount = Math.abs(dot(one, inDoubts(differences)) / dot(one, one));
            return Double.isFinite(amount) ? amount : 0;
        }

        /** In standard doubts along each direction. */
        private double[] inDoubts(double[] figures) {
            return Arrays.stream(directions).mapToDouble(d -> dot(d, figures)).toArray();
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
