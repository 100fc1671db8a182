package app.galdrin.core.marking;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Derivation;
import app.galdrin.core.procedure.slip.Slip;
import app.galdrin.core.task.Measure;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Tries the known slips on an apprentice's own readings and says which give the wrong figures that were written. One that alone fits is
 * named; where several fit equally, or an error of the pen does, they are possible. A figure that no slip explains is not guessed at.
 */
final class SlipFinder {

    /** Greatest distance of a figure from what a slip gives, in places as written: by the last rounding alone, and by roundings on the way as well. */
    private static final double AT_THE_END = 0.5;

    private static final double ON_THE_WAY = 1;

    private final List<WorkedAnswer> wrong;
    private final Map<AnswerUnit, List<WorkedAnswer>> byUnit;
    private final SlipAnswers answers;
    private final List<SlipAnswers> ofRepeats = new ArrayList<>();
    private final List<Slip> slips;

    /**
     * Creates a finder for figures of one measurement.
     *
     * @param wrong those that were worked wrong from its readings; a single one is weaker evidence than several
     */
    SlipFinder(Case sitting, Measure measure, List<WorkedAnswer> wrong) {
        this.wrong = wrong;
        this.byUnit =
                wrong.stream().collect(Collectors.groupingBy(one -> one.item().unit()));
        this.answers = new SlipAnswers(
                sitting.own(),
                measure,
                wrong.stream().map(one -> one.item().figure()).toList());
        for (int repeat = 0; repeat < sitting.own().readings(measure, 0).size(); repeat++) {
            if (!sitting.own().worked(measure, 0).get(repeat).figures().isEmpty()) {
                ofRepeats.add(answers.ofRepeat(repeat));
            }
        }
        this.slips = sitting.assignment().slips(measure);
    }

    /**
     * An explanation of worked figures.
     *
     * @param slips sets of one slip, or of two where no single one fits; empty where none fit
     * @param possible whether something else explains them as well
     */
    record Explanation(List<Set<String>> slips, boolean possible) {
        static final Explanation NOTHING = new Explanation(List.of(), false);

        /** Returns whether one slip is to be named, and nothing else fits as well. */
        boolean named() {
            return !possible && slips.size() == 1 && slips.get(0).size() == 1;
        }
    }

    private boolean isAlone() {
        return wrong.size() == 1;
    }

    /**
     * Slips behind the wrong figures: each has to give every one of them. One that is made everywhere comes before one that is made at a
     * wheel or in a repeat, and that before two made together; of those, one that gives the figures as written before one that is a
     * rounding off. A single figure takes a single slip, made everywhere, that gives it as written.
     */
    Explanation explain() {
        List<Set<String>> found = singles(this::everywhere);
        if (found.isEmpty() && !isAlone()) {
            found = singles(this::atOneWheel);
            found = found.isEmpty() && !isNothing() ? singles(this::inOneRepeat) : found;
            found = found.isEmpty() ? pairs() : found;
        }
        return found.isEmpty()
                ? Explanation.NOTHING
                : new Explanation(found, found.size() > 1 || isAlone() && PenError.explains(wrong.get(0)));
    }

    /** Returns whether zero stands everywhere: of two repeats a sign lost in one leaves as little, and nobody needs a slip to write it. */
    private boolean isNothing() {
        return wrong.stream().allMatch(one -> one.wrote() == 0);
    }

    /** The answers of a unit, in every way they can come about. */
    private interface Answers extends Function<AnswerUnit, Stream<Map<FigureId, Double>>> {}

    private List<Set<String>> singles(Function<Slip, Stream<Answers>> ways) {
        List<Set<String>> asWritten = singles(ways, AT_THE_END);
        return asWritten.isEmpty() && !isAlone() ? singles(ways, ON_THE_WAY) : asWritten;
    }

    private List<Set<String>> singles(Function<Slip, Stream<Answers>> ways, double places) {
        return slips.stream()
                .filter(slip -> ways.apply(slip).anyMatch(way -> fits(way, places)))
                .<Set<String>>map(slip -> Set.of(slip.key()))
                .toList();
    }

    /** Made once, on the means, or in every repeat. */
    private Stream<Answers> everywhere(Slip slip) {
        return Stream.of(unit -> answers.of(List.of(slip), unit).stream(), unit -> inEveryRepeat(slip, unit));
    }

