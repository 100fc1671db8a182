package app.galdrin.core.marking;

import app.galdrin.core.record.Step;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Measure;
import java.util.List;

/**
 * The steps from an apprentice's own readings to each worked figure. Marking a class does without them; they are worked where a sheet is
 * shown or stored.
 */
public final class WorkingSteps {

    private final Assignment assignment;
    private final OwnFigures own;

    /** Works the steps from one sitting's readings. */
    public WorkingSteps(Assignment assignment, Answers answers) {
        this.assignment = assignment;
        this.own = new OwnFigures(assignment, answers);
    }

    /** The same sheet with the steps of each worked figure. Steps that it has already stay as they are. */
    public MarkSheet on(MarkSheet sheet) {
        return new MarkSheet(sheet.lines().stream()
                .map(line -> line.with(line.evidence().stream().map(this::on).toList()))
                .toList());
    }

    private Evidence on(Evidence evidence) {
        return evidence instanceof WorkingEvidence working && working.steps().isEmpty()
                ? working.with(to(working))
                : evidence;
    }

    /** The steps to one worked figure, an element a repeat; empty in a repeat whose readings do not lead to it. */
    public List<List<Step>> to(WorkingEvidence working) {
        Measure measure = assignment.practical().measure(working.from()).orElseThrow();
        return own.repeats(measure, 0).stream()
                .map(repeat ->
                        repeat.stepsTo(working.figure(), working.taught()).orElse(List.of()))
                .toList();
    }
}
