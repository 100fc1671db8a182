package app.galdrin.core.marking;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.procedure.PlaceId;
import app.galdrin.core.procedure.slip.Slip;
import app.galdrin.core.procedure.slip.SlipContext;
import app.galdrin.core.procedure.slip.Slips;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Measure;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Shows a slip on the sketch of a measuring step: the places whose readings it uses wrongly. */
public final class SlipPicture {

    private SlipPicture() {}

    /**
     * Returns what stands at each place by the slip that is named for a step as found, mm or deg by place, mean of the repeats; empty where none is
     * named alone, and where the slip is none of readings.
     */
    public static Map<String, Double> of(MarkSheet sheet, Assignment assignment, OwnFigures own, Measure measure) {
        List<Set<String>> named = sheet.lines().stream()
                .flatMap(line -> line.evidence().stream()
                        .flatMap(e -> slips(e, line.criterion().step(), measure)))
                .distinct()
                .toList();
        if (named.size() != 1 || named.get(0).size() != 1) {
            return Map.of();
        }
        String key = named.get(0).iterator().next();
        List<Map<String, Double>> readings = own.readings(measure, 0);
        SlipContext setting = own.slipSetting(measure, AnswerUnit.DEGREES);
        return Slips.of(measure.procedure()).stream()
                .filter(slip -> slip.key().equals(key))
                .findFirst()
                .map(slip -> moved(slip, setting, readings))
                .map(moved -> at(places(sheet, measure), moved))
                .orElse(Map.of());
    }

    /** Keeps only the places at which the slip was made. */
    private static Map<String, Double> at(Set<String> places, Map<String, Double> moved) {
        Map<String, Double> there = new HashMap<>(moved);
        if (!places.isEmpty()) {
            there.keySet().retainAll(places);
        }
        return there;
    }

    private static Set<String> places(MarkSheet sheet, Measure measure) {
        return sheet.lines().stream()
                .filter(line -> line.criterion().step().equals(measure.id()))
                .flatMap(line -> line.evidence().stream())
                .filter(ReadingEvidence.class::isInstance)
                .flatMap(e -> ((ReadingEvidence) e).places().stream())
                .map(PlaceId::place)
                .collect(Collectors.toSet());
    }

    /** Returns those that alone explain readings of a step, or a working from them. */
    private static Stream<Set<String>> slips(Evidence evidence, String step, Measure measure) {
        if (evidence instanceof ReadingEvidence reading && step.equals(measure.id())) {
            return reading.possible() ? Stream.empty() : alone(reading.slips());
        }
        return evidence instanceof WorkingEvidence w
                        && !w.possible()
                        && w.from().equals(measure.id())
                ? alone(w.slips())
                : Stream.empty();
    }

    private static Stream<Set<String>> alone(List<Set<String>> slips) {
        return slips.size() == 1 ? slips.stream() : Stream.empty();
    }

    private static Map<String, Double> moved(Slip slip, SlipContext setting, List<Map<String, Double>> readings) {
        Map<String, Double> sums = new HashMap<>();
        Map<String, Integer> counts = new HashMap<>();
        for (Map<String, Double> repeat : readings) {
            otherwise(slip, setting, repeat).forEach((place, value) -> {
                Double read = repeat.get(place);
                if (read != null && !read.equals(value)) {
                    sums.merge(place, value, Double::sum);
                    counts.merge(place, 1, Integer::sum);
                }
            });
        }
        Map<String, Double> means = new HashMap<>();
        sums.forEach((place, sum) -> means.put(place, sum / counts.getOrDefault(place, 1)));
        return means;
    }

    private static Map<String, Double> otherwise(Slip slip, SlipContext setting, Map<String, Double> repeat) {
        Optional<Map<String, Double>> one = slip.misused(setting, repeat);
        List<Map<String, Double>> ways = one.isPresent() ? one.stream().toList() : slip.correctedWays(setting, repeat);
        return ways.size() == 1 ? ways.get(0) : Map.of();
    }
}