    /** Returns the answers with the slip made in every repeat. Repeats that can be slipped in equally many ways can be slipped in the same ways. */
    private Stream<Map<FigureId, Double>> inEveryRepeat(Slip slip, AnswerUnit unit) {
        List<List<Map<FigureId, Double>>> repeats = ofRepeats.size() < 2
                ? List.of()
                : ofRepeats.stream()
                        .map(repeat -> repeat.of(List.of(slip), unit))
                        .toList();
        int ways = repeats.stream().mapToInt(List::size).min().orElse(0);
        return repeats.stream().allMatch(r -> r.size() == ways)
                ? IntStream.range(0, ways)
                        .mapToObj(way ->
                                mean(repeats.stream().map(r -> r.get(way)).toList()))
                : Stream.empty();
    }

    /** Returns the means of the figures that all repeats have. */
    private static Map<FigureId, Double> mean(List<Map<FigureId, Double>> repeats) {
        Map<FigureId, Double> mean = new HashMap<>();
        repeats.get(0).keySet().stream()
                .filter(figure -> repeats.stream().allMatch(r -> r.containsKey(figure)))
                .forEach(figure -> mean.put(
                        figure,
                        repeats.stream()
                                .mapToDouble(r -> r.getOrDefault(figure, 0.0))
                                .average()
                                .orElseThrow()));
        return mean;
    }

    /** The slip's answers at one wheel, the honest ones elsewhere, and what is put together of both. */
    private Stream<Answers> atOneWheel(Slip slip) {
        return wheels().stream().map(wheel -> unit -> {
            Map<FigureId, Double> honest = answers.honest(unit);
            return answers.of(List.of(slip), unit).stream().map(way -> atWheel(wheel, honest, way));
        });
    }

    private Set<Wheel> wheels() {
        return wrong.stream()
                .flatMap(one -> one.item().figure().wheel().stream())
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private static Map<FigureId, Double> atWheel(
            Wheel wheel, Map<FigureId, Double> honest, Map<FigureId, Double> slipped) {
        Map<FigureId, Double> mixed = new HashMap<>(honest);
        slipped.forEach((figure, value) -> {
            if (figure.wheel().filter(wheel::equals).isPresent()) {
                mixed.put(figure, value);
            }
        });
        honest.keySet()
                .forEach(figure -> Derivation.of(figure)
                        .filter(made -> mixed.keySet().containsAll(made.parts()))
                        .ifPresent(made -> mixed.put(
                                figure,
                                made.of(
                                        mixed.getOrDefault(made.parts().get(0), 0.0),
                                        mixed.getOrDefault(made.parts().get(1), 0.0)))));
        return mixed;
    }

    /** The mean where one of several repeats was slipped in. */
    private Stream<Answers> inOneRepeat(Slip slip) {
        return ofRepeats.size() < 2
                ? Stream.empty()
                : ofRepeats.stream().map(repeat -> unit -> {
                    Map<FigureId, Double> all = answers.honest(unit);
                    Map<FigureId, Double> honest = repeat.honest(unit);
                    return repeat.of(List.of(slip), unit).stream().map(way -> inRepeat(all, honest, way));
                });
    }

    private Map<FigureId, Double> inRepeat(
            Map<FigureId, Double> all, Map<FigureId, Double> honest, Map<FigureId, Double> slipped) {
        Map<FigureId, Double> mean = new HashMap<>(all);
        mean.replaceAll((figure, value) -> {
            double before = honest.getOrDefault(figure, value);
            return value + (slipped.getOrDefault(figure, before) - before) / ofRepeats.size();
        });
        return mean;
    }

    private List<Set<String>> pairs() {
        List<Set<String>> pairs = new ArrayList<>();
        for (int i = 0; i < slips.size(); i++) {
            for (int j = i + 1; j < slips.size(); j++) {
                Slip one = slips.get(i);
                Slip other = slips.get(j);
                if (fits(unit -> answers.of(List.of(one, other), unit).stream(), ON_THE_WAY)
                        || fits(unit -> answers.of(List.of(other, one), unit).stream(), ON_THE_WAY)) {
                    pairs.add(new TreeSet<>(Set.of(one.key(), other.key())));
                }
            }
        }
        return pairs;
    }

    /** Returns whether some way gives all of the wrong figures, those of one unit in one and the same way. */
    private boolean fits(Answers ways, double places) {
        return byUnit.entrySet().stream()
                .allMatch(inUnit -> ways.apply(inUnit.getKey()).anyMatch(way -> gives(way, inUnit.getValue(), places)));
    }

    private static boolean gives(Map<FigureId, Double> way, List<WorkedAnswer> wrong, double places) {
        for (WorkedAnswer one : wrong) {
            Double value = way.get(one.item().figure());
            if (value == null || !one.is(value, places)) {
                return false;
            }
        }
        return true;
    }
}
