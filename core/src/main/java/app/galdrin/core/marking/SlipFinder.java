package app.galdrin.core.marking;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.Procedure.Worked;
import app.galdrin.core.procedure.Slip;
import app.galdrin.core.procedure.SlipSetting;
import app.galdrin.core.procedure.Slips;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Work;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.DoublePredicate;

/**
 * Tries the known slips on an apprentice's own readings and says which single slip, or failing that which pair, gives the wrong
 * figure that was written. Several that fit equally are all named; what no pair explains is not guessed at.
 */
final class SlipFinder {

    private final Case of;
    private final Measure measure;
    private final List<Map<String, Double>> readings;
    private final List<Slip> slips;

    SlipFinder(Case of, Measure measure) {
        this.of = of;
        this.measure = measure;
        this.readings = of.answers().readings(measure, 0);
        this.slips = Slips.of(measure.procedure());
    }

    private SlipSetting setting(AnswerUnit unit) {
        return new SlipSetting(
                measure.procedure(), of.own().standing(measure, 0), unit, of.baseline(measure), readings);
    }

    /**
     * Slips behind a worked figure.
     *
     * @param matches whether a value in the answer's unit is, within rounding, what was written
     * @return sets of one slip, or of two where no single one fits; empty where none fit
     */
    List<Set<String>> explain(Work.Item item, DoublePredicate matches) {
        List<Set<String>> singles = slips.stream()
                .filter(slip -> fits(List.of(slip), item, matches))
                .<Set<String>>map(slip -> Set.of(slip.key()))
                .toList();
        return singles.isEmpty() ? pairs(item, matches) : singles;
    }

    private List<Set<String>> pairs(Work.Item item, DoublePredicate matches) {
        List<Set<String>> pairs = new ArrayList<>();
        for (int i = 0; i < slips.size(); i++) {
            for (int j = i + 1; j < slips.size(); j++) {
                if (fits(List.of(slips.get(i), slips.get(j)), item, matches)
                        || fits(List.of(slips.get(j), slips.get(i)), item, matches)) {
                    pairs.add(new TreeSet<>(
                            Set.of(slips.get(i).key(), slips.get(j).key())));
                }
            }
        }
        return pairs;
    }

    private boolean fits(List<Slip> made, Work.Item item, DoublePredicate matches) {
        SlipSetting setting = setting(item.unit());
        List<Map<String, Double>> used = readings;
        boolean ofReadings = false;
        for (Slip slip : made) {
            List<Map<String, Double>> changed =
                    used.stream().map(r -> slip.misused(setting, r).orElse(r)).toList();
            ofReadings |= slip.misused(setting, Map.of()).isPresent();
            used = changed;
        }
        List<Map<FigureId, Double>> answers = List.of(answers(used, item.unit()));
        boolean ofAnswers = false;
        for (Slip slip : made) {
            List<Map<FigureId, Double>> altered = answers.stream()
                    .flatMap(a -> slip.altered(setting, a).stream())
                    .toList();
            if (!altered.isEmpty()) {
                answers = altered;
                ofAnswers = true;
            }
        }
        return (ofReadings || ofAnswers)
                && answers.stream().anyMatch(a -> {
                    Double value = a.get(item.figure());
                    return value != null && matches.test(value);
                });
    }

    /** Everything these readings come to as the task teaches it, in the answer's unit. */
    private Map<FigureId, Double> answers(List<Map<String, Double>> used, AnswerUnit unit) {
        List<Worked> worked = work(used);
        Map<FigureId, Double> answers = new LinkedHashMap<>();
        worked.stream()
                .flatMap(w -> w.figures().keySet().stream())
                .distinct()
                .forEach(figure -> mean(worked, figure)
                        .ifPresent(v -> answers.put(figure, unit.ofFigure(v, figure, of.baseline(measure)))));
        return answers;
    }

    private List<Worked> work(List<Map<String, Double>> used) {
        List<Worked> worked = new ArrayList<>();
        for (int i = 0; i < used.size(); i++) {
            worked.add(of.own().work(measure, 0, i + 1, used.get(i)));
        }
        return worked;
    }

    private static OptionalDouble mean(List<Worked> worked, FigureId figure) {
        return worked.stream()
                .flatMap(w -> w.honest(figure).stream())
                .mapToDouble(v -> v)
                .average();
    }

    /**
     * Slips in taking or writing the readings themselves, one at a time.
     *
     * @param matches whether a figure in rad or mm agrees with the reference
     */
    List<Set<String>> explainReadings(FigureId figure, DoublePredicate matches) {
        SlipSetting setting = setting(AnswerUnit.DEGREES);
        List<Set<String>> found = new ArrayList<>();
        for (Slip slip : slips) {
            boolean possible = slip.corrected(setting, Map.of()).isPresent();
            List<Map<String, Double>> corrected = readings.stream()
                    .map(r -> slip.corrected(setting, r).orElse(r))
                    .toList();
            boolean swapped = slip.swapsSides() && !figure.otherSide().equals(figure);
            OptionalDouble right = possible
                    ? mean(work(corrected), figure)
                    : swapped ? mean(work(readings), figure.otherSide()) : OptionalDouble.empty();
            if (right.isPresent() && matches.test(right.getAsDouble())) {
                found.add(Set.of(slip.key()));
            }
        }
        return found;
    }
}
