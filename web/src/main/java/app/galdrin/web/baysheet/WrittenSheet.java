package app.galdrin.web.baysheet;

import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.Marker;
import app.galdrin.core.marking.References;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Line;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.Step;
import app.galdrin.web.marking.EvidenceText;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.SittingSheet;
import app.galdrin.web.words.StepWords;
import app.galdrin.web.words.Words;
import java.util.List;
import java.util.Map;

/** A sheet with what is written on it, while its views are made. */
public final class WrittenSheet {

    private final Sitting sitting;
    private final Assignment assignment;
    private final Log log;
    private final Sheet sheet;
    private final Fields fields;
    private final OwnFigures own;
    private final SheetSpeech speech;

    /** {@code refused} is what was typed and could not be read. */
    public WrittenSheet(
            Sitting sitting, Assignment assignment, Log log, Map<LineKey, Fields.Refusal> refused, SheetSpeech speech) {
        this.sitting = sitting;
        this.assignment = assignment;
        this.log = log;
        this.sheet = SittingSheet.of(sitting);
        this.fields = new Fields(sheet, log, speech.words(), refused);
        this.own = new OwnFigures(assignment, log.answers());
        this.speech = speech;
    }

    public Sitting sitting() {
        return sitting;
    }

    public Assignment assignment() {
        return assignment;
    }

    public Log log() {
        return log;
    }

    public Answers answers() {
        return log.answers();
    }

    public Sheet sheet() {
        return sheet;
    }

    public Fields fields() {
        return fields;
    }

    /** The figures that the entries come to. */
    public OwnFigures own() {
        return own;
    }

    public SheetSpeech speech() {
        return speech;
    }

    public Words words() {
        return speech.words();
    }

    public StepWords names() {
        return speech.names();
    }

    /** Returns whether it may say what the readings come to: in practice, and to an instructor about the instructor's own. */
    public boolean speaks() {
        return sitting.isReference() || assignment.practical().mode() == Mode.PRACTICE;
    }

    /** Returns how much of a step is written; of a reference, of the state that it reads. */
    public Sheet.Progress progress(Step step) {
        if (!sitting.isReference()) {
            return sheet.progress(step, answers());
        }
        List<LineKey> keys = sheet.keys(step, sitting.readsRound());
        int done = (int) keys.stream().filter(k -> sheet.isFilled(k, answers())).count();
        return new Sheet.Progress(done, keys.size());
    }

    /**
     * Returns what every step has.
     *
     * @param number its turn on the sheet, from 1
     * @param speaks whether its kind says what it is marked by as soon as it is written
     * @param listsStruck whether its kind lists what was struck
     */
    public StepView.Head head(Step step, int number, boolean speaks, boolean listsStruck) {
        List<Line> lines = sheet.lines(step);
        return new StepView.Head(
                step,
                number,
                names().title(step),
                progress(step),
                lines.stream().anyMatch(Line::critical),
                lines.stream().anyMatch(Line::witnessed),
                speaks && speaks() && !sitting.isReference() ? evidence(step) : List.of(),
                listsStruck ? struck(step) : List.of());
    }

    private List<String> struck(Step step) {
        return log.struckIn(step.id()).stream()
                .map(fields::said)
                .filter(text -> !text.isEmpty())
                .toList();
    }

    /** Returns the evidence of a step in practice mode, where the marking answers at once; unwritten entries need no reminder here. */
    private List<EvidenceText> evidence(Step step) {
        List<Evidence> all = Marker.mark(assignment, answers(), References.none()).lines().stream()
                .filter(l -> l.criterion().step().equals(step.id()))
                .flatMap(l -> l.evidence().stream())
                .filter(e -> !e.isUnwritten())
                .toList();
        return speech.evidence().tell(all);
    }
}
