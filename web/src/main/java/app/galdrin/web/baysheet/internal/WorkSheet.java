package app.galdrin.web.baysheet.internal;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Work;
import app.galdrin.web.baysheet.StepSheet;
import app.galdrin.web.baysheet.StepView;
import app.galdrin.web.baysheet.WrittenSheet;
import app.galdrin.web.sitting.Tape;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** A working on the sheet: what is asked beside the readings it is worked from. */
@Component
class WorkSheet implements StepSheet {

    @Override
    public String kind() {
        return Work.KIND;
    }

    @Override
    public StepView view(Step step, StepView.Head head, WrittenSheet written) {
        var work = (Work) step;
        List<WorkView.Item> items = work.asked().stream()
                .map(item -> new WorkView.Item(
                        item,
                        written.words().name(item.figure()),
                        written.fields()
                                .worked(LineKey.of(work.id(), item.figure().key()), item.unit()),
                        via(written, work, item)))
                .toList();
        List<WorkView.Readings> readings = work.asked().stream()
                .map(Work.Item::from)
                .distinct()
                .map(from -> written.assignment().practical().measure(from).orElseThrow())
                .map(measure -> readings(written, measure))
                .toList();
        List<WorkView.TargetItem> wanted = work.targets().stream()
                .flatMap(target -> target.on(written.assignment().sheet()).stream()
                        .map(reading -> new WorkView.TargetItem(
                                written.speech().targets().name(reading),
                                written.fields().at(LineKey.of(work.id(), target.line(reading))))))
                .toList();
        return new WorkView(head, items, wanted, readings, Tape.of(written.log(), work.id()));
    }

    private static List<WorkView.Via> via(WrittenSheet written, Work work, Work.Item item) {
        return item.steps().stream()
                .map(step -> new WorkView.Via(
                        written.words()
                                .text(
                                        "intermediate.of",
                                        written.words().text("intermediate." + step.key()),
                                        written.words().name(item.figure())),
                        step.unit().quantity().key(),
                        written.fields().at(LineKey.of(work.id(), item.line(step)))))
                .toList();
    }

    private WorkView.Readings readings(WrittenSheet written, Measure measure) {
        return new WorkView.Readings(
                new MeasureMaker(written).of(written.head(measure, 0, speaksAtOnce(), listsStruck()), measure, 0),
                written.words().text("work." + measure.procedure().key() + ".how." + measure.taught()),
                new Facts(written).of(measure, written.own().standing(measure, 0)));
    }

    @Override
    public boolean speaksAtOnce() {
        return true;
    }

    @Override
    public Optional<AnswerUnit> echoUnit(Step step, LineKey line) {
        return ((Work) step)
                .asked().stream()
                        .filter(item -> item.figure().key().equals(line.line()))
                        .map(Work.Item::unit)
                        .findFirst();
    }
}
