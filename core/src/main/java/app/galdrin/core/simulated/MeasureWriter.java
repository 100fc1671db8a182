package app.galdrin.core.simulated;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.procedure.slip.Slip;
import app.galdrin.core.procedure.slip.SlipContext;
import app.galdrin.core.procedure.slip.Slips;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Step;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads every place of a measurement. */
@AutoService(StepWriter.class)
public final class MeasureWriter implements StepWriter {

    @Override
    public String kind() {
        return Measure.KIND;
    }

    private static final List<String> WRITTEN_SLIPS = List.of("frontRearSwapped", "leftRightSwapped", "markMiscounted");

    @Override
    public void write(Step step, Apprentice apprentice, Habit habit, Truth found, Truth left) {
        var measure = (Measure) step;
        apprentice.read(measure, 0, found, measure.repeats());
        Optional.ofNullable(habit.reading().get(measure.id())).ifPresent(slip -> miswrite(apprentice, measure, slip));
    }

    /** Writes down again what was read, as a slip has it: in every repeat in the same way. */
    private static void miswrite(Apprentice apprentice, Measure measure, String key) {
        OwnFigures own = apprentice.own();
        List<Map<String, Double>> readings = own.readings(measure, 0);
        Optional<Slip> slip = Slips.of(measure.procedure(), key);
        SlipContext context = own.slipSetting(measure, AnswerUnit.DEGREES);
        for (int i = 0; i < readings.size(); i++) {
            int repeat = i + 1;
            Map<String, Double> read = readings.get(i);
            slip.flatMap(s -> s.correctedWays(context, read).stream().findFirst())
                    .ifPresent(wrong -> apprentice.write(measure, 0, repeat, wrong));
        }
    }

    @Override
    public List<ProvokedSlip> slips(Step step, Assignment assignment) {
        var measure = (Measure) step;
        return written(measure).stream()
                .map(slip -> new ProvokedSlip(
                        measure.id(), measure.id(), slip, Habit.CAREFUL.andReading(measure.id(), slip)))
                .toList();
    }

    private static List<String> written(Measure measure) {
        return Slips.of(measure.procedure()).stream()
                .map(Slip::key)
                .filter(WRITTEN_SLIPS::contains)
                .toList();
    }

    @Override
    public void draw(Step step, HabitDraw draw) {
        var measure = (Measure) step;
        List<String> slips =
                Slips.of(measure.procedure()).stream().map(Slip::key).toList();
        draw.workingSlip(measure.id(), slips);
        draw.readingSlip(measure.id(), written(measure));
    }
}
