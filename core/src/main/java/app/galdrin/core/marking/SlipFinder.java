package app.galdrin.core.marking;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.Slip;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Work;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * Tries the known slips on an apprentice's own readings and says which give the wrong figures that were written. Several that fit
 * equally are all named; what none explains is not guessed at.
 */
final class SlipFinder {

    /** An accusation that chance would make in more than three of a hundred wrong figures is none. */
    private static final double MOST_BY_CHANCE = 0.03;

    private static final double REACH = 5;

    private final Case of;
    private final Measure measure;
    private final List<Answered> wrong;
    private final Map<AnswerUnit, List<Answered>> byUnit;
    private final SlipAnswers answers;
    private final List<Slip> slips;

    /**
     * For figures of one measurement.
     *
     * @param wrong those that were worked wrong from its readings
     */
    SlipFinder(Case of, Measure measure, List<Answered> wrong) {
        this.of = of;
        this.measure = measure;
        this.wrong = wrong;
        this.byUnit =
                wrong.stream().collect(Collectors.groupingBy(one -> one.item().unit()));
        this.answers = new SlipAnswers(
                of.own(),
                measure,
                wrong.stream().map(one -> one.item().figure()).toList());
        this.slips = of.assignment().slips(measure);
    }

    /**
     * What explains worked figures.
     *
     * @param slips sets of one slip, or of two where no single one fits; empty where none fit
     * @param possible whether so many slips could give so much that it may be chance
     */
    record Found(List<Set<String>> slips, boolean possible) {
        static final Found NOTHING = new Found(List.of(), false);

        /** Whether one slip is to be named, and nothing else fits as well. */
        boolean named() {
            return !possible && slips.size() == 1 && slips.get(0).size() == 1;
        }
    }

    /**
     * Slips behind the wrong figures. A slip is named where it gives every one of them, each within one place as written. A single figure is
     * weaker evidence: it takes a single slip, within half a place.
     */
    Found explain() {
        boolean alone = wrong.size() == 1;
        double places = alone ? 0.5 : 1;
        List<Set<String>> singles = slips.stream()
                .filter(slip -> fits(List.of(slip), places))
                .<Set<String>>map(slip -> Set.of(slip.key()))
                .toList();
        if (alone) {
            return new Found(singles, !singles.isEmpty() && share(wrong.get(0)) > MOST_BY_CHANCE);
        }
        return new Found(singles.isEmpty() ? pairs(places) : singles, false);
    }

    /**
     * How much of the figures that could be written in error the slips give, 0 to 1: five times the figure or its tolerance each way, and as
     * far as what was written.
     */
    private double share(Answered one) {
        Work.Item item = one.item();
        double tolerance = of.assignment()
                .limits(item.figure())
                .filter(l -> l.min().isPresent() && l.max().isPresent())
                .map(l -> (l.max().getAsDouble() - l.min().getAsDouble()) / 2)
                .map(half -> Math.abs(item.unit().ofFigure(half, item.figure(), of.baseline(measure))))
                .orElse(0.0);
        double reach = Math.max(REACH * Math.max(Math.abs(one.right()), tolerance), Math.abs(one.wrote()));
        double[] given = slips.stream()
                .flatMap(slip -> answers.of(List.of(slip), item.unit()).stream())
                .flatMap(way -> Optional.ofNullable(way.get(item.figure())).stream())
                .mapToDouble(v -> v)
                .filter(v -> Math.abs(v) <= reach && one.tells(v))
                .sorted()
                .toArray();
        double covered = 0;
        double upTo = -reach;
        for (double value : given) {
            double from = Math.max(upTo, value - one.place() / 2);
            double to = Math.max(from, Math.min(reach, value + one.place() / 2));
            covered += to - from;
            upTo = Math.max(upTo, to);
        }
        return reach == 0 ? 1 : covered / (2 * reach);
    }

    private List<Set<String>> pairs(double places) {
        List<Set<String>> pairs = new ArrayList<>();
        for (int i = 0; i < slips.size(); i++) {
            for (int j = i + 1; j < slips.size(); j++) {
                Slip one = slips.get(i);
                Slip other = slips.get(j);
                if (fits(List.of(one, other), places) || fits(List.of(other, one), places)) {
                    pairs.add(new TreeSet<>(Set.of(one.key(), other.key())));
                }
            }
        }
        return pairs;
    }

    /** Whether slips made in this order give all of these figures, those of one unit in one and the same way. */
    private boolean fits(List<Slip> made, double places) {
        for (Map.Entry<AnswerUnit, List<Answered>> inUnit : byUnit.entrySet()) {
            boolean any = false;
            for (Map<FigureId, Double> way : answers.of(made, inUnit.getKey())) {
                any = any || gives(way, inUnit.getValue(), places);
            }
            if (!any) {
                return false;
            }
        }
        return true;
    }

    private static boolean gives(Map<FigureId, Double> way, List<Answered> wrong, double places) {
        for (Answered one : wrong) {
            Double value = way.get(one.item().figure());
            if (value == null || !one.is(value, places)) {
                return false;
            }
        }
        return true;
    }
}
