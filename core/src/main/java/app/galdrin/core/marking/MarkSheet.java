package app.galdrin.core.marking;

import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Grade;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** The marks of one sitting, a line a criterion in the order of the work. */
public record MarkSheet(List<MarkLine> lines) {

    /** The line of a sitting that was stopped; no step of a task is called so. */
    public static final Criterion.Id STOPPED = new Criterion.Id("_stopped", Aspect.CRITICAL);

    public MarkSheet {
        lines = List.copyOf(lines);
    }

    /** Returns the marks of all lines together. */
    public BigDecimal total() {
        return lines.stream().map(MarkLine::marks).reduce(BigDecimal.ZERO, BigDecimal::add);
    }

    /** Returns the marks there were to earn. */
    public int available() {
        return lines.stream().mapToInt(MarkLine::available).sum();
    }

    /** Share of the available marks, one place. */
    public BigDecimal percent() {
        return available() == 0
                ? BigDecimal.ZERO
                : total().multiply(BigDecimal.valueOf(100))
                        .divide(BigDecimal.valueOf(available()), 1, RoundingMode.HALF_UP);
    }

    /** Returns whether every must-pass criterion is met. */
    public boolean competent() {
        return lines.stream().filter(MarkLine::mustPass).allMatch(MarkLine::met);
    }

    /** The grade its share of the marks has reached; none below a pass, and none where something that must be passed was not. */
    public Optional<Grade> grade(List<Grade> grades) {
        return competent() ? Grade.of(percent(), grades) : Optional.empty();
    }

    /** Returns whether nothing is missing any more. */
    public boolean complete() {
        return lines.stream().noneMatch(MarkLine::waiting);
    }

    /** Criteria to do again. */
    public List<Criterion.Id> redo() {
        return lines.stream().filter(l -> !l.met()).map(MarkLine::criterion).toList();
    }

    /** A sitting that was stopped for safety: nobody is competent by it, whatever was marked. The reason is never empty. */
    public MarkSheet stopped(String reason) {
        var line = new MarkLine(
                STOPPED,
                0,
                true,
                0,
                BigDecimal.ZERO.setScale(1),
                List.of(new Evidence.Item(STOPPED.step(), false)),
                Optional.of(new MarkLine.Override(BigDecimal.ZERO.setScale(1), reason)));
        return new MarkSheet(Stream.concat(Stream.of(line), lines.stream()).toList());
    }

    /** The same sheet with the instructor's marks in place. */
    public MarkSheet with(Map<Criterion.Id, MarkLine.Override> overrides) {
        return new MarkSheet(lines.stream()
                .map(line -> {
                    MarkLine.Override override = overrides.get(line.criterion());
                    return override == null ? line : line.with(override);
                })
                .toList());
    }
}
