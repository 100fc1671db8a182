package app.galdrin.core.marking;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.Slip;
import app.galdrin.core.procedure.SlipSetting;
import app.galdrin.core.procedure.Standing;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.task.Measure;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What slips in the working make of one measurement's readings. */
public final class SlipAnswers {

    private final OwnFigures own;
    private final Measure measure;
    private final List<Map<String, Double>> readings;
    private final Map<Made, List<Map<FigureId, Double>>> known = new HashMap<>();

    private final Map<AnswerUnit, Map<FigureId, Double>> asRead = new EnumMap<>(AnswerUnit.class);

    private record Made(List<Slip> slips, AnswerUnit unit) {}

    public SlipAnswers(OwnFigures own, Measure measure) {
        this.own = own;
        this.measure = measure;
        this.readings = own.readings(measure, 0);
    }

    private SlipSetting setting(AnswerUnit unit) {
        return new SlipSetting(measure.procedure(), own.standing(measure, 0), unit, own.baseline(measure), readings);
    }

    /** The answers, in their unit, that slips made in this order give, in every way they can be made; none where they change nothing here. */
    public List<Map<FigureId, Double>> of(List<Slip> made, AnswerUnit unit) {
        var key = new Made(made, unit);
        List<Map<FigureId, Double>> ways = known.get(key);
        if (ways == null) {
            ways = ways(made, unit);
            known.put(key, ways);
        }
        return ways;
    }

    private List<Map<FigureId, Double>> ways(List<Slip> made, AnswerUnit unit) {
        SlipSetting setting = setting(unit);
        List<Map<String, Double>> used = readings;
        Standing standing = setting.standing();
        boolean changes = false;
        for (Slip slip : made) {
            List<Map<String, Double>> changed = misused(slip, setting, used);
            changes |= slip.misused(setting, Map.of()).isPresent();
            List<Map<String, Double>> kept = slip.repeatsUsed(changed);
            changes |= !kept.isEmpty();
            used = kept.isEmpty() ? changed : kept;
            Optional<Standing> mistaken = slip.mistaken(standing);
            changes |= mistaken.isPresent();
            standing = mistaken.orElse(standing);
        }
        boolean asRead = used == readings && standing == setting.standing();
        List<Map<FigureId, Double>> answers = List.of(asRead ? asRead(unit) : answers(used, standing, unit));
        for (Slip slip : made) {
            List<Map<FigureId, Double>> altered = answers.stream()
                    .flatMap(a -> slip.altered(setting, a).stream())
                    .toList();
            if (!altered.isEmpty()) {
                answers = altered;
                changes = true;
            }
        }
        return changes ? answers : List.of();
    }

    /** The readings as this slip uses them; the same ones where it is none of readings. */
    private static List<Map<String, Double>> misused(
            Slip slip, SlipSetting setting, List<Map<String, Double>> readings) {
        List<Map<String, Double>> used = new ArrayList<>(readings.size());
        boolean any = false;
        for (Map<String, Double> repeat : readings) {
            Optional<Map<String, Double>> changed = slip.misused(setting, repeat);
            any |= changed.isPresent();
            used.add(changed.orElse(repeat));
        }
        return any ? used : readings;
    }

    /** What slips of answers alter; every one of them starts from it. */
    private Map<FigureId, Double> asRead(AnswerUnit unit) {
        return asRead.computeIfAbsent(
                unit, u -> Collections.unmodifiableMap(answers(readings, own.standing(measure, 0), u)));
    }

    /** Everything these readings come to as the task teaches it, in the answer's unit. */
    private Map<FigureId, Double> answers(List<Map<String, Double>> used, Standing standing, AnswerUnit unit) {
        Map<FigureId, Double> sums = new LinkedHashMap<>();
        Map<FigureId, Integer> counts = new HashMap<>();
        for (Map<String, Double> repeat : used) {
            measure.procedure().values(repeat, standing, measure.taught()).forEach((figure, value) -> {
                sums.merge(figure, value, Double::sum);
                counts.merge(figure, 1, Integer::sum);
            });
        }
        double baseline = own.baseline(measure);
        sums.replaceAll((figure, sum) -> unit.ofFigure(sum / counts.getOrDefault(figure, 1), figure, baseline));
        return sums;
    }
}
