package app.galdrin.web.baysheet.internal;

import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Line;
import app.galdrin.core.task.Step;
import app.galdrin.web.baysheet.Fields;
import app.galdrin.web.baysheet.StepSheet;
import app.galdrin.web.baysheet.StepSheets;
import app.galdrin.web.baysheet.StepView;
import app.galdrin.web.baysheet.WrittenSheet;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.sitting.Entry;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.SittingSheet;
import app.galdrin.web.sitting.StaffLine;
import app.galdrin.web.words.Words;
import java.util.ArrayList;
import java.util.List;

/** Makes the views of a sheet; each step is made by itself, so that one that is asked for alone costs itself alone. */
final class SheetMaker {

    private final WrittenSheet written;
    private final StepSheets kinds;
    private final Sitting sitting;
    private final Assignment assignment;
    private final Log log;

    SheetMaker(WrittenSheet written, StepSheets kinds) {
        this.written = written;
        this.kinds = kinds;
        this.sitting = written.sitting();
        this.assignment = written.assignment();
        this.log = written.log();
    }

    /** The steps of this sitting: all of the task, or of a reference the measurements of its state. */
    List<Step> steps() {
        if (!sitting.isReference()) {
            return assignment.practical().steps();
        }
        return List.copyOf(assignment.practical().measures(sitting.readsRound()));
    }

    /** The first step that is not complete, else the last. */
    Step next() {
        List<Step> steps = steps();
        return steps.stream()
                .filter(s -> !written.progress(s).complete())
                .findFirst()
                .orElse(steps.get(steps.size() - 1));
    }

    SheetPage page(String shown, BlankSheets blank) {
        boolean isBlank = log.lastSeq() == 0 && !written.fields().anyRefused();
        List<StepView> views = isBlank ? blank.steps(asBlank(), this::views) : views();
        List<String> disputed = log.disputed().stream()
                .filter(key -> !StaffLine.isOutsideTask(key)) // of calls from before they saw one another
                .map(key -> assignment
                        .practical()
                        .step(key.step())
                        .map(written.names()::title)
                        .orElse(key.step()))
                .distinct()
                .toList();
        return new SheetPage(
                sitting,
                views,
                shown,
                Ids.next(),
                log.lastSeq(),
                disputed,
                log.stopped().orElse(""));
    }

    private BlankSheets.BlankSheetKey asBlank() {
        return new BlankSheets.BlankSheetKey(
                sitting.task().id(),
                sitting.sheet().id(),
                assignment.floor(),
                assignment.kit(),
                sitting.isReference(),
                sitting.readsRound(),
                Words.displays());
    }

    private List<StepView> views() {
        List<StepView> views = new ArrayList<>();
        for (Step step : steps()) {
            views.add(view(step, views.size() + 1));
        }
        return List.copyOf(views);
    }

    StepView view(Step step) {
        return view(step, steps().indexOf(step) + 1);
    }

    private StepView view(Step step, int number) {
        StepSheet kind = kinds.of(step);
        return kind.view(step, written.head(step, number, kind.speaksAtOnce(), kind.listsStruck()), written);
    }

    /** The key of every field of a step, in all its rounds that have been begun and the next. */
    List<LineKey> keys(Step step) {
        Sheet sheet = written.sheet();
        List<LineKey> keys = new ArrayList<>();
        if (sitting.isReference()) {
            return sheet.keys(step, sitting.readsRound());
        }
        sheet.roundsOpen(step, written.answers()).forEach(round -> keys.addAll(sheet.keys(step, round)));
        return keys;
    }

    /** An entry that was just written, as it was understood. */
    static String echo(Sitting sitting, Entry entry, StepSheets kinds, Words words) {
        LineKey key = entry.line();
        Line line = SittingSheet.of(sitting).line(key).orElseThrow();
        Step step = sitting.task().practical().step(key.step()).orElseThrow();
        return Fields.echo(entry, line, kinds.of(step).echoUnit(step, key), words);
    }
}
