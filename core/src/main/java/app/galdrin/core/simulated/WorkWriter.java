package app.galdrin.core.simulated;

import app.galdrin.core.answer.LineText;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.SlipAnswers;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.procedure.paper.Intermediate;
import app.galdrin.core.procedure.paper.IntermediateSteps;
import app.galdrin.core.procedure.slip.Slips;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.sitting.TargetReadings;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Target;
import app.galdrin.core.task.Work;
import com.google.auto.service.AutoService;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Works figures out from the apprentice's own readings, and turns wanted figures back into readings. */
@AutoService(StepWriter.class)
public final class WorkWriter implements StepWriter {

    @Override
    public String kind() {
        return Work.KIND;
    }

    @Override
    public void write(Step step, Apprentice apprentice, Habit habit, Truth found, Truth left) {
        var work = (Work) step;
        OwnFigures own = apprentice.own();
        Map<String, SlipAnswers> bySlip = new HashMap<>();
        for (Work.Item item : work.asked()) {
            if (habit.leftOut().contains(item.figure().key())) {
                continue;
            }
            Measure measure = apprentice.practical().measure(item.from()).orElseThrow();
            double right = item.unit()
                    .ofFigure(own.onPaper(measure, 0, item.figure()).orElse(0), item.figure(), own.baseline(measure));
            double wrote = Optional.ofNullable(habit.working().get(measure.id()))
                    .flatMap(key -> Slips.of(measure.procedure(), key))
                    .flatMap(slip -> bySlip
                            .computeIfAbsent(measure.id(), id -> new SlipAnswers(own, measure))
                            .of(List.of(slip), item.unit())
                            .stream()
                            .filter(way -> canBeWritten(apprentice.sheet(), work, way))
                            .findFirst())
                    .map(answers -> answers.getOrDefault(item.figure(), right))
                    .orElse(right);
            onTheWay(apprentice.pen(), work, item, measure, own);
            apprentice.pen().write(LineKey.of(work.id(), item.figure().key()), worked(item.unit(), wrote));
        }
        for (Target target : work.targets()) {
            Measure from = apprentice.practical().measure(target.from()).orElseThrow();
            TargetReadings.of(own, target, from, 0)
                    .forEach(t -> apprentice
                            .pen()
                            .write(
                                    LineKey.of(work.id(), target.line(t)),
                                    Apprentice.text(t.answer(), t.place().amount(), t.value())));
        }
    }

    @Override
    public List<ProvokedSlip> slips(Step step, Assignment assignment) {
        var work = (Work) step;
        return work.asked().stream()
                .map(Work.Item::from)
                .distinct()
                .flatMap(from -> assignment.practical().measure(from).stream())
                .flatMap(measure -> assignment.slips(measure).stream()
                        .map(slip -> new ProvokedSlip(
                                work.id(), measure.id(), slip.key(), Habit.working(Map.of(measure.id(), slip.key())))))
                .toList();
    }

    /** Rounded as it is written down. */
    private static void onTheWay(Pen pen, Work work, Work.Item item, Measure measure, OwnFigures own) {
        if (item.steps().isEmpty()) {
            return;
        }
        var way = new IntermediateSteps(measure.procedure(), item.figure(), own.repeats(measure, 0), measure.taught());
        for (Intermediate step : item.steps()) {
            way.at(step, Map.of())
                    .ifPresent(value -> pen.write(
                            LineKey.of(work.id(), item.line(step)),
                            QuantityFormat.decimal(
                                    step.unit().toRecord(value), -(int) Math.round(Math.log10(step.place())), false)));
        }
    }

    /** A slip can give what no sheet takes: a gauge at plumb shows 90, and no camber is that. */
    private static boolean canBeWritten(Sheet sheet, Work work, Map<FigureId, Double> answers) {
        return work.asked().stream()
                .filter(item -> answers.containsKey(item.figure()))
                .allMatch(item -> sheet.line(LineKey.of(work.id(), item.figure().key()))
                        .filter(line -> LineText.read(
                                        worked(item.unit(), answers.getOrDefault(item.figure(), 0.0)), line.answer())
                                instanceof LineText.ParsedText)
                        .isPresent());
    }

    /** An answer in its unit, to the place it is written to. */
    private static String worked(AnswerUnit unit, double value) {
        if (unit.quantity() == Quantity.LENGTH) {
            return QuantityFormat.decimal(Math.rint(value / unit.step()) * unit.step(), 1, true);
        }
        return QuantityFormat.decimal(value, 2, true) + (unit == AnswerUnit.DEGREES_MINUTES ? "°" : "");
    }
}
