package app.galdrin.core.marking;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.slip.Slip;
import app.galdrin.core.procedure.slip.SlipContext;
import app.galdrin.core.procedure.slip.Slips;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.task.Measure;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Answers that slips in the working make of one measurement's readings. A slip changes what the figures are worked from, or the answers that
 * they come to, or both. Slips are many, and where none fits alone two are tried in either order: what some of them begin with is worked
 * once.
 */
public final class SlipAnswers {

    private static final int ALL = -1;

    private final OwnFigures own;
    private final Measure measure;
    private final Set<FigureId> figures;

    /** The only repeat there is, from 0; {@link #ALL} where there are all. */
    private final int only;

    private final Map<AnswerUnit, SlipContext> settings = new EnumMap<>(AnswerUnit.class);
    private final Map<Slip, Boolean> ofReadings = new IdentityHashMap<>();
    private final Map<SlipSequence, Alternatives> known = new HashMap<>();

    /**
     * Slips in the order in which they are made.
     *
     * @param inUse those that are made in using the readings
     * @param inAnswers those that are made of the answers which they come to
     */
    private record SlipSequence(List<Slip> inUse, List<Slip> inAnswers, AnswerUnit unit) {
        SlipSequence butLast() {
            return new SlipSequence(inUse, inAnswers.subList(0, inAnswers.size() - 1), unit);
        }

        Slip last() {
            return inAnswers.get(inAnswers.size() - 1);
        }
    }

    /** Answers in every way they can come about, and whether any slip had a hand in them. */
    private record Alternatives(List<Map<FigureId, Double>> answers, boolean changed) {}

    /** Finds answers for every figure that the procedure measures. */
    public SlipAnswers(OwnFigures own, Measure measure) {
        this(own, measure, measure.procedure().sees(), ALL);
    }

    /** Finds answers for these figures and for those that slips confuse with them. */
    SlipAnswers(OwnFigures own, Measure measure, Collection<FigureId> figures) {
        this(own, measure, Set.copyOf(Slips.mixedUp(measure.procedure(), figures)), ALL);
    }

    private SlipAnswers(OwnFigures own, Measure measure, Set<FigureId> figures, int only) {
        this.own = own;
        this.measure = measure;
        this.figures = figures;
        this.only = only;
    }

    /** The same of one repeat alone, from 0. */
    SlipAnswers ofRepeat(int repeat) {
        return new SlipAnswers(own, measure, figures, repeat);
    }

    /** The answers, in their unit, that slips made in this order give, in every way they can be made; none where they change nothing here. */
    public List<Map<FigureId, Double>> of(List<Slip> made, AnswerUnit unit) {
        SlipContext setting = setting(unit);
        List<Slip> inUse =
                made.stream().filter(slip -> isOfReadings(slip, setting)).toList();
        Alternatives ways = ways(new SlipSequence(inUse, made, unit), setting);
        return ways.changed() ? ways.answers() : List.of();
    }

    /** The answers, in their unit, of anyone who makes no slip. */
    Map<FigureId, Double> honest(AnswerUnit unit) {
        return ways(new SlipSequence(List.of(), List.of(), unit), setting(unit))
                .answers()
                .get(0);
    }

    private SlipContext setting(AnswerUnit unit) {
        return settings.computeIfAbsent(unit, u -> {
            SlipContext all = own.slipSetting(measure, u);
            return only == ALL
                    ? all
                    : all.ofRepeat(only, own.worked(measure, 0).get(only).notes());
        });
    }

    /** Returns whether a slip is made in using readings, or of what they were taken on, and not of answers alone. */
    private boolean isOfReadings(Slip slip, SlipContext setting) {
        return ofReadings.computeIfAbsent(
                slip,
                s -> s.misused(setting, Map.of()).isPresent()
                        || !s.repeatsUsed(setting.readings()).isEmpty()
                        || s.mistaken(setting.standing()).isPresent());
    }

    private Alternatives ways(SlipSequence made, SlipContext setting) {
        Alternatives ways = known.get(made);
        if (ways == null) {
            if (made.inAnswers().isEmpty()) {
                ways = new Alternatives(
                        List.of(used(made.inUse(), setting)), !made.inUse().isEmpty());
            } else {
                ways = altered(made.last(), ways(made.butLast(), setting), setting);
            }
            known.put(made, ways);
        }
        return ways;
    }

    private static Alternatives altered(Slip slip, Alternatives before, SlipContext setting) {
        List<Map<FigureId, Double>> altered = new ArrayList<>();
        for (Map<FigureId, Double> answers : before.answers()) {
            altered.addAll(slip.altered(setting, answers));
        }
        return altered.isEmpty() ? before : new Alternatives(altered, true);
    }

    /** Returns everything these readings come to as the task teaches it, used with these slips, in the answer's unit. */
    private Map<FigureId, Double> used(List<Slip> made, SlipContext setting) {
        List<Map<String, Double>> used = setting.readings();
        MeasuringContext standing = setting.standing();
        for (Slip slip : made) {
            List<Map<String, Double>> changed = used.stream()
                    .map(repeat -> slip.misused(setting, repeat).orElse(repeat))
                    .toList();
            List<Map<String, Double>> kept = slip.repeatsUsed(changed);
            used = kept.isEmpty() ? changed : kept;
            standing = slip.mistaken(standing).orElse(standing);
        }
        Map<FigureId, Double> sums = new LinkedHashMap<>();
        Map<FigureId, Integer> counts = new HashMap<>();
        for (Map<String, Double> repeat : used) {
            values(repeat, standing).forEach((figure, value) -> {
                if (figures.contains(figure)) {
                    sums.merge(figure, value, Double::sum);
                    counts.merge(figure, 1, Integer::sum);
                }
            });
        }
        sums.replaceAll((figure, sum) ->
                setting.unit().ofFigure(sum / counts.getOrDefault(figure, 1), figure, setting.baseline()));
        return Collections.unmodifiableMap(sums);
    }

    private Map<FigureId, Double> values(Map<String, Double> repeat, MeasuringContext standing) {
        return standing == own.standing(measure, 0)
                ? own.values(measure, 0, repeat, measure.taught())
                : measure.procedure().values(repeat, standing, measure.taught());
    }
}
