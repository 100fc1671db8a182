package app.galdrin.core.marking;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.measure.HandFormula;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.PlaceId;
import app.galdrin.core.procedure.WorkedRepeat;
import app.galdrin.core.procedure.slip.Slip;
import app.galdrin.core.procedure.slip.SlipContext;
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

/**
 * Slips in taking or writing down readings, told from what lies between an apprentice's figures and the reference's. All figures of a
 * state are looked at together, with their covariance: a slip is named where it takes nearly all of what is unlikely about them away, and
 * what it leaves is no more than honest hands leave. Chi-squared d'C⁻¹d of the differences d with the covariance C of both.
 */
final class ReadingSlips {

    /**
     * The fall of chi-squared that a slip needs; more where many ways are tried. A figure that moved by 3.2 U of the difference makes it
     * fall by 41; what moved by less is as often a scale misread.
     */
    private static final double FALL = 25;

    private static final int FEW = 50;

    /** The same of the commonest, which a misread place looks like more often the less it moves. */
    private static final double FALL_OF_COMMONEST = 36;

    /** Two explanations whose chi-squared differs by less fit equally: two standard deviations. */
    private static final double AS_WELL = 4;

    /** The commonest gives way to what fits better by more; made in one of several repeats, where a misread place is as common, by less. */
    private static final double BETTER = 10;

    private static final double BETTER_IN_ONE = 4;

    /** The difference in chi-squared of two patterns that are the same. */
    private static final double TIE = 1;

    /** Share of the standard uncertainty below which a figure has not moved. */
    private static final double MOVED = 0.1;

    private final Case sitting;
    private final Measure measure;
    private final List<Map<String, Double>> readings;
    private final SlipContext setting;

    /** Figures of each repeat. */
    private final List<Map<FigureId, Estimate>> own;

    /** The same without its doubts. */
    private final List<Map<FigureId, Double>> asRead;

    private final Map<FigureId, Estimate> reference = new LinkedHashMap<>();
    private final List<FigureId> figures;
    private final List<Set<String>> sides;
    private final RivalExplanations rivals;

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
        this.rivals = new RivalExplanations(measure, figures, readings, this::values);
    }

    /** Returns what a repeat comes to with these readings. */
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

    /** A way that fits, and the chi-squared that it leaves. */
    private record Fit(Hypothesis way, double left) {}

    /**
     * The slips that explain the differences. If several fit equally well, all are listed and none is more than possible. A slip is also only
     * possible where one place misread by some amount, or one wheel that is off, fits as well.
     */
    List<SlipExplanation> found() {
        if (figures.isEmpty() || readings.isEmpty()) {
            return List.of();
        }
        Misfit misfit = Misfit.of(own, reference, figures);
        double[] differences = differences(this.asRead);
        double now = misfit.of(differences);
        List<Hypothesis> ways = ways();
        double fall = FALL + 2 * Math.log(Math.max(1, ways.size() / (double) FEW));
        List<Fit> fits = ways.stream()
                .map(way -> new Fit(way, misfit.of(differences(way.putRight()))))
                .filter(fit -> now - fit.left() >= (fit.way().slip().isCommonest() ? FALL_OF_COMMONEST : fall)
                        && misfit.honest(fit.left(), 0))
                .toList();
        double best = fits.stream().mapToDouble(Fit::left).min().orElse(0);
        Map<String, Fit> nearest = new LinkedHashMap<>();
        for (Fit fit : fits) {
            if (fit.left() <= best + AS_WELL) {
                nearest.merge(fit.way().slip().key(), fit, (a, b) -> a.left() <= b.left() ? a : b);
            }
        }
        if (fits.isEmpty()) {
            return turned(misfit, differences, now, fall);
        }
        boolean several = nearest.size() > 1;
        return nearest.values().stream()
                .map(fit -> new SlipExplanation(
                        fit.way().slip().key(),
                        moved(fit.way()),
                        fit.way().places().stream()
                                .map(place -> new PlaceId(measure.procedure().key(), place))
                                .collect(Collectors.toSet()),
                        several || isRivalled(fit, misfit, differences, now)))
                .toList();
    }

    /** Returns whether no slip is needed: the commonest only gives way to its own places misread by another amount, and only to what fits better. */
    private boolean isRivalled(Fit fit, Misfit misfit, double[] differences, double now) {
        boolean commonest = fit.way().slip().isCommonest();
        double rival =
                rivals.least(misfit, differences, now, commonest ? fit.way().places() : Set.of());
        double better = fit.way().inOneRepeat() ? BETTER_IN_ONE : BETTER;
        return rival <= fit.left() + (commonest ? -better : AS_WELL);
    }

    /** Slips of an unknown amount fit more than those that leave none to choose, and are asked where none of those fits. */
    private List<SlipExplanation> turned(Misfit misfit, double[] differences, double now, double fall) {
        List<SlipExplanation> found = new ArrayList<>();
        for (Slip slip : sitting.assignment().slips(measure)) {
            Map<FigureId, Integer> turned = slip.turned();
            if (turned.isEmpty() || !figures.containsAll(turned.keySet())) {
                continue;
            }
            double left = Double.POSITIVE_INFINITY;
            for (Predicate<Integer> made : rivals.repeats()) {
                double[] one = rivals.pattern(made, figure -> turned.getOrDefault(figure, 0));
                double explained = misfit.along(List.of(one), differences);
                if (explained >= fall && misfit.honest(now - explained, 1)) {
                    left = Math.min(left, now - explained);
                }
            }
            if (left < Double.POSITIVE_INFINITY) {
                boolean rivalled = rivals.least(misfit, differences, now, Set.of()) <= left + TIE;
                found.add(new SlipExplanation(slip.key(), turned.keySet(), Set.of(), rivalled));
            }
        }
        return found;
    }

    /** Returns the difference of every figure in every repeat; NaN where a figure can no longer be worked. */
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

    /** Returns the sides on which a slip can be made alone: the places of the left wheels and those of the right, by id. */
    private static List<Set<String>> sides(Measure measure) {
        Map<Boolean, Set<String>> byLeft = measure.procedure().walk().stream()
                .filter(p -> p.wheel().isPresent())
                .collect(Collectors.groupingBy(
                        p -> p.wheel().orElseThrow().left(), Collectors.mapping(Place::id, Collectors.toSet())));
        return byLeft.isEmpty()
                ? List.of()
                : List.of(byLeft.getOrDefault(true, Set.of()), byLeft.getOrDefault(false, Set.of()));
    }

    /** Returns what should have been written where a slip was made at some places only. */
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
}
